import fc from 'fast-check';

import { evaluateRepair } from '@core/fit';
import { findingsOf, figuresOf } from '@core/inspect';
import type { StepKind } from '@core/model';
import {
  everyEdgeHasTwoFaces,
  meshOf,
  openEdgeCount,
  RepairBuilder,
  SCREEN_QUALITY,
  weld,
} from '@core/solid';
import { materialOf } from '@core/standards';
import { anyRecipe } from '@core/testing/anyRecipe';
import { testKernel } from '@core/testing/kernel';
import { RepairDraft } from '@core/testing/repairDraft';
import { findingSentence, sentenceOf } from '@core/wording';

/** Bounds the time on a slow machine; a usual one gets through all of them. */
const LIMIT_MS = 200_000;

test('any recipe ends in a closed solid with a watertight mesh, or in a fault at one of its steps', async () => {
  const kernel = await testKernel();
  const ends = { whole: 0, fault: 0 };
  const kinds = new Set<StepKind>();
  fc.assert(
    fc.property(anyRecipe, (steps) => {
      const repair = new RepairDraft('Generated').body('b', 'Body', steps).repair;
      const builder = new RepairBuilder(kernel);
      const built = builder.build(repair.bodies, evaluateRepair(repair)).get('b')!;
      const failed = built.steps.filter((step) => step.state === 'failed');
      const firstFailed = built.steps.findIndex((step) => step.state === 'failed');
      expect(failed.length).toBeLessThanOrEqual(1);
      built.steps.forEach((step, index) => {
        if (step.state === 'built') kinds.add(steps[index]!.kind);
      });
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
        expect(built.solid.tagList().every((tag) => /^s\d:[A-Za-z]+\d*$/.test(tag))).toBe(true);
      }
      const findings = findingsOf(figuresOf(built, materialOf('petg')), built.steps);
      expect(findings.some((finding) => finding.code === 'body.stepFailed')).toBe(firstFailed >= 0);
      for (const finding of findings) expect(findingSentence(finding)).toMatch(/[.]$/);
      builder.dispose();
    }),
    {
      numRuns: Number(process.env.EVEN_SPARE_RECIPES ?? 1000),
      interruptAfterTimeLimit: LIMIT_MS,
      markInterruptAsFailure: false,
    },
  );
  // The generator must try both ways a recipe can end, with most kinds of steps built.
  expect(ends.whole).toBeGreaterThan(20);
  expect(ends.fault).toBeGreaterThan(20);
  expect(kinds.size).toBeGreaterThan(15);
}, 400_000);
