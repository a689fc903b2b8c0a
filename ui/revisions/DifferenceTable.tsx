import { Text, View } from 'react-native';

import type { Difference } from '@core/reporting/revision';
import { showSigned } from '@core/foundations/quantity';

/** Rows that differ: before, after, and by how much. */
export function DifferenceTable({
  rows,
  from,
  to,
}: {
  rows: readonly Difference[];
  from: string;
  to: string;
}) {
  if (rows.length === 0) {
    return (
      <Text className="font-sans text-[16px] leading-6 text-ink">{`Nothing differs between ${from} and ${to}.`}</Text>
    );
  }
  return (
    <View role="table" aria-label={`Differences between ${from} and ${to}`}>
      <View role="row" className="flex-row border-b border-ink pb-1">
        <Cell role="columnheader" text="" wide />
        <Cell role="columnheader" text={from} />
        <Cell role="columnheader" text={to} />
        <Cell role="columnheader" text="by" />
      </View>
      {rows.map((row) => (
        <View key={row.label} role="row" className="flex-row items-center border-b border-line py-2">
          <Cell role="rowheader" text={row.unit ? `${row.label}, ${row.unit}` : row.label} wide />
          <Cell text={show(row.from, row.unit)} />
          <Cell text={show(row.to, row.unit)} strong />
          <Cell text={by(row)} tone="text-plum" />
        </View>
      ))}
    </View>
  );
}

function Cell({
  text,
  wide = false,
  strong = false,
  tone = 'text-ink',
  role = 'cell',
}: {
  text: string;
  wide?: boolean;
  strong?: boolean;
  tone?: string;
  role?: 'cell' | 'columnheader' | 'rowheader';
}) {
  return (
    <View role={role} className={wide ? 'flex-[2.2] pr-2' : 'flex-1'}>
      <Text
        className={`${wide ? 'font-medium text-[14.5px]' : 'text-right font-number text-[15px] tabular-nums'} ${strong ? 'font-number' : ''} ${tone}`}
      >
        {text}
      </Text>
    </View>
  );
}

/** Enough digits for a small difference to show: a gram is compared to a thousandth. */
const places = (unit: Difference['unit']) => (unit === 'mm³' ? 1 : unit === 'g' ? 3 : 2);

function show(value: Difference['from'], unit: Difference['unit']): string {
  if (value === null) return '–';
  return typeof value === 'number' ? value.toFixed(places(unit)) : value;
}

/** The difference of the numbers as they are shown, so that the row adds up on paper. */
function by({ from, to, unit }: Difference): string {
  if (typeof from !== 'number' || typeof to !== 'number') return '';
  const digits = places(unit);
  const difference = Number(to.toFixed(digits)) - Number(from.toFixed(digits));
  if (unit === 'mm') return showSigned(difference);
  return `${difference < 0 ? '−' : '+'}${Math.abs(difference).toFixed(digits)}`;
}
