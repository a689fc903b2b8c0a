import { useState } from 'react';
import { Text } from 'react-native';

import type { Side } from '@core/foundations/fields';
import { SideNames, type Body } from '@core/record/model';

import { useChangeRepair } from '../../api/useRepair';
import { useRepairContext } from '../../inRepair/useRepairContext';
import { Button } from '../../shared/Button';
import { Field } from '../../shared/Field';
import { Sheet } from '../../shared/Sheet';

/** Each side as it is in the recipe, with a name that it may have where the part is used. */
const SIDES: readonly { id: Side; word: string; such: string }[] = [
  { id: 'top', word: 'Top', such: 'towards you' },
  { id: 'bottom', word: 'Bottom', such: 'wall side' },
  { id: 'front', word: 'Front', such: 'down' },
  { id: 'back', word: 'Back', such: 'up' },
  { id: 'left', word: 'Left', such: 'hinge side' },
  { id: 'right', word: 'Right', such: 'latch side' },
];

/** Names the sides of a body as it stands in use: its sentences and stances say them. */
export function SideNamesSheet({ body, onClose }: { body: Body; onClose(): void }) {
  const { repair } = useRepairContext();
  const { put } = useChangeRepair(repair);
  const [typed, setTyped] = useState<SideNames>(body.sides ?? {});
  const [wrong, setWrong] = useState<Side | null>(null);
  const keep = () => {
    const named = Object.entries(typed).flatMap(([side, name]) =>
      name?.trim() ? [[side, name.trim()]] : [],
    );
    const sides = SideNames.safeParse(Object.fromEntries(named));
    if (!sides.success) {
      setWrong((sides.error.issues[0]?.path[0] as Side | undefined) ?? null);
      return;
    }
    const { sides: _before, ...rest } = body;
    put(
      'body',
      named.length > 0 ? { ...rest, sides: sides.data } : rest,
      `The sides of ${body.name} are named.`,
    );
    onClose();
  };
  return (
    <Sheet title={`Sides of ${body.name}`} onClose={onClose}>
      <Text className="font-sans text-[15px] leading-6 text-muted">
        What each side is called where the part is used. The steps and the views then say it.
      </Text>
      {SIDES.map(({ id, word, such }) => (
        <Field
          key={id}
          label={`${word}, such as “${such}”`}
          value={typed[id] ?? ''}
          onChangeText={(name) => {
            setTyped({ ...typed, [id]: name });
            setWrong(null);
          }}
          wrong={wrong === id ? 'Use at most 40 letters, on one line.' : undefined}
        />
      ))}
      <Button tone="primary" label="Keep these names" onPress={keep} />
    </Sheet>
  );
}
