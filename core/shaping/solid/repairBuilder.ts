import { no, ok, type Result, type StepFault } from '@core/foundations/fault';
import type { EvaluatedRepair } from '@core/fitting/fit';
import type { Kernel, TaggedSolid } from '@core/shaping/kernel';
import { bodiesUsedBy, type Body } from '@core/record/model';
import type { OtherBody } from '@core/shaping/forming';
import type { Font } from '@core/shaping/text';

import { asFitted } from './asFitted';
import { BodyBuilder, type Built } from './bodyBuilder';

/**
 * Builds all bodies of a repair, those that others use first, and builds again only what changed. `dispose` frees
 * everything it holds.
 */
export class RepairBuilder {
  #builders = new Map<string, BodyBuilder>();

  constructor(
    private readonly kernel: Kernel,
    private readonly font: Font | null = null,
  ) {}

  /**
   * @param onStep called before each step that has to be built.
   * @returns what each body gave, in the order of `bodies`; those that were removed are left out and let go.
   */
  build(
    bodies: readonly Body[],
    numbers: EvaluatedRepair,
    onStep: (bodyId: string, stepId: string) => void = () => {},
  ): Map<string, Built> {
    const wanted = bodies.filter((body) => !body.removed);
    this.#clearAllBut(new Set(wanted.flatMap(({ id }) => [id, fittedKey(id)])));
    const done = new Map<string, Built>();
    const underWay: string[] = [];
    /** Another body as its fits make it; kept by itself, since its own solid stays as measured. */
    const fittedBody = (other: Body): Result<OtherBody, StepFault> => {
      const fitted = asFitted(other, numbers);
      if (!fitted.ok) return fitted;
      const builder = this.#builderOf(fittedKey(other.id));
      const built = builder.build(fitted.value, numbers, (stepId) => onStep(other.id, stepId), {
        font: this.font,
        bodyOf: (id) => {
          const solid = done.get(id)?.solid;
          const used = wanted.find((one) => one.id === id);
          return solid && used
            ? ok(heldBody(used, solid, this.#builderOf(id)))
            : no({ code: 'body.notBuilt', name: used?.name ?? '' });
        },
      });
      const failed = built.steps.find(({ state }) => state === 'failed');
      if (failed?.state === 'failed') return no(failed.fault);
      if (!built.solid) return no({ code: 'body.notBuilt', name: other.name });
      const held = heldBody(other, built.solid, builder);
      return ok({ ...held, key: `fitted ${held.key}` });
    };
    const build = (body: Body): Built => {
      const before = done.get(body.id);
      if (before) return before;
      underWay.push(body.id);
      const builder = this.#builderOf(body.id);
      // Bodies that it uses are built first: the kernel's solids of a build last until the next one of the same body.
      for (const other of usedBy(body)) {
        const used = wanted.find(({ id }) => id === other);
        if (used && !underWay.includes(used.id)) build(used);
      }
      const bodyOf = (id: string, byFits = false): Result<OtherBody, StepFault> => {
        if (id === body.id) return no({ code: 'body.itself' });
        const other = wanted.find((candidate) => candidate.id === id);
        if (!other) return no({ code: 'body.gone' });
        const circle = underWay.indexOf(id);
        if (circle >= 0) {
          const names = underWay.slice(circle).map((one) => wanted.find(({ id: own }) => own === one)!.name);
          return no({ code: 'body.circle', names });
        }
        const built = done.get(id);
        const failed = built?.steps.some(({ state }) => state === 'failed');
        if (!built?.solid || failed) return no({ code: 'body.notBuilt', name: other.name });
        return byFits ? fittedBody(other) : ok(heldBody(other, built.solid, this.#builderOf(id)));
      };
      const built = builder.build(body, numbers, (stepId) => onStep(body.id, stepId), {
        font: this.font,
        bodyOf,
      });
      underWay.pop();
      done.set(body.id, built);
      return built;
    };
    for (const body of wanted) build(body);
    return new Map(wanted.map(({ id }) => [id, done.get(id)!]));
  }

  /** The builder of a body, for what it holds of each step; undefined before the body is built. */
  of(bodyId: string): BodyBuilder | undefined {
    return this.#builders.get(bodyId);
  }

  dispose(): void {
    this.#clearAllBut(new Set());
  }

  #builderOf(id: string): BodyBuilder {
    const found = this.#builders.get(id) ?? new BodyBuilder(this.kernel, true);
    this.#builders.set(id, found);
    return found;
  }

  #clearAllBut(kept: ReadonlySet<string>): void {
    for (const [id, builder] of this.#builders) {
      if (kept.has(id)) continue;
      builder.dispose();
      this.#builders.delete(id);
    }
  }
}

/** Under which a body is kept as its fits make it. */
const fittedKey = (id: string) => `${id} as fitted`;

const usedBy = (body: Body): string[] => body.steps.flatMap((step) => (step.off ? [] : bodiesUsedBy(step)));

/** A body as its builder holds it. */
const heldBody = ({ name }: Body, solid: TaggedSolid, builder: BodyBuilder): OtherBody => ({
  solid,
  name,
  key: builder.key,
  steps: builder.after()?.earlier ?? new Map(),
});
