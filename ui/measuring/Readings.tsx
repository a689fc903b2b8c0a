import { useState } from 'react';
import { Pressable, Text, View } from 'react-native';

import type { SizeResult } from '@core/measuring/measure';
import type { Reading, Size } from '@core/record/model';
import type { Quantity } from '@core/foundations/quantity';
import { listed } from '@core/shaping/sentence';

import type { useChangeRepair } from '../api/useRepair';
import { useShow } from '../preferences/useShow';
import { Button } from '../shared/Button';
import { LeaveOutSheet } from './LeaveOutSheet';
import { SpreadPlot } from './SpreadPlot';

/** The readings of a size: each can be corrected on the pad, left out with a reason, or deleted and brought back. */
export function Readings({
  size,
  result,
  readings,
  selected,
  onSelect,
  put,
}: {
  size: Size;
  result: SizeResult;
  readings: readonly Reading[];
  selected: Reading | null;
  onSelect(reading: Reading): void;
  put: ReturnType<typeof useChangeRepair>['put'];
}) {
  const [leavingOut, setLeavingOut] = useState<Reading | null>(null);
  const show = useShow();
  const value = (reading: Reading) => show.value(reading.value, size.quantity);
  const present = readings.filter((reading) => !reading.removed);
  const removed = readings.filter((reading) => reading.removed);
  const doubtful = result.status === 'measured' ? result.doubtful : [];
  if (readings.length === 0) {
    return (
      <Text className="font-sans text-[15px] leading-6 text-muted">
        No reading yet. Three readings at different places tell how sure the size is.
      </Text>
    );
  }
  return (
    <View className="gap-2">
      <View className="flex-row items-center gap-3">
        <View className="flex-1 flex-row flex-wrap gap-1.5" role="list" aria-label="Readings">
          {present.map((reading, index) => (
            <ReadingChip
              key={reading.id}
              reading={reading}
              quantity={size.quantity}
              doubtful={doubtful.includes(reading.id)}
              place={index + 1}
              selected={reading.id === selected?.id}
              onPress={() => onSelect(reading)}
            />
          ))}
        </View>
        <SpreadPlot
          readings={present.map(({ value: at, leftOut }) => ({ value: at, counts: leftOut === null }))}
        />
      </View>
      {result.status === 'measured' && result.count > 1 ? (
        <Text className="font-label text-[13.5px] tabular-nums text-muted">
          {`mean ${meanWords(result.mean, size.quantity, show)} · spread ${show.full(result.range, size.quantity)}`}
        </Text>
      ) : null}
      {doubtful.length > 0 ? (
        <Text role="status" className="font-medium text-[14px] leading-5 text-rust">
          {`${listed(present.filter(({ id }) => doubtful.includes(id)).map(value))} ${doubtful.length === 1 ? 'stands' : 'stand'} far from the others. Take it again, or tap it to leave it out.`}
        </Text>
      ) : null}
      {selected ? (
        <View className="flex-row flex-wrap gap-2">
          {selected.leftOut === null ? (
            <Button label="Leave out…" onPress={() => setLeavingOut(selected)} />
          ) : (
            <Button
              label="Count it again"
              onPress={() => {
                put('reading', { ...selected, leftOut: null });
                onSelect(selected);
              }}
            />
          )}
          <Button
            tone="danger"
            label="Delete reading"
            onPress={() => {
              put('reading', { ...selected, removed: true }, `Reading ${value(selected)} deleted.`);
              onSelect(selected);
            }}
          />
        </View>
      ) : null}
      {removed.map((reading) => (
        <View key={reading.id} className="flex-row items-center gap-2">
          <Text className="font-label text-[14px] text-muted line-through">{value(reading)}</Text>
          <Button
            tone="quiet"
            label={`Bring back ${value(reading)}`}
            onPress={() => put('reading', { ...reading, removed: false })}
          />
        </View>
      ))}
      {leavingOut ? (
        <LeaveOutSheet
          shown={show.full(leavingOut.value, size.quantity)}
          onClose={() => setLeavingOut(null)}
          onReason={(reason) => {
            put('reading', { ...leavingOut, leftOut: reason }, `Reading ${value(leavingOut)} left out.`);
            setLeavingOut(null);
            onSelect(leavingOut);
          }}
        />
      ) : null}
    </View>
  );
}

/** A mean is told one place finer than a reading. */
const meanWords = (mean: number, quantity: Quantity, show: ReturnType<typeof useShow>) =>
  quantity === 'length' && show.unit === 'mm' ? show.number(mean, 3) + ' mm' : show.full(mean, quantity);

function ReadingChip({
  reading,
  quantity,
  doubtful,
  place,
  selected,
  onPress,
}: {
  reading: Reading;
  quantity: Quantity;
  doubtful: boolean;
  place: number;
  selected: boolean;
  onPress(): void;
}) {
  const out = reading.leftOut !== null;
  const show = useShow();
  // A sum is kept as typed, and shown so.
  const sum = /[-+*/(×÷]/.test(reading.typed.replace(/^-/, '')) ? reading.typed : null;
  return (
    <View role="listitem">
      <Pressable
        accessibilityRole="button"
        accessibilityLabel={`Reading ${place}, ${show.full(reading.value, quantity)}${out ? `, left out: ${reading.leftOut}` : doubtful ? ', doubtful' : ''}`}
        aria-pressed={selected}
        onPress={onPress}
        className={`min-h-[44px] justify-center rounded border px-3 ${
          selected
            ? 'border-brass bg-brass-soft'
            : out || doubtful
              ? 'border-dashed border-rust bg-card'
              : 'border-line bg-card'
        }`}
      >
        <Text
          className={`font-number text-[16px] tabular-nums ${out ? 'text-muted line-through' : 'text-brass'}`}
        >
          {`${show.value(reading.value, quantity)}${doubtful && !out ? ' ?' : ''}`}
        </Text>
        {sum && !out ? (
          <Text numberOfLines={1} className="max-w-[110px] font-label text-[11.5px] text-muted">
            {sum}
          </Text>
        ) : null}
        {out ? (
          <Text numberOfLines={1} className="max-w-[120px] font-label text-[11.5px] text-rust">
            {`out: ${reading.leftOut}`}
          </Text>
        ) : null}
      </Pressable>
    </View>
  );
}
