import { evaluateRepair } from '@core/fitting/fit';
import { BodyBuilder } from '@core/shaping/solid';
import { startKernel, type Kernel } from '@core/shaping/kernel';
import { REAL_PARTS, repairOf, type Part } from '@core/testing/parts';

import { figure, timePair, type Figure } from './figure';

/** A step on the screen may take so long, ms; no step of a real part takes more than a tenth. */
const STEP_LIMIT_MS = 20_000;

/** The real parts: their longest step, and a size changed late. */
export async function realPartFigures(): Promise<Figure[]> {
  const kernel = await startKernel();
  const longest = REAL_PARTS.map((part) => longestStep(kernel, part));
  const worst = longest.reduce((one, other) => (other.ms > one.ms ? other : one));
  const changes = REAL_PARTS.map((part) => lateChange(kernel, part));
  const sum = (at: 0 | 1) => changes.reduce((total, one) => total + one[at], 0);
  return [
    figure(
      `longest step of the ${REAL_PARTS.length} real parts (${worst.name})`,
      'ms',
      worst.ms,
      STEP_LIMIT_MS / 10,
      {
        atMost: 1,
      },
    ),
    figure(
      `change of the last step of the ${REAL_PARTS.length} real parts, against their full rebuilds`,
      'ms',
      sum(0),
      sum(1),
      {
        atMost: 0.12,
      },
    ),
  ];
}

function longestStep(kernel: Kernel, part: Part): { name: string; ms: number } {
  const repair = repairOf(part);
  const numbers = evaluateRepair(repair);
  const body = repair.bodies[0]!;
  // The second time, since the first of each operation compiles it.
  let found = { name: '', ms: 0 };
  for (let turn = 0; turn < 2; turn += 1) {
    const times: { name: string; ms: number }[] = [];
    const builder = new BodyBuilder(kernel, true);
    let began = performance.now();
    let at = '';
    const end = () => at && times.push({ name: `${part.name}, ${at}`, ms: performance.now() - began });
    builder.build(body, numbers, (stepId) => {
      end();
      [at, began] = [stepId, performance.now()];
    });
    end();
    builder.dispose();
    found = times.reduce((one, other) => (other.ms > one.ms ? other : one));
  }
  return found;
}

function lateChange(kernel: Kernel, part: Part): readonly [number, number] {
  const repair = repairOf(part);
  const numbers = evaluateRepair(repair);
  const body = repair.bodies[0]!;
  const last = body.steps.at(-1)!;
  /** Under another id it is another step, with the numbers that it had. */
  const again = { ...body, steps: [...body.steps.slice(0, -1), { ...last, id: `${last.id}-again` }] };
  let turn = 0;
  const kept = new BodyBuilder(kernel);
  kept.build(body, numbers);
  const timed = timePair(
    5,
    1,
    () => void kept.build((turn += 1) % 2 === 1 ? again : body, numbers),
    () => {
      const builder = new BodyBuilder(kernel);
      builder.build(body, numbers);
      builder.dispose();
    },
  );
  kept.dispose();
  return timed;
}
