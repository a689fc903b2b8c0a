import Svg, { Circle, Line, Rect } from 'react-native-svg';

import { colours } from '../theme/colours';

const WIDTH = 116;
/** The plot never shows less than this, mm, so that readings that agree look as if they did. */
const LEAST_SPAN_MM = 0.1;

/** Readings as dots on a line; the band is from the smallest to the largest that counts. */
export function SpreadPlot({ readings }: { readings: readonly { value: number; counts: boolean }[] }) {
  const values = readings.map(({ value }) => value);
  if (values.length === 0) return null;
  const [low, high] = [Math.min(...values), Math.max(...values)];
  const span = Math.max(high - low, LEAST_SPAN_MM) * 1.3;
  const x = (value: number) => WIDTH / 2 + ((value - (low + high) / 2) / span) * WIDTH;
  const counted = readings.filter(({ counts }) => counts).map(({ value }) => value);
  return (
    <Svg width={WIDTH} height={30} aria-hidden>
      {counted.length > 1 ? (
        <Rect
          x={x(Math.min(...counted)) - 6}
          width={x(Math.max(...counted)) - x(Math.min(...counted)) + 12}
          y={5}
          height={20}
          fill={colours.brass.soft}
        />
      ) : null}
      <Line x1={0} x2={WIDTH} y1={15} y2={15} stroke={colours.brass.DEFAULT} strokeWidth={1.2} />
      {readings.map(({ value, counts }, index) => (
        <Circle
          key={index}
          cx={x(value)}
          cy={15}
          r={4.5}
          fill={counts ? colours.brass.DEFAULT : colours.card}
          stroke={counts ? colours.brass.DEFAULT : colours.rust.DEFAULT}
          strokeWidth={1.2}
        />
      ))}
    </Svg>
  );
}
