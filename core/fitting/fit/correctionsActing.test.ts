import { rackWheel } from '@core/testing/repairDraft';
import { actingSentence } from '@core/reporting/wording';
import { DEFAULT_WORKSHOP } from '@core/record/workshop';

import { correctionsActing } from './correctionsActing';
import { evaluateRepair } from './evaluateRepair';

const show = {
  length: (mm: number) => `${mm.toFixed(2)} mm`,
  signed: (mm: number) => `+${mm.toFixed(2)}`,
  word: 'mm',
};

test('each correction acts in one place: the working size, the first layer, or the file', () => {
  const repair = rackWheel();
  const acting = correctionsActing('wheel', repair, evaluateRepair(repair), 0.1);
  expect(acting).toEqual([
    {
      acts: 'workingSize',
      fitName: 'Bore on the axle',
      mm: 0.12,
      learnedFrom: expect.stringContaining('starting value'),
    },
    { acts: 'firstLayer', mm: 0.1 },
  ]);
  expect(acting.map((one) => actingSentence(one, show))).toEqual([
    expect.stringMatching(/^Bore on the axle: \+0\.12 mm in its working size \(a starting value/),
    'First layer: 0.10 mm smaller on each side, against elephant foot.',
  ]);
  // Not laid in layers, another body, and what shrinks.
  expect(correctionsActing('wheel', repair, evaluateRepair(repair), 0)).toHaveLength(1);
  expect(correctionsActing('lid', repair, evaluateRepair(repair), 0)).toEqual([]);
  const machines = DEFAULT_WORKSHOP.machines.map((one) => ({
    ...one,
    shrinkage: { x: 0.01, y: 0, z: 0.02 },
  }));
  const shrunk = correctionsActing(
    'lid',
    repair,
    evaluateRepair(repair, { ...DEFAULT_WORKSHOP, machines }),
    0,
  );
  expect(shrunk).toEqual([
    { acts: 'file', axis: 'x', share: 0.01 },
    { acts: 'file', axis: 'z', share: 0.02 },
  ]);
  expect(actingSentence(shrunk[0]!, show)).toBe(
    'Along x: 1.00 % for shrinkage, in the print and in the files.',
  );
});
