import { useState } from 'react';
import { Pressable, ScrollView, Text, View } from 'react-native';

import type { SizeResult } from '@core/measuring/measure';
import type { Reading, Size } from '@core/record/model';
import { instrumentIn } from '@core/record/workshop';

import { newId } from '../api/newId';
import { useChangeRepair } from '../api/useRepair';
import { useRepairContext } from '../inRepair/useRepairContext';
import { usePreferences } from '../preferences/usePreferences';
import { Doubt } from '../inRepair/Doubt';
import { InstrumentSheet } from './InstrumentSheet';
import { JAW_HINTS } from './jaws';
import { JawFigure } from './JawFigure';
import { likelyOf, WORTH_OFFERING } from './LikelySheet';
import { Pad } from './Pad';
import { Readings } from './Readings';

/** A size being taken: its readings, and the pad. */
export function MeasuredSize({
  size,
  result,
  onTaken,
  onLikely,
}: {
  size: Size;
  result: SizeResult;
  onTaken?: ((count: number) => void) | undefined;
  onLikely(): void;
}) {
  const { repair, numbers } = useRepairContext();
  const { put } = useChangeRepair(repair);
  const instruments = usePreferences((preferences) => preferences.instruments);
  const [correcting, setCorrecting] = useState<Reading | null>(null);
  const [choosing, setChoosing] = useState(false);
  const readings = repair.readings.filter((reading) => reading.sizeId === size.id);
  const place = readings.filter((reading) => !reading.removed);
  const quantity = size.quantity === 'angle' ? 'angle' : 'length';
  const inHand = instrumentIn(numbers.workshop, instruments[quantity]);
  const instrument = correcting ? instrumentIn(numbers.workshop, correcting.instrumentId) : inHand;
  const likely = likelyOf(size, result)[0];
  // Where its size alone does not tell, the sheet asks what it is to the eye.
  const named = likely !== undefined && likely.probability >= WORTH_OFFERING;

  const take = (value: number, typed: string) => {
    if (correcting) {
      put('reading', { ...correcting, value, typed }, 'Reading corrected.');
      setCorrecting(null);
      return;
    }
    put('reading', {
      id: newId(),
      version: 0,
      sizeId: size.id,
      value,
      typed,
      instrumentId: instrument.id,
      takenAt: new Date().toISOString(),
      leftOut: null,
      removed: false,
    });
    onTaken?.(place.filter(({ leftOut }) => leftOut === null).length + 1);
  };
  return (
    <>
      <ScrollView className="flex-1" contentContainerClassName="gap-2 px-4 py-2">
        {readings.length === 0 && quantity === 'length' ? (
          <View className="flex-row items-center gap-3">
            <JawFigure jaw={size.jaw} height={72} />
            <Text className="flex-1 font-sans text-[14px] leading-5 text-muted">{JAW_HINTS[size.jaw]}</Text>
          </View>
        ) : null}
        <Readings
          size={size}
          result={result}
          readings={readings}
          selected={correcting}
          onSelect={(reading) => setCorrecting(reading.id === correcting?.id ? null : reading)}
          put={put}
        />
        {likely && result.count > 0 ? (
          <Pressable
            accessibilityRole="button"
            accessibilityLabel={
              named
                ? `Is this a standard size? ${likely.name}`
                : 'Is this a standard size? Choose what it looks like'
            }
            onPress={onLikely}
            className="min-h-[44px] flex-row items-center gap-2 rounded border border-dashed border-brass px-3"
          >
            <Text numberOfLines={1} className="flex-1 font-medium text-[15px] text-ink">
              {named
                ? `Is this ${likely.name.charAt(0).toLowerCase()}${likely.name.slice(1)}?`
                : 'Is it a thread, a bar, a nut…?'}
            </Text>
            {named ? (
              <Text className="font-number text-[14px] tabular-nums text-brass">
                {`${Math.round(likely.probability * 100)} %`}
              </Text>
            ) : null}
          </Pressable>
        ) : null}
        {result.status === 'measured' ? <Doubt size={size} uncertainty={result.uncertainty} /> : null}
      </ScrollView>
      <Pad
        key={correcting?.id ?? `new-${place.length}`}
        instrument={instrument}
        start={correcting ? correcting.typed : ''}
        action={
          correcting ? `Correct reading ${place.indexOf(correcting) + 1}` : `Take reading ${place.length + 1}`
        }
        onTake={take}
        onInstrument={() => setChoosing(true)}
      />
      {choosing ? (
        <InstrumentSheet quantity={quantity} jaw={size.jaw} onClose={() => setChoosing(false)} />
      ) : null}
    </>
  );
}
