import { evaluateRepair } from '@core/fitting/fit';
import type { Body, Step } from '@core/record/model';
import type { Kernel } from '@core/shaping/kernel';
import { fieldOf } from '@core/shaping/recipe';
import { RepairBuilder } from '@core/shaping/solid';
import { testKernel } from '@core/testing/kernel';
import { REAL_PARTS, repairOf } from '@core/testing/parts';

import { CHOICE_EXAMPLES } from './choiceExamples';
import { figureState } from './figureState';
import { STEP_EXAMPLES } from './stepExamples';

/** A size on the picture is pulled and tapped: it has to be the very number of its step, and to say as much. */
let kernel: Kernel;
beforeAll(async () => {
  kernel = await testKernel();
});

const bodyOf = (id: string, steps: readonly Step[], role: Body['role']): Body => ({
  id,
  version: 1,
  name: id,
  role,
  steps: [...steps],
  removed: false,
});

/** Sizes of a state's first body that are not what they stand for, in words. */
function wrongIn(
  state: Parameters<RepairBuilder['build']>[0],
  numbers: Parameters<RepairBuilder['build']>[1],
) {
  const builder = new RepairBuilder(kernel);
  try {
    let seen = 0;
    const wrong = [...builder.build(state, numbers)].flatMap(([bodyId, { annotations }]) =>
      annotations.flatMap(({ stepId, field, value, mm }) => {
        seen += 1;
        const step = state.find(({ id }) => id === bodyId)!.steps.find(({ id }) => id === stepId);
        const own = step && fieldOf(step, field);
        const isOwn = JSON.stringify(own) === JSON.stringify(value);
        const isSaid = value.from !== 'number' || Math.abs(value.mm - mm) < 1e-9;
        return isOwn && isSaid ? [] : [`${step?.kind} ${field}: ${JSON.stringify(value)} said as ${mm}`];
      }),
    );
    return { seen, wrong };
  } finally {
    builder.dispose();
  }
}

test('a size on the picture is the number of its step that it names, in all examples', () => {
  const found = Object.entries({ ...STEP_EXAMPLES, ...CHOICE_EXAMPLES })
    .filter(([name]) => name !== 'text')
    .map(([name, { before, step, other }]) => {
      const beside = other ? [bodyOf('other', other, 'counterpart')] : [];
      const state = figureState(name, { bodies: [bodyOf('part', [...before, step], 'spare'), ...beside] });
      return wrongIn(state.bodies, evaluateRepair(state));
    });
  expect(found.flatMap(({ wrong }) => wrong)).toEqual([]);
  expect(found.reduce((sum, { seen }) => sum + seen, 0)).toBeGreaterThan(100);
});

test.each(REAL_PARTS.slice(0, 8).map((part) => [part.name, part] as const))('and on %s', (_, part) => {
  const repair = repairOf(part);
  const { seen, wrong } = wrongIn(repair.bodies, evaluateRepair(repair));
  expect(wrong).toEqual([]);
  expect(seen).toBeGreaterThan(0);
});
