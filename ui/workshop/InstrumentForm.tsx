import { useState } from 'react';
import { useFieldArray, useForm } from 'react-hook-form';
import { Text, View } from 'react-native';

import { Instrument } from '@core/record/model';
import { RAD_PER_DEGREE } from '@core/foundations/quantity';
import { sentenceOf } from '@core/reporting/wording';

import type { useChangeWorkshop } from '../api/useWorkshop';
import { Button } from '../shared/Button';
import { Wrong } from '../shared/Field';
import { FormField, NumberField } from '../shared/FormField';
import { GroupHeading } from '../shared/Heading';
import { Sheet } from '../shared/Sheet';
import { Switch } from '../shared/Switch';
import { nameProblem } from '../shared/nameField';
import { numberIn, shownNumber, type TypedIn } from '../shared/numberFields';
import { INSTRUMENT_WORDS } from './words';

const SHOWS = { mm: 'mm', in: 'inch', deg: 'degrees' } as const;
const MOST_RANGES = 10;

interface Typed {
  name: string;
  resolution: string;
  reach: string;
  repeatability: string;
  bands: { upTo: string; plusMinus: string }[];
}

/** An instrument: what it shows, how far it reaches, and what it promises by range. */
export function InstrumentForm({
  instrument,
  onSave,
  onClose,
}: {
  instrument: Instrument;
  onSave: ReturnType<typeof useChangeWorkshop>;
  onClose(): void;
}) {
  const [kind, setKind] = useState(instrument.kind);
  const [shows, setShows] = useState(instrument.shows);
  const [wrong, setWrong] = useState<string | null>(null);
  // Forms talk degrees; the core talks radians.
  const quantity = kind === 'protractor' ? 'angle' : 'length';
  const typedIn: TypedIn =
    quantity === 'angle' ? { unit: '°', times: RAD_PER_DEGREE } : { unit: 'mm', times: 1 };
  const { control, handleSubmit, getValues } = useForm<Typed>({ defaultValues: typedOf(instrument) });
  const { fields, append, remove } = useFieldArray({ control, name: 'bands' });
  const of = Instrument.shape;
  const band = of.permissibleErrors.element.shape;
  const keep = handleSubmit((typed) => {
    const read = (text: string, schema: typeof of.reach) => numberIn(text, schema, typedIn);
    const permissibleErrors = typed.bands.map(({ upTo, plusMinus }) => ({
      upTo: read(upTo, band.upTo),
      plusMinus: read(plusMinus, band.plusMinus),
    }));
    permissibleErrors.sort((a, b) => a.upTo - b.upTo);
    const next = Instrument.safeParse({
      ...instrument,
      name: typed.name.trim(),
      kind,
      quantity,
      shows: quantity === 'angle' ? 'deg' : shows === 'deg' ? 'mm' : shows,
      resolution: read(typed.resolution, of.resolution),
      reach: read(typed.reach, of.reach),
      repeatability: read(typed.repeatability, of.repeatability),
      permissibleErrors,
    });
    if (!next.success) {
      const { message } = next.error.issues[0]!;
      setWrong(sentenceOf({ code: 'field.invalid', path: 'the instrument', message }));
      return;
    }
    onSave('instrument', next.data, `${next.data.name} is kept.`);
    onClose();
  });
  return (
    <Sheet title={instrument.version === 0 ? 'Add an instrument' : instrument.name} onClose={onClose}>
      <FormField
        control={control}
        name="name"
        label="Name"
        problem={nameProblem('the instrument')}
        autoFocus={instrument.version === 0}
      />
      <Switch<Instrument['kind']>
        label="Kind of instrument"
        options={of.kind.options.map((id) => ({ id, word: INSTRUMENT_WORDS[id] }))}
        value={kind}
        onChange={setKind}
      />
      {quantity === 'length' ? (
        <Switch<Instrument['shows']>
          label="It shows"
          options={(['mm', 'in'] as const).map((id) => ({ id, word: SHOWS[id] }))}
          value={shows}
          onChange={setShows}
        />
      ) : null}
      <View key={quantity} className="gap-3">
        <View className="flex-row gap-3">
          <View className="flex-1">
            <NumberField
              control={control}
              name="resolution"
              label="Step of its display"
              what="step of the display"
              schema={of.resolution}
              typedIn={typedIn}
            />
          </View>
          <View className="flex-1">
            <NumberField
              control={control}
              name="reach"
              label="It reaches"
              what="reach"
              schema={of.reach}
              typedIn={typedIn}
            />
          </View>
        </View>
        <NumberField
          control={control}
          name="repeatability"
          label="Repeatability in one hand (one standard deviation)"
          what="repeatability in one hand"
          schema={of.repeatability}
          typedIn={typedIn}
        />
        <GroupHeading>Permissible error, by range</GroupHeading>
        {fields.map(({ id }, index) => (
          <View key={id} className="flex-row gap-3">
            <View className="flex-1">
              <NumberField
                control={control}
                name={`bands.${index}.upTo`}
                label={`Range ${index + 1}, up to`}
                what="end of a range"
                schema={band.upTo}
                typedIn={typedIn}
              />
            </View>
            <View className="flex-1">
              <NumberField
                control={control}
                name={`bands.${index}.plusMinus`}
                label="Plus or minus"
                what="permissible error"
                schema={band.plusMinus}
                typedIn={typedIn}
              />
            </View>
          </View>
        ))}
      </View>
      <View className="flex-row gap-2">
        <Button
          label="Another range"
          disabled={fields.length >= MOST_RANGES}
          onPress={() => {
            const { reach, bands } = getValues();
            append({ upTo: reach, plusMinus: bands.at(-1)!.plusMinus });
          }}
        />
        <Button label="One fewer" disabled={fields.length <= 1} onPress={() => remove(fields.length - 1)} />
      </View>
      <Text className="font-label text-[13.5px] leading-5 text-muted">
        Makers state it after ISO 13385-1 for calipers, ISO 3611 for micrometers.
      </Text>
      {wrong ? <Wrong text={wrong} /> : null}
      <Button tone="primary" label="Keep" onPress={() => void keep()} />
      {instrument.version > 0 ? (
        <Button
          tone="danger"
          label="Put it away"
          onPress={() => {
            onSave('instrument', { ...instrument, removed: true }, `${instrument.name} is put away.`);
            onClose();
          }}
        />
      ) : null}
    </Sheet>
  );
}

/** As it is typed: angles in degrees. */
function typedOf({ name, quantity, resolution, reach, repeatability, permissibleErrors }: Instrument): Typed {
  const shown = (value: number) => shownNumber(value / (quantity === 'angle' ? RAD_PER_DEGREE : 1));
  return {
    name,
    resolution: shown(resolution),
    reach: shown(reach),
    repeatability: shown(repeatability),
    bands: permissibleErrors.map(({ upTo, plusMinus }) => ({
      upTo: shown(upTo),
      plusMinus: shown(plusMinus),
    })),
  };
}
