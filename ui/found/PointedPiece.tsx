import { useEffect } from 'react';
import { Text, View } from 'react-native';

import type { Vec3, WeldedMesh } from '@core/part';

import { turnByKey } from '../scene/turningKeys';
import { useScene } from '../scene/useScene';
import { PlacesScene } from './placesScene';

/** A piece on which places are pointed at: by a tap, or by Enter for what is in the middle. */
export function PointedPiece({
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
  const { canvas, scene, failed, onLayout } = useScene(PlacesScene);
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
              : `${heading}: ${places.length} of 3 places. Tap a place to mark it; arrow keys turn it, plus and minus zoom, Enter marks what is in the middle.`
          }
          tabIndex={0}
          onPointerDown={(event) => scene.current?.begin(...spot(event))}
          onPointerUp={(event) => take(scene.current?.end(...spot(event)))}
          onKeyDown={(event) => {
            if (event.key !== 'Enter') return turnByKey(event, scene.current);
            event.preventDefault();
            take(scene.current?.middle());
          }}
          style={{ width: '100%', height: '100%', display: 'block', touchAction: 'none' }}
        />
      </View>
    </View>
  );
}
