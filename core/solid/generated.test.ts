import fc from 'fast-check';

import { evaluateRepair } from '@core/fit';
import { findingsOf, figuresOf } from '@core/inspect';
import { numberValue, Step, type Value } from '@core/model';
import { BodyBuilder, everyEdgeHasTwoFaces, meshOf, openEdgeCount, SCREEN_QUALITY, weld } from '@core/solid';
import { materialOf } from '@core/standards';
import { testKernel } from '@core/testing/kernel';
import { RepairDraft } from '@core/testing/repairDraft';
import { findingSentence, sentenceOf } from '@core/wording';

/** Mostly sensible lengths, now and then absurd ones, in tenths so that faces often coincide. */
const length = (max: number): fc.Arbitrary<Value> =>
  fc
    .oneof(
      { weight: 12, arbitrary: fc.integer({ min: 5, max: max * 10 }).map((tenths) => tenths / 10) },
      { weight: 1, arbitrary: fc.constantFrom(0, -3, 0.01, 400, 999) },
    )
    .map(numberValue);
const place = fc.integer({ min: -8, max: 8 }).map(numberValue);
const earlier = fc.integer({ min: 0, max: 3 }).map((index) => `s${index}`);
const where = fc.record({ edges: fc.constantFrom('mouths', 'rims'), of: earlier });

const first = fc.oneof(
  fc.record({ kind: fc.constant('turn'), diameter: length(40), width: length(15) }),
  fc.record({
    kind: fc.constant('plate'),
    length: length(50),
    breadth: length(30),
    thickness: length(8),
    cornerRadius: length(4),
  }),
);
const later = fc.oneof(
  first,
  fc.record({ kind: fc.constant('peg'), diameter: length(15), height: length(10), x: place, y: place }),
  fc.record({ kind: fc.constant('groove'), rimOf: earlier, width: length(6), depth: length(5) }),
  fc.record({
    kind: fc.constant('drill'),
    diameter: length(9),
    depth: fc.oneof(fc.constant('through'), length(9)),
    x: place,
    y: place,
  }),
  fc.record({ kind: fc.constant('ease'), size: length(2), where }),
  fc.record({ kind: fc.constant('round'), size: length(2), where }),
);
const recipes = fc
  .tuple(first, fc.array(later, { maxLength: 5 }))
  .map(([start, rest]) => [start, ...rest].map((step, index) => Step.parse({ id: `s${index}`, ...step })));

test('any recipe ends in a closed solid with a watertight mesh, or in a fault at one of its steps', async () => {
  const kernel = await testKernel();
  const ends = { whole: 0, fault: 0 };
  fc.assert(
    fc.property(recipes, (steps) => {
      const repair = new RepairDraft('Generated').body('b', 'Body', steps).repair;
      const builder = new BodyBuilder(kernel);
      const built = builder.build(repair.bodies[0]!, evaluateRepair(repair));
      const failed = built.steps.filter((step) => step.state === 'failed');
      const firstFailed = built.steps.findIndex((step) => step.state === 'failed');
      expect(failed.length).toBeLessThanOrEqual(1);
      if (firstFailed >= 0) {
        ends.fault += 1;
        expect(built.steps.slice(0, firstFailed).every((step) => step.state === 'built')).toBe(true);
        expect(built.steps.slice(firstFailed + 1).every((step) => step.state === 'waiting')).toBe(true);
        const [step] = failed;
        if (step?.state === 'failed') expect(sentenceOf(step.fault)).toMatch(/[.]$/);
      } else {
        ends.whole += 1;
      }
      if (built.solid) {
        expect(built.check).toMatchObject({ valid: true, closed: true });
        expect(everyEdgeHasTwoFaces(kernel, built.solid.shape)).toBe(true);
        expect(openEdgeCount(weld(meshOf(built.solid, SCREEN_QUALITY)))).toBe(0);
        expect(built.solid.tagList().every((tag) => /^s\d:[a-z]+\d?$/.test(tag))).toBe(true);
      }
      const findings = findingsOf(figuresOf(built, materialOf('petg')), built.steps);
      expect(findings.some((finding) => finding.code === 'body.stepFailed')).toBe(firstFailed >= 0);
      for (const finding of findings) expect(findingSentence(finding)).toMatch(/[.]$/);
      builder.dispose();
    }),
    { numRuns: 60, interruptAfterTimeLimit: 60_000, markInterruptAsFailure: false },
  );
  // The generator must try both ways a recipe can end.
  expect(ends.whole).toBeGreaterThan(3);
  expect(ends.fault).toBeGreaterThan(3);
}, 120_000);
