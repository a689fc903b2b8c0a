import { useState } from 'react';

import { isTaken, plainFieldAt, sizeValue, type Body, type PlainNumber, type Step } from '@core/record/model';
import { showExactly, typedUnitOf } from '@core/foundations/quantity';
import { readLetters, readPlain, withPatch } from '@core/shaping/recipe';
import type { SentencePart } from '@core/shaping/sentence';

import { useShownDraft } from '../../inRepair/draft';
import { useRepairContext } from '../../inRepair/useRepairContext';
import { PadAction } from '../../shared/pad/PadAction';
import { useShow } from '../../preferences/useShow';
import { ChoiceRow } from '../../shared/ChoiceRow';
import { Field } from '../../shared/Field';
import { GroupHeading } from '../../shared/Heading';
import { problemOf, type Problem } from '../../shared/problem';
import { Sheet } from '../../shared/Sheet';
import { DraftState } from '../../values/DraftState';

type Plain = Extract<SentencePart, { kind: 'plain' | 'taken' }>;

const LABELS = {
  angle: 'Type an angle in degrees, or a formula such as atan(A / B)',
  count: 'Type a whole number, or a formula such as 2 * N',
  factor: 'Type a number, or a formula such as A / B',
  words: 'Type the letters',
} as const;

interface Given {
  body: Body;
  step: Step;
  part: Plain;
  onTake(patch: Record<string, unknown>): void;
  onClose(): void;
}

/** Changes a number of a step that is no length: an angle, a count, a factor; or words. The part follows. */
export function PlainSheet(given: Given) {
  return (
    <Sheet title={`Change the ${given.part.what}`} showsPart onClose={given.onClose}>
      <PlainForm {...given} />
    </Sheet>
  );
}

function PlainForm({ body, step, part, onTake, onClose }: Given) {
  const { numbers } = useRepairContext();
  const show = useShow();
  const [shown] = useState(() => typedText(part));
  const [text, setText] = useState(shown);
  const [wrong, setWrong] = useState<string | Problem>();
  const bounds = plainFieldAt(step, part.field);
  const choose = (value: PlainNumber | string) => {
    onTake({ [part.field]: value });
    onClose();
  };
  // What is not a number alone is shown as what it comes to before it is taken.
  const isAlone = /^[-+]?\d*[.,]?\d*°?$/.test(text.trim());
  const read = bounds ? readPlain(text, bounds, numbers, typedUnitOf(show.unit)) : readLetters(text);
  const worked = bounds && !isAlone ? read : null;
  const isTouched = text !== shown || shown === '';
  const draft =
    isTouched && read.ok
      ? { ...body, steps: withPatch(body.steps, step.id, { [part.field]: read.value }) }
      : null;
  useShownDraft(draft);
  const take = () => {
    // What is shown is rounded: a number that nobody touched stays what it is.
    if (!isTouched) {
      onClose();
      return;
    }
    if (read.ok) choose(read.value);
    else setWrong(problemOf(read.fault));
  };
  const { input } = part;
  const sizes =
    input === 'angle' || input === 'count'
      ? [...numbers.sizes.values()].filter(({ size }) => size.quantity === input)
      : [];
  const action = input === 'words' ? 'Use these letters' : 'Use this number';
  return (
    <>
      <Field
        label={LABELS[input]}
        {...(input === 'angle' ? { unit: '°' } : {})}
        worth={
          worked?.ok && bounds && typeof worked.value === 'number'
            ? showExactly(worked.value, bounds.quantity === 'factor' ? 'count' : bounds.quantity)
            : null
        }
        {...(input === 'words'
          ? {}
          : {
              pad: {
                quantity: input === 'factor' ? 'count' : input,
                tags: sizes.map(({ size, worked }) => ({
                  tag: size.tag,
                  number: worked.ok ? show.value(worked.trail.working, size.quantity) : null,
                  spoken: `Type ${size.tag}, ${size.name}`,
                })),
                action,
                isFormula: true,
              },
            })}
        autoFocus
        value={text}
        onChangeText={(next) => {
          setText(next);
          setWrong(undefined);
        }}
        onSubmitEditing={take}
        wrong={wrong}
      />
      <DraftState body={draft} stepId={step.id} />
      <PadAction tone="primary" label={action} onPress={take} />
      {sizes.length > 0 ? <GroupHeading>Or take it from a size</GroupHeading> : null}
      {sizes.map(({ size, worked }) => {
        const number = worked.ok ? show.full(worked.trail.working, size.quantity) : 'to take';
        return (
          <ChoiceRow
            key={size.id}
            tag={size.tag}
            title={size.name}
            number={number}
            label={`${size.tag}, ${size.name}, ${number}`}
            chosen={isTaken(part.value) && part.value.from === 'size' && part.value.id === size.id}
            onPress={() => choose(sizeValue(size.id))}
          />
        );
      })}
    </>
  );
}

/** What the field shows first: the number as it is typed, or the formula; nothing where a size was taken. */
function typedText({ input, value }: Plain): string {
  if (isTaken(value)) return value.from === 'formula' ? value.text : '';
  return input === 'angle' ? String(Math.round((Number(value) * 18000) / Math.PI) / 100) : String(value);
}
