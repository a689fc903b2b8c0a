import { useState } from 'react';

import type { Filament, Workshop } from '@core/record/model';
import { FILAMENTS, materialsIn } from '@core/record/workshop';

import { Button } from '../shared/Button';
import { Picker } from '../shared/Picker';

/** Another plastic that comes as filament. */
export function AddFilament({ workshop, onAdd }: { workshop: Workshop; onAdd(row: Filament): void }) {
  const [choosing, setChoosing] = useState(false);
  const known = new Set((workshop.filaments ?? FILAMENTS).map(({ id }) => id));
  const others = materialsIn(workshop).filter(
    ({ id, family }) => (family === 'plastic' || family === 'soft') && !known.has(id),
  );
  if (others.length === 0) return null;
  if (!choosing) return <Button label="Add a plastic" onPress={() => setChoosing(true)} />;
  return (
    <Picker
      label="Plastic to add"
      options={[{ id: '', word: 'Which plastic?' }, ...others.map(({ id, name }) => ({ id, word: name }))]}
      value=""
      onChange={(id) => {
        setChoosing(false);
        if (id) onAdd({ ...FILAMENTS[0]!, id, version: 0, source: 'as PETG, not looked up yet' });
      }}
    />
  );
}
