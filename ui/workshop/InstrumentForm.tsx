import { useState } from 'react';
import { Text, View } from 'react-native';

import { Instrument, NAME_LIMIT } from '@core/model';
import { RAD_PER_DEGREE } from '@core/quantity';
import { sentenceOf } from '@core/wording';

import type { useChangeWorkshop } from '../api/useWorkshop';
import { Button } from '../shared/Button';
import { Field, Wrong } from '../shared/Field';
import { GroupHeading } from '../shared/Heading';
import { Sheet } from '../shared/Sheet';
import { Switch } from '../shared/Switch';
import { readNumber, shownNumber } from '../shared/numberFields';
import { INSTRUMENT_WORDS } from './words';

const SHOWS = { mm: 'mm', in: 'inch', deg: 'degrees' } as const;

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
  // Forms talk degrees; the core talks radians.
  const [kind, setKind] = useState(instrument.kind);
  const quantity = kind === 'protractor' ? 'angle' : 'length';
  const unit = quantity === 'angle' ? RAD_PER_DEGREE : 1;
  const shownUnit = instrument.quantity === 'angle' ? RAD_PER_DEGREE : 1;
  const shown = (value: number) => shownNumber(value / shownUnit);
  const [name, setName] = useState(instrument.name);
  const [shows, setShows] = useState(instrument.shows);
  const [resolution, setResolution] = useState(shown(instrument.resolution));
  const [reach, setReach] = useState(shown(instrument.reach));
  const [hand, setHand] = useState(shown(instrument.repeatability));
  const [bands, setBands] = useState(
    instrument.permissibleErrors.map(({ upTo, plusMinus }) => ({
      upTo: shown(upTo),
      plusMinus: shown(plusMinus),
    })),
  );
  const [wrong, setWrong] = useState<string>();
  const word = quantity === 'angle' ? '°' : 'mm';
  const save = () => {
    const of = Instrument.shape;
    const typedIn = { unit: word, times: unit };
    const band = of.permissibleErrors.element.shape;
    const trimmed = name.trim();
    if (trimmed === '') {
      setWrong(sentenceOf({ code: 'name.empty', what: 'the instrument' }));
      return;
    }
    if (trimmed.length > NAME_LIMIT) {
      setWrong(
        sentenceOf({
          code: 'name.tooLong',
          what: 'the instrument',
          length: trimmed.length,
          limit: NAME_LIMIT,
        }),
      );
      return;
    }
    const numbers = [
      readNumber(resolution, 'step of the display', of.resolution, typedIn),
      readNumber(reach, 'reach', of.reach, typedIn),
      readNumber(hand, 'scatter of one hand', of.repeatability, typedIn),
      ...bands.flatMap(({ upTo, plusMinus }) => [
        readNumber(upTo, 'end of a range', band.upTo, typedIn),
        readNumber(plusMinus, 'permissible error', band.plusMinus, typedIn),
      ]),
    ];
    const bad = numbers.find((read) => !read.ok);
    if (bad && !bad.ok) {
      setWrong(bad.sentence);
      return;
    }
    const [step, far, scatter, ...rest] = numbers.map((read) => (read.ok ? read.value : 0));
    const permissibleErrors = bands.map((_, index) => ({
      upTo: rest[2 * index]!,
      plusMinus: rest[2 * index + 1]!,
    }));
    permissibleErrors.sort((a, b) => a.upTo - b.upTo);
    const next = Instrument.safeParse({
      ...instrument,
      name: trimmed,
      kind,
      quantity,
      shows: quantity === 'angle' ? 'deg' : shows === 'deg' ? 'mm' : shows,
      resolution: step,
      reach: far,
      repeatability: scatter,
      permissibleErrors,
    });
    if (!next.success) {
      setWrong(
        sentenceOf({
          code: 'field.invalid',
          path: 'the instrument',
          message: next.error.issues[0]!.message,
        }),
      );
      return;
    }
    onSave('instrument', next.data, `${trimmed} is kept.`);
    onClose();
  };
  return (
    <Sheet title={instrument.version === 0 ? 'Add an instrument' : instrument.name} onClose={onClose}>
      <Field label="Name" value={name} onChangeText={setName} autoFocus={instrument.version === 0} />
      <Switch<Instrument['kind']>
        label="Kind of instrument"
        options={Instrument.shape.kind.options.map((id) => ({ id, word: INSTRUMENT_WORDS[id] }))}
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
      <View className="flex-row gap-3">
        <View className="flex-1">
          <Field label="Step of its display" unit={word} value={resolution} onChangeText={setResolution} />
        </View>
        <View className="flex-1">
          <Field label="It reaches" unit={word} value={reach} onChangeText={setReach} />
        </View>
      </View>
      <Field
        label="Scatter of one hand with it (one standard deviation)"
        unit={word}
        value={hand}
        onChangeText={setHand}
      />
      <GroupHeading>Permissible error, by range</GroupHeading>
      {bands.map((band, index) => (
        <View key={index} className="flex-row gap-3">
          <View className="flex-1">
            <Field
              label={`Range ${index + 1}, up to`}
              unit={word}
              value={band.upTo}
              onChangeText={(upTo) =>
                setBands(bands.map((other, at) => (at === index ? { ...other, upTo } : other)))
              }
            />
          </View>
          <View className="flex-1">
            <Field
              label="Plus or minus"
              unit={word}
              value={band.plusMinus}
              onChangeText={(plusMinus) =>
                setBands(bands.map((other, at) => (at === index ? { ...other, plusMinus } : other)))
              }
            />
          </View>
        </View>
      ))}
      <View className="flex-row gap-2">
        <Button
          label="Another range"
          disabled={bands.length >= 10}
          onPress={() => setBands([...bands, { upTo: reach, plusMinus: bands.at(-1)!.plusMinus }])}
        />
        <Button label="One fewer" disabled={bands.length <= 1} onPress={() => setBands(bands.slice(0, -1))} />
      </View>
      <Text className="font-label text-[13.5px] leading-5 text-muted">
        Makers state it after ISO 13385-1 for calipers, ISO 3611 for micrometers.
      </Text>
      {wrong ? <Wrong text={wrong} /> : null}
      <Button tone="primary" label="Keep" onPress={save} />
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
