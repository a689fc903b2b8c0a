import { evaluateRepair } from '@core/fitting/fit';
import { numberValue, type Body, type Repair } from '@core/record/model';
import { BodyBuilder } from '@core/shaping/solid';
import { startKernel, type Kernel } from '@core/shaping/kernel';
import { MemoryWatch } from '@core/shaping/part';
import { REAL_PARTS, repairOf } from '@core/testing/parts';

import { ByHand, DEMO_BY_HAND, REAL_BY_HAND, type Numbers } from './hand';
import { figure, timePair, type Figure } from './figure';

/** The recipe engine against the kernel alone. */
export async function solidFigures(demos: ReadonlyMap<string, Repair>): Promise<Figure[]> {
  const wheel = demos.get('rack-wheel')!;
  return [...(await rebuildsAgainstHand(demos)), await lastStepAgainstAll(wheel), await memoryGrowth(wheel)];
}

/** A part as a recipe, and the same by hand, which gives its volume. */
interface Pair {
  id: string;
  repair: Repair;
  byHand(): number;
}

/** Each demo part, and the real parts of 8 to 29 steps, from their numbers to the triangles, against the same kernel calls by hand. */
async function rebuildsAgainstHand(demos: ReadonlyMap<string, Repair>): Promise<Figure[]> {
  const kernel = await startKernel();
  const demoPairs = [...demos].map(([id, repair]): Pair => {
    const byHand = DEMO_BY_HAND[id];
    if (!byHand) throw new Error(`${id} is not written by hand`);
    const numbers = resolvedOf(kernel, repair.bodies[0]!, repair);
    return { id, repair, byHand: () => byHand(new ByHand(kernel), numbers) };
  });
  const realPairs = REAL_PARTS.filter(({ name }) => name in REAL_BY_HAND).map((part): Pair => ({
    id: part.name,
    repair: repairOf(part),
    byHand: () => REAL_BY_HAND[part.name]!(new ByHand(kernel), part.sizes),
  }));
  const rows = (pairs: readonly Pair[], all: string, turns: readonly [number, number]) => {
    const timed = pairs.map((pair) => ({ id: pair.id, ...timedPair(kernel, pair, turns) }));
    const sum = (key: 'value' | 'baseline') => timed.reduce((total, one) => total + one[key], 0);
    return [...timed, { id: all, value: sum('value'), baseline: sum('baseline') }].map(
      ({ id, value, baseline }) =>
        figure(`rebuild of ${id}, against the same kernel calls by hand`, 'ms', value, baseline, {
          atMost: 1.15,
        }),
    );
  };
  return [
    ...rows(demoPairs, 'all demo parts', [40, 10]),
    ...rows(realPairs, `${realPairs.length} real parts`, [5, 2]),
  ];
}

function timedPair(
  kernel: Kernel,
  { id, repair, byHand }: Pair,
  [turns, warm]: readonly [number, number],
): { value: number; baseline: number } {
  const evaluated = evaluateRepair(repair);
  let [recipe, hand] = [0, 0];
  const [value, baseline] = timePair(
    turns,
    warm,
    () => {
      const builder = new BodyBuilder(kernel);
      const built = builder.build(repair.bodies[0]!, evaluated);
      recipe = built.check!.volumeMm3;
      built.mesh();
      built.areaMm2();
      builder.dispose();
    },
    () => {
      hand = byHand();
    },
  );
  // The kernel's plain integration is off by 6e-6 between ovals.
  if (Math.abs(recipe / hand - 1) > 1e-5) throw new Error(`${id}: the two parts are not the same`);
  return { value, baseline };
}

/** The numbers of each step, as the recipe resolves them, mm. */
export function resolvedOf(kernel: Kernel, body: Body, repair: Repair): Numbers {
  const builder = new BodyBuilder(kernel);
  builder.build(body, evaluateRepair(repair));
  const { earlier } = builder.after(body.steps.length)!;
  const numbers = [...earlier].map(
    ([id, { lengths }]) => [id, Object.fromEntries(lengthsIn(lengths))] as const,
  );
  builder.dispose();
  return Object.fromEntries(numbers);
}

/** Lengths by their names; those of a place by their own, and those of points by their label: `x2`. */
function lengthsIn(data: object, suffix = ''): [name: string, mm: number][] {
  return Object.entries(data).flatMap(([key, value]: [string, unknown]): [string, number][] => {
    if (Array.isArray(value)) {
      return value.flatMap((point: { label: string }) => lengthsIn(point, point.label));
    }
    if (typeof value !== 'object' || value === null) return [];
    if ('mm' in value && typeof value.mm === 'number') return [[`${key}${suffix}`, value.mm]];
    return lengthsIn(value, suffix);
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
