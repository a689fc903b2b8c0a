import { DndContext, PointerSensor, useDraggable, useSensor, useSensors } from '@dnd-kit/core';
import { useState } from 'react';
import { Text, View } from 'react-native';
import Svg, { Path, Polygon } from 'react-native-svg';

import type { BedPlace, PartPlacement } from '@core/making/printing';

import { colours } from '../theme/colours';

/** As high as it may stand on a phone, px. */
const HIGHEST_PX = 280;
/** A finger needs so much, px. */
const TARGET_PX = 44;
/** A touch that moves less than this is a tap, px. */
const DRAG_FROM_PX = 4;
/** Cross lines of the bed, mm. */
const RULED_MM = 50;
/** An arrow key moves a piece by this, with shift by less, mm. */
const STEP_MM = 5;
const SMALL_STEP_MM = 1;

interface Placed {
  id: string;
  part: number;
  piece: number;
  label: string;
  placement: PartPlacement;
  at: BedPlace;
}

interface Shown {
  bedMm: readonly [number, number, ...unknown[]];
  placements: readonly PartPlacement[];
  /** @param to from the middle of the bed, mm. */
  onMove(part: number, piece: number, to: BedPlace): void;
}

/** The bed from above with all that stands on it; a piece is dragged to another place, or moved by the arrow keys. */
export function BedPlan(shown: Shown) {
  const [width, setWidth] = useState(0);
  return (
    <View onLayout={({ nativeEvent: { layout } }) => setWidth(layout.width)}>
      {width > 0 ? <BedWithin widthPx={width} {...shown} /> : null}
    </View>
  );
}

/** @param widthPx how wide it may be drawn. */
export function BedWithin({
  widthPx,
  bedMm: [bedWidth, bedDepth],
  placements,
  onMove,
}: Shown & { widthPx: number }) {
  const sensors = useSensors(useSensor(PointerSensor, { activationConstraint: { distance: DRAG_FROM_PX } }));
  const pxPerMm = Math.min(widthPx / bedWidth, HIGHEST_PX / bedDepth);
  const [planWidth, planHeight] = [bedWidth * pxPerMm, bedDepth * pxPerMm];
  const pieces = placements.flatMap((placement, part) =>
    placement.at.map((at, piece): Placed => ({
      id: `${part}:${piece}`,
      part,
      piece,
      label: placement.at.length > 1 ? `${placement.name}, piece ${piece + 1}` : placement.name,
      placement,
      at,
    })),
  );
  /** It stays on the bed, whole. */
  const move = ({ part, piece, placement, at }: Placed, byX: number, byY: number) => {
    const within = (value: number, axis: 0 | 1, bed: number) => {
      const along = placement.hull.map((corner) => corner[axis]);
      const [low, high] = [-bed / 2 - Math.min(...along), bed / 2 - Math.max(...along)];
      return Math.round(2 * Math.min(Math.max(value, low), high)) / 2;
    };
    onMove(part, piece, [within(at[0] + byX, 0, bedWidth), within(at[1] + byY, 1, bedDepth)]);
  };
  return (
    <View
      role="group"
      aria-label={`The bed from above, ${bedWidth} by ${bedDepth} mm`}
      className="self-center border border-ink bg-card"
      style={{ width: planWidth, height: planHeight }}
    >
      <Svg width={planWidth} height={planHeight} style={{ position: 'absolute' }} aria-hidden>
        <Path d={ruled(bedWidth, bedDepth, pxPerMm)} stroke={colours.line} strokeWidth={1} />
      </Svg>
      <DndContext
        sensors={sensors}
        accessibility={{
          container: document.body,
          screenReaderInstructions: {
            draggable: 'The arrow keys move this piece by 5 mm, with shift by 1 mm.',
          },
        }}
        onDragEnd={({ active, delta }) => {
          const piece = pieces.find(({ id }) => id === active.id);
          if (piece) move(piece, delta.x / pxPerMm, -delta.y / pxPerMm);
        }}
      >
        {pieces.map((piece) => (
          <Piece
            key={piece.id}
            placed={piece}
            pxPerMm={pxPerMm}
            toPx={([x, y]) => [(x + bedWidth / 2) * pxPerMm, (bedDepth / 2 - y) * pxPerMm]}
            onMove={(x, y) => move(piece, x, y)}
          />
        ))}
      </DndContext>
      <Text className="absolute -bottom-6 left-0 font-label text-[13px] text-muted">
        {`Front, ${bedWidth} mm`}
      </Text>
    </View>
  );
}

