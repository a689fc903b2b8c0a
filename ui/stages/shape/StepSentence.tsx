import Ellipsis from 'lucide-react-native/icons/ellipsis';
import { useState, type ReactNode } from 'react';
import { Pressable, Text, View } from 'react-native';

import { numberValue, type Body, type Step } from '@core/record/model';
import { withPatch } from '@core/shaping/recipe';
import type { PickWanted, SentencePart } from '@core/shaping/sentence';
import { stepSentence } from '@core/shaping/steps';
import type { StepOutcome } from '@core/shaping/part';
import { sentenceOf } from '@core/reporting/wording';

import { useChangeRepair } from '../../api/useRepair';
import { trailTargetOf } from '../../inRepair/labelOf';
import { openTrail } from '../../inRepair/opened';
import { useRepairContext } from '../../inRepair/useRepairContext';
import { usePartTool } from '../../part/partTool';
import { Button, IconButton } from '../../shared/Button';
import { Wrong } from '../../shared/Field';
import { colours } from '../../theme/colours';
import { ChoiceSheet } from './ChoiceSheet';
import { NumberChip } from './NumberChip';
import { PlainSheet } from './PlainSheet';
import { RowsSheet } from './RowsSheet';
import { StepMenu } from './StepMenu';
import { ValueSheet, type StepNumber } from './ValueSheet';

