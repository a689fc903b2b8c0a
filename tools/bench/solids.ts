import { evaluateRepair } from '@core/fit';
import { numberValue, type Body, type Repair } from '@core/model';
import { BodyBuilder, MemoryWatch, startKernel, type Kernel } from '@core/solid';

import { figure, timePair, type Figure } from './figure';
import { wheelByHand } from './wheelByHand';

/** The recipe engine against the kernel alone. */
export async function solidFigures(wheel: Repair): Promise<Figure[]> {
  return [await rebuildAgainstHand(wheel), await lastStepAgainstAll(wheel), await memoryGrowth(wheel)];
}

async function rebuildAgainstHand(wheel: Repair): Promise<Figure> {
  const kernel = await startKernel();
  const body = wheel.bodies[0]!;
  let [fromRecipe, byHand] = [0, 0];
  const [value, baseline] = timePair(
    60,
    15,
    () => {
      const builder = new BodyBuilder(kernel);
      fromRecipe = builder.build(body, evaluateRepair(wheel)).check!.volumeMm3;
      builder.dispose();
    },
    () => {
      byHand = wheelByHand(kernel);
    },
  );
  if (Math.abs(fromRecipe / byHand - 1) > 1e-9) throw new Error('the two wheels are not the same');
  return figure('rebuild of the demo wheel, against the same kernel calls by hand', 'ms', value, baseline, {
    atMost: 1.15,
  });
}

/** The wheel with its last ease at another size each time, so that one step is built anew. */
const withLastStep = (body: Body, mm: number): Body => {
  const last = body.steps.at(-1)!;
  return { ...body, steps: [...body.steps.slice(0, -1), { ...last, size: numberValue(mm) } as typeof last] };
};

async function lastStepAgainstAll(wheel: Repair): Promise<Figure> {
  const kernel = await startKernel();
  const body = wheel.bodies[0]!;
  const numbers = evaluateRepair(wheel);
  const kept = new BodyBuilder(kernel);
  let turn = 0;
  const [value, baseline] = timePair(
    20,
    6,
    () => void kept.build(withLastStep(body, 0.5 + ((turn += 1) % 2) * 0.1), numbers),
    () => {
      const builder = new BodyBuilder(kernel);
      builder.build(body, numbers);
      builder.dispose();
    },
  );
  return figure('change of the last of 5 steps, against the full rebuild', 'ms', value, baseline, {
    atMost: 0.5,
  });
}

/** Memory after many rebuilds with meshes, against after a few; kernels are replaced as the workbench does it. */
async function memoryGrowth(wheel: Repair): Promise<Figure> {
  let kernel = await startKernel();
  let builder = new BodyBuilder(kernel);
  let memory = new MemoryWatch();
  const rebuild = async (count: number) => {
    for (let turn = 0; turn < count; turn += 1) {
      buildOther(kernel, builder, wheel, turn);
      if (!memory.shouldReplace(kernel.wasmMemory.buffer.byteLength)) continue;
      builder.dispose();
      kernel = await startKernel();
      builder = new BodyBuilder(kernel);
      memory = new MemoryWatch();
    }
    return kernel.wasmMemory.buffer.byteLength;
  };
  const few = await rebuild(50);
  const many = await rebuild(450);
  builder.dispose();
  return figure('kernel memory after 500 rebuilds, against after 50', 'MB', many / 1e6, few / 1e6, {
    atMost: 1.1,
  });
}

function buildOther(kernel: Kernel, builder: BodyBuilder, wheel: Repair, turn: number): void {
  const first = wheel.bodies[0]!.steps[0]!;
  const steps = [
    { ...first, width: numberValue(8 + (turn % 7) * 0.1) } as typeof first,
    ...wheel.bodies[0]!.steps.slice(1),
  ];
  const built = builder.build({ ...wheel.bodies[0]!, steps }, evaluateRepair(wheel));
  if (!built.solid || built.solid.kernel !== kernel || !built.mesh()) throw new Error('not built');
}
