import { useEffect, useState } from 'react';
import { View } from 'react-native';

import type { SolidMesh } from '@core/shaping/part';

import { turnByKey } from '../scene/turningKeys';
import { useScene } from '../scene/useScene';
import { FadeSlider } from '../shared/FadeSlider';
import { FoundScene } from './foundScene';
import type { FoundShown } from './protocol';
import { litAnew } from '../preferences/litAnew';

/** A scanned piece over the spare, turned by the finger; a slider fades from one to the other. */
export const FoundView = litAnew(FoundCanvas);

function FoundCanvas({ spare, shown, name }: { spare: SolidMesh; shown: FoundShown; name: string }) {
  const { canvas, scene, failed, onLayout } = useScene(FoundScene);
  const [share, setShare] = useState(100);
  useEffect(() => scene.current?.setSpare(spare), [scene, spare]);
  useEffect(() => {
    scene.current?.setPainted(shown.painted);
    scene.current?.ring(shown.figures.furthestOut?.at ?? null, shown.figures.furthestIn?.at ?? null);
  }, [scene, shown, spare]);
  useEffect(() => scene.current?.fade(share / 100), [scene, share, shown, spare]);
  return (
    <View className="gap-1">
      <View className="h-[300px] overflow-hidden rounded border border-line bg-bench" onLayout={onLayout}>
        <canvas
          ref={canvas}
          role="img"
          aria-label={
            failed
              ? 'The pieces can’t be drawn: this browser offers no 3D graphics.'
              : `The scanned piece over ${name}; where it lies outside the spare it is hatched, where inside cross-hatched. Arrow keys turn it, plus and minus zoom, 0 fits it into view.`
          }
          tabIndex={0}
          onKeyDown={(event) => turnByKey(event, scene.current)}
          style={{ width: '100%', height: '100%', display: 'block', touchAction: 'none' }}
        />
      </View>
      <FadeSlider
        from="Spare"
        to="Scanned"
        label="From the spare to the scanned piece"
        value={share}
        onChange={setShare}
      />
    </View>
  );
}
