import Svg, { Circle, G, Line, Path, Rect } from 'react-native-svg';

import type { Jaw } from '@core/record/model';

import { colours } from '../theme/colours';
import { JAW_WORDS } from './jaws';

const INK = { stroke: colours.ink, strokeWidth: 1.3, strokeLinejoin: 'round' as const };
const STEEL = { ...INK, fill: colours.slate.soft };
const PIECE = { ...INK, fill: colours.putty.DEFAULT };
const TAKEN = { stroke: colours.brass.DEFAULT, strokeWidth: 1.8 };

/** Where the sliding jaw stands, px from the left. */
const SLIDE = 74;

/** How the calipers are held for a jaw: the piece in putty, what is taken in brass. */
export function JawFigure({ jaw, height = 84 }: { jaw: Jaw; height?: number }) {
  return (
    <Svg
      width={(height * 200) / 96}
      height={height}
      viewBox="0 0 200 96"
      role="img"
      aria-label={`How to hold the calipers: ${JAW_WORDS[jaw]}`}
    >
      <Piece jaw={jaw} />
      <Caliper rod={jaw === 'depth'} />
      <TakenLine jaw={jaw} />
    </Svg>
  );
}

/** The tool: beam with its fixed jaws, slide with the moving ones and a display, rod at the far end. */
function Caliper({ rod }: { rod: boolean }) {
  return (
    <G>
      <Rect x={20} y={38} width={140} height={10} {...STEEL} />
      <Path d="M20 38 L20 48 L26 86 L34 86 L34 48 L34 38 L30 20 L26 38 Z" {...STEEL} />
      {rod ? <Rect x={160} y={42} width={24} height={2.5} {...STEEL} /> : null}
      <Path
        d={`M${SLIDE} 34 L${SLIDE} 86 L${SLIDE + 8} 86 L${SLIDE + 14} 52 L${SLIDE + 44} 52 L${SLIDE + 44} 34 L${SLIDE + 8} 34 L${SLIDE + 4} 20 Z`}
        {...STEEL}
      />
      <Rect x={SLIDE + 16} y={37} width={24} height={11} rx={1.5} fill={colours.card} {...INK} />
    </G>
  );
}

function Piece({ jaw }: { jaw: Jaw }) {
  switch (jaw) {
    case 'outside':
      return <Circle cx={54} cy={70} r={20} {...PIECE} />;
    case 'inside':
      return (
        <G>
          <Path d={`M8 10 L30 10 L30 32 L8 32 Z`} {...PIECE} />
          <Path d={`M${SLIDE + 4} 10 L${SLIDE + 28} 10 L${SLIDE + 28} 32 L${SLIDE + 4} 32 Z`} {...PIECE} />
          <Line x1={30} x2={SLIDE + 4} y1={10} y2={10} {...INK} strokeDasharray="3 2" />
        </G>
      );
    case 'depth':
      return <Path d="M160 14 L196 14 L196 80 L160 80 L160 52 L184 52 L184 34 L160 34 Z" {...PIECE} />;
    case 'step':
      return <Path d={`M2 60 L20 60 L20 30 L${SLIDE} 30 L${SLIDE} 8 L2 8 Z`} {...PIECE} />;
  }
}

/** The length that is taken. */
function TakenLine({ jaw }: { jaw: Jaw }) {
  const [x1, x2, y] = {
    outside: [34, SLIDE, 70],
    inside: [30, SLIDE + 4, 21],
    depth: [160, 184, 43.2],
    step: [20, SLIDE, 26],
  }[jaw] as [number, number, number];
  return (
    <G>
      <Line x1={x1} x2={x2} y1={y} y2={y} {...TAKEN} />
      <Line x1={x1} x2={x1} y1={y - 5} y2={y + 5} {...TAKEN} />
      <Line x1={x2} x2={x2} y1={y - 5} y2={y + 5} {...TAKEN} />
    </G>
  );
}
