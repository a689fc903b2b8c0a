import { no, ok, type Result, type StepFault } from '@core/fault';
import type { EvaluatedRepair } from '@core/fit';
import type { Body, Step } from '@core/model';

import type { Annotation, CentreLine } from './annotation';
import { boundingBox, checkSolid, type Box, type SolidCheck } from './check';
import { guarded, KernelRefusal, type Kernel } from './kernel';
import type { StepNumbers } from './stepKind';
import { stepTypeOf } from './steps';
import type { TaggedSolid } from './tagged';

/** How a step ended: built, failed with its fault, or waiting behind one that failed. */
export type StepOutcome =
  | { stepId: string; state: 'built' }
  | { stepId: string; state: 'failed'; fault: StepFault }
  | { stepId: string; state: 'waiting' };

/** What a rebuild gave. `solid` is what the steps up to the first failure made; null if there is nothing. */
export interface Built {
  solid: TaggedSolid | null;
  check: SolidCheck | null;
  box: Box | null;
  steps: StepOutcome[];
  annotations: Annotation[];
  centreLines: CentreLine[];
  /** Steps that were built anew; the rest came from the cache. */
  rebuiltSteps: number;
}

/** A step that was built, with all that its solid needs to be used again. */
interface Link {
  key: string;
  solid: TaggedSolid;
  check: SolidCheck;
  box: Box;
  numbers: StepNumbers;
}

/**
 * Builds a body from its recipe, and builds it again from the first step that changed. Holds the solid after
 * every step; `dispose` frees them. Solids it hands out belong to it and last until the next build.
 */
export class BodyBuilder {
  #chain: Link[] = [];

  constructor(private readonly kernel: Kernel) {}

  /**
   * @param onStep called before each step that has to be built, so that a watcher can name the one that hangs.
   * @throws KernelTrap when the kernel can no longer be used.
   */
  build(body: Body, numbers: EvaluatedRepair, onStep: (stepId: string) => void = () => {}): Built {
    const steps: StepOutcome[] = [];
    const annotations: Annotation[] = [];
    const centreLines: CentreLine[] = [];
    const earlier = new Map<string, StepNumbers>();
    let reused = 0;
    let failed = false;

    for (const [index, step] of body.steps.entries()) {
      if (failed) {
        steps.push({ stepId: step.id, state: 'waiting' });
        continue;
      }
      const before = this.#chain[index - 1];
      const link = this.#linkFor(index, step, numbers, earlier, onStep);
      if (!link.ok) {
        failed = true;
        this.#cutChain(index);
        steps.push({ stepId: step.id, state: 'failed', fault: link.fault });
        continue;
      }
      if (link.value.reused) reused += 1;
      const { numbers: own } = this.#chain[index]!;
      earlier.set(step.id, own);
      steps.push({ stepId: step.id, state: 'built' });
      const place = { box: before?.box ?? null, earlier };
      const drawn = stepTypeOf(step.kind).annotate(step as never, own.lengths, place);
      annotations.push(...drawn.annotations);
      centreLines.push(...drawn.centreLines);
    }
    if (!failed) this.#cutChain(body.steps.length);
    const last = this.#chain.at(-1);
    return {
      solid: last?.solid ?? null,
      check: last?.check ?? null,
      box: last?.box ?? null,
      steps,
      annotations,
      centreLines,
      rebuiltSteps: this.#chain.length - reused,
    };
  }

  dispose(): void {
    this.#cutChain(0);
  }

  /** Makes sure that link `index` of the chain is current. */
  #linkFor(
    index: number,
    step: Step,
    numbers: EvaluatedRepair,
    earlier: ReadonlyMap<string, StepNumbers>,
    onStep: (stepId: string) => void,
  ): Result<{ reused: boolean }, StepFault> {
    const type = stepTypeOf(step.kind);
    const lengths = type.resolve(step as never, numbers);
    if (!lengths.ok) return lengths;
    const key = JSON.stringify([{ ...step, note: undefined }, lengths.value]);
    if (this.#chain[index]?.key === key) return ok({ reused: true });

    this.#cutChain(index);
    onStep(step.id);
    const before = this.#chain[index - 1] ?? null;
    const input = {
      kernel: this.kernel,
      before: before?.solid ?? null,
      box: before?.box ?? null,
      earlier,
    };
    const solid = this.#attempt(() => type.build(step as never, lengths.value, input));
    if (!solid.ok) return solid;
    const check = guarded(this.kernel, () => checkSolid(this.kernel, solid.value.shape));
    const fault = findFault(check, before?.check ?? null, type.effect);
    if (fault) {
      solid.value.dispose();
      return no(fault);
    }
    const box = boundingBox(this.kernel, solid.value.shape);
    this.#chain.push({
      key,
      solid: solid.value,
      check,
      box,
      numbers: { kind: step.kind, lengths: lengths.value },
    });
    return ok({ reused: false });
  }

  #attempt(work: () => Result<TaggedSolid, StepFault>): Result<TaggedSolid, StepFault> {
    try {
      return guarded(this.kernel, work);
    } catch (error) {
      if (error instanceof KernelRefusal) return no({ code: 'step.kernelFailed', message: error.message });
      throw error;
    }
  }

  #cutChain(length: number): void {
    for (const link of this.#chain.splice(length)) {
      this.kernel.BRepTools.Clean(link.solid.shape, true);
      link.solid.dispose();
    }
  }
}

/** Relative change of volume below which a step is taken to have done nothing. */
const NO_CHANGE = 1e-9;

/** Holds what a step gave against what such a step can do. */
function findFault(
  check: SolidCheck,
  before: SolidCheck | null,
  effect: 'starts' | 'adds' | 'cuts' | 'dresses',
): StepFault | null {
  if (check.pieces === 0 || !(check.volumeMm3 > 0)) return { code: 'step.nothingLeft' };
  if (!check.valid) return { code: 'step.notValid', reason: 'the solid crosses itself' };
  if (!check.closed) return { code: 'step.notValid', reason: 'the solid is not closed' };
  if (!before) return null;
  const grown = (check.volumeMm3 - before.volumeMm3) / before.volumeMm3;
  if (effect !== 'dresses' && Math.abs(grown) < NO_CHANGE) return { code: 'step.changesNothing' };
  if ((effect === 'adds' && grown < 0) || (effect === 'cuts' && grown > 0)) {
    return { code: 'step.notValid', reason: `the volume went ${grown < 0 ? 'down' : 'up'}` };
  }
  return null;
}
