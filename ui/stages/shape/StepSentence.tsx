import Ellipsis from 'lucide-react-native/icons/ellipsis';
import { useState } from 'react';
import { Pressable, Text, View } from 'react-native';

import type { Body, Step } from '@core/model';
import { withPatch } from '@core/recipe';
import type { StepOutcome } from '@core/solid';
import { sentenceOf, stepSentence, type SentencePart } from '@core/wording';

import { useChangeRepair } from '../../api/useRepair';
import { trailTargetOf } from '../../frame/labelOf';
import { useRepairContext } from '../../frame/useRepairContext';
import { IconButton } from '../../shared/Button';
import { ChoiceRow } from '../../shared/ChoiceRow';
import { Wrong } from '../../shared/Field';
import { Sheet } from '../../shared/Sheet';
import { colours } from '../../theme/colours';
import { NumberChip } from './NumberChip';
import { StepMenu } from './StepMenu';
import { ValueSheet } from './ValueSheet';

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
  const { repair, numbers, setOpenTrail } = useRepairContext();
  const layouts = [...numbers.layouts.values()].map(({ layout }) => layout);
  const { put } = useChangeRepair(repair);
  const [editing, setEditing] = useState<{ field: string; what: string } | null>(null);
  const [choosing, setChoosing] = useState<Choice | null>(null);
  const [menu, setMenu] = useState(false);
  const parts = joinWords(stepSentence(step, body.steps, layouts));
  const failed = outcome?.state === 'failed';
  return (
    <View
      role="listitem"
      className={`flex-row items-start border-b border-line py-1.5 pl-4 pr-1 ${failed ? 'bg-rust-soft' : ''}`}
    >
      <Text className="w-7 pt-3 font-number text-[14px] text-muted">{index + 1}</Text>
      <View className="flex-1">
        <View className={`flex-row flex-wrap items-center ${step.off ? 'opacity-60' : ''}`}>
          {parts.flatMap((part, place) =>
            part.kind === 'choice'
              ? [
                  <ChoiceWords
                    key={place}
                    part={part}
                    closeUp={/^[,.]/.test(wordsOf(parts[place + 1]))}
                    onPress={() => setChoosing(part)}
                  />,
                ]
              : part.kind === 'chip'
                ? [
                    <NumberChip
                      key={place}
                      value={part.value}
                      what={part.what}
                      onPress={() => setEditing({ field: part.field, what: part.what })}
                      onTrail={() => {
                        const target = trailTargetOf(part.value);
                        if (target) setOpenTrail(target);
                      }}
                    />,
                  ]
                : // Word by word, so that a sentence wraps between words round its chips.
                  part.text
                    .trim()
                    .split(' ')
                    .filter(Boolean)
                    .map((word, at) => (
                      <Text
                        key={`${place}-${at}`}
                        className={`text-[17px] leading-[44px] text-ink ${part.kind === 'verb' ? 'font-semibold' : 'font-sans'}`}
                      >
                        {`${word} `}
                      </Text>
                    )),
          )}
        </View>
        {failed ? <Wrong text={sentenceOf(outcome.fault)} /> : null}
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
      {editing ? <ValueSheet body={body} step={step} {...editing} onClose={() => setEditing(null)} /> : null}
      {choosing ? (
        <Sheet title={`Change ${choosing.what}`} onClose={() => setChoosing(null)}>
          <View className="gap-1.5">
            {choosing.options.map(({ word, patch }) => (
              <ChoiceRow
                key={word}
                title={word}
                chosen={word === choosing.text}
                onPress={() => {
                  put(
                    'body',
                    { ...body, steps: withPatch(body.steps, step.id, patch) },
                    `Step ${index + 1} is changed.`,
                  );
                  setChoosing(null);
                }}
              />
            ))}
          </View>
        </Sheet>
      ) : null}
      {menu ? <StepMenu body={body} step={step} index={index} onClose={() => setMenu(false)} /> : null}
    </View>
  );
}

const wordsOf = (part: SentencePart | undefined) => (part?.kind === 'words' ? part.text : '');

type Choice = Extract<SentencePart, { kind: 'choice' }>;

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
      className={`min-h-[44px] justify-center ${closeUp ? '' : 'mr-1'}`}
    >
      <Text
        className={`border-b border-dotted border-green text-[17px] text-green ${part.strong ? 'font-semibold' : 'font-sans'}`}
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
