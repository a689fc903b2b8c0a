import { useEffect, useRef, useState } from 'react';
import { View, type LayoutChangeEvent } from 'react-native';

import type { SolidMesh } from '@core/part';

import { FadeSlider } from '../shared/FadeSlider';
import { FoundScene } from './foundScene';
import type { FoundShown } from './protocol';

/** Turn of an arrow key, radians. */
const KEY_TURN = Math.PI / 24;

/** A scanned piece over the spare, turned by the finger; a slider fades from one to the other. */
export function FoundView({ spare, shown, name }: { spare: SolidMesh; shown: FoundShown; name: string }) {
  const canvas = useRef<HTMLCanvasElement>(null);
  const scene = useRef<FoundScene | null>(null);
  const [size, setSize] = useState({ width: 0, height: 0 });
  const [failed, setFailed] = useState(false);
  const [share, setShare] = useState(100);
  useEffect(() => {
    try {
      scene.current = new FoundScene(canvas.current!);
    } catch {
      setFailed(true);
      return;
    }
    return () => {
      scene.current?.dispose();
      scene.current = null;
    };
  }, []);
  useEffect(() => {
    if (size.width > 0) scene.current?.resize(size.width, size.height, Math.min(window.devicePixelRatio, 3));
  }, [size]);
  useEffect(() => scene.current?.setSpare(spare), [spare]);
  useEffect(() => {
    scene.current?.setPainted(shown.painted);
    scene.current?.ring(shown.figures.furthestOut?.at ?? null, shown.figures.furthestIn?.at ?? null);
  }, [shown, spare]);
  useEffect(() => scene.current?.fade(share / 100), [share, shown, spare]);
  const onLayout = ({ nativeEvent: { layout } }: LayoutChangeEvent) =>
    setSize({ width: Math.round(layout.width), height: Math.round(layout.height) });
  return (
    <View className="gap-1">
      <View className="h-[300px] overflow-hidden rounded border border-line bg-bench" onLayout={onLayout}>
        <canvas
          ref={canvas}
          role="img"
          aria-label={
            failed
              ? 'The pieces can’t be drawn: this browser offers no 3D graphics.'
              : `The scanned piece over ${name}; what reaches out of the spare is hatched, what stays within it hatched crosswise. Arrow keys turn it, plus and minus zoom, 0 fits it into view.`
          }
          tabIndex={0}
          onKeyDown={(event) => {
            const act = keyActions[event.key];
            if (!act || !scene.current) return;
            event.preventDefault();
            act(scene.current);
          }}
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

const keyActions: Record<string, (scene: FoundScene) => void> = {
  ArrowLeft: (scene) => scene.turn(-KEY_TURN, 0),
  ArrowRight: (scene) => scene.turn(KEY_TURN, 0),
  ArrowUp: (scene) => scene.turn(0, KEY_TURN),
  ArrowDown: (scene) => scene.turn(0, -KEY_TURN),
  '+': (scene) => scene.zoom(1.2),
  '=': (scene) => scene.zoom(1.2),
  '-': (scene) => scene.zoom(1 / 1.2),
  '0': (scene) => scene.fit(),
};
