import { useState } from 'react';

import type { SolvedLayout } from '@core/measuring/layout';
import type { Layout } from '@core/record/model';

import { Button } from '../../shared/Button';
import { Field } from '../../shared/Field';
import { GroupHeading } from '../../shared/Heading';
import { Sheet } from '../../shared/Sheet';
import { Switch } from '../../shared/Switch';

/** The frame's own zero, in a word or two. */
const ZERO_WORDS = {
  firstTwoPoints: 'Point 1',
  edges: 'The edges',
  leftOrRight: 'Edge and point 1',
  bottomOrTop: 'Edge and point 1',
} as const;

/** What else can be done with a layout. */
export function LayoutMenu({
  layout,
  tiedTo,
  onSave,
  onAdd,
  onClose,
}: {
  layout: Layout;
  tiedTo: SolvedLayout['tiedTo'];
  onSave(layout: Layout, undo?: string): void;
  onAdd(): void;
  onClose(): void;
}) {
  const [name, setName] = useState(layout.name);
  return (
    <Sheet title={layout.name} onClose={onClose}>
      <Field label="Name" maxLength={80} value={name} onChangeText={setName} />
      <Button
        tone="primary"
        label="Keep the name"
        disabled={name.trim() === ''}
        onPress={() => {
          onSave({ ...layout, name: name.trim() });
          onClose();
        }}
      />
      <GroupHeading>Where steps count from</GroupHeading>
      <Switch
        label="Where steps count from"
        options={[
          { id: 'middle', word: 'The middle' },
          { id: 'start', word: ZERO_WORDS[tiedTo] },
        ]}
        value={layout.zero}
        onChange={(zero) => onSave({ ...layout, zero })}
      />
      <Button label="Add another layout" onPress={onAdd} />
      <Button
        tone="danger"
        label="Delete this layout"
        onPress={() => {
          onSave({ ...layout, removed: true }, `Layout “${layout.name}” deleted.`);
          onClose();
        }}
      />
    </Sheet>
  );
}
