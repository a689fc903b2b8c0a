import { useMemo, useRef, useState } from 'react';
import { Text, View, type TextInput } from 'react-native';

import { readReading } from '@core/measuring/measure';
import type { Body, Reading } from '@core/record/model';
import { typedUnitOf } from '@core/foundations/quantity';
import { beginWith, STARTER_FIGURES, type Starter } from '@core/shaping/starters';
import { instrumentIn } from '@core/record/workshop';
import { ownValue } from '@core/foundations/own';

import { newId } from '../api/newId';
import { useNotices } from '../api/notices';
import { useChangeRepair } from '../api/useRepair';
import { useRepairContext } from '../inRepair/useRepairContext';
import { JAW_WORDS } from '../measuring/jaws';
import { PracticeCaliper } from '../measuring/PracticeCaliper';
import { useTypedKeys } from '../measuring/useTypedKeys';
import { usePreferences } from '../preferences/usePreferences';
import { useShow } from '../preferences/useShow';
import { useWorth } from '../preferences/useWorth';
import { Button } from '../shared/Button';
import { Field } from '../shared/Field';
import { problemOf, type Problem } from '../shared/problem';
import { Sheet } from '../shared/Sheet';
import { StarterDrawing } from './StarterDrawing';

/**
 * The numbers that a starter asks for, each with its letter in the drawing. Calipers that type go from one to the next; what is
 * left empty is a usual number.
 */
export function StarterForm({
  into,
  starter,
  onBack,
  onClose,
}: {
  /** The empty body that the first spare is put into; a new one if left out. */
  into?: Body;
  starter: Starter;
  onBack(): void;
  onClose(): void;
}) {
  const { repair, numbers } = useRepairContext();
  const { put } = useChangeRepair(repair);
  const { instruments, practiceCaliper } = usePreferences();
  const show = useShow();
  const worth = useWorth();
  const instrument = instrumentIn(numbers.workshop, instruments.length);
  // What an inch caliper types without a unit is in inches, as on the pad.
  const unit = instrument.shows === 'in' ? 'in' : typedUnitOf(show.unit);
  const figure = ownValue(STARTER_FIGURES, starter.id);
  const { asks } = starter;
  const [typed, setTyped] = useState<Record<string, string>>({});
  const [wrong, setWrong] = useState<Record<string, Problem | undefined>>({});
  const [at, setAt] = useState(0);
  const fields = useRef<(TextInput | null)[]>([]);
  // Calipers send keys faster than the screen is drawn.
  const latest = useRef({ typed, at });
  latest.current.at = at;
  const letters = useMemo(
    () => new Map(asks.map(({ key }, index) => [key, String.fromCharCode(97 + index)])),
    [asks],
  );
  const change = (key: string, text: string) => {
    latest.current.typed = { ...latest.current.typed, [key]: text };
    setTyped(latest.current.typed);
    setWrong((all) => ({ ...all, [key]: undefined }));
  };
  const goOn = () => {
    latest.current.at = Math.min(latest.current.at + 1, asks.length - 1);
    setAt(latest.current.at);
    // Where a person types, the next field is typed into.
    if (fields.current.some((field) => field?.isFocused())) fields.current[latest.current.at]?.focus();
  };
  useTypedKeys(() => null, {
    onText: (text) => {
      const { key } = asks[latest.current.at]!;
      change(key, (ownValue(latest.current.typed, key) ?? '') + text);
    },
    onEnter: goOn,
  });
  const begin = () => {
    const lengths = new Map<string, number>();
    const faults: Record<string, Problem> = {};
    for (const [key, text] of Object.entries(typed)) {
      if (text.trim() === '') continue;
      const read = readReading(text, instrument, unit);
      if (read.ok) lengths.set(key, read.value);
      else faults[key] = problemOf(read.fault);
    }
    setWrong(faults);
    if (Object.keys(faults).length > 0) return;
    const begun = beginWith(starter, repair, new Set(lengths.keys()), newId, into);
    for (const size of begun.sizes) put('size', size);
    for (const [key, value] of lengths) {
      const reading: Reading = {
        id: newId(),
        version: 0,
        sizeId: begun.sizeOf.get(key)!.id,
        value,
        typed: ownValue(typed, key)!.trim(),
        instrumentId: instrument.id,
        takenAt: new Date().toISOString(),
        leftOut: null,
        removed: false,
      };
      put('reading', reading);
    }
    for (const fit of begun.fits) put('fit', fit);
    for (const made of begun.bodies) put('body', made);
    const usual = asks.length - lengths.size;
    // With every number measured there is nothing to do but look.
    if (usual > 0) {
      useNotices.getState().say({
        text: `${usual} usual ${usual === 1 ? 'number' : 'numbers'}: measure ${usual === 1 ? 'it' : 'them'} under Sizes.`,
        tone: 'plain',
      });
    }
    onClose();
  };
  return (
    <Sheet title={starter.name} onClose={onClose}>
      {figure ? (
        <StarterDrawing figure={figure} letters={letters} name={starter.name} now={asks[at]!.key} />
      ) : null}
      <Text className="font-sans text-[15px] leading-6 text-muted">
        Type what the calipers show. Empty fields take a usual number, so that you see the part; measure them
        later under Sizes.
      </Text>
      {practiceCaliper ? (
        <View className="-mx-4">
          <PracticeCaliper key={asks[at]!.key} named={asks[at]!.name} />
        </View>
      ) : null}
      {asks.map(({ key, name, usualMm, jaw, of }, index) => (
        <Field
          key={key}
          ref={(field) => {
            fields.current[index] = field;
          }}
          label={`${letters.get(key)}  ${name}: ${JAW_WORDS[jaw]}${of === 'counterpart' ? ', on the mating part' : ''}`}
          unit={unit}
          worth={worth(ownValue(typed, key) ?? '', 'length', unit)}
          inputMode="decimal"
          pad={{
            quantity: 'length',
            ...(index < asks.length - 1 ? { action: 'Next' } : { action: 'Begin', act: begin }),
          }}
          placeholder={`usually ${show.length(usualMm)}`}
          value={ownValue(typed, key) ?? ''}
          onFocus={() => setAt(index)}
          onSubmitEditing={goOn}
          submitBehavior="submit"
          enterKeyHint={index < asks.length - 1 ? 'next' : 'done'}
          onChangeText={(text) => change(key, text)}
          wrong={ownValue(wrong, key)}
        />
      ))}
      <View className="flex-row gap-3">
        <Button className="flex-1" label="Another starter" onPress={onBack} />
        <Button className="flex-1" tone="primary" label="Begin" onPress={begin} />
      </View>
    </Sheet>
  );
}
