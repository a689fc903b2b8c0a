import { useState } from 'react';

import { Material, MaterialFamily } from '@core/record/model';
import { capital } from '@core/shaping/sentence';

import type { useChangeWorkshop } from '../api/useWorkshop';
import { Picker } from '../shared/Picker';
import { MaterialStands } from './MaterialStands';
import { RowForm } from './RowForm';
import type { RowGroup } from './rowFields';
import { FAMILY_WORDS } from './words';

const GROUPS: readonly RowGroup[] = [
  { fields: [{ kind: 'text', path: 'name', label: 'Name' }] },
  {
    heading: 'Strength',
    fields: [
      { kind: 'number', path: 'modulusMpa', label: 'Stiffness', unit: 'GPa', times: 1000 },
      { kind: 'number', path: 'yieldMpa', label: 'Yield stress', unit: 'MPa' },
      { kind: 'number', path: 'strain', label: 'Allowable strain, repeated', unit: '%', times: 0.01 },
      { kind: 'number', path: 'across', label: 'Strength across layers', unit: '%', times: 0.01 },
      { kind: 'number', path: 'softensAtC', label: 'Softens at', unit: '°C' },
    ],
  },
  {
    heading: 'What it is',
    fields: [
      { kind: 'number', path: 'density', label: 'Density', unit: 'g/cm³' },
      { kind: 'number', path: 'shrinks', label: 'Shrinks as it sets', unit: '%', times: 0.01 },
      { kind: 'text', path: 'notes', label: 'Notes' },
      { kind: 'text', path: 'source', label: 'Where these figures are from' },
    ],
  },
];

/** What a material is and bears. */
export function MaterialForm({
  material,
  onSave,
  onClose,
}: {
  material: Material;
  onSave: ReturnType<typeof useChangeWorkshop>;
  onClose(): void;
}) {
  const [family, setFamily] = useState(material.family);
  const [stands, setStands] = useState(material.stands);
  return (
    <RowForm<Material>
      title={material.version === 0 ? 'Add a material' : material.name}
      intro="Leave empty what does not apply, such as softening or shrinkage."
      row={material}
      schema={Material}
      groups={GROUPS}
      choices={
        <Picker
          label="Kind of material"
          options={MaterialFamily.options.map((id) => ({ id, word: capital(FAMILY_WORDS[id]) }))}
          value={family}
          onChange={(id) => setFamily(id as MaterialFamily)}
        />
      }
      more={<MaterialStands material={{ id: material.id, family }} value={stands} onChange={setStands} />}
      onKeep={(row) =>
        onSave(
          'material',
          { ...row, family, ...(stands ? { stands } : {}) },
          `${row.name} is kept. Weights, fits and strength follow.`,
        )
      }
      {...(material.version > 0
        ? {
            onPutAway: () =>
              onSave('material', { ...material, removed: true }, `${material.name} is put away.`),
          }
        : {})}
      onClose={onClose}
    />
  );
}
