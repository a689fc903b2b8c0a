import { lotsOf } from '@core/fitting/rehearsal';
import { DEFAULT_WORKSHOP, INSTRUMENTS } from '@core/record/workshop';

import { driftOf } from './drift';
import type { MadeSize } from './habits';
import { likeOthers } from './likeOthers';
import { machineThatLearned } from './learn';

const printer = DEFAULT_WORKSHOP.machines[0]!;
const caliper = INSTRUMENTS[0]!;

/** Holes of some trials, three each, as a machine makes them that leaves them `small` too small, and from one trial on by more. */
function holes(seed: number, trials: number, { from = Infinity, by = 0 } = {}): MadeSize[] {
  const lots = lotsOf(seed);
  return Array.from({ length: trials }, (_, trial) => {
    const odd = lots.uniform() < 0.1 ? 0.4 * lots.normal() : 0;
    return Array.from({ length: 3 }, (_, index): MadeSize => {
      const askedMm = lots.between(4, 30);
      const habit = -0.15 - (trial >= from ? by : 0);
      return {
        id: `${trial}/${index}`,
        trialId: `t${trial}`,
        feature: 'inside',
        askedMm,
        madeMm: askedMm + habit + 0.025 * lots.normal() + odd,
        handMm: 0.01,
      };
    });
  }).flat();
}

describe('a machine that makes otherwise since some trial', () => {
  test('is told, with the trial and by how much', () => {
    const found = Array.from({ length: 40 }, (_, seed) =>
      driftOf(printer, 'plastic', caliper, holes(seed, 14, { from: 7, by: 0.12 })),
    ).filter((one) => one !== null);
    // Of 40 such machines hardly one goes unnoticed; an odd make at the turn may belong to either side.
    expect(found.length).toBeGreaterThanOrEqual(37);
    expect(found.every(({ feature }) => feature === 'inside')).toBe(true);
    const near = found.filter(({ sinceTrialId }) => ['t6', 't7', 't8'].includes(sinceTrialId));
    expect(near.length / found.length).toBeGreaterThan(0.9);
    const shifts = found.map(({ shiftMm }) => shiftMm).sort((a, b) => a - b);
    expect(shifts[Math.floor(shifts.length / 2)]).toBeCloseTo(-0.12, 1.7);
  });

  test('one that stays as it was is left alone, odd makes and all', () => {
    const told = Array.from({ length: 60 }, (_, seed) =>
      driftOf(printer, 'plastic', caliper, holes(seed + 100, 12)),
    );
    expect(told.filter((one) => one !== null).length).toBeLessThanOrEqual(1);
  });

  test('two makes are no new habit, however far off', () => {
    expect(driftOf(printer, 'plastic', caliper, holes(9, 8, { from: 6, by: 0.5 }))).toBeNull();
    expect(driftOf(printer, 'plastic', caliper, [])).toBeNull();
  });
});

describe('a machine that begins as others are', () => {
  const fresh = { ...printer, id: 'new', name: 'New printer' };
  const taught = (id: string, name: string, seed: number) =>
    machineThatLearned({ ...printer, id, name }, 'plastic', caliper, holes(seed, 8), '8 trials');
  const insideOf = (machine: typeof printer) =>
    machine.corrections.find(({ family, feature }) => family === 'plastic' && feature === 'inside')!;

  test('takes the middle of theirs, and is as doubtful as they differ', () => {
    const others = [taught('a', 'First', 1), taught('b', 'Second', 2)];
    const offsets = others.map((one) => insideOf(one).offsetMm);
    const begun = insideOf(likeOthers(fresh, [fresh, ...others])!.machine);
    expect(begun.offsetMm).toBeCloseTo((offsets[0]! + offsets[1]!) / 2, 3);
    expect(begun.learned).toBeUndefined();
    expect(begun.learnedFrom).toBe('as First, Second do');
    // No surer than two printers of one kind are alike: 0.04, about 95 %.
    expect(begun.plusMinusMm).toBeGreaterThan(1.9 * 0.04);
    expect(begun.plusMinusMm).toBeLessThan(0.2);
  });

  test('there is nothing to take without one that learned, of another process, or for one that learned itself', () => {
    expect(likeOthers(fresh, [fresh, printer])).toBeNull();
    expect(likeOthers({ ...fresh, process: 'resin' }, [taught('a', 'First', 1)])).toBeNull();
    expect(likeOthers(taught('c', 'Third', 3), [taught('a', 'First', 1)])).toBeNull();
  });
});
