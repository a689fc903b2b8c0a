import Trash from 'lucide-react-native/icons/trash';
import { useState } from 'react';
import { Text, View } from 'react-native';

import { numberValue, type Body, type Step, type Value } from '@core/record/model';
import { dataAt } from '@core/shaping/recipe';
import type { SentencePart } from '@core/shaping/sentence';
import { capital } from '@core/shaping/sentence';
import { ownValue } from '@core/foundations/own';

import { trailTargetOf } from '../../inRepair/labelOf';
import { openTrail } from '../../inRepair/opened';
import { Button, IconButton } from '../../shared/Button';
import { Sheet } from '../../shared/Sheet';
import { colours } from '../../theme/colours';
import { NumberChip } from './NumberChip';
import { ValueSheet } from './ValueSheet';

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
  const [editing, setEditing] = useState<{ field: string; what: string } | null>(null);
  const step = body.steps.find(({ id }) => id === opened.id) ?? opened;
  const rows = (dataAt(step, part.field) ?? []) as Row[];
  const hasArcs = part.field.endsWith('outline.points') || part.field === 'outline.points';
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
  return (
    <Sheet title={capital(part.text)} onClose={onClose}>
      {rows.map((row, index) => (
        <View
          key={index}
          role="group"
          aria-label={`${capital(part.what)} ${index + 1}`}
          className="border-b border-line pb-1"
        >
          <View className="flex-row items-center justify-between">
            <Text className="font-label text-[14px] text-muted">{`${capital(part.what)} ${index + 1}`}</Text>
            <View className="flex-row">
              {hasArcs ? (
                <Button
                  tone="quiet"
                  label={row.via ? 'an arc goes through it' : 'a corner'}
                  onPress={() => swap(index)}
                />
              ) : null}
              <IconButton
                label={`Take out ${part.what} ${index + 1}`}
                disabled={rows.length <= part.least}
                onPress={() => onChange({ [part.field]: rows.filter((_, at) => at !== index) })}
              >
                <Trash size={18} color={colours.muted} />
              </IconButton>
            </View>
          </View>
          <View className="flex-row flex-wrap items-center gap-x-2">
            {part.columns.map(({ key, word }) => (
              <View key={key} className="flex-row items-center gap-1">
                <NumberChip
                  // A depth that is not given is as much as the width.
                  value={(ownValue(row, key) ?? row.diameter) as Value}
                  what={`${part.what} ${index + 1} ${word}`}
                  onPress={() =>
                    setEditing({
                      field: `${part.field}.${index}.${key}`,
                      what: `${part.what} ${index + 1}, ${word}`,
                    })
                  }
                  onTrail={() => {
                    const target = trailTargetOf(ownValue(row, key) as Value);
                    if (target) openTrail(target);
                  }}
                />
                <Text className="font-label text-[14px] text-muted">{word}</Text>
              </View>
            ))}
          </View>
        </View>
      ))}
      <Button label={`Add a ${part.what}`} onPress={add} />
      {editing ? <ValueSheet body={body} step={step} {...editing} onClose={() => setEditing(null)} /> : null}
    </Sheet>
  );
}