function Piece({
  placed: { id, label, placement, at },
  pxPerMm,
  toPx,
  onMove,
}: {
  placed: Placed;
  pxPerMm: number;
  toPx(at: BedPlace): [number, number];
  onMove(x: number, y: number): void;
}) {
  const { setNodeRef, listeners, transform, isDragging } = useDraggable({ id });
  const [x, y] = toPx(at);
  const reach = Math.max(...placement.hull.flat().map(Math.abs)) * pxPerMm + 2;
  const half = Math.max(reach, TARGET_PX / 2);
  const corners = (corner: BedPlace) => [half + corner[0] * pxPerMm, half - corner[1] * pxPerMm];
  const foot = placement.foot
    .map(
      (loop) =>
        `M${loop
          .map((corner) =>
            corners(corner)
              .map((px) => px.toFixed(1))
              .join(' '),
          )
          .join('L')}Z`,
    )
    .join('');
  const onKeyDown = (event: React.KeyboardEvent) => {
    const step = event.shiftKey ? SMALL_STEP_MM : STEP_MM;
    const way = {
      ArrowLeft: [-step, 0],
      ArrowRight: [step, 0],
      ArrowUp: [0, step],
      ArrowDown: [0, -step],
    }[event.key];
    if (!way) return;
    event.preventDefault();
    onMove(way[0]!, way[1]!);
  };
  return (
    <button
      ref={setNodeRef}
      type="button"
      aria-label={`${label}, at ${at[0].toFixed(1)} and ${at[1].toFixed(1)} mm from the middle`}
      onKeyDown={onKeyDown}
      {...listeners}
      style={{
        position: 'absolute',
        left: x - half,
        top: y - half,
        width: 2 * half,
        height: 2 * half,
        padding: 0,
        border: 'none',
        background: 'none',
        touchAction: 'none',
        cursor: isDragging ? 'grabbing' : 'grab',
        zIndex: isDragging ? 1 : 0,
        transform: transform ? `translate(${transform.x}px, ${transform.y}px)` : undefined,
      }}
    >
      <Svg width={2 * half} height={2 * half} aria-hidden>
        <Polygon
          points={placement.hull.map((corner) => corners(corner).join()).join(' ')}
          fill={colours.putty.cut}
          fillOpacity={isDragging ? 0.6 : 0.9}
          stroke={colours.ink}
          strokeWidth={1}
          strokeDasharray="4 3"
        />
        <Path
          d={foot}
          fill={colours.putty.DEFAULT}
          fillRule="evenodd"
          stroke={colours.ink}
          strokeWidth={1.4}
        />
      </Svg>
    </button>
  );
}

/** Lines across, counted from the middle. */
function ruled(width: number, depth: number, pxPerMm: number): string {
  const along = (side: number) => {
    const half = Math.floor(side / 2 / RULED_MM);
    return Array.from({ length: 2 * half + 1 }, (_, at) => ((at - half) * RULED_MM + side / 2) * pxPerMm);
  };
  return [
    ...along(width).map((x) => `M${x.toFixed(1)} 0V${(depth * pxPerMm).toFixed(1)}`),
    ...along(depth).map((y) => `M0 ${y.toFixed(1)}H${(width * pxPerMm).toFixed(1)}`),
  ].join('');
}
