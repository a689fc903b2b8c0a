import { useState } from 'react';

import { readTyped } from '@core/foundations/formula';
import { isKnown } from '@core/measuring/measure';
import type { Source } from '@core/record/model';
import { typedUnitOf, type Quantity } from '@core/foundations/quantity';
import { capital } from '@core/shaping/sentence';

import { useRepairContext } from '../../inRepair/useRepairContext';
import { useShow } from '../../preferences/useShow';
import { useWorth } from '../../preferences/useWorth';
import { Button } from '../../shared/Button';
import { ChoiceRow } from '../../shared/ChoiceRow';
import { Field } from '../../shared/Field';
import { GroupHeading } from '../../shared/Heading';
import { problemOf, type Problem } from '../../shared/problem';
import { PadAction } from '../../shared/pad/PadAction';
import { Sheet } from '../../shared/Sheet';

/** Chooses a size or types a number for an input; or begins a size that is still to be taken. */
export function SourceSheet({
  what,
  quantity,
  now,
  without,
  onChoose,
  onNewSize,
  onClose,
}: {
  what: string;
  quantity: Quantity;
  now: Source | null;
  /** Sizes that can't serve: the one that is being worked out. */
  without: readonly string[];
  onChoose(source: Source): void;
  /** Begins a new size of that name; null where that makes no sense. */
  onNewSize: (() => void) | null;
  onClose(): void;
}) {
  const { numbers } = useRepairContext();
  const show = useShow();
  const worth = useWorth();
  const [shown] = useState(now?.from === 'number' ? show.value(now.value, quantity) : '');
  const [text, setText] = useState(shown);
  const [wrong, setWrong] = useState<Problem>();
  const sizes = [...numbers.sizes.values()].filter(
    ({ size }) => size.quantity === quantity && !without.includes(size.id),
  );
  const typed = () => {
    // What is shown is rounded: a number that nobody touched stays what it is.
    if (now?.from === 'number' && text === shown) {
      onChoose(now);
      return;
    }
    const read = readTyped(text, quantity, typedUnitOf(show.unit));
    if (!read.ok) setWrong(problemOf(read.fault));
    else if (read.value <= 0) setWrong(problemOf({ code: 'length.notPositive', mm: read.value }));
    else onChoose({ from: 'number', value: read.value });
  };
  return (
    <Sheet title={capital(what)} onClose={onClose}>
      {onNewSize && quantity !== 'count' ? (
        <Button tone="primary" label="Measure it: a new size" onPress={onNewSize} />
      ) : null}
      {sizes.length > 0 ? <GroupHeading>A size that is there</GroupHeading> : null}
      {sizes.map(({ size, result }) => (
        <ChoiceRow
          key={size.id}
          tag={size.tag}
          title={size.name}
          number={isKnown(result) ? show.value(result.value, quantity) : 'to take'}
          chosen={now?.from === 'size' && now.id === size.id}
          onPress={() => onChoose({ from: 'size', id: size.id })}
        />
      ))}
      <GroupHeading>Or a number</GroupHeading>
      <Field
        label={`Type ${quantity === 'count' ? 'the count' : 'it'}`}
        {...(quantity === 'count' ? {} : { unit: quantity === 'angle' ? '°' : show.word })}
        worth={worth(text, quantity)}
        pad={{ quantity, action: 'Use this number' }}
        value={text}
        onChangeText={(next) => {
          setText(next);
          setWrong(undefined);
        }}
        onSubmitEditing={typed}
        wrong={wrong}
      />
      <PadAction label="Use this number" onPress={typed} />
    </Sheet>
  );
}
