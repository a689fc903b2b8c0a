import Trash from 'lucide-react-native/icons/trash';
import { useState } from 'react';
import { Pressable, Text, View } from 'react-native';

import { numberValue, type Body, type Step, type Value } from '@core/record/model';
import { dataAt } from '@core/shaping/recipe';
import type { SentencePart } from '@core/shaping/sentence';
import { capital } from '@core/shaping/sentence';
import { ownValue } from '@core/foundations/own';

import { lengthOf, trailTargetOf } from '../../inRepair/labelOf';
import { openTrail } from '../../inRepair/opened';
import { useRepairContext } from '../../inRepair/useRepairContext';
import { Button, IconButton } from '../../shared/Button';
import { Sheet } from '../../shared/Sheet';
import { colours } from '../../theme/colours';
import { NumberChip } from './NumberChip';
import { drawingOfRows } from './rowsDrawing';
import { RowsFigure } from './RowsFigure';
import { ValueSheet, type StepNumber } from '../../values/ValueSheet';

type Rows = Extract<SentencePart, { kind: 'rows' }>;
type Row = Record<string, Value | true>;

/** How far a new row stands from the last, mm. */
const NEXT_MM = 10;

/** A list of a step as rows of numbers: points of an outline or a path, circles, stations. */
export function RowsSheet({
  body,
  step: opened,
  part,
  onChange,
  onClose,
}: {
  body: Body;
  step: Step;
  part: Rows;
  onChange(patch: Record<string, unknown>): void;
  onClose(): void;
}) {
  const [editing, setEditing] = useState<StepNumber | null>(null);
  const [lit, setLit] = useState<number | null>(null);
  const { numbers } = useRepairContext();
  const step = body.steps.find(({ id }) => id === opened.id) ?? opened;
  const rows = (dataAt(step, part.field) ?? []) as Row[];
  const hasArcs = part.field.endsWith('outline.points') || part.field === 'outline.points';
  const cellOf = (index: number, { key, word }: { key: string; word: string }): StepNumber => ({
    field: `${part.field}.${index}.${key}`,
    what: `${part.what} ${index + 1}, ${word}`,
  });
  const cells = rows.flatMap((_, index) => part.columns.map((column) => cellOf(index, column)));
  const add = () => {
    const last = rows.at(-1)!;
    const first = part.columns[0]!.key;
    const value = ownValue(last, first) as Value;
    const next = value.from === 'number' ? numberValue(value.mm + NEXT_MM) : value;
    const { via: _, ...plain } = last;
    onChange({ [part.field]: [...rows, { ...plain, [first]: next }] });
  };
  const swap = (index: number) => {
    const { via, ...plain } = rows[index]!;
    const changed = via ? plain : { ...plain, via: true as const };
    onChange({ [part.field]: rows.map((row, at) => (at === index ? changed : row)) });
  };
  const drawing = drawingOfRows(
    rows.map((row) =>
      Object.fromEntries(
        part.columns.map(({ key }) => [
          key,
          lengthOf((ownValue(row, key) ?? row.diameter) as Value, numbers),
        ]),
      ),
    ),
    part.columns.map(({ key }) => key),
    hasArcs,
  );
  return (
    <Sheet title={capital(part.text)} showsPart onClose={onClose}>
      {drawing ? <RowsFigure drawing={drawing} lit={lit} /> : null}
      <View>
        <View aria-hidden className="flex-row items-center gap-1.5 border-b border-line pb-1">
          <View className="w-6" />
          {part.columns.map(({ key, word }) => (
            <Text key={key} className="flex-1 font-label text-[13.5px] text-muted">
              {word}
            </Text>
          ))}
          <View className={hasArcs ? 'w-[124px]' : 'w-11'} />
        </View>
        {rows.map((row, index) => (
          <View
            key={index}
            role="group"
            aria-label={`${capital(part.what)} ${index + 1}`}
            onPointerEnter={() => setLit(index)}
            onPointerDown={() => setLit(index)}
            className={`min-h-[44px] flex-row items-center gap-1.5 border-b border-line ${lit === index ? 'bg-green-soft' : ''}`}
          >
            <Text className="w-6 text-center font-label text-[14px] text-muted">{index + 1}</Text>
            {part.columns.map(({ key, word }) => (
              <View key={key} className="flex-1 flex-row">
                <NumberChip
                  // A depth that is not given is as much as the width.
                  value={(ownValue(row, key) ?? row.diameter) as Value}
                  what={`${part.what} ${index + 1} ${word}`}
                  onPress={() => setEditing(cellOf(index, { key, word }))}
                  onTrail={() => {
                    const target = trailTargetOf(ownValue(row, key) as Value);
                    if (target) openTrail(target);
                  }}
                />
              </View>
            ))}
            {hasArcs ? (
              <Pressable
                accessibilityRole="button"
                accessibilityLabel={`${capital(part.what)} ${index + 1}: ${row.via ? 'an arc goes through it' : 'a corner'}`}
                onPress={() => swap(index)}
                className="min-h-[44px] w-[72px] justify-center"
              >
                <Text className="font-label text-[14px] text-green underline">
                  {row.via ? 'on an arc' : 'corner'}
                </Text>
              </Pressable>
            ) : null}
            <IconButton
              label={`Take out ${part.what} ${index + 1}`}
              disabled={rows.length <= part.least}
              onPress={() => onChange({ [part.field]: rows.filter((_, at) => at !== index) })}
            >
              <Trash size={18} color={colours.muted} />
            </IconButton>
          </View>
        ))}
      </View>
      <Button label={`Add a ${part.what}`} onPress={add} />
      {editing ? (
        <ValueSheet
          body={body}
          step={step}
          {...editing}
          next={cells[cells.findIndex(({ field }) => field === editing.field) + 1] ?? null}
          onNext={setEditing}
          onClose={() => setEditing(null)}
        />
      ) : null}
    </Sheet>
  );
}
