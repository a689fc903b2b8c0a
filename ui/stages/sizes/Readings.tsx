import { useState } from 'react';
import { Pressable, Text, View } from 'react-native';

import type { Reading } from '@core/model';
import { mean } from '@core/measure';
import { showNumber } from '@core/quantity';

import type { useChangeRepair } from '../../api/useRepair';
import { Button } from '../../shared/Button';
import { LeaveOutSheet } from './LeaveOutSheet';
import { SpreadPlot } from './SpreadPlot';

/** The readings of a size: each can be corrected on the pad, left out with a reason, or deleted and brought back. */
export function Readings({
  readings,
  selected,
  onSelect,
  put,
}: {
  readings: readonly Reading[];
  selected: Reading | null;
  onSelect(reading: Reading): void;
  put: ReturnType<typeof useChangeRepair>['put'];
}) {
  const [leavingOut, setLeavingOut] = useState<Reading | null>(null);
  const present = readings.filter((reading) => !reading.removed);
  const removed = readings.filter((reading) => reading.removed);
  const counted = present.filter((reading) => reading.leftOut === null);
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
              place={index + 1}
              selected={reading.id === selected?.id}
              onPress={() => onSelect(reading)}
            />
          ))}
        </View>
        <SpreadPlot readings={present.map(({ mm, leftOut }) => ({ mm, counts: leftOut === null }))} />
      </View>
      {counted.length > 1 ? (
        <Text className="font-label text-[13.5px] tabular-nums text-muted">
          {`mean ${showNumber(mean(counted.map(({ mm }) => mm)), 'mm', 3)} · spread ${showNumber(rangeOf(counted))} mm`}
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
              put('reading', { ...selected, removed: true }, `Reading ${showNumber(selected.mm)} deleted.`);
              onSelect(selected);
            }}
          />
        </View>
      ) : null}
      {removed.map((reading) => (
        <View key={reading.id} className="flex-row items-center gap-2">
          <Text className="font-label text-[14px] text-muted line-through">{showNumber(reading.mm)}</Text>
          <Button
            tone="quiet"
            label={`Bring back ${showNumber(reading.mm)}`}
            onPress={() => put('reading', { ...reading, removed: false })}
          />
        </View>
      ))}
      {leavingOut ? (
        <LeaveOutSheet
          reading={leavingOut}
          onClose={() => setLeavingOut(null)}
          onReason={(reason) => {
            put(
              'reading',
              { ...leavingOut, leftOut: reason },
              `Reading ${showNumber(leavingOut.mm)} left out.`,
            );
            setLeavingOut(null);
            onSelect(leavingOut);
          }}
        />
      ) : null}
    </View>
  );
}

const rangeOf = (readings: readonly Reading[]) => {
  const values = readings.map(({ mm }) => mm);
  return Math.max(...values) - Math.min(...values);
};

function ReadingChip({
  reading,
  place,
  selected,
  onPress,
}: {
  reading: Reading;
  place: number;
  selected: boolean;
  onPress(): void;
}) {
  const out = reading.leftOut !== null;
  return (
    <View role="listitem">
      <Pressable
        accessibilityRole="button"
        accessibilityLabel={`Reading ${place}, ${showNumber(reading.mm)} mm${out ? `, left out: ${reading.leftOut}` : ''}`}
        aria-pressed={selected}
        onPress={onPress}
        className={`min-h-[44px] justify-center rounded border px-3 ${
          selected
            ? 'border-brass bg-brass-soft'
            : out
              ? 'border-dashed border-rust bg-card'
              : 'border-line bg-card'
        }`}
      >
        <Text
          className={`font-number text-[16px] tabular-nums ${out ? 'text-muted line-through' : 'text-brass'}`}
        >
          {showNumber(reading.mm)}
        </Text>
        {out ? (
          <Text numberOfLines={1} className="max-w-[120px] font-label text-[11.5px] text-rust">
            {`out: ${reading.leftOut}`}
          </Text>
        ) : null}
      </Pressable>
    </View>
  );
}
