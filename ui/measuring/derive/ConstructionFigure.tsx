import { useState } from 'react';
import { Pressable, Text, View } from 'react-native';
import Svg, { Circle, G, Line, Path } from 'react-native-svg';

import { constructionOf, isKnown, type SizeResult } from '@core/measuring/measure';
import { constructionWords } from '@core/reporting/wording';
import type { Derivation, Source } from '@core/record/model';
import type { Quantity } from '@core/foundations/quantity';
import { ownValue } from '@core/foundations/own';

import { useRepairContext } from '../../inRepair/useRepairContext';
import { useShow } from '../../preferences/useShow';
import { colours } from '../../theme/colours';
import { FIGURES, type Figure, type FigureMark, type Stroke } from './figures';

const WIDTH = 320;
const HEIGHT = 170;

/** A construction drawn with its numbers: brass for what goes in, ink for what comes out. Inputs can be tapped. */
export function ConstructionFigure({
  derivation,
  quantity,
  result,
  onInput,
}: {
  derivation: Extract<Derivation, { by: 'construction' }>;
  quantity: Quantity;
  result: SizeResult | null;
  onInput(key: string, source: Source | undefined): void;
}) {
  const { numbers } = useRepairContext();
  const show = useShow();
  const [width, setWidth] = useState(0);
  const construction = constructionOf(derivation.construction);
  const figure = ownValue(FIGURES, derivation.construction);
  if (!construction || !figure) return null;
  const words = constructionWords(construction.id);
  const scale = width / WIDTH;
  const textOf = (source: Source | undefined, ofQuantity: Quantity): { tag: string; text: string } => {
    if (!source) return { tag: '', text: '?' };
    if (source.from === 'number') return { tag: '', text: show.value(source.value, ofQuantity) };
    const found = numbers.sizes.get(source.id);
    if (!found) return { tag: '', text: 'lost' };
    return {
      tag: found.size.tag,
      text: isKnown(found.result) ? show.value(found.result.value, ofQuantity) : 'to take',
    };
  };
  const outcome = ownValue(figure.results, derivation.result);
  return (
    <View
      className="rounded bg-bench"
      style={{ aspectRatio: WIDTH / HEIGHT }}
      role="group"
      aria-label={`Figure: ${words.name}`}
      onLayout={({ nativeEvent }) => setWidth(nativeEvent.layout.width)}
    >
      <Svg width="100%" height="100%" viewBox={`0 0 ${WIDTH} ${HEIGHT}`} aria-hidden>
        <FigureLines figure={figure} outcome={outcome} />
      </Svg>
      {width === 0
        ? null
        : construction.inputs.map(({ key, quantity: ofQuantity }) => {
            const what = ownValue(words.numbers, key)!;
            const mark = ownValue(figure.inputs, key);
            if (!mark) return null;
            const source = ownValue(derivation.inputs, key);
            const { tag, text } = textOf(source, ofQuantity);
            return (
              <Pressable
                key={key}
                accessibilityRole="button"
                accessibilityLabel={`${what}: ${tag ? `${tag}, ` : ''}${text === '?' ? 'not chosen yet' : text}`}
                onPress={() => onInput(key, source)}
                className="absolute h-11 w-24 items-center justify-center"
                style={{ left: mark.at[0] * scale - 48, top: mark.at[1] * scale - 22 }}
              >
                <Pill
                  text={source ? [tag, text].filter(Boolean).join(' ') : short(what)}
                  tone={source ? 'given' : 'missing'}
                />
              </Pressable>
            );
          })}
      {width > 0 && outcome ? (
        <View
          pointerEvents="none"
          className="absolute h-11 w-28 items-center justify-center"
          style={{ left: outcome.at[0] * scale - 56, top: outcome.at[1] * scale - 22 }}
        >
          <Pill text={result && isKnown(result) ? show.full(result.value, quantity) : '='} tone="result" />
        </View>
      ) : null}
    </View>
  );
}

/** The first words of what an input is, for its place on the figure. */
const short = (what: string) => (what.length > 14 ? `${what.slice(0, 13)}…` : what);

function Pill({ text, tone }: { text: string; tone: 'given' | 'missing' | 'result' }) {
  const box = {
    given: 'border-brass bg-card',
    missing: 'border-dashed border-rust bg-card',
    result: 'border-ink bg-ink',
  }[tone];
  const colour = { given: 'text-brass', missing: 'text-rust', result: 'text-card' }[tone];
  return (
    <View className={`rounded-full border-[1.5px] px-2 py-0.5 ${box}`}>
      <Text numberOfLines={1} className={`font-number text-[14px] tabular-nums ${colour}`}>
        {text}
      </Text>
    </View>
  );
}

/** The lines of a figure and what is measured on it; also used small, for choosing among them. */
export function FigureLines({ figure, outcome }: { figure: Figure; outcome?: FigureMark | undefined }) {
  return (
    <G strokeLinejoin="round">
      {figure.strokes.map((stroke, index) => (
        <FigureStroke key={index} stroke={stroke} />
      ))}
      {Object.entries(figure.inputs).map(([key, mark]) => (
        <Span key={key} mark={mark} colour={colours.brass.DEFAULT} />
      ))}
      {outcome ? <Span mark={outcome} colour={colours.ink} /> : null}
    </G>
  );
}

const LOOKS = {
  piece: { fill: colours.putty.DEFAULT, stroke: colours.ink, strokeWidth: 1.6 },
  hole: { fill: colours.bench, stroke: colours.ink, strokeWidth: 1.6 },
  thin: { fill: 'none', stroke: colours.slate.line, strokeWidth: 1, strokeDasharray: '6 3' },
  line: { fill: 'none', stroke: colours.ink, strokeWidth: 2.2 },
} as const;

function FigureStroke({ stroke }: { stroke: Stroke }) {
  const look = LOOKS[stroke.style ?? 'piece'];
  if ('path' in stroke) return <Path d={stroke.path} {...look} />;
  const [x, y, r] = stroke.circle;
  return <Circle cx={x} cy={y} r={r} {...look} />;
}

function Span({ mark: { span }, colour }: { mark: FigureMark; colour: string }) {
  if (!span) return null;
  const [[x1, y1], [x2, y2]] = span;
  const length = Math.hypot(x2 - x1, y2 - y1) || 1;
  const [ux, uy] = [(x2 - x1) / length, (y2 - y1) / length];
  const head = (x: number, y: number, way: number) =>
    `M${x} ${y} L${x + way * 8 * ux - 2 * uy} ${y + way * 8 * uy + 2 * ux} L${x + way * 8 * ux + 2 * uy} ${y + way * 8 * uy - 2 * ux} Z`;
  return (
    <G stroke={colour} fill={colour}>
      <Line x1={x1} y1={y1} x2={x2} y2={y2} strokeWidth={1.3} />
      <Path d={head(x1, y1, 1)} strokeWidth={0.5} />
      <Path d={head(x2, y2, -1)} strokeWidth={0.5} />
    </G>
  );
}
