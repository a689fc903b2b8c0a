import Svg, { Path, Rect } from 'react-native-svg';

import { colours } from '../theme/colours';

const [WIDTH, HEIGHT, TOP, PIN] = [56, 56, 16, 16];

/** How far down a pin goes that goes all the way, px. */
export const DEEPEST = 34;

/**
 * A pin in a cut block, the block hatched as drawings are.
 *
 * @param gap room on either side of the pin, px; below zero the block grips it.
 * @param lean how far the pin leans, degrees.
 * @param deep how far it goes in, px.
 */
export function DrawnFit({ gap, lean = 0, deep = DEEPEST }: { gap: number; lean?: number; deep?: number }) {
  const middle = WIDTH / 2;
  const [left, right] = [middle - PIN / 2 - gap, middle + PIN / 2 + gap];
  const foot = HEIGHT - 4;
  const hatch = [...lines(2, left, TOP, foot), ...lines(right, WIDTH - 2, TOP, foot)].join(' ');
  return (
    <Svg width={WIDTH} height={HEIGHT} aria-hidden>
      <Path d={hatch} stroke={colours.muted} strokeWidth={0.7} />
      {[
        [2, left],
        [right, WIDTH - 2],
      ].map(([from, to]) => (
        <Rect
          key={from}
          x={from}
          y={TOP}
          width={Math.max(1, to! - from!)}
          height={foot - TOP}
          fill="none"
          stroke={colours.ink}
          strokeWidth={1.1}
        />
      ))}
      <Rect
        x={middle - PIN / 2}
        y={TOP + deep - DEEPEST}
        width={PIN}
        height={DEEPEST}
        fill={colours.slate.soft}
        stroke={colours.slate.DEFAULT}
        strokeWidth={1.3}
        transform={`rotate(${lean} ${middle} ${TOP + 8})`}
      />
    </Svg>
  );
}

/** Slanted lines within a box. */
function lines(from: number, to: number, top: number, foot: number): string[] {
  const found: string[] = [];
  for (let start = from - (foot - top); start < to; start += 5) {
    const [x0, x1] = [Math.max(from, start), Math.min(to, start + foot - top)];
    if (x1 > x0) found.push(`M${x0} ${foot - (x0 - start)} L${x1} ${foot - (x1 - start)}`);
  }
  return found;
}
