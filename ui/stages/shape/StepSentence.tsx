import Ellipsis from 'lucide-react-native/icons/ellipsis';
import { router } from 'expo-router';
import { useState } from 'react';
import { Text, View } from 'react-native';

import { numberValue, type Body, type Step } from '@core/record/model';
import { withPatch } from '@core/shaping/recipe';
import type { PickWanted, SentencePart } from '@core/shaping/sentence';
import { stepSentence } from '@core/shaping/steps';
import type { StepOutcome } from '@core/shaping/part';
import { sentenceOf } from '@core/reporting/wording';

import { useChangeRepair } from '../../api/useRepair';
import { useRepairContext } from '../../inRepair/useRepairContext';
import { usePartTool } from '../../part/partTool';
import { Button, IconButton } from '../../shared/Button';
import { Wrong } from '../../shared/Field';
import { colours } from '../../theme/colours';
import { ChoiceSheet } from './ChoiceSheet';
import { pickOf } from './pickAgain';
import { PlainSheet } from './PlainSheet';
import { RowsSheet } from './RowsSheet';
import { joinWords, SentenceWords, type Choice, type Plain, type Rows } from './SentenceWords';
import { StepMenu } from './StepMenu';
import { ValueSheet, type StepNumber } from '../../values/ValueSheet';

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
        <SentenceWords
          parts={parts}
          isOff={step.off === true}
          onChoice={setChoosing}
          onPlain={setTyping}
          onRows={setListing}
          onNumber={setEditing}
          onDrawing={(field) =>
            router.push(`/repair/${repair.head.id}/outline?body=${body.id}&step=${step.id}&field=${field}`)
          }
        />
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

/** The length after another one in a sentence. */
function numberAfter(parts: readonly SentencePart[], field: string): StepNumber | null {
  const lengths = parts.filter((part) => part.kind === 'chip');
  const place = lengths.findIndex((part) => part.field === field);
  return lengths[place + 1] ?? null;
}
