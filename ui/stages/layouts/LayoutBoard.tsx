import { useMemo, useRef, useState } from 'react';
import { Pressable, Text, View } from 'react-native';
import Svg, { Circle, Ellipse, G, Line, Rect, Text as SvgText } from 'react-native-svg';

import { suspectsOf, type SolvedLayout, type SolvedPoint } from '@core/measuring/layout';
import type { DatumEdge, Layout, LayoutEnd } from '@core/record/model';

import { colours } from '../../theme/colours';
import { boardView, ellipseZoom, type BoardView } from './boardView';
import { sameEnd } from './editLayout';

const FONT = 'BarlowSemiCondensed_600SemiBold';
const EDGES: readonly DatumEdge[] = ['left', 'right', 'bottom', 'top'];

/** The layout drawn: points with their doubt, distances, edges; everything on it can be tapped. */
export function LayoutBoard({
  layout,
  solved,
  picked,
  onEnd,
  onEmpty,
  onMirror,
}: {
  layout: Layout;
  solved: SolvedLayout;
  /** The end that was tapped first, while a second is awaited. */
  picked: LayoutEnd | null;
  onEnd(end: LayoutEnd): void;
  /** The board was tapped where there is nothing. mm of the layout. */
  onEmpty(at: { x: number; y: number }): void;
  onMirror(point: SolvedPoint): void;
}) {
  const [size, setSize] = useState({ width: 0, height: 0 });
  const board = useRef<View>(null);
  const view = useMemo(() => boardView(solved, size.width, size.height), [solved, size]);
  const zoom = ellipseZoom(solved, view);
  const onBoard = (pageX: number, pageY: number) => {
    const rect = (board.current as unknown as HTMLElement).getBoundingClientRect();
    onEmpty(view.toMm(pageX - rect.left - window.scrollX, pageY - rect.top - window.scrollY));
  };
  const pickedIs = (end: LayoutEnd) => picked !== null && sameEnd(picked, end);
  return (
    <View
      ref={board}
      className="flex-1 overflow-hidden bg-bench"
      onLayout={({ nativeEvent: { layout: box } }) => setSize({ width: box.width, height: box.height })}
    >
      <Pressable
        accessibilityLabel="Board. Tap where a hole or peg is."
        accessibilityRole="button"
        onPress={({ nativeEvent }) => onBoard(nativeEvent.pageX, nativeEvent.pageY)}
        className="absolute inset-0"
      />
      {size.width > 0 ? (
        <>
          <Svg
            width={size.width}
            height={size.height}
            pointerEvents="none"
            style={{ position: 'absolute' }}
            role="img"
            aria-label={`Layout ${layout.name}: ${solved.points.length} points, ${solved.distances.length} distances`}
          >
            <Edges solved={solved} view={view} size={size} />
            <Distances layout={layout} solved={solved} view={view} />
            {solved.points.map((point) => (
              <PointMark
                key={point.id}
                point={point}
                view={view}
                zoom={zoom}
                picked={pickedIs({ point: point.id })}
              />
            ))}
          </Svg>
          {solved.points.map((point) => (
            <Target
              key={point.id}
              at={view.toPx(point.x, point.y)}
              label={`Point ${point.label}${point.loose ? ', can still move' : ''}`}
              onPress={() => onEnd({ point: point.id })}
            />
          ))}
          {solved.points.map((point) =>
            point.mirrored ? (
              <Target
                key={`mirror-${point.id}`}
                at={view.toPx(point.mirrored.x, point.mirrored.y)}
                label={`Point ${point.label} is here instead`}
                onPress={() => onMirror(point)}
              />
            ) : null,
          )}
          {EDGES.map((edge) => (
            <EdgeTarget key={edge} edge={edge} picked={pickedIs({ edge })} onPress={() => onEnd({ edge })} />
          ))}
          {zoom > 1 && solved.points.some(({ ellipse }) => ellipse) ? (
            <Text className="absolute bottom-1 right-2 font-label text-[12px] text-muted">
              {`doubt drawn ${zoom} times too large`}
            </Text>
          ) : null}
        </>
      ) : null}
    </View>
  );
}

function Target({ at, label, onPress }: { at: { x: number; y: number }; label: string; onPress(): void }) {
  return (
    <Pressable
      accessibilityRole="button"
      accessibilityLabel={label}
      onPress={onPress}
      className="absolute h-11 w-11"
      style={{ left: at.x - 22, top: at.y - 22 }}
    />
  );
}

const EDGE_PLACE: Record<DatumEdge, string> = {
  left: 'left-0 top-1/2 -mt-[22px]',
  right: 'right-0 top-1/2 -mt-[22px]',
  bottom: 'bottom-0 left-1/2 -ml-8',
  top: 'top-0 left-1/2 -ml-8',
};

function EdgeTarget({ edge, picked, onPress }: { edge: DatumEdge; picked: boolean; onPress(): void }) {
  return (
    <Pressable
      accessibilityRole="button"
      accessibilityLabel={`${edge} edge`}
      onPress={onPress}
      className={`absolute h-11 min-w-[44px] items-center justify-center px-1 ${EDGE_PLACE[edge]}`}
    >
      <Text className={`font-label text-[12.5px] ${picked ? 'text-green underline' : 'text-slate'}`}>
        {edge}
      </Text>
    </Pressable>
  );
}

