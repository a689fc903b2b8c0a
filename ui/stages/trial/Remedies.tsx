import { useState } from 'react';
import { Text, View } from 'react-native';

import { Remedy, type TrialResult } from '@core/record/model';
import { readTyped } from '@core/foundations/formula';
import { typedUnitOf } from '@core/foundations/quantity';
import { REMEDY_WORDS } from '@core/reporting/numberWords';

import { useShow } from '../../preferences/useShow';
import { useWorth } from '../../preferences/useWorth';
import { Field } from '../../shared/Field';
import { GroupHeading } from '../../shared/Heading';
import { problemOf, type Problem } from '../../shared/problem';
import { Switch } from '../../shared/Switch';

/** Takes something off: what is measured after it is not what the machine made. */
const CUTS: readonly Remedy[] = ['filed', 'drilled', 'reamed', 'sanded'];
/** Has no size. */
const WITHOUT_SIZE: readonly Remedy[] = ['warmed', 'tied'];
const MOST_MM = 100;

/** What was done to the made part, and how much. */
export function Remedies({
  result,
  onChange,
}: {
  result: TrialResult;
  onChange(fields: Pick<TrialResult, 'done'>): void;
}) {
  const show = useShow();
  const worth = useWorth();
  const [first] = result.done;
  const [typed, setTyped] = useState<string | null>(null);
  const [wrong, setWrong] = useState<Problem>();
  const keep = () => {
    if (typed === null || !first) return;
    if (typed.trim() === '') {
      onChange({ done: [{ ...first, mm: null }] });
      setTyped(null);
      return;
    }
    const read = readTyped(typed, 'length', typedUnitOf(show.unit));
    if (!read.ok) setWrong(problemOf(read.fault));
    else if (read.value < 0) setWrong(problemOf({ code: 'length.notPositive', mm: read.value }));
    else if (read.value > MOST_MM) {
      setWrong(problemOf({ code: 'length.tooLarge', mm: read.value, limitMm: MOST_MM }));
    } else {
      onChange({ done: [{ ...first, mm: read.value }] });
      setTyped(null);
    }
  };
  return (
    <View className="gap-1.5">
      <GroupHeading>What was done to it</GroupHeading>
      <Switch
        label={`What was done to it: ${result.fitName}`}
        options={[
          { id: 'nothing', word: 'Nothing' },
          ...Remedy.options.map((id) => ({ id, word: REMEDY_WORDS[id] })),
        ]}
        value={first?.what ?? 'nothing'}
        onChange={(id) => {
          setTyped(null);
          setWrong(undefined);
          onChange({ done: id === 'nothing' ? [] : [{ what: Remedy.parse(id), mm: first?.mm ?? null }] });
        }}
      />
      {first && !WITHOUT_SIZE.includes(first.what) ? (
        <Field
          label={first.what === 'shimmed' ? 'How thick' : 'How much came off'}
          unit={show.word}
          worth={worth(typed ?? '')}
          inputMode="decimal"
          pad={{ quantity: 'length', action: 'Keep' }}
          value={typed ?? (first.mm === null ? '' : show.number(first.mm))}
          onChangeText={(text) => {
            setTyped(text);
            setWrong(undefined);
          }}
          onBlur={keep}
          onSubmitEditing={keep}
          wrong={wrong}
        />
      ) : null}
      {first && CUTS.includes(first.what) && result.made.length > 0 && result.leftOut === undefined ? (
        <Text className="font-label text-[14px] leading-5 text-muted">
          {`What it measured before it was ${first.what} is what the machine made. If it was measured after, do not learn from this one.`}
        </Text>
      ) : null}
    </View>
  );
}
