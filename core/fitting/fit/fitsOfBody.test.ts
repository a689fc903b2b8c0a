import { RepairDraft } from '@core/testing/repairDraft';
import { newTrial } from '@core/fitting/trial';

import { evaluateRepair } from './evaluateRepair';
import { fitsOfBody } from './fitsOfBody';

test('a body is asked about the fits that its own steps take, in numbers and in formulas', () => {
  const draft = new RepairDraft('Knob and lid')
    .measured('A', 'Shaft', ['6.00'], { of: 'counterpart' })
    .measured('B', 'Rim', ['20.00'], { of: 'counterpart' })
    .fit('bore', 'Bore on the shaft', 'A', 'turns')
    .fit('lid', 'Lid over the rim', 'B', 'snug');
  const formula = { from: 'formula', text: 'fit(B) + 4', unit: 'mm' };
  const { repair } = draft
    .body('knob', 'Knob', [
      draft.step('disc', { diameter: 30, width: 10 }),
      draft.step('hole', { diameter: 'fit:bore', depth: 'through', x: 0, y: 0 }),
    ])
    .body('cap', 'Lid', [{ ...draft.step('disc', { diameter: 30, width: 4 }), diameter: formula } as never])
    .body('bare', 'Shim', [draft.step('disc', { diameter: 30, width: 1 })]);
  expect([...fitsOfBody('knob', repair)]).toEqual(['bore']);
  expect([...fitsOfBody('cap', repair)]).toEqual(['lid']);
  expect([...fitsOfBody('bare', repair)]).toEqual([]);

  const asked = (bodyId?: string) =>
    newTrial(
      { state: repair, numbers: evaluateRepair(repair), letter: null },
      { id: 't', of: 'part', triedAt: '', madePartId: null, ...(bodyId ? { bodyId } : {}) },
    ).results.map(({ fitId }) => fitId);
  expect(asked('knob')).toEqual(['bore']);
  expect(asked('bare')).toEqual([]);
  expect(asked()).toEqual(['bore', 'lid']);
});
