import { useState } from 'react';
import { View } from 'react-native';
import Svg, { G, Line, Path, Rect, Text as SvgText } from 'react-native-svg';

import type { FitChance } from '@core/fitting/fit';

import { useShow } from '../../preferences/useShow';
import { colours } from '../../theme/colours';

const HEIGHT = 128;
/** Room for half a number at each end of the scale, px. */
const INSET = 22;
const FONT = 'BarlowSemiCondensed_600SemiBold';

/** The two mating sizes as bands on one scale, and the clearance between them. */
export function FitBandsFigure({
  chance,
  noun,
  inside,
}: {
  chance: FitChance;
  noun: string;
  /** The spare goes round the counterpart. */
  inside: boolean;
}) {
  const [width, setWidth] = useState(0);
  const show = useShow();
  const { counterpart, spare } = chance.bands;
  const [low, high] = [Math.min(counterpart.fromMm, spare.fromMm), Math.max(counterpart.toMm, spare.toMm)];
  const step = niceStep((high - low) * 1.3);
  const first = Math.floor((low - step * 0.6) / step) * step;
  const last = Math.ceil((high + step * 0.6) / step) * step;
  const x = (mm: number) => INSET + ((mm - first) / (last - first)) * (width - 2 * INSET);
  const marks = Array.from(
    { length: Math.round((last - first) / step) + 1 },
    (_, index) => first + index * step,
  );
  const decimals = step < 0.01 ? 3 : 2;
  const range = (band: { fromMm: number; toMm: number }) =>
    `${show.number(band.fromMm, decimals)} to ${show.number(band.toMm, decimals)}`;
  const [middleOther, middleSpare] = [counterpart, spare].map(({ fromMm, toMm }) => (fromMm + toMm) / 2) as [
    number,
    number,
  ];
  const clear = chance.smallestMm >= 0 ? 'clear' : chance.largestMm <= 0 ? 'tight' : '';
  return (
    <View
      role="img"
      aria-label={`Counterpart ${range(counterpart)}, ${noun} ${range(spare)} ${show.word}`}
      className="rounded-sm bg-bench"
      style={{ height: HEIGHT }}
      onLayout={({ nativeEvent }) => setWidth(nativeEvent.layout.width)}
    >
      {width > 0 ? (
        <Svg width={width} height={HEIGHT}>
          <Band
            from={x(counterpart.fromMm)}
            to={x(counterpart.toMm)}
            y={10}
            name="counterpart"
            tone="slate"
            limit={width}
          />
          <Gap
            from={x(middleOther)}
            to={x(middleSpare)}
            text={`${show.signed(chance.smallestMm)} to ${show.signed(chance.largestMm)} ${clear}`.trim()}
            limit={width}
          />
          <Band
            from={x(spare.fromMm)}
            to={x(spare.toMm)}
            y={68}
            name={noun}
            tone="green"
            limit={width}
            leftFirst={!inside}
          />
          <Line x1={INSET} x2={width - INSET} y1={104} y2={104} stroke={colours.muted} strokeWidth={1} />
          {marks.map((mm) => (
            <Line key={mm} x1={x(mm)} x2={x(mm)} y1={99} y2={104} stroke={colours.muted} strokeWidth={1} />
          ))}
          {marks.map((mm, index) =>
            // Only as many numbers as there is room for.
            index % Math.ceil((marks.length * 42) / width) === 0 ? (
              <SvgText
                key={mm}
                x={x(mm)}
                y={119}
                fontSize={12}
                fontFamily={FONT}
                fill={colours.muted}
                textAnchor="middle"
              >
                {show.number(mm, decimals)}
              </SvgText>
            ) : null,
          )}
        </Svg>
      ) : null}
    </View>
  );
}

/** The clearance from the middle of one band to the middle of the other, in plum as allowances are. */
function Gap({ from, to, text, limit }: { from: number; to: number; text: string; limit: number }) {
  const y = 50;
  const way = to >= from ? 1 : -1;
  const middle = Math.min(Math.max((from + to) / 2, 66), limit - 66);
  return (
    <G stroke={colours.plum.DEFAULT} fill={colours.plum.DEFAULT}>
      <Line x1={from} x2={to} y1={y} y2={y} strokeWidth={1.4} />
      <Line x1={from} x2={from} y1={32} y2={y + 4} strokeWidth={0.8} strokeDasharray="3 2" />
      <Line x1={to} x2={to} y1={y - 4} y2={68} strokeWidth={0.8} strokeDasharray="3 2" />
      {Math.abs(to - from) > 18 ? (
        <>
          <Path d={`M${from} ${y} l${8 * way} -2 l0 4 Z`} strokeWidth={0.4} />
          <Path d={`M${to} ${y} l${-8 * way} -2 l0 4 Z`} strokeWidth={0.4} />
        </>
      ) : null}
      <SvgText x={middle} y={y - 6} fontSize={13} fontFamily={FONT} stroke="none" textAnchor="middle">
        {text}
      </SvgText>
    </G>
  );
}

function Band({
  from,
  to,
  y,
  name,
  tone,
  limit,
  leftFirst = false,
}: {
  from: number;
  to: number;
  y: number;
  name: string;
  tone: 'slate' | 'green';
  limit: number;
  /** The name goes to the left, if there is room. */
  leftFirst?: boolean;
}) {
  const room = 84;
  const right = leftFirst ? from < room : to + room < limit;
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

/** A step of 1, 2 or 5 times a power of ten that gives about seven marks, never finer than 0.001 mm. */
function niceStep(span: number): number {
  const rough = Math.max(span, 0.005) / 7;
  const power = 10 ** Math.floor(Math.log10(rough));
  const factor = [1, 2, 5, 10].find((candidate) => candidate * power >= rough) ?? 10;
  return Math.max(0.001, factor * power);
}
