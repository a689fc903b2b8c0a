import { View } from 'react-native';
import Svg, { Circle, G, Line, Path, Text as SvgText } from 'react-native-svg';

import type { StarterFigure } from '@core/shaping/starters';

import { colours } from '../theme/colours';

/** Width and height of the drawing, px. */
const [WIDTH, HEIGHT] = [340, 190];
const MARGIN = 14;

/** A starter in lines, with a letter where each of its numbers is taken. */
export function StarterDrawing({
  figure: { picture, marks },
  letters,
  name,
  now,
}: {
  figure: StarterFigure;
  letters: ReadonlyMap<string, string>;
  name: string;
  /** The number that is taken now, by its key. */
  now: string;
}) {
  // The lines beside the part need room as well.
  const points = [
    ...[...picture.outline, ...picture.edges].flatMap(pairs),
    ...marks.flatMap(({ from, to }) => [from, to]),
  ];
  const [xs, ys] = [points.map(([x]) => x), points.map(([, y]) => y)];
  const [left, right, low, high] = [Math.min(...xs), Math.max(...xs), Math.min(...ys), Math.max(...ys)];
  const scale = Math.min(
    (WIDTH - 2 * MARGIN) / (right - left || 1),
    (HEIGHT - 2 * MARGIN) / (high - low || 1),
  );
  // y is up in the picture and down on the screen.
  const at = ([x, y]: readonly [number, number]): [number, number] => [
    WIDTH / 2 + (x - (left + right) / 2) * scale,
    HEIGHT / 2 - (y - (low + high) / 2) * scale,
  ];
  const path = (run: number[], close: boolean) =>
    pairs(run)
      .map(
        (point, index) =>
          `${index === 0 ? 'M' : 'L'} ${at(point)
            .map((px) => px.toFixed(1))
            .join(' ')}`,
      )
      .join(' ') + (close ? ' Z' : '');
  return (
    <View
      className="items-center rounded bg-bench"
      role="img"
      aria-label={`${name}, and where each number is taken`}
    >
      <Svg width="100%" height={HEIGHT} viewBox={`0 0 ${WIDTH} ${HEIGHT}`} aria-hidden>
        <Path
          d={picture.outline.map((loop) => path(loop, true)).join(' ')}
          fill={colours.putty.DEFAULT}
          fillRule="evenodd"
        />
        <G stroke={colours.ink} strokeWidth={1.3} fill="none" strokeLinecap="round">
          {picture.edges.map((edge, index) => (
            <Path key={index} d={path(edge, false)} />
          ))}
        </G>
        {spread(marks.map(({ key, from, to }) => ({ key, from: at(from), to: at(to) }))).map(
          ({ key, from, to, label }) => (
            <G key={key}>
              <Line
                x1={from[0]}
                y1={from[1]}
                x2={to[0]}
                y2={to[1]}
                stroke={colours.brass.DEFAULT}
                strokeWidth={key === now ? 3 : 1.6}
              />
              <Circle
                cx={label[0]}
                cy={label[1]}
                r={9}
                fill={key === now ? colours.brass.DEFAULT : colours.card}
                stroke={colours.brass.DEFAULT}
              />
              <SvgText
                x={label[0]}
                y={label[1] + 4}
                textAnchor="middle"
                fontSize={12}
                fontWeight="600"
                fill={key === now ? colours.card : colours.brass.DEFAULT}
              >
                {letters.get(key)}
              </SvgText>
            </G>
          ),
        )}
      </Svg>
    </View>
  );
}

function pairs(run: number[]): [number, number][] {
  return Array.from({ length: run.length / 2 }, (_, index) => [run[2 * index]!, run[2 * index + 1]!]);
}

interface Mark {
  key: string;
  from: [number, number];
  to: [number, number];
}

/** Letters in the middle of their lines, or further along where another letter is. */
function spread(marks: readonly Mark[]): (Mark & { label: [number, number] })[] {
  const taken: [number, number][] = [];
  return marks.map((mark) => {
    const shares = [0.5, 0.25, 0.75, 0, 1, -0.2, 1.2];
    const along = (share: number): [number, number] => [
      clamp(mark.from[0] + share * (mark.to[0] - mark.from[0]), WIDTH),
      clamp(mark.from[1] + share * (mark.to[1] - mark.from[1]), HEIGHT),
    ];
    const label =
      shares.map(along).find(([x, y]) => taken.every(([tx, ty]) => Math.hypot(x - tx, y - ty) > 20)) ??
      along(0.5);
    taken.push(label);
    return { ...mark, label };
  });
}

const clamp = (px: number, room: number) => Math.min(Math.max(px, 11), room - 11);
