import { Text, View } from 'react-native';

import { Instrument } from '@core/record/model';

import type { useChangeWorkshop } from '../api/useWorkshop';
import { Button } from '../shared/Button';
import { Wrong } from '../shared/Field';
import { FormField, NumberField } from '../shared/FormField';
import { GroupHeading } from '../shared/Heading';
import { Sheet } from '../shared/Sheet';
import { Switch } from '../shared/Switch';
import { nameProblem } from '../shared/nameField';
import { useInstrumentForm } from './useInstrumentForm';
import { INSTRUMENT_WORDS } from './words';

const SHOWS = { mm: 'mm', in: 'inch', deg: 'degrees' } as const;
const MOST_RANGES = 10;

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
  const {
    control,
    kind,
    setKind,
    shows,
    setShows,
    quantity,
    typedIn,
    ranges,
    addRange,
    removeRange,
    wrong,
    keep,
  } = useInstrumentForm(instrument, onSave, onClose);
  const of = Instrument.shape;
  const band = of.permissibleErrors.element.shape;
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
        {ranges.map(({ id }, index) => (
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
        <Button label="Another range" disabled={ranges.length >= MOST_RANGES} onPress={addRange} />
        <Button label="One fewer" disabled={ranges.length <= 1} onPress={removeRange} />
      </View>
      <Text className="font-label text-[13.5px] leading-5 text-muted">
        Makers state it after ISO 13385-1 for calipers, ISO 3611 for micrometers.
      </Text>
      {wrong ? <Wrong text={wrong} /> : null}
      <Button tone="primary" label="Keep" onPress={keep} />
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
