import Svg, { Circle, Line, Path } from 'react-native-svg';

import { colours } from '../../theme/colours';
import type { RowsDrawing } from './rowsDrawing';

const [WIDTH, HEIGHT, MARGIN] = [358, 132, 12];

/** A list of rows as it looks, in ink; the row that is worked on in green. */
export function RowsFigure({ drawing, lit }: { drawing: RowsDrawing; lit: number | null }) {
  const { lines, circles, marks } = drawing;
  const xs = [
    ...lines.flatMap(({ points }) => points.filter((_, at) => at % 2 === 0)),
    ...circles.flatMap(({ x, radius }) => [x - radius, x + radius]),
  ];
  const ys = [
    ...lines.flatMap(({ points }) => points.filter((_, at) => at % 2 === 1)),
    ...circles.flatMap(({ y, radius }) => [y - radius, y + radius]),
  ];
  if (xs.length < 2) return null;
  const [left, right, low, high] = [Math.min(...xs), Math.max(...xs), Math.min(...ys), Math.max(...ys)];
  const scale = Math.min(
    (WIDTH - 2 * MARGIN) / (right - left || 1),
    (HEIGHT - 2 * MARGIN) / (high - low || 1),
  );
  const X = (x: number) => WIDTH / 2 + (x - (left + right) / 2) * scale;
  const Y = (y: number) => HEIGHT / 2 - (y - (low + high) / 2) * scale;
  return (
    <Svg width="100%" height={HEIGHT} viewBox={`0 0 ${WIDTH} ${HEIGHT}`} aria-hidden>
      {lines.map(({ points, closed }, index) => (
        <Path
          key={index}
          d={
            Array.from(
              { length: points.length / 2 },
              (_, at) => `${at === 0 ? 'M' : 'L'} ${X(points[2 * at]!)} ${Y(points[2 * at + 1]!)}`,
            ).join(' ') + (closed ? ' Z' : '')
          }
          stroke={colours.ink}
          strokeWidth={1.6}
          fill={closed ? colours.putty.DEFAULT : 'none'}
        />
      ))}
      {circles.map(({ x, y, radius }, index) => (
        <Circle
          key={index}
          cx={X(x)}
          cy={Y(y)}
          r={radius * scale}
          stroke={colours.ink}
          strokeWidth={1.6}
          fill={colours.putty.DEFAULT}
        />
      ))}
      {marks.map((mark, index) => {
        if (!mark) return null;
        const isLit = index === lit;
        const colour = isLit ? colours.green.DEFAULT : colours.slate.DEFAULT;
        const [ax, ay, bx, by] = [X(mark.from[0]), Y(mark.from[1]), X(mark.to[0]), Y(mark.to[1])];
        return Math.hypot(bx - ax, by - ay) < 1 ? (
          <Circle key={index} cx={ax} cy={ay} r={isLit ? 5 : 3} fill={colour} />
        ) : (
          <Line key={index} x1={ax} y1={ay} x2={bx} y2={by} stroke={colour} strokeWidth={isLit ? 2.6 : 1} />
        );
      })}
    </Svg>
  );
}
