import Svg, { Circle, G, Line, Path, Rect } from 'react-native-svg';

import type { DrawnOutline } from '@core/foundations/fields';

import { colours } from '../../theme/colours';

type Kind = DrawnOutline['relations'][number]['kind'];

/** What each relation looks like: a few strokes on a field of 16 by 16. */
const STROKES: Record<Kind, readonly string[]> = {
  level: ['M2 10 H14', 'M8 10 V6 M6 6 H10'],
  upright: ['M8 2 V14', 'M8 8 H12 M12 6 V10'],
  coincident: ['M3 8 H6 M10 8 H13 M8 3 V6 M8 10 V13'],
  onCurve: ['M2 13 Q7 12 9 8 T14 3'],
  midpoint: ['M2 8 H14', 'M5 5 V11 M11 5 V11'],
  parallel: ['M2 6 H14', 'M2 10 H14'],
  square: ['M4 3 V13 H14', 'M4 9 H8 V13'],
  collinear: ['M2 8 H6 M10 8 H14', 'M8 5 V11'],
  equal: ['M3 4 V12 M6 4 V12', 'M10 4 V12 M13 4 V12'],
  tangent: ['M2 13 H14', 'M13 6 A5 5 0 1 0 3.8 10.5'],
  concentric: ['M13 8 A5 5 0 1 1 13 7.9', 'M10 8 A2 2 0 1 1 10 7.9'],
  symmetric: ['M8 2 V14', 'M2 5 L5 8 L2 11 M14 5 L11 8 L14 11'],
  turned: ['M13 8 A5 5 0 1 1 9 3.1', 'M9 1 V5 L12 3 Z'],
  fixed: ['M4 13 H12 M8 13 V7'],
};
/** Points among the strokes. */
const DOTS: Partial<Record<Kind, readonly [number, number]>> = {
  coincident: [8, 8],
  onCurve: [8.4, 9],
  midpoint: [8, 8],
  fixed: [8, 5],
};

/** The sign of a relation, on its small card. */
export function RelationSign({
  kind,
  size = 16,
  tone,
}: {
  kind: Kind;
  size?: number;
  tone: 'plain' | 'picked' | 'wrong';
}) {
  const colour = { plain: colours.green.DEFAULT, picked: colours.card, wrong: colours.rust.DEFAULT }[tone];
  const dot = DOTS[kind];
  return (
    <Svg width={size} height={size} viewBox="-1 -1 18 18" aria-hidden>
      <Rect
        x={-1}
        y={-1}
        width={18}
        height={18}
        rx={4}
        fill={tone === 'picked' ? colours.green.DEFAULT : colours.card}
        opacity={0.92}
      />
      <G stroke={colour} strokeWidth={1.6} fill="none" strokeLinecap="round" strokeLinejoin="round">
        {STROKES[kind].map((path) => (
          <Path key={path} d={path} />
        ))}
        {kind === 'symmetric' ? <Line x1={8} y1={2} x2={8} y2={14} strokeDasharray="2 2" /> : null}
      </G>
      {dot ? <Circle cx={dot[0]} cy={dot[1]} r={2.1} fill={colour} /> : null}
    </Svg>
  );
}
