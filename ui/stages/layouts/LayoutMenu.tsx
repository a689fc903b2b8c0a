import { useState } from 'react';

import type { Layout } from '@core/model';

import { Button } from '../../shared/Button';
import { Field } from '../../shared/Field';
import { Sheet } from '../../shared/Sheet';

/** What else can be done with a layout. */
export function LayoutMenu({
  layout,
  onSave,
  onAdd,
  onClose,
}: {
  layout: Layout;
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
