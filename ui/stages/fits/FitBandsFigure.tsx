import { useState } from 'react';
import { View } from 'react-native';
import Svg, { Line, Rect, Text as SvgText } from 'react-native-svg';

import type { FitBands } from '@core/fit';
import { showNumber } from '@core/quantity';

import { colours } from '../../theme/colours';

const HEIGHT = 104;
/** Room for half a number at each end of the scale, px. */
const INSET = 22;
const FONT = 'BarlowSemiCondensed_600SemiBold';

/** The two mating sizes as bands on one scale of diameters. */
export function FitBandsFigure({ bands, inside }: { bands: FitBands; inside: 'hole' | 'peg' }) {
  const [width, setWidth] = useState(0);
  const { counterpart, spare } = bands;
  const [low, high] = [Math.min(counterpart.fromMm, spare.fromMm), Math.max(counterpart.toMm, spare.toMm)];
  const step = niceStep((high - low) * 1.3);
  const first = Math.floor((low - step * 0.6) / step) * step;
  const last = Math.ceil((high + step * 0.6) / step) * step;
  const x = (mm: number) => INSET + ((mm - first) / (last - first)) * (width - 2 * INSET);
  const marks = Array.from(
    { length: Math.round((last - first) / step) + 1 },
    (_, index) => first + index * step,
  );
  const words = `Counterpart ${showNumber(counterpart.fromMm)} to ${showNumber(counterpart.toMm)}, ${inside} ${showNumber(spare.fromMm)} to ${showNumber(spare.toMm)} mm`;
  return (
    <View
      role="img"
      aria-label={words}
      className="rounded-sm bg-bench"
      style={{ height: HEIGHT }}
      onLayout={({ nativeEvent }) => setWidth(nativeEvent.layout.width)}
    >
      {width > 0 ? (
        <Svg width={width} height={HEIGHT}>
          <Band
            from={x(counterpart.fromMm)}
            to={x(counterpart.toMm)}
            y={12}
            name="counterpart"
            tone="slate"
            limit={width}
          />
          <Band from={x(spare.fromMm)} to={x(spare.toMm)} y={44} name={inside} tone="green" limit={width} />
          <Line x1={INSET} x2={width - INSET} y1={80} y2={80} stroke={colours.muted} strokeWidth={1} />
          {marks.map((mm) => (
            <Line key={mm} x1={x(mm)} x2={x(mm)} y1={75} y2={80} stroke={colours.muted} strokeWidth={1} />
          ))}
          {marks.map((mm, index) =>
            // Only as many numbers as there is room for.
            index % Math.ceil((marks.length * 42) / width) === 0 ? (
              <SvgText
                key={mm}
                x={x(mm)}
                y={95}
                fontSize={12}
                fontFamily={FONT}
                fill={colours.muted}
                textAnchor="middle"
              >
                {showNumber(mm)}
              </SvgText>
            ) : null,
          )}
        </Svg>
      ) : null}
    </View>
  );
}

function Band({
  from,
  to,
  y,
  name,
  tone,
  limit,
}: {
  from: number;
  to: number;
  y: number;
  name: string;
  tone: 'slate' | 'green';
  limit: number;
}) {
  // The name goes on the side where there is room for it.
  const right = to + 90 < limit;
  return (
    <>
      <Rect
        x={from}
        y={y}
        width={Math.max(to - from, 2)}
        height={22}
        fill={colours[tone].soft}
        stroke={colours[tone].DEFAULT}
        strokeWidth={1.3}
      />
      <SvgText
        x={right ? to + 7 : from - 7}
        y={y + 16}
        fontSize={13}
        fontFamily={FONT}
        fill={colours[tone].DEFAULT}
        textAnchor={right ? 'start' : 'end'}
      >
        {name}
      </SvgText>
    </>
  );
}

/** A step of 1, 2 or 5 times a power of ten that gives about seven marks, never finer than 0.01 mm. */
function niceStep(span: number): number {
  const rough = span / 7;
  const power = 10 ** Math.floor(Math.log10(rough));
  const factor = [1, 2, 5, 10].find((candidate) => candidate * power >= rough) ?? 10;
  return Math.max(0.01, factor * power);
}
