import type { StepFault } from '@core/foundations/fault';
import { factsOf, type SettledStep } from '@core/record/model';
import { solidOf } from '@core/shaping/steps/solids';

/** How far a tool is made to overlap what it would touch along a line, mm: a micrometre, a tenth of what anybody measures. */
const HAIR_MM = 0.001;
/** What a part may seem to be whose faces were made one and cross. */
const CROSSED: readonly StepFault['code'][] = ['step.notValid', 'step.nothingLeft'];

/** Steps that make one face of several, where they lie in one another. */
const mergesFaces = (step: SettledStep): boolean =>
  factsOf(step).makes === 'solid' || solidOf(step.kind).merges === true;

/** A step that was tried, with what is its own key. */
export interface Tried {
  own: string;
  step: SettledStep;
}

/** What is done otherwise for steps that came out wrong as they stand; by a step's own key. */
export class SecondTries {
  /** How much wider its tool is made, mm. */
  readonly #hairs = new Map<string, number>();
  /** Those whose flush faces are not made one. */
  readonly #apart = new Set<string>();

  hairOf(own: string): number {
    return this.#hairs.get(own) ?? 0;
  }

  /** Whether its flush faces are made one. */
  merges(own: string): boolean {
    return !this.#apart.has(own);
  }

  hadHair(own: string): boolean {
    return this.#hairs.has(own);
  }

  /** Narrower by a hair a tool that is held elsewhere too is still one with the part. */
  makeNarrower(own: string): void {
    this.#hairs.set(own, -HAIR_MM);
  }

  /** @param isHeld held elsewhere too: then it overlaps by a hair, else it stays as it stands. */
  settleHair(own: string, isHeld: boolean): void {
    this.#hairs.set(own, isHeld ? HAIR_MM : 0);
  }

  /**
   * Flush round faces that are made one across their seam may cross, and what the kernel was given is then no longer as it was (kernel-notes). Left
   * apart they do not: those of the step itself, or else those of all before it. All is to be built anew.
   *
   * @returns the own keys that are left apart now and were not before; none where that can't help.
   */
  leaveApart({ own, step }: Tried, before: readonly Tried[], fault: StepFault): string[] {
    if (!CROSSED.includes(fault.code) || !mergesFaces(step)) return [];
    const others = before.flatMap((one) =>
      one.own !== own && mergesFaces(one.step) && this.merges(one.own) ? [one.own] : [],
    );
    const more = this.merges(own) ? [own] : others;
    for (const one of more) this.#apart.add(one);
    return more;
  }

  /** What stayed wrong with its flush faces apart has them made one again. */
  makeOneAgain(owns: readonly string[]): void {
    for (const own of owns) this.#apart.delete(own);
  }
}
