import type { ReactNode } from 'react';
import { Pressable, Text, View } from 'react-native';

import type { SentencePart } from '@core/shaping/sentence';

import { trailTargetOf } from '../../inRepair/labelOf';
import { openTrail } from '../../inRepair/opened';
import { NumberChip } from './NumberChip';
import type { StepNumber } from '../../values/ValueSheet';

export type Choice = Extract<SentencePart, { kind: 'choice' }>;
export type Plain = Extract<SentencePart, { kind: 'plain' | 'taken' }>;
export type Rows = Extract<SentencePart, { kind: 'rows' }>;

/** A sentence of a recipe in its lines: words, words to choose others for, and numbers to change. */
export function SentenceWords({
  parts,
  isOff,
  onChoice,
  onPlain,
  onRows,
  onNumber,
  onDrawing,
}: {
  parts: readonly SentencePart[];
  isOff: boolean;
  onChoice(part: Choice): void;
  onPlain(part: Plain): void;
  onRows(part: Rows): void;
  onNumber(number: StepNumber): void;
  onDrawing(field: string): void;
}) {
  return (
    <View className={`flex-row flex-wrap items-center ${isOff ? 'opacity-60' : ''}`}>
      {parts.flatMap((part, place) => {
        const mark = markAfter(part, parts[place + 1]);
        const whole = (shown: ReactNode) => [
          // A comma stays on the line of what it follows.
          <View key={place} className="max-w-full flex-row items-center">
            {shown}
            {mark ? <Text className={MARK_CLASS}>{`${mark} `}</Text> : null}
          </View>,
        ];
        const closeUp = mark !== '';
        switch (part.kind) {
          case 'choice':
            return whole(<ChoiceWords part={part} closeUp={closeUp} onPress={() => onChoice(part)} />);
          case 'plain':
          case 'rows':
          case 'drawing':
            return whole(
              <PlainChip
                text={part.text}
                what={part.what}
                closeUp={closeUp}
                onPress={() => {
                  if (part.kind === 'plain') onPlain(part);
                  else if (part.kind === 'rows') onRows(part);
                  else onDrawing(part.field);
                }}
              />,
            );
          case 'taken':
          case 'chip':
            return whole(
              <NumberChip
                value={part.value}
                {...(part.kind === 'taken' ? { input: part.input } : {})}
                what={part.what}
                closeUp={closeUp}
                onPress={() =>
                  part.kind === 'taken' ? onPlain(part) : onNumber({ field: part.field, what: part.what })
                }
                onTrail={() => {
                  const target = trailTargetOf(part.value);
                  if (target) openTrail(target);
                }}
              />,
            );
          default:
            // Word by word, so that a sentence wraps between words round its chips.
            return withoutMark(part, parts[place - 1])
              .trim()
              .split(' ')
              .filter(Boolean)
              .map((word, at) => (
                <Text
                  key={`${place}-${at}`}
                  className={`${WORDS_CLASS} ${part.kind === 'verb' ? 'font-semibold' : 'font-sans'}`}
                >
                  {`${word} `}
                </Text>
              ));
        }
      })}
    </View>
  );
}

/** Lines of a sentence are closer than a finger is wide; what is tapped reaches over its line on both sides. */
const WORDS_CLASS = 'text-[16.5px] leading-[34px] text-ink';
const TAPPED_CLASS = '-my-[5px] min-h-[44px] justify-center';
const MARK_CLASS = `${WORDS_CLASS} font-sans`;
const MARK = /^[,.;:]/;
const isPlainText = (part: SentencePart | undefined) => part?.kind === 'words' || part?.kind === 'verb';

/** The mark that stands close to something that can be tapped: that of the words after it. */
const markAfter = (part: SentencePart, next: SentencePart | undefined): string =>
  !isPlainText(part) && next?.kind === 'words' ? (MARK.exec(next.text)?.[0] ?? '') : '';

/** Words without the mark that was shown with what is before them. */
const withoutMark = (part: { text: string }, before: SentencePart | undefined): string =>
  before && !isPlainText(before) ? part.text.replace(MARK, '') : part.text;

/** A number that is no length, words, or a list: tapped, it opens its own sheet. */
function PlainChip({
  text,
  what,
  closeUp,
  onPress,
}: {
  text: string;
  what: string;
  closeUp: boolean;
  onPress(): void;
}) {
  return (
    <Pressable
      accessibilityRole="button"
      accessibilityLabel={`${what}: ${text}`}
      onPress={onPress}
      className={`${TAPPED_CLASS} ${closeUp ? '' : 'mr-1.5'}`}
    >
      <View className="rounded-sm border-b-2 border-rule bg-card px-2">
        <Text className="font-number text-[16.5px] tabular-nums text-ink">{text}</Text>
      </View>
    </Pressable>
  );
}

/** Words of a sentence that can be tapped for others. */
function ChoiceWords({
  part,
  closeUp,
  onPress,
}: {
  part: Choice;
  /** What follows stands close to it: a comma. */
  closeUp: boolean;
  onPress(): void;
}) {
  return (
    <Pressable
      accessibilityRole="button"
      accessibilityLabel={`${part.what}: ${part.text}`}
      onPress={onPress}
      className={`${TAPPED_CLASS} shrink ${closeUp ? '' : 'mr-1'}`}
    >
      <Text
        className={`border-b border-dotted border-green text-[16.5px] text-green ${part.strong ? 'font-semibold' : 'font-sans'}`}
      >
        {part.text}
      </Text>
    </Pressable>
  );
}

/** Words that follow each other as one run, so that a comma stays with the word before it. */
export function joinWords(parts: readonly SentencePart[]): SentencePart[] {
  return parts.reduce<SentencePart[]>((joined, part) => {
    const last = joined.at(-1);
    if (part.kind !== 'words' || last?.kind !== 'words') return [...joined, part];
    return [...joined.slice(0, -1), { kind: 'words', text: last.text + part.text }];
  }, []);
}
