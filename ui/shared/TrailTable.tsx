import { Text, View } from 'react-native';

import type { Trail, TrailEntry } from '@core/fitting/fit';
import { allowanceReason, derivedWords, takenWords, trailLabel } from '@core/reporting/wording';

import { useShow, type Show } from '../preferences/useShow';

/** A working size and the lines that add up to it. */
export function TrailTable({ trail, resultName = 'Working size' }: { trail: Trail; resultName?: string }) {
  const show = useShow();
  const value = (of: number) =>
    trail.quantity === 'length' ? show.number(of, trail.decimals) : show.value(of, trail.quantity);
  const word = trail.quantity === 'length' ? ` ${show.word}` : trail.quantity === 'angle' ? '°' : '';
  return (
    <View accessibilityLabel={`Trail of ${trail.name}`}>
      {trail.entries.map((entry, index) => (
        <Line
          key={index}
          label={trailLabel(entry)}
          note={noteOf(entry, trail, show)}
          number={isAdded(entry) ? show.signed(entry.value, trail.decimals) : value(entry.value)}
          tone={toneOf(entry)}
        />
      ))}
      <View className="flex-row items-baseline justify-between border-t border-ink pt-2">
        <Text className="font-semibold text-[16px] text-ink">{resultName}</Text>
        <Text className="font-number text-[23px] tabular-nums text-ink">
          {value(trail.working)}
          <Text className="font-label text-[13px] text-muted">{word}</Text>
        </Text>
      </View>
    </View>
  );
}

function Line({ label, note, number, tone }: { label: string; note: string; number: string; tone: string }) {
  return (
    <View className="flex-row items-start justify-between gap-3 py-1.5">
      <View className="flex-1">
        <Text className="font-medium text-[15.5px] text-ink">{label}</Text>
        <Text className="font-label text-[13px] text-muted">{note}</Text>
      </View>
      <Text className={`font-number text-[17px] tabular-nums ${tone}`}>{number}</Text>
    </View>
  );
}

function noteOf(entry: TrailEntry, trail: Trail, show: Show): string {
  switch (entry.kind) {
    case 'measured':
      return [
        `measured, ± ${show.doubt(entry.plusMinus, trail.quantity)}`,
        `${entry.count} ${entry.count === 1 ? 'reading' : 'readings'}`,
        takenWords(entry.taken, entry.takenWhy),
      ]
        .filter(Boolean)
        .join(', ');
    case 'derived':
      return `worked out, ± ${show.doubt(entry.plusMinus, trail.quantity)}: ${derivedWords(entry.derivation)}`;
    case 'mates':
      return `they measure ${show.number(entry.smallestMm)} to ${show.number(entry.largestMm)} ${show.word}`;
    case 'stated':
      return `stated${entry.source ? `: ${entry.source}` : ''}`;
    case 'chosen':
      return `chosen${entry.source ? `: ${entry.source}` : ', nothing depends on it'}`;
    case 'allowance':
      return allowanceReason(entry);
    case 'correction':
      return entry.learnedFrom;
  }
}

const isAdded = (entry: TrailEntry) =>
  entry.kind === 'allowance' || entry.kind === 'correction' || entry.kind === 'mates';
const toneOf = (entry: TrailEntry) =>
  isAdded(entry) ? 'text-plum' : entry.kind === 'measured' ? 'text-brass' : 'text-ink';
