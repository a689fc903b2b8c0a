import fc from 'fast-check';

import { evaluateRepair } from '@core/fitting/fit';
import { FitClass, FitFeature, type Fit, type Repair } from '@core/record/model';
import { rackWheel, RepairDraft } from '@core/testing/repairDraft';
import { doubtSentence, wishWords, workingSizeName } from '@core/reporting/numberWords';
import { chanceWords } from '@core/reporting/wording';

const bore = rackWheel().fits[0]!;
const doubtOf = (repair: Repair, id = 'bore') => {
  const { fit, chance } = evaluateRepair(repair).fits.get(id)!;
  return doubtSentence(chance!, fit, 'B');
};

test('a chance is never told as none or as sure', () => {
  expect([0, 0.004, 0.5, 0.996, 1].map(chanceWords)).toEqual(['1 %', '1 %', '50 %', '99 %', '99 %']);
  fc.assert(
    fc.property(fc.double({ min: 0, max: 1, noNaN: true }), (probability) => {
      expect(chanceWords(probability)).toMatch(/^[1-9]\d? %$/);
    }),
  );
});

test('what is wished for, by class, by ISO limits, and for spacings', () => {
  expect(new Set(FitClass.options.map((fitClass) => wishWords({ ...bore, fitClass }))).size).toBe(5);
  expect(wishWords({ ...bore, iso: { hole: 'H7', shaft: 'g6' } })).toBe('lies within H7/g6');
  expect(wishWords({ ...bore, feature: 'spacing' })).toBe('goes over both pegs');
});

test('the working size is named after what is made', () => {
  const names = FitFeature.options.map((feature) => workingSizeName({ ...bore, feature }));
  for (const name of names) expect(name).toMatch(/^[A-Z].*, working size$/);
});

describe('the largest doubt and what would raise the chance', () => {
  test('the machine: a test piece', () => {
    expect(doubtOf(rackWheel())).toMatch(
      /^The largest doubt is what the machine does to this kind of feature\. .* makes it \d\d %\.$/,
    );
  });

  test('the size: more readings, when they scatter', () => {
    const repair = new RepairDraft('x')
      .measured('B', 'Pin', ['6.00', '6.40'], { of: 'counterpart' })
      .fit('bore', 'Bore', 'B', 'turns').repair;
    expect(doubtOf(repair)).toMatch(
      /^The largest doubt is the size of the mating part\. Two more readings of B make it \d+ %\.$/,
    );
  });

  test('one reading with a rule: another instrument', () => {
    const repair = new RepairDraft('x')
      .measured('B', 'Pin', ['6.00'], { of: 'counterpart' })
      .fit('bore', 'Bore', 'B', 'turns').repair;
    repair.readings[0]!.instrumentId = 'steel-rule';
    expect(doubtOf(repair)).toMatch(
      /^The largest doubt is the size of the mating part\. A micrometer on B makes it \d\d %\.$/,
    );
  });

  test('every class and feature has a sentence that ends', () => {
    const fits = fc.record({
      fitClass: fc.constantFrom(...FitClass.options),
      feature: fc.constantFrom(...FitFeature.options),
      machineId: fc.constantFrom('bench-printer', 'lathe-mill', 'resin-printer'),
    });
    fc.assert(
      fc.property(fits, fc.integer({ min: 300, max: 8000 }), ({ machineId, ...fields }, hundredths) => {
        const repair = new RepairDraft('x')
          .measured('B', 'Pin', [(hundredths / 100).toFixed(2)], { of: 'counterpart' })
          .fit('bore', 'Bore', 'B', 'turns').repair;
        repair.head.machineId = machineId;
        repair.fits[0] = { ...repair.fits[0]!, ...fields } as Fit;
        expect(doubtOf(repair)).toMatch(/^The largest doubt is .*\.$/);
        expect(doubtOf(repair)).not.toMatch(/undefined|NaN/);
      }),
      { numRuns: 40 },
    );
  });
});
