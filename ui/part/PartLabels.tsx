import { Pressable, Text, View } from 'react-native';
import Svg, { G, Line, Path } from 'react-native-svg';

import type { Annotation } from '@core/shaping/part';

import { useLabelScale } from '../preferences/typeSize';
import { colours } from '../theme/colours';
import type { PlacedLabel, Point } from './placeLabels';

/** What a label says: its tag, if the number has one, and the number; its colour says where the number is from. */
export interface LabelText {
  tag: string | null;
  number: string;
  tone: 'measured' | 'working' | 'typed';
  /** For a screen reader: "Rim, outside, A, 38.20 millimetres". */
  spoken: string;
}

const TONES = {
  measured: { box: 'border-brass', text: 'text-brass', ink: colours.brass.DEFAULT },
  working: { box: 'border-ink', text: 'text-ink', ink: colours.ink },
  typed: { box: 'border-rule', text: 'text-ink', ink: colours.muted },
} as const;

/** The label looks small; what can be hit is 44 high. */
const HIT = { width: 96, height: 44 };

/** Sizes on the picture: lines beneath, labels that can be tapped on top. */
export function PartLabels({
  placed,
  textOf,
  onPress,
  onLongPress,
  width,
  height,
}: {
  placed: readonly PlacedLabel[];
  textOf(annotation: Annotation): LabelText;
  onPress(annotation: Annotation): void;
  onLongPress(annotation: Annotation): void;
  width: number;
  height: number;
}) {
  const scale = useLabelScale();
  const hit = { width: HIT.width * scale, height: HIT.height * scale };
  if (width === 0) return null;
  return (
    <View pointerEvents="box-none" className="absolute inset-0">
      <Svg width={width} height={height} pointerEvents="none" style={{ position: 'absolute' }}>
        {placed.map(({ annotation, line, extensions }) => {
          const { ink } = TONES[textOf(annotation).tone];
          return (
            <G key={keyOf(annotation)} stroke={ink} strokeWidth={1} fill={ink}>
              {extensions.map(({ from, to }, index) => (
                <Line key={index} x1={from.x} y1={from.y} x2={to.x} y2={to.y} strokeWidth={0.6} />
              ))}
              <Line x1={line.from.x} y1={line.from.y} x2={line.to.x} y2={line.to.y} />
              <Path d={arrowHead(line.to, line.from)} />
              {line.bothEnds ? <Path d={arrowHead(line.from, line.to)} /> : null}
            </G>
          );
        })}
      </Svg>
      {placed.map(({ annotation, label }) => {
        const { tag, number, tone, spoken } = textOf(annotation);
        return (
          <Pressable
            key={keyOf(annotation)}
            accessibilityRole="button"
            accessibilityLabel={spoken}
            accessibilityHint="Opens this size"
            onPress={() => onPress(annotation)}
            onLongPress={() => onLongPress(annotation)}
            className="absolute items-center justify-center"
            style={{ left: label.x - hit.width / 2, top: label.y - hit.height / 2, ...hit }}
          >
            <View className={`rounded-full border-[1.5px] bg-card px-2.5 py-0.5 ${TONES[tone].box}`}>
              <Text className={`font-number text-half-[15px] tabular-nums ${TONES[tone].text}`}>
                {tag ? `${tag} ${number}` : number}
              </Text>
            </View>
          </Pressable>
        );
      })}
    </View>
  );
}

const keyOf = (annotation: Annotation) => `${annotation.stepId}.${annotation.field}`;

/** A closed arrow head at the start of the way from `tip` towards `back`: 15°, 8 px long (ISO 129-1, 5.3). */
function arrowHead(back: Point, tip: Point): string {
  const length = Math.hypot(back.x - tip.x, back.y - tip.y) || 1;
  const [x, y] = [(back.x - tip.x) / length, (back.y - tip.y) / length];
  const [long, half] = [8, 2];
  const left = `${tip.x + long * x - half * y} ${tip.y + long * y + half * x}`;
  const right = `${tip.x + long * x + half * y} ${tip.y + long * y - half * x}`;
  return `M ${tip.x} ${tip.y} L ${left} L ${right} Z`;
}
