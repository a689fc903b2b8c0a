import { evaluateRepair } from '@core/fitting/fit';
import { BENCH_CALIPER_ID, type MadeReading, type Trial } from '@core/record/model';
import { rackWheel } from '@core/testing/repairDraft';
import { DEFAULT_WORKSHOP, layerPrinterFor, machineIn } from '@core/record/workshop';

import { elephantFootOf, elephantFeetOf } from './elephantFoot';
import { newTrial } from './newTrial';

const reading = (mm: number): MadeReading => ({
  typed: mm.toFixed(2),
  mm,
  instrumentId: BENCH_CALIPER_ID,
});
const foot = (takenBackMm: number, ...mms: number[]) => ({ takenBackMm, made: mms.map(reading) });

test('an outside that is broader at its foot spread by half of that, and by what was taken back', () => {
  expect(
    elephantFootOf({ feature: 'peg', made: [reading(10.02)], foot: foot(0.1, 10.1, 10.14) }),
  ).toBeCloseTo(0.1 + (10.12 - 10.02) / 2, 9);
  // A hole is narrower there.
  expect(elephantFootOf({ feature: 'bore', made: [reading(6.1)], foot: foot(0.1, 6.04) })).toBeCloseTo(
    0.13,
    9,
  );
  expect(elephantFootOf({ feature: 'bore', made: [], foot: foot(0.1, 6.04) })).toBeNull();
  expect(elephantFootOf({ feature: 'bore', made: [reading(6.1)], foot: foot(0.1) })).toBeNull();
  expect(elephantFootOf({ feature: 'bore', made: [reading(6.1)] })).toBeNull();
});

const repair = rackWheel();
const begun = (): Trial =>
  newTrial(
    { state: repair, numbers: evaluateRepair(repair), letter: 'A' },
    { id: 'trial', of: 'part', triedAt: '2026-11-30T08:00:00.000Z', madePartId: null },
  );

test('a trial keeps what was taken back when it was laid, where that is laid in layers', () => {
  const [result] = begun().results;
  expect(result!.foot).toEqual({ takenBackMm: 0.1, made: [] });
  const machined = { ...repair, head: { ...repair.head, machineId: 'workshop' } };
  const numbers = evaluateRepair(machined);
  const other = newTrial(
    { state: machined, numbers, letter: 'A' },
    { id: 'trial', of: 'part', triedAt: '', madePartId: null },
  );
  const isLaid = layerPrinterFor(numbers.workshop, machineIn(numbers.workshop, 'workshop').id, 'plastic');
  expect(other.results[0]!.foot === undefined).toBe(isLaid === null);
});

test('what somebody left out teaches nothing', () => {
  const trial = begun();
  const [result] = trial.results;
  const measured = { ...result!, made: [reading(6.3)], foot: foot(0.1, 6.24) };
  expect(elephantFeetOf([{ ...trial, results: [measured] }], DEFAULT_WORKSHOP)).toMatchObject([
    { id: 'trial/0', trialId: 'trial', mm: expect.closeTo(0.13, 9) as number },
  ]);
  expect(
    elephantFeetOf([{ ...trial, results: [{ ...measured, leftOut: 'a slip' }] }], DEFAULT_WORKSHOP),
  ).toEqual([]);
});
