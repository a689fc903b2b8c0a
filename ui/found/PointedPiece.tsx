import Crosshair from 'lucide-react-native/icons/crosshair';
import { useEffect, useState } from 'react';
import { Text, View } from 'react-native';

import type { Vec3 } from '@core/foundations/vectors';
import type { WeldedMesh } from '@core/shaping/part';
import { ownValue } from '@core/foundations/own';

import { turnByKey } from '../scene/turningKeys';
import { useScene } from '../scene/useScene';
import { colours } from '../theme/colours';
import { PlacesScene } from './placesScene';
import { litAnew } from '../preferences/litAnew';

/** How far a key moves the cross, px. */
const AIM_STEP_PX = 8;
const AIMS: Record<string, readonly [x: number, y: number]> = {
  ArrowLeft: [-AIM_STEP_PX, 0],
  ArrowRight: [AIM_STEP_PX, 0],
  ArrowUp: [0, -AIM_STEP_PX],
  ArrowDown: [0, AIM_STEP_PX],
};

/** A piece on which places are pointed at: by a tap, or by a cross that keys move. */
export const PointedPiece = litAnew(PieceCanvas);

function PieceCanvas({
  heading,
  piece,
  edges,
  places,
  onPlace,
}: {
  heading: string;
  piece: WeldedMesh;
  edges: Float32Array | null;
  places: readonly Vec3[];
  onPlace(at: Vec3): void;
}) {
  const { canvas, scene, size, failed, onLayout } = useScene(PlacesScene);
  /** Where the cross is, from the middle, px; null until a key moves it. */
  const [aim, setAim] = useState<readonly [x: number, y: number] | null>(null);
  useEffect(() => scene.current?.setPiece(piece, edges), [scene, piece, edges]);
  useEffect(() => scene.current?.setPlaces(places), [scene, places]);
  const take = (at: Vec3 | null | undefined) => at && onPlace(at);
  const spot = ({ nativeEvent }: React.PointerEvent) => [nativeEvent.offsetX, nativeEvent.offsetY] as const;
  return (
    <View className="flex-1 gap-1">
      <Text className="font-label text-[14px] text-muted">{heading}</Text>
      <View className="h-[220px] overflow-hidden rounded border border-line bg-bench" onLayout={onLayout}>
        <canvas
          ref={canvas}
          role="application"
          aria-label={
            failed
              ? 'The piece can’t be drawn: this browser offers no 3D graphics.'
              : `${heading}: ${places.length} of 3 places. Tap a place to mark it. Arrow keys turn it, plus and minus zoom. With Shift they move a cross, and Enter marks what is under it.`
          }
          tabIndex={0}
          onPointerDown={(event) => scene.current?.begin(...spot(event))}
          onPointerUp={(event) => take(scene.current?.end(...spot(event)))}
          onKeyDown={(event) => {
            const [x, y] = aim ?? [0, 0];
            const step = event.shiftKey ? ownValue(AIMS, event.key) : undefined;
            if (!step && event.key !== 'Enter') return turnByKey(event, scene.current);
            event.preventDefault();
            if (step) setAim([inside(x + step[0], size.width), inside(y + step[1], size.height)]);
            else take(scene.current?.placeAt(size.width / 2 + x, size.height / 2 + y));
          }}
          style={{ width: '100%', height: '100%', display: 'block', touchAction: 'none' }}
        />
        {aim ? (
          <View
            testID="cross"
            style={{
              position: 'absolute',
              pointerEvents: 'none',
              left: size.width / 2 + aim[0] - CROSS_PX / 2,
              top: size.height / 2 + aim[1] - CROSS_PX / 2,
            }}
          >
            <Crosshair size={CROSS_PX} color={colours.ink} />
          </View>
        ) : null}
      </View>
    </View>
  );
}

const CROSS_PX = 24;

/** No further from the middle than the view reaches. */
const inside = (px: number, across: number) => Math.max(-across / 2, Math.min(across / 2, px));
