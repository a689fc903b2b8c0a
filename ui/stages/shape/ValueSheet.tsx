import { useState } from 'react';

import { formulaLength } from '@core/fitting/fit';
import {
  fitValue,
  MODEL_LIMIT_MM,
  numberValue,
  sizeValue,
  type Body,
  type Step,
  type Value,
} from '@core/record/model';
import { ambiguityIn, parseLength, showExactly, tidy, typedUnitOf } from '@core/foundations/quantity';
import { fieldOf, withField } from '@core/shaping/recipe';

import { useChangeRepair } from '../../api/useRepair';
import { lengthOf } from '../../inRepair/labelOf';
import { useRepairContext } from '../../inRepair/useRepairContext';
import { useShow } from '../../preferences/useShow';
import { Button } from '../../shared/Button';
import { ChoiceRow } from '../../shared/ChoiceRow';
import { Field } from '../../shared/Field';
import { GroupHeading } from '../../shared/Heading';
import { problemOf, type Problem } from '../../shared/problem';
import { Sheet } from '../../shared/Sheet';

/** Changes one number of a step: typed as a number, a sum or a formula, or taken from a size, a fit or a layout. */
export function ValueSheet({
  body,
  step,
  field,
  what,
  onClose,
}: {
  body: Body;
  step: Step;
  field: string;
  what: string;
  onClose(): void;
}) {
  const { repair, numbers } = useRepairContext();
  const { put } = useChangeRepair(repair);
  const show = useShow();
  const unit = typedUnitOf(show.unit);
  const found = fieldOf(step, field);
  const now = found === 'through' ? undefined : found;
  const [shown] = useState(
    now?.from === 'number' ? show.number(now.mm).replace('−', '-') : now?.from === 'formula' ? now.text : '',
  );
  const [text, setText] = useState(shown);
  const [wrong, setWrong] = useState<Problem>();

  const choose = (value: Value) => {
    put('body', { ...body, steps: withField(body.steps, step.id, field, value) }, `The ${what} is changed.`);
    onClose();
  };
  const isPlain = /^[-+]?\d*[.,]?\d*$/.test(text.trim());
  const worked = isPlain || ambiguityIn(text, unit) ? null : formulaLength(text, unit, numbers);
  const typed = () => {
    // What is shown is rounded: a number that nobody touched stays what it is.
    if (now && text === shown && shown !== '') {
      onClose();
      return;
    }
    const asked = ambiguityIn(text, unit);
    if (asked) {
      setWrong(problemOf(asked));
      return;
    }
    const plain = parseLength(text, unit);
    const length = plain.ok ? plain : formulaLength(text, unit, numbers);
    // A formula over a size that is not taken yet is right; its value will follow.
    const waits = !length.ok && length.fault.code === 'value.sizeNotTaken';
    if (!length.ok && !waits) {
      setWrong(problemOf(/[A-Z+*/()]/.test(text) || plain.ok ? length.fault : plain.fault));
      return;
    }
    const mm = length.ok ? tidy(length.value) : 0;
    if (Math.abs(mm) > MODEL_LIMIT_MM) {
      setWrong(problemOf({ code: 'length.tooLarge', mm, limitMm: MODEL_LIMIT_MM }));
      return;
    }
    choose(plain.ok ? numberValue(mm) : { from: 'formula', text: text.trim(), unit });
  };
  // While a word is typed, the sizes that it begins or names; a number or a sum leaves the list whole.
  const word = /[a-z]{2,}|^[A-Za-z]$/i.exec(text.trim())?.[0]?.toLowerCase();
  const isMeant = ({ tag, name }: { tag: string; name: string }) =>
    word === undefined ||
    tag.toLowerCase() === word ||
    name
      .toLowerCase()
      .split(/[^a-z0-9]+/)
      .some((part) => part.startsWith(word));
  const options = [
    ...[...numbers.fits.values()].map(({ fit, worked }) => ({
      value: fitValue(fit.id),
      tag: worked.ok ? worked.trail.tag : worked.tag,
      name: `${fit.name}, working size`,
    })),
    ...[...numbers.sizes.values()]
      .filter(({ size }) => size.quantity === 'length')
      .map(({ size }) => ({ value: sizeValue(size.id), tag: size.tag, name: size.name })),
  ];
  const axis = field === 'y' ? 'y' : 'x';
  const places =
    field === 'x' || field === 'y'
      ? [...numbers.layouts.values()].flatMap(({ layout }) =>
          layout.points.map((point) => ({
            value: { from: 'layout', id: layout.id, point: point.id, axis } as Value,
            tag: point.label,
            name: `${layout.name}, point ${point.label}, ${axis === 'x' ? 'to the right' : 'to the back'}`,
          })),
        )
      : [];
  const rowOf = ({ value, tag, name }: (typeof options)[number]) => {
    const mm = lengthOf(value, numbers);
    return (
      <ChoiceRow
        key={JSON.stringify(value)}
        tag={tag}
        title={name}
        number={mm === null ? 'to take' : show.number(mm)}
        label={`${tag}, ${name}, ${mm === null ? 'to take' : show.length(mm)}`}
        chosen={JSON.stringify(value) === JSON.stringify(now)}
        onPress={() => choose(value)}
      />
    );
  };
  return (
    <Sheet title={`Change the ${what}`} onClose={onClose}>
      <Field
        label="Type a number, a sum or a formula such as A / 2 + 3, or fit(A) + 4"
        unit={show.word}
        worth={worked?.ok ? showExactly(worked.value, 'length', show.unit) : null}
        autoFocus
        value={text}
        onChangeText={(next) => {
          setText(next);
          setWrong(undefined);
        }}
        onSubmitEditing={typed}
        wrong={wrong}
      />
      <Button tone="primary" label="Use this number" onPress={typed} />
      {places.length > 0 ? <GroupHeading>Or from a layout</GroupHeading> : null}
      {places.map(rowOf)}
      {options.length > 0 ? <GroupHeading>Or take it from a size</GroupHeading> : null}
      {options.filter(isMeant).map(rowOf)}
    </Sheet>
  );
}