/** Edges that were measured to, as the lines they are. */
function Edges({
  solved,
  view,
  size,
}: {
  solved: SolvedLayout;
  view: BoardView;
  size: { width: number; height: number };
}) {
  const used = new Set(
    solved.distances.flatMap(({ distance: { from, to } }) =>
      [from, to].flatMap((end) => ('edge' in end ? [end.edge] : [])),
    ),
  );
  const upright = (x: number) => ({
    x1: view.toPx(x, 0).x,
    x2: view.toPx(x, 0).x,
    y1: 8,
    y2: size.height - 8,
  });
  const level = (y: number) => ({ y1: view.toPx(0, y).y, y2: view.toPx(0, y).y, x1: 8, x2: size.width - 8 });
  return (
    <G stroke={colours.ink} strokeWidth={1.6}>
      {used.has('left') ? <Line {...upright(0)} /> : null}
      {used.has('right') ? <Line {...upright(solved.right ?? 0)} /> : null}
      {used.has('bottom') ? <Line {...level(0)} /> : null}
      {used.has('top') ? <Line {...level(solved.top ?? 0)} /> : null}
    </G>
  );
}

function Distances({ layout, solved, view }: { layout: Layout; solved: SolvedLayout; view: BoardView }) {
  const places = new Map(solved.points.map((point) => [point.id, point]));
  const known = new Map(solved.distances.map((one) => [one.distance.id, one]));
  const endAt = (end: LayoutEnd, other: LayoutEnd) => {
    if ('point' in end) {
      const point = places.get(end.point);
      return point ? view.toPx(point.x, point.y) : null;
    }
    const from = 'point' in other ? places.get(other.point) : { x: 0, y: 0 };
    if (!from) return null;
    if (end.edge === 'left') return view.toPx(0, from.y);
    if (end.edge === 'right') return view.toPx(solved.right ?? 0, from.y);
    if (end.edge === 'bottom') return view.toPx(from.x, 0);
    return view.toPx(from.x, solved.top ?? 0);
  };
  const suspects = suspectsOf(solved);
  const isOne = suspects.size === 1;
  return (
    <G>
      {layout.distances.map((distance) => {
        const [a, b] = [endAt(distance.from, distance.to), endAt(distance.to, distance.from)];
        if (!a || !b) return null;
        const suspect = suspects.has(distance.id);
        const used = known.has(distance.id);
        return (
          <G key={distance.id}>
            <Line
              x1={a.x}
              y1={a.y}
              x2={b.x}
              y2={b.y}
              stroke={suspect && isOne ? colours.rust.DEFAULT : used ? colours.brass.DEFAULT : colours.rule}
              strokeWidth={suspect ? 2.4 : 1.1}
              {...(used ? {} : { strokeDasharray: '4 4' })}
            />
            {suspect ? (
              <>
                <Rect
                  x={(a.x + b.x) / 2 - 9}
                  y={(a.y + b.y) / 2 - 11}
                  width={18}
                  height={22}
                  rx={4}
                  fill={isOne ? colours.rust.DEFAULT : colours.brass.DEFAULT}
                />
                <SvgText
                  x={(a.x + b.x) / 2}
                  y={(a.y + b.y) / 2 + 5}
                  fontSize={15}
                  fontFamily={FONT}
                  fill={colours.card}
                  textAnchor="middle"
                >
                  ?
                </SvgText>
              </>
            ) : null}
          </G>
        );
      })}
    </G>
  );
}

function PointMark({
  point,
  view,
  zoom,
  picked,
}: {
  point: SolvedPoint;
  view: BoardView;
  zoom: number;
  picked: boolean;
}) {
  const at = view.toPx(point.x, point.y);
  const { ellipse, mirrored } = point;
  const ghost = mirrored ? view.toPx(mirrored.x, mirrored.y) : null;
  const least = 1.5;
  return (
    <G>
      {ghost ? (
        <Circle
          cx={ghost.x}
          cy={ghost.y}
          r={11}
          fill="none"
          stroke={colours.slate.line}
          strokeWidth={1.4}
          strokeDasharray="3 3"
        />
      ) : null}
      {ellipse ? (
        <Ellipse
          cx={at.x}
          cy={at.y}
          rx={Math.max(least, ellipse.long * view.scale * zoom)}
          ry={Math.max(least, ellipse.short * view.scale * zoom)}
          // SVG turns clockwise, the layout anticlockwise.
          transform={`rotate(${(-ellipse.turn * 180) / Math.PI} ${at.x} ${at.y})`}
          fill={colours.brass.soft}
          stroke={colours.brass.DEFAULT}
          strokeWidth={1}
        />
      ) : null}
      <Circle
        cx={at.x}
        cy={at.y}
        r={11}
        fill={picked ? colours.green.DEFAULT : point.loose ? colours.rust.soft : colours.card}
        stroke={picked ? colours.green.DEFAULT : point.loose ? colours.rust.DEFAULT : colours.ink}
        strokeWidth={1.6}
      />
      <SvgText
        x={at.x}
        y={at.y + 5}
        fontSize={14}
        fontFamily={FONT}
        fill={picked ? colours.card : point.loose ? colours.rust.DEFAULT : colours.ink}
        textAnchor="middle"
      >
        {point.label}
      </SvgText>
    </G>
  );
}
