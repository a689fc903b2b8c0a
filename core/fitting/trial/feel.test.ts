import { classClearance, evaluateRepair } from '@core/fitting/fit';
import type { Trial, TrialResult, Verdict } from '@core/record/model';
import { lotsOf } from '@core/fitting/rehearsal';
import { RepairDraft } from '@core/testing/repairDraft';
import { DEFAULT_WORKSHOP, FIT_TABLES } from '@core/record/workshop';

import { effectsOf } from './effects';
import { feelOf, tableAsFelt } from './feel';
import { judge } from './nextNumbers';
import { newTrial } from './newTrial';

const table = FIT_TABLES[0]!;
const repair = () =>
  new RepairDraft('Wheel')
    .measured('B', 'Axle', ['6.00', '6.00', '6.00'], { of: 'counterpart' })
    .fit('bore', 'Bore on the axle', 'B', 'slides').repair;

/** A trial of a bore on an axle of 6 mm that was made with this clearance, and what was said of it. */
function said(clearanceMm: number, verdict: Verdict, index = 0, more: Partial<TrialResult> = {}): Trial {
  const state = repair();
  const trial = newTrial(
    { state, numbers: evaluateRepair(state), letter: 'A' },
    { id: `t${index}`, of: 'part', triedAt: '2026-05-01T00:00:00.000Z', madePartId: null },
  );
  const mm = 6 + clearanceMm;
  const made = [{ typed: mm.toFixed(2), mm, instrumentId: 'bench-caliper' }];
  return { ...trial, results: [{ ...trial.results[0]!, made, verdict, ...more }] };
}
const feel = (trials: Trial[]) => feelOf('slides', table, trials, DEFAULT_WORKSHOP);

/** What somebody says for whom it is right `shift` looser than in the table. */
function verdictAt(clearanceMm: number, shiftMm: number): Verdict {
  const { aimMm, toMm } = classClearance(table, 'slides', 6);
  const halves = (clearanceMm - aimMm - shiftMm) / (toMm - aimMm);
  if (halves < -3) return 'willNotGo';
  if (halves < -1) return 'stiff';
  if (halves <= 1) return 'right';
  return halves <= 3 ? 'loose' : 'rattles';
}

