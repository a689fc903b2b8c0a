import fc from 'fast-check';

import {
  bandsOf,
  classClearanceMm,
  evaluateRepair,
  FIT_CLASSES,
  MACHINE_SCATTER_MM,
  usesOf,
} from '@core/fit';
import { toleranceFactorMm } from '@core/standards';
import { rackWheel, RepairDraft } from '@core/testing/repairDraft';

const trailOf = (repair = rackWheel(), id = 'bore') => {
  const worked = evaluateRepair(repair).fits.get(id)!.worked;
  if (!worked.ok) throw new Error('not worked out');
  return worked.trail;
};

test('the tolerance factor gives IT7 = 16 i = 21 µm at 18 to 30 mm (ISO 286-1, table 1)', () => {
  const middle = Math.sqrt(18 * 30);
  expect(Math.round(16 * toleranceFactorMm(middle) * 1000)).toBe(21);
});

describe('allowances', () => {
  test('are the table’s at its reference size, and ordered from loose to pressed at any size', () => {
    expect(FIT_CLASSES.map((row) => classClearanceMm(row.id, 6))).toEqual([0.4, 0.18, 0.1, 0.03, -0.06]);
    fc.assert(
      fc.property(fc.double({ min: 0.5, max: 500, noNaN: true }), (diameter) => {
        const clearances = FIT_CLASSES.map((row) => classClearanceMm(row.id, diameter));
        expect(clearances).toEqual([...clearances].sort((a, b) => b - a));
      }),
    );
  });

  test('grow with size as the tolerance factor does, by hand at 38.2 mm', () => {
    // i(38.2) / i(6) = (0.45 · 3.3679 + 0.0382) / (0.45 · 1.8171 + 0.006) = 1.5538 / 0.8237 = 1.886
    expect(classClearanceMm('turns', 38.2)).toBeCloseTo(0.34, 9);
    expect(classClearanceMm('loose', 38.2)).toBeCloseTo(0.75, 9);
  });
});

describe('the trail of a working size', () => {
  test('measured, allowance and machine correction add up to it', () => {
    const trail = trailOf();
    expect(trail.entries.map((entry) => [entry.kind, entry.mm])).toEqual([
      ['measured', 6.02],
      ['allowance', 0.18],
      ['correction', 0.05],
    ]);
    expect(trail.workingMm).toBe(6.25);
    expect(trail.tag).toBe('B');
  });

  test('a peg that goes into something is made smaller', () => {
    const repair = new RepairDraft('Foot')
      .measured('A', 'Tube, inside', ['20.00'], { of: 'counterpart', jaw: 'inside' })
      .fit('plug', 'Plug in the tube', 'A', 'slides', 'peg').repair;
    const trail = trailOf(repair, 'plug');
    expect(trail.entries[1]!.mm).toBeLessThan(0);
    expect(trail.entries[2]!.mm).toBe(-0.03);
    expect(trail.workingMm).toBeCloseTo(20 - classClearanceMm('slides', 20) - 0.03, 9);
  });

  test('a clearance typed by hand replaces the class’s own', () => {
    const repair = rackWheel();
    repair.fits[0]!.ownClearanceMm = 0.3;
    expect(trailOf(repair).workingMm).toBe(6.37);
  });

  test('always adds up exactly, in hundredths, whatever is measured', () => {
    const reading = fc.integer({ min: 100, max: 15_000 }).map((hundredths) => (hundredths / 100).toFixed(2));
    fc.assert(
      fc.property(fc.array(reading, { minLength: 1, maxLength: 4 }), (readings) => {
        const repair = new RepairDraft('x')
          .measured('A', 'Pin', readings)
          .fit('f', 'Bore', 'A', 'turns').repair;
        const { entries, workingMm } = trailOf(repair, 'f');
        const hundredths = entries.reduce((sum, entry) => sum + Math.round(entry.mm * 100), 0);
        expect(Math.round(workingMm * 100)).toBe(hundredths);
        expect(workingMm * 100).toBeCloseTo(hundredths, 6);
      }),
    );
  });

  test('a size that is still wanted is named instead', () => {
    const repair = new RepairDraft('x').measured('A', 'Pin', []).fit('f', 'Bore', 'A', 'turns').repair;
    expect(evaluateRepair(repair).fits.get('f')!.worked).toEqual({ ok: false, tag: 'A', name: 'Pin' });
  });
});

test('bands: clearance from worst to best, for both ways round', () => {
  const trail = trailOf();
  const origin = trail.entries[0]!;
  const doubt = origin.kind === 'measured' ? origin.plusMinusMm : NaN;
  const bands = bandsOf(trail, 'bore');
  expect(bands.clearanceMm.smallest).toBeCloseTo(0.18 - MACHINE_SCATTER_MM - doubt, 9);
  expect(bands.clearanceMm.largest).toBeCloseTo(0.18 + MACHINE_SCATTER_MM + doubt, 9);
  const peg = bandsOf(
    { ...trail, entries: [origin, { ...trail.entries[1]!, mm: -0.18 }], workingMm: 5.84 },
    'peg',
  );
  expect(peg.clearanceMm.smallest).toBeCloseTo(0.18 - MACHINE_SCATTER_MM - doubt, 9);
});

test('the places that use a size or a fit are found', () => {
  const repair = rackWheel();
  expect(usesOf(repair, 'fit', 'bore').map((use) => use.stepId)).toEqual(['bore']);
  expect(usesOf(repair, 'size', 'b').map((use) => use.bodyName)).toEqual(['Axle']);
  expect(usesOf(repair, 'size', 'nobody')).toEqual([]);
});
