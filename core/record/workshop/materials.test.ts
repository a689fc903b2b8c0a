import { evaluateRepair } from '@core/fitting/fit';
import type { Material, Workshop } from '@core/record/model';
import { rackWheel } from '@core/testing/repairDraft';

import { DEFAULT_WORKSHOP, fitTableIn, materialIn, MATERIALS, materialsIn } from '.';

const petg = MATERIALS.find(({ id }) => id === 'petg')!;
const workshopWith = (...materials: Material[]): Workshop => ({ ...DEFAULT_WORKSHOP, materials });

test('a material is what the workshop says of it, also one that was put away; one that nobody knows is the first', () => {
  const mine = { ...petg, density: 1.31 };
  const workshop = workshopWith(mine, { ...petg, id: 'bone', name: 'Bone', family: 'wood', removed: true });
  expect(materialIn(workshop, 'petg')).toBe(mine);
  expect(materialIn(workshop, 'bone').name).toBe('Bone');
  expect(materialsIn(workshop)).toEqual([mine]);
  // One that ships with the app and that an old workshop lacks is still itself.
  expect(materialIn(workshop, 'brass').name).toBe('Brass CW614N');
  expect(materialIn(workshop, 'nobody-knows').id).toBe(MATERIALS[0]!.id);
  const { materials: _materials, ...old } = DEFAULT_WORKSHOP;
  expect(materialIn(old, 'petg')).toBe(petg);
});

test('metals and wood have no layers to be weak across, plastics have', () => {
  for (const { family, across } of MATERIALS) {
    if (family === 'plastic' || family === 'soft') expect(across).toBeLessThan(1);
    else expect(across).toBe(1);
  }
});

test('fits follow the kind of a material that was added', () => {
  const repair = rackWheel();
  const made = { ...repair, head: { ...repair.head, materialId: 'rubber' } };
  const of = (family: Material['family']) => {
    const workshop = workshopWith(...MATERIALS, { ...petg, id: 'rubber', name: 'Rubber', family });
    const [fit] = [...evaluateRepair(made, workshop).fits.values()];
    const { worked } = fit!;
    if (!worked.ok) throw new Error('not worked out');
    const allowance = worked.trail.entries.find(({ kind }) => kind === 'allowance')!;
    return { allowance: allowance.value, table: fitTableIn(workshop, 'printing', family) };
  };
  const [hard, soft] = [of('plastic'), of('soft')];
  expect(hard.table.id).not.toBe(soft.table.id);
  expect(hard.allowance).not.toBe(soft.allowance);
});