describe('what a class means to a person', () => {
  test('one verdict, by hand: a normal about the table with a normal prior', () => {
    // Slides at 6 mm: 0.10, and from half way to 0.03 to half way to 0.18: half a width of 0.0375.
    const { aimMm, toMm } = classClearance(table, 'slides', 6);
    const half = toMm - aimMm;
    expect(half).toBeCloseTo(0.0375, 9);
    const one = feel([said(0.16, 'right')])!;
    const { counterpartStandardMm } = said(0.16, 'right').results[0]!;
    const own = feel([said(0.16, 'right')])!.count;
    expect(own).toBe(1);
    // Hand and display of one reading: as the readings of any size.
    const doubtSquared = half ** 2 / 3 + counterpartStandardMm ** 2;
    const prior = (1.2 * half) ** 2;
    const bound = (0.06 * prior) / (prior + doubtSquared);
    expect(one.shiftMm).toBeLessThan(bound);
    expect(one.shiftMm).toBeGreaterThan(0.85 * bound);
  });

  test('a person who wants it looser is found out, whatever was made, and one slip changes little', () => {
    const lots = lotsOf(5);
    const trials = Array.from({ length: 14 }, (_, index) => {
      const clearance = lots.between(0, 0.3);
      return said(clearance, verdictAt(clearance, 0.06), index);
    });
    const found = feel(trials)!;
    expect(found.shiftMm).toBeCloseTo(0.06, 1.5);
    expect(Math.abs(found.shiftMm - 0.06)).toBeLessThan(2.5 * found.standardMm);
    const slipped = feel([...trials, said(0.02, 'rattles', 99)])!;
    expect(Math.abs(slipped.shiftMm - found.shiftMm)).toBeLessThan(0.012);
  });

  test('what nobody measured, what was typed by hand and what was left out says nothing', () => {
    expect(feel([])).toBeNull();
    expect(feel([said(0.2, 'right', 0, { made: [] })])).toBeNull();
    expect(feel([said(0.2, 'right', 0, { byHand: true })])).toBeNull();
    expect(feel([said(0.2, 'right', 0, { done: [{ what: 'reamed', mm: 0.1 }] })])).toBeNull();
    expect(feel([said(0.2, 'right', 0, { done: [{ what: 'warmed', mm: null }] })])).not.toBeNull();
    expect(feel([said(0.2, 'right', 0, { leftOut: 'a string in the hole' })])).toBeNull();
    expect(feel([{ ...said(0.2, 'right'), leftOut: 'odd' }])).toBeNull();
    expect(feel([said(0.2, 'right', 0, { fitClass: 'turns' })])).toBeNull();
  });

  test('the table follows only when it is sure, and its classes keep their order', () => {
    expect(tableAsFelt(table, 'slides', { shiftMm: 0.05, standardMm: 0.01, count: 2 })).toBeNull();
    expect(tableAsFelt(table, 'slides', { shiftMm: 0.05, standardMm: 0.03, count: 9 })).toBeNull();
    expect(tableAsFelt(table, 'slides', { shiftMm: 0.05, standardMm: 0.01, count: 9 })!.clearances).toEqual({
      ...table.clearances,
      slides: 0.15,
    });
    // Past the next looser one it stops beside it.
    expect(
      tableAsFelt(table, 'slides', { shiftMm: 0.5, standardMm: 0.01, count: 9 })!.clearances.slides,
    ).toBe(0.17);
  });

  test('it is proposed for the class instead of for the one fit, and the working size follows', () => {
    const trials = [0.12, 0.15, 0.17, 0.18, 0.2, 0.16].map((clearance, index) =>
      said(clearance, verdictAt(clearance, 0.07), index),
    );
    const state = repair();
    const last = said(0.1, 'stiff', 9);
    const { proposals } = judge(last, last.results[0]!, {
      state,
      numbers: evaluateRepair(state),
      workshop: DEFAULT_WORKSHOP,
      trials: [...trials, last],
      complete: true,
    });
    const found = proposals.find(({ kind }) => kind === 'feel');
    if (found?.kind !== 'feel') throw new Error(proposals.map(({ kind }) => kind).join());
    expect(found.fromMm).toBe(0.1);
    expect(found.toMm).toBeGreaterThan(0.13);
    expect(found.working!.toMm - found.working!.fromMm).toBeCloseTo(found.toMm - found.fromMm, 6);
    expect(proposals.some(({ kind }) => kind === 'allowance')).toBe(false);
  });
});

test('what a correction changes elsewhere: fits on that machine whose working size moves', () => {
  const state = repair();
  const [machine] = DEFAULT_WORKSHOP.machines;
  const wider = {
    ...machine!,
    corrections: machine!.corrections.map((one) =>
      one.feature === 'inside' ? { ...one, offsetMm: one.offsetMm + 0.05 } : one,
    ),
  };
  const [effect] = effectsOf(state, DEFAULT_WORKSHOP, wider);
  expect(effect).toMatchObject({ repairName: 'Wheel', fitName: 'Bore on the axle' });
  expect(effect!.working.toMm - effect!.working.fromMm).toBeCloseTo(0.05, 9);
  expect(effectsOf(state, DEFAULT_WORKSHOP, machine!)).toEqual([]);
  expect(effectsOf({ ...state, head: { ...state.head, removed: true } }, DEFAULT_WORKSHOP, wider)).toEqual(
    [],
  );
  expect(
    effectsOf({ ...state, head: { ...state.head, machineId: 'quick-printer' } }, DEFAULT_WORKSHOP, wider),
  ).toEqual([]);
});
