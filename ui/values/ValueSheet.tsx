import { useState } from 'react';

import { numberValue, type Body, type Step, type Value } from '@core/record/model';
import { showExactly, typedUnitOf } from '@core/foundations/quantity';
import { fieldOf, readLengthValue, withField } from '@core/shaping/recipe';

import { useChangeRepair } from '../api/useRepair';
import { useShownDraft } from '../inRepair/draft';
import { LengthChoiceRow } from '../inRepair/LengthChoiceRow';
import { useRepairContext } from '../inRepair/useRepairContext';
import { PadAction } from '../shared/pad/PadAction';
import { useShow } from '../preferences/useShow';
import { Field } from '../shared/Field';
import { GroupHeading } from '../shared/Heading';
import { problemOf, type Problem } from '../shared/problem';
import { Sheet } from '../shared/Sheet';
import { DraftState } from './DraftState';
import { Nudge } from './Nudge';
import { NumberSlider } from './NumberSlider';
import { nudged, nudgesIn } from '../shared/nudges';
import { isMeant, useLengthChoices, type LengthChoice } from '../inRepair/useLengthChoices';

/** A number of a step, by its field and its name in the sentence. */
export interface StepNumber {
  field: string;
  what: string;
}

interface Given extends StepNumber {
  body: Body;
  step: Step;
  /** The number after it in the sentence; null after the last. */
  next: StepNumber | null;
  onNext(next: StepNumber): void;
  onClose(): void;
}

/**
 * Changes one number of a step: typed as a number, a sum or a formula, or taken from a size, a fit or a layout. What it makes of the
 * part is shown while it is typed.
 */
export function ValueSheet({ what, onClose, ...given }: Given) {
  return (
    <Sheet title={`Change the ${what}`} showsPart onClose={onClose}>
      {/* Each number has a form of its own. */}
      <ValueForm key={given.field} what={what} onClose={onClose} {...given} />
    </Sheet>
  );
}

function ValueForm({ body, step, field, what, next, onNext, onClose }: Given) {
  const { numbers } = useRepairContext();
  const { put } = useChangeRepair(useRepairContext().repair);
  const show = useShow();
  const unit = typedUnitOf(show.unit);
  const found = fieldOf(step, field);
  const now = found === 'through' ? undefined : found;
  const [shown] = useState(
    now?.from === 'number' ? show.number(now.mm).replace('−', '-') : now?.from === 'formula' ? now.text : '',
  );
  const [text, setText] = useState(shown);
  const [wrong, setWrong] = useState<Problem>();
  const { sizes, places, tags } = useLengthChoices(field);

  const isTouched = text !== shown || shown === '';
  const read = readLengthValue(text, unit, numbers);
  const isPlain = /^[-+]?\d*[.,]?\d*$/.test(text.trim());
  const withValue = (value: Value): Body => ({
    ...body,
    steps: withField(body.steps, step.id, field, value),
  });
  const draft = isTouched && read.ok && read.value.mm !== null ? withValue(read.value.value) : null;
  useShownDraft(draft);

  const choose = (value: Value, then = onClose) => {
    put('body', withValue(value), `The ${what} is changed.`);
    then();
  };
  const typed = (then = onClose) => {
    // What is shown is rounded: a number that nobody touched stays what it is.
    if (now && !isTouched) then();
    else if (read.ok) choose(read.value.value, then);
    else setWrong(problemOf(read.fault));
  };
  const then = next
    ? {
        label: `Then the ${next.what}`,
        name: `Use it. Then the ${next.what}`,
        act: () => typed(() => onNext(next)),
      }
    : undefined;
  const change = (next: string) => {
    setText(next);
    setWrong(undefined);
  };
  // A sum is nudged from what it comes to; a formula over tags, which are capitals, follows its sizes.
  const plainMm = read.ok && !/[A-Z]/.test(text) ? read.value.mm : null;
  const nudgedFrom = !isTouched && now?.from === 'number' ? now.mm : plainMm;
  const rowOf = (choice: LengthChoice) => (
    <LengthChoiceRow
      key={JSON.stringify(choice.value)}
      choice={choice}
      chosen={JSON.stringify(choice.value) === JSON.stringify(now)}
      onTake={(value) => choose(value)}
    />
  );
  return (
    <>
      <Field
        label="Type a number, a sum or a formula such as A / 2 + 3, or fit(A) + 4"
        unit={show.word}
        worth={
          !isPlain && read.ok && read.value.mm !== null
            ? showExactly(read.value.mm, 'length', show.unit)
            : null
        }
        pad={{ quantity: 'length', tags, action: 'Use this number', isFormula: true, then }}
        autoFocus
        value={text}
        onChangeText={change}
        onSubmitEditing={() => typed()}
        wrong={wrong}
      />
      {nudgedFrom === null ? null : (
        <Nudge steps={nudgesIn(unit)} onNudge={(by) => change(nudged(nudgedFrom, by, unit))}>
          <NumberSlider
            mm={nudgedFrom}
            unit={unit}
            bodyAt={(mm) => withValue(numberValue(mm))}
            draft={draft}
            onSlide={(mm) => change(nudged(mm, 0, unit))}
          />
        </Nudge>
      )}
      <DraftState body={draft} stepId={step.id} />
      <PadAction tone="primary" label="Use this number" onPress={() => typed()} />
      {then ? <PadAction label={then.label} name={then.name} onPress={then.act} /> : null}
      {places.length > 0 ? <GroupHeading>Or from a layout</GroupHeading> : null}
      {places.map(rowOf)}
      {sizes.length > 0 ? <GroupHeading>Or take it from a size</GroupHeading> : null}
      {sizes.filter((choice) => isMeant(choice, text)).map(rowOf)}
    </>
  );
}