/** One step of the recipe: a sentence with number chips, and what is wrong with it under it. */
export function StepSentence({
  body,
  step,
  index,
  outcome,
}: {
  body: Body;
  step: Step;
  index: number;
  outcome: StepOutcome | undefined;
}) {
  const { repair, numbers } = useRepairContext();
  const layouts = [...numbers.layouts.values()].map(({ layout }) => layout);
  const bodies = repair.bodies.filter(({ id, removed }) => !removed && id !== body.id);
  const { put } = useChangeRepair(repair);
  const [editing, setEditing] = useState<StepNumber | null>(null);
  const [choosing, setChoosing] = useState<Choice | null>(null);
  const [typing, setTyping] = useState<Plain | null>(null);
  const [listing, setListing] = useState<Rows | null>(null);
  const { beginPick } = usePartTool();
  const set = (patch: Record<string, unknown>) =>
    put('body', { ...body, steps: withPatch(body.steps, step.id, patch) }, `Step ${index + 1} is changed.`);
  const pick = (want: PickWanted, what: string) => {
    setChoosing(null);
    const other = bodies.find(({ id }) => id === want.body);
    // On its own body as it is before the step; on another one as it is.
    const there = other ? other.steps : body.steps.slice(0, index);
    const steps = there.filter(({ off }) => !off).length;
    beginPick({ bodyId: (other ?? body).id, forBody: body.id, stepId: step.id, steps, want, what });
  };
  const [menu, setMenu] = useState(false);
  const parts = joinWords(stepSentence(step, body.steps, { layouts, bodies, sides: body.sides }));
  const failed = outcome?.state === 'failed';
  const lostTag = failed && outcome.fault.code === 'step.pickLost' ? outcome.fault.tag : undefined;
  const pickAgain = pickOf(parts, lostTag);
  return (
    <View
      className={`flex-row items-start border-b border-line py-[5px] pr-1 ${failed ? 'bg-rust-soft' : ''}`}
    >
      <View className="flex-1">
        <View className={`flex-row flex-wrap items-center ${step.off ? 'opacity-60' : ''}`}>
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
                return whole(<ChoiceWords part={part} closeUp={closeUp} onPress={() => setChoosing(part)} />);
              case 'plain':
              case 'rows':
                return whole(
                  <PlainChip
                    text={part.text}
                    what={part.what}
                    closeUp={closeUp}
                    onPress={() => (part.kind === 'plain' ? setTyping(part) : setListing(part))}
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
                      part.kind === 'taken'
                        ? setTyping(part)
                        : setEditing({ field: part.field, what: part.what })
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
        {failed ? <Wrong text={sentenceOf(outcome.fault)} /> : null}
        {failed && outcome.fault.code === 'step.pickLost' && pickAgain ? (
          <View className="flex-row pb-1">
            <Button label="Pick again" onPress={() => pick(pickAgain.want, pickAgain.what)} />
          </View>
        ) : null}
        {failed && outcome.fault.code === 'chamfer.tooLarge' && outcome.fault.mostMm && 'size' in step ? (
          <View className="flex-row pb-1">
            <Button
              label={`Make it ${outcome.fault.mostMm} mm`}
              onPress={() => set({ size: numberValue((outcome.fault as { mostMm: number }).mostMm) })}
            />
          </View>
        ) : null}
        {step.note ? <Text className="font-label text-[13.5px] text-muted">{step.note}</Text> : null}
        {step.off ? (
          <Text className="font-label text-[13.5px] text-muted">
            Switched off: built as if it were not here.
          </Text>
        ) : null}
        {outcome?.state === 'waiting' ? (
          <Text className="font-label text-[13.5px] text-muted">Waits for the step before it.</Text>
        ) : null}
      </View>
      <IconButton label={`More for step ${index + 1}`} onPress={() => setMenu(true)}>
        <Ellipsis size={20} color={colours.muted} />
      </IconButton>
      {editing ? (
        <ValueSheet
          body={body}
          step={step}
          {...editing}
          next={numberAfter(parts, editing.field)}
          onNext={setEditing}
          onClose={() => setEditing(null)}
        />
      ) : null}
      {choosing ? (
        <ChoiceSheet
          body={body}
          step={step}
          choice={choosing}
          onTake={(patch) => {
            set(patch);
            setChoosing(null);
          }}
          onPick={(want) => pick(want, choosing.what)}
          onClose={() => setChoosing(null)}
        />
      ) : null}
      {typing ? (
        <PlainSheet body={body} step={step} part={typing} onTake={set} onClose={() => setTyping(null)} />
      ) : null}
      {listing ? (
        <RowsSheet body={body} step={step} part={listing} onChange={set} onClose={() => setListing(null)} />
      ) : null}
      {menu ? <StepMenu body={body} step={step} index={index} onClose={() => setMenu(false)} /> : null}
    </View>
  );
}

/** What can be picked anew, of a step whose pick is lost: the choice that holds the lost face, or the only one. */
function pickOf(
  parts: readonly SentencePart[],
  tag: string | undefined,
): { want: PickWanted; what: string } | null {
  const choices = parts.flatMap((part) => {
    const wants = part.kind === 'choice' ? part.options.flatMap(({ pick }) => pick ?? []) : [];
    return part.kind === 'choice' && wants[0] ? [{ part, first: wants[0], wants }] : [];
  });
  const holding = (part: Choice) =>
    part.options.find(({ patch }) => tag !== undefined && JSON.stringify(patch).includes(`"${tag}"`));
  const found = choices.find(({ part }) => holding(part)) ?? choices[0];
  if (!found) return null;
  // An outline may be taken from a face of another body: it is picked there again.
  const held = holding(found.part)?.patch[found.first.field] as { of?: { body?: string } } | undefined;
  const want = found.wants.find(({ body }) => body === held?.of?.body) ?? found.first;
  return { want, what: found.part.what };
}

/** The length after another one in a sentence. */
function numberAfter(parts: readonly SentencePart[], field: string): StepNumber | null {
  const lengths = parts.filter((part) => part.kind === 'chip');
  const place = lengths.findIndex((part) => part.field === field);
  return lengths[place + 1] ?? null;
}

type Choice = Extract<SentencePart, { kind: 'choice' }>;
type Plain = Extract<SentencePart, { kind: 'plain' | 'taken' }>;
type Rows = Extract<SentencePart, { kind: 'rows' }>;

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
function joinWords(parts: readonly SentencePart[]): SentencePart[] {
  return parts.reduce<SentencePart[]>((joined, part) => {
    const last = joined.at(-1);
    if (part.kind !== 'words' || last?.kind !== 'words') return [...joined, part];
    return [...joined.slice(0, -1), { kind: 'words', text: last.text + part.text }];
  }, []);
}
