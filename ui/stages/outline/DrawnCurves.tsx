import { Circle, Ellipse, G, Line, Path } from 'react-native-svg';

import type { SolvedCurve } from '@core/shaping/drawn';
import type { Area } from '@core/shaping/drawnEdits';

import { colours } from '../../theme/colours';
import { arrowTips, pointsAlong, toPx, type BoardView } from './boardView';

type Place = readonly [x: number, y: number];

/** Curves as a line of the screen. */
const pathOf = (curve: SolvedCurve, view: BoardView): string =>
  pointsAlong(curve)
    .map((place, index) => {
      const [x, y] = toPx(view, place);
      return `${index === 0 ? 'M' : 'L'}${x.toFixed(2)} ${y.toFixed(2)}`;
    })
    .join(' ');

/** The part behind the drawing, thin and pale; where the drawing's plane cuts it, a little stronger. */
export function Behind({
  segments,
  cuts,
  view,
}: {
  segments: Float32Array;
  cuts: readonly SolvedCurve[];
  view: BoardView;
}) {
  const runs: string[] = [];
  for (let at = 0; at + 4 <= segments.length; at += 4) {
    const [x1, y1] = toPx(view, [segments[at]!, segments[at + 1]!]);
    const [x2, y2] = toPx(view, [segments[at + 2]!, segments[at + 3]!]);
    runs.push(`M${x1.toFixed(1)} ${y1.toFixed(1)}L${x2.toFixed(1)} ${y2.toFixed(1)}`);
  }
  return (
    <G stroke={colours.slate.DEFAULT} fill="none">
      <Path d={runs.join('')} strokeOpacity={0.45} strokeWidth={1} />
      <Path d={cuts.map((curve) => pathOf(curve, view)).join('')} strokeOpacity={0.7} strokeWidth={1.6} />
    </G>
  );
}

/** Areas that the outline is to go round. */
export function Filled({ areas, view }: { areas: readonly Area[]; view: BoardView }) {
  const run = (places: readonly Place[]) =>
    `M${places.map((place) => toPx(view, place).join(' ')).join('L')}Z`;
  return (
    <>
      {areas.map(({ round, holes }, index) => (
        <Path
          key={index}
          d={[round, ...holes].map(run).join('')}
          fill={colours.green.DEFAULT}
          fillOpacity={0.22}
          fillRule="evenodd"
        />
      ))}
    </>
  );
}

/** What is being drawn, as far as it goes. */
export function Begun({
  places,
  isSmooth,
  view,
}: {
  places: readonly Place[];
  isSmooth: boolean;
  view: BoardView;
}) {
  if (places.length < 2) return null;
  const run = isSmooth
    ? pathOf({ id: '', helper: false, kind: 'spline', points: places, closed: false }, view)
    : `M${places.map((place) => toPx(view, place).join(' ')).join('L')}`;
  return <Path d={run} stroke={colours.green.DEFAULT} strokeWidth={1.6} strokeDasharray="5 4" fill="none" />;
}

/** The curves of a drawing: those picked in green, those that contradict in rust, construction lines dashed. */
export function DrawnCurves({
  curves,
  view,
  picked,
  wrong,
}: {
  curves: readonly SolvedCurve[];
  view: BoardView;
  picked: ReadonlySet<string>;
  wrong: ReadonlySet<string>;
}) {
  return (
    <G fill="none" strokeLinecap="round" strokeLinejoin="round">
      {curves.map((curve) => (
        <Path
          key={curve.id}
          d={pathOf(curve, view)}
          stroke={
            wrong.has(curve.id)
              ? colours.rust.DEFAULT
              : picked.has(curve.id)
                ? colours.green.DEFAULT
                : curve.helper
                  ? colours.slate.DEFAULT
                  : colours.ink
          }
          strokeWidth={picked.has(curve.id) ? 3.2 : curve.helper ? 1.2 : 2.2}
          {...(curve.helper ? { strokeDasharray: '14 4 3 4' } : {})}
        />
      ))}
    </G>
  );
}

/** Lengths of the two strokes of an arrow's head, px, along it and to its sides. */
const [HEAD_BACK, HEAD_SIDE] = [7, 4];

/** An arrow from beside a point to its tip. */
function arrowPath([x, y]: Place, [tx, ty]: Place): string {
  const length = Math.hypot(tx - x, ty - y) || 1;
  const [ux, uy] = [(tx - x) / length, (ty - y) / length];
  const head = (side: number) =>
    `${(tx - HEAD_BACK * ux - side * uy).toFixed(1)} ${(ty - HEAD_BACK * uy + side * ux).toFixed(1)}`;
  return `M${(x + 9 * ux).toFixed(1)} ${(y + 9 * uy).toFixed(1)}L${tx} ${ty}M${head(HEAD_SIDE)}L${tx} ${ty}L${head(-HEAD_SIDE)}`;
}

/** Points: full where nothing moves them, open with arrows where something does. */
export function DrawnPoints({
  points,
  view,
  moves,
  picked,
  shownArrows,
}: {
  points: readonly (readonly [string, Place])[];
  view: BoardView;
  moves: ReadonlyMap<string, Place | 'anyWay'>;
  picked: ReadonlySet<string>;
  shownArrows: boolean;
}) {
  return (
    <G>
      {points.map(([id, place]) => {
        const [x, y] = toPx(view, place);
        const way = moves.get(id);
        const isPicked = picked.has(id);
        return (
          <G key={id}>
            {way && way !== 'anyWay' && shownArrows ? (
              <>
                {arrowTips([x, y], way).map((tip, index) => (
                  <Path
                    key={index}
                    d={arrowPath([x, y], tip)}
                    stroke={colours.brass.DEFAULT}
                    strokeWidth={1.6}
                    strokeLinecap="round"
                    fill="none"
                  />
                ))}
              </>
            ) : null}
            <Circle
              cx={x}
              cy={y}
              r={isPicked ? 8 : 5.5}
              fill={isPicked ? colours.green.DEFAULT : way ? colours.card : colours.ink}
              stroke={isPicked ? colours.green.DEFAULT : way ? colours.brass.DEFAULT : colours.ink}
              strokeWidth={2}
            />
          </G>
        );
      })}
    </G>
  );
}

/** Where the step puts the outline: its two ways through the origin. */
export function OriginCross({ view }: { view: BoardView }) {
  const [x, y] = toPx(view, [0, 0]);
  return (
    <G stroke={colours.rule} strokeWidth={1}>
      <Line x1={0} y1={y} x2={view.width} y2={y} strokeDasharray="2 5" />
      <Line x1={x} y1={0} x2={x} y2={view.height} strokeDasharray="2 5" />
    </G>
  );
}

/** Round a place that something is wrong at. */
export function Ring({ at, view }: { at: Place; view: BoardView }) {
  const [x, y] = toPx(view, at);
  return <Ellipse cx={x} cy={y} rx={15} ry={15} stroke={colours.rust.DEFAULT} strokeWidth={2} fill="none" />;
}
