import { no, ok, type NamedLength, type Result, type StepFault } from '@core/foundations/fault';
import { settledStep, type EvaluatedRepair } from '@core/fitting/fit';
import {
  checkSolid,
  everyEdgeHasTwoFaces,
  touchesAtEdge,
  guarded,
  type Kernel,
  edgesOf,
  isSoundMesh,
  type TaggedSolid,
} from '@core/shaping/kernel';
import {
  bodiesUsedBy,
  effectOf,
  isThere,
  placeOf,
  type Body,
  type Place,
  type SettledStep,
  type Step,
  type StepKind,
  factsOf,
} from '@core/record/model';
import {
  type Annotation,
  type CentreLine,
  type BehindOutline,
  type SeenPiece,
  type Box,
  type SolidCheck,
  SCREEN_QUALITY,
  type SolidMesh,
  plainPlacement,
  type Placement,
  type StepNote,
  type StepOutcome,
  type PlaceNumbers,
  KernelRefusal,
} from '@core/shaping/part';
import {
  placementOf,
  type StepInput,
  type StepNumbers,
  type Surroundings,
  frameOfOutline,
  drawingOf,
  withFollowed,
  type PlacedDrawing,
  type VolumeBound,
} from '@core/shaping/forming';
import { buildStep, placedTool, solidOf } from '@core/shaping/steps/solids';
import { type LengthsOf, resolveStep } from '@core/shaping/steps/kinds';

import { behindOutline, seenBehind } from './behindOutline';
import { drawnOf } from './drawnSteps';
import { addTo, earlierOf } from './earlierSteps';
import { KeptOfFaces } from './keptOfFaces';
import { SecondTries, type Tried } from './secondTries';
import { boundOf, findFault, isRisky } from './stepChecks';

/** What a rebuild gave. `solid` is what the steps up to the first failure made; null if there is nothing. */
export interface Built {
  solid: TaggedSolid | null;
  /** Its triangles and edges at the quality of the screen, made when first asked for. Belongs to the builder: copy it to keep it. */
  mesh(): SolidMesh | null;
  check: SolidCheck | null;
  /** Area of all faces, mm², added up when it is asked for; 0 if there is nothing. */
  areaMm2(): number;
  box: Box | null;
  steps: StepOutcome[];
  annotations: Annotation[];
  centreLines: CentreLine[];
  /** Steps that were built anew; the rest came from the cache. */
  rebuiltSteps: number;
  /** Edges of what the failing step would have added or taken away, as segments; null where it made nothing. */
  failedTool: Float32Array | null;
}

/** A step that was built, with all that its solid needs to be used again. */
interface Link {
  key: string;
  /** The same without what the builder itself has added. */
  own: string;
  solid: TaggedSolid;
  check: SolidCheck;
  /** Worked out when it is first asked for. */
  areaMm2: number | null;
  /** Every edge has two faces, and the triangles close; looked at when it matters. */
  sealed: boolean | null;
  /** Triangles for the screen, made when they are first wanted. */
  mesh: SolidMesh | null;
  box: Box;
  numbers: StepNumbers;
  notes: readonly StepNote[];
}

/**
 * Builds a body from its recipe, and builds it again from the first step that changed. Holds the solid after
 * every step; `dispose` frees them. Solids it hands out belong to it and last until the next build.
 */
export class BodyBuilder {
  #chain: Link[] = [];
  #changes = 0;
  #failedTool: Float32Array | null = null;
  readonly #second = new SecondTries();
  /** The step at which building the chain ended. */
  #failed: Tried | null = null;
  /** ... with its numbers. */
  #failedNumbers: StepNumbers | null = null;
  readonly #kept: KeptOfFaces;

  /**
   * @param thorough the triangles of every part are looked at, not only of those whose steps are known to leave them
   * open. They are made for the screen and for files anyway.
   */
  constructor(
    private readonly kernel: Kernel,
    private readonly thorough = false,
  ) {
    this.#kept = new KeptOfFaces(kernel);
  }

  /**
   * @param onStep called before each step that has to be built, so that a watcher can name the one that hangs.
   * @throws KernelTrap when the kernel can no longer be used.
   */
  build(
    body: Body,
    numbers: EvaluatedRepair,
    onStep: (stepId: string) => void = () => {},
    surroundings: Surroundings = ALONE,
  ): Built {
    const steps = body.steps.filter(({ off }) => !off);
    const { fault, rebuilt } = this.#buildSealed(body.steps, { numbers, onStep, surroundings });
    const last = this.#chain.at(-1);
    return {
      solid: last?.solid ?? null,
      mesh: () => (last ? this.#meshOf(last) : null),
      check: last?.check ?? null,
      areaMm2: () => (last ? (last.areaMm2 ??= this.#kept.areaOf(last.solid)) : 0),
      box: last?.box ?? null,
      steps: body.steps.map((step): StepOutcome => {
        const stepId = step.id;
        const index = steps.indexOf(step);
        if (index < 0) return { stepId, state: 'off' };
        const link = this.#chain[index];
        if (link) return { stepId, state: 'built', ...(link.notes.length > 0 ? { notes: link.notes } : {}) };
        if (index === this.#chain.length && fault) return { stepId, state: 'failed', fault };
        return { stepId, state: 'waiting' };
      }),
      ...drawnOf(this.#chain.map((link) => link.numbers)),
      rebuiltSteps: rebuilt,
      failedTool: fault ? this.#failedTool : null,
    };
  }

  /** Changes whenever the solid does. */
  get key(): string {
    return String(this.#changes);
  }

  dispose(): void {
    this.#kept.dispose();
    this.#cutChain(0);
  }

  /**
   * Builds the chain and looks whether it closes. A tool that touches the part along a line alone, but is held elsewhere too, is made
   * to overlap there by a hair: narrower by one it would still be one with the part.
   */
  #buildSealed(all: readonly Step[], work: Work): { fault: StepFault | null; rebuilt: number } {
    let rebuilt = 0;
    const build = () => {
      this.#failed = null;
      this.#failedNumbers = null;
      const made = this.#buildChain(all, work);
      rebuilt += made.rebuilt;
      return made.failure;
    };
    const left: string[] = [];
    const given = (fault: StepFault | null) => {
      this.#second.makeOneAgain(left);
      return { fault, rebuilt };
    };
    for (;;) {
      const failure = build();
      if (failure && this.#failed && this.#leaveApart(this.#failed, failure, left)) continue;
      const unsealed = this.#unsealed();
      if (!unsealed) return failure ? given(failure) : { fault: null, rebuilt };
      const { index, fault } = unsealed;
      const { own, numbers } = this.#chain[index]!;
      if (this.#leaveApart({ own, step: numbers.step }, fault, left)) continue;
      const pieces = this.#chain[index - 1]?.check.pieces ?? 0;
      const mayOverlap =
        fault.code === 'step.touchesAtEdge' &&
        !this.#second.hadHair(own) &&
        factsOf(numbers.step).makes === 'solid' &&
        effectOf(numbers.step) === 'add';
      if (!mayOverlap) {
        this.#cutChain(index);
        return given(fault);
      }
      this.#second.makeNarrower(own);
      build();
      const narrower = this.#chain[index];
      const isHeld = narrower?.own === own && narrower.check.pieces === pieces;
      this.#second.settleHair(own, isHeld);
    }
  }

  /** Lets flush faces stay apart where that may help, and begins anew. @param left gets the links whose faces do. */
  #leaveApart(tried: Tried, fault: StepFault, left: string[]): boolean {
    const before = this.#chain.map(({ own, numbers }) => ({ own, step: numbers.step }));
    const more = this.#second.leaveApart(tried, before, fault);
    left.push(...more);
    if (more.length === 0) return false;
    this.#cutChain(0);
    return true;
  }

  /** Makes the chain current as far as it goes; afterwards it holds the steps before the first failure. */
  #buildChain(all: readonly Step[], work: Work): { failure: StepFault | null; rebuilt: number } {
    const earlier = new Map<string, StepNumbers>();
    let rebuilt = 0;
    const steps = all.filter(({ off }) => !off);
    for (const [index, step] of steps.entries()) {
      const place = all.indexOf(step) + 1;
      const link = this.#linkFor(index, { step, place }, earlier, work);
      if (!link.ok) {
        this.#cutChain(index);
        return { failure: link.fault, rebuilt };
      }
      if (!link.value.reused) rebuilt += 1;
      addTo(earlier, this.#chain[index]!.numbers);
    }
    this.#cutChain(steps.length);
    return { failure: null, rebuilt };
  }

  /**
   * The most expensive checks, that every edge has a face on both sides and, after steps that may leave it otherwise, that the
   * triangles close round the volume, are made of the last solid alone: what is open does not close again. If one
   * fails, the step that opened it is looked for.
   */
  #unsealed(): { index: number; fault: StepFault } | null {
    const isSealed = (link: Link) =>
      (link.sealed ??=
        everyEdgeHasTwoFaces(this.kernel, link.solid.shape) &&
        (!(this.thorough || this.#chain.some(({ numbers }) => isRisky(numbers.step))) ||
          isSoundMesh(this.#meshOf(link), link.check.volumeMm3)));
    const last = this.#chain.at(-1);
    if (!last || isSealed(last)) return null;
    const opened = this.#chain.findIndex((link) => !isSealed(link));
    const touches = touchesAtEdge(this.kernel, this.#chain[opened]!.solid.shape);
    return {
      index: opened,
      fault: touches ? { code: 'step.touchesAtEdge' } : { code: 'step.notValid', reason: 'notClosed' },
    };
  }

  #meshOf(link: Link): SolidMesh {
    return (link.mesh ??= this.#kept.meshOf(link.solid));
  }

  /** Makes sure that link `index` of the chain is current. */
  #linkFor(
    index: number,
    { step: written, place: number }: { step: Step; place: number },
    earlier: ReadonlyMap<string, StepNumbers>,
    { numbers, onStep, surroundings }: Work,
  ): Result<{ reused: boolean }, StepFault> {
    const settled = settledStep(written, numbers);
    if (!settled.ok) return settled;
    const step = settled.value;
    const type = solidOf(step.kind);
    const resolved = resolveStep(step, numbers);
    if (!resolved.ok) return resolved;
    const of = type.restsOn?.(step).map((id) => earlier.get(id) ?? null) ?? null;
    const keysOfOthers: string[] = [];
    for (const id of bodiesUsedBy(step)) {
      const other = surroundings.bodyOf(id, step.kind === 'body' ? step.byFits : false);
      if (!other.ok) return other;
      keysOfOthers.push(other.value.key);
    }
    const font = step.kind === 'text' && surroundings.font !== null;
    const own = JSON.stringify([{ ...step, ...WORDS_ALONE }, resolved.value, of, keysOfOthers, font]);
    const hair = this.#second.hairOf(own);
    const merge = this.#second.merges(own);
    const key = `${own} ${hair} ${merge}`;
    if (this.#chain[index]?.key === key) return ok({ reused: true });

    this.#cutChain(index);
    this.#failedTool = null;
    onStep(step.id);
    const before = this.#chain[index - 1] ?? null;
    const there = { before: before?.solid ?? null, box: before?.box ?? null, earlier };
    const place = placeOf(step);
    const stand = place
      ? this.#attempt(() =>
          this.#standOf(step, place, placeIn(resolved.value), { ...there, ...surroundings }),
        )
      : ok(plainPlacement(there.box));
    if (!stand.ok) return stand;
    const lengths = type.settled?.(step, resolved.value, stand.value) ?? resolved;
    if (!lengths.ok) return lengths;
    const notes: StepNote[] = [];
    const input: StepInput = {
      kernel: this.kernel,
      merge,
      hair,
      note: (note) => void notes.push(note),
      ...there,
      ...surroundings,
      stand: stand.value,
      toolOf: (of) =>
        // What is kept in common with one solid is not kept in common with several.
        effectOf(of.step) === 'common'
          ? null
          : placedTool(of.step, of.lengths, { ...input, stand: of.stand }),
    };
    const bound = boundOf(step, earlier);
    const known = {
      kind: step.kind,
      step,
      place: number,
      stand: input.stand,
      cuts: bound === 'cuts',
      lengths: lengths.value,
      // Kind, step and lengths belong together: they were settled and resolved from one step.
    } as StepNumbers;
    const followed = this.#attempt(() => withFollowed(known, input));
    if (!followed.ok) {
      this.#failedNumbers = known;
      return followed;
    }
    const stepNumbers = followed.value;
    const made = this.#sound(() => buildStep(step, stepNumbers.lengths, input), before?.check ?? null, bound);
    if (!made.ok) {
      this.#failed = { own, step };
      this.#failedNumbers = stepNumbers;
      this.#failedTool = this.#outlineOfTool(step, stepNumbers.lengths, input);
      return made;
    }
    const { solid, check } = made.value;
    const box = this.#kept.boxOf(solid);
    this.#changes += 1;
    this.#chain.push({
      key,
      solid,
      check,
      areaMm2: null,
      sealed: null,
      mesh: null,
      own,
      box,
      notes,
      numbers: stepNumbers,
    });
    return ok({ reused: false });
  }

  /** What a step gave, held against what such a step can do. */
  #sound(
    build: () => Result<TaggedSolid, StepFault>,
    before: SolidCheck | null,
    bound: VolumeBound,
  ): Result<{ solid: TaggedSolid; check: SolidCheck }, StepFault> {
    const made = this.#attempt(build);
    if (!made.ok) return made;
    const solid = made.value;
    const check = guarded(this.kernel, () => checkSolid(solid));
    const fault = findFault(check, before, bound);
    if (!fault) return ok({ solid, check });
    solid.dispose();
    return no(fault);
  }

  /** Where a step stands: where its outline stands that was taken from elsewhere, if its place says so. */
  #standOf(
    step: SettledStep,
    place: Place<number>,
    numbers: PlaceNumbers,
    there: Pick<StepInput, 'before' | 'box' | 'earlier' | 'bodyOf'>,
  ): Result<Placement, StepFault> {
    if (!isThere(place) || !('outline' in step) || !step.outline) return placementOf(place, numbers, there);
    const taken = frameOfOutline(step.outline, { kernel: this.kernel, ...there });
    return taken.ok ? placementOf(place, numbers, { ...there, taken: taken.value }) : taken;
  }

  /** For the picture of a step that failed: where its tool would have been. */
  #outlineOfTool(step: SettledStep, lengths: StepNumbers['lengths'], input: StepInput): Float32Array | null {
    const tool = this.#attempt(() => placedTool(step, lengths, input) ?? no({ code: 'step.nothingLeft' }));
    if (!tool.ok) return null;
    const edges = edgesOf(this.kernel, tool.value.shape, SCREEN_QUALITY);
    tool.value.dispose();
    return edges;
  }

  /**
   * The solid after a number of steps (those that are switched off not counted), and the numbers of the steps before;
   * null if it was not built that far.
   */
  after(
    count = this.#chain.length,
  ): { solid: TaggedSolid; box: Box; earlier: ReadonlyMap<string, StepNumbers> } | null {
    const link = this.#chain[count - 1];
    if (!link) return null;
    const earlier = earlierOf(this.#chain.slice(0, count).map(({ numbers }) => numbers));
    return { solid: link.solid, box: link.box, earlier };
  }

  /**
   * The part behind a drawing of a step, also of one that can't be built yet; null where nothing is, or where it has no place.
   *
   * @param field where the step holds the drawing. @param other another body, to be seen instead.
   */
  behind(stepId: string, field: string, other?: TaggedSolid): BehindOutline | null {
    const found = this.#numbersOf(stepId);
    const solid = other ?? found?.before;
    return found && solid ? behindOutline(this.kernel, solid, found.numbers, field) : null;
  }

  /** What of the part behind a drawing can be followed; arguments as those of behind. */
  seen(stepId: string, field: string, other?: TaggedSolid): SeenPiece[] {
    const found = this.#numbersOf(stepId);
    const solid = other ?? found?.before;
    return found && solid ? seenBehind(solid, found.numbers, field) : [];
  }

  /** The drawing of a step that has a place, with its numbers as the step was built: what follows the part is where that is. */
  drawingOf(stepId: string): PlacedDrawing | null {
    const found = this.#numbersOf(stepId);
    return found && drawingOf(found.numbers);
  }

  /** Numbers of a step that was built, or that failed last, and what it found. */
  #numbersOf(stepId: string): { numbers: StepNumbers; before: TaggedSolid | undefined } | null {
    const index = this.#chain.findIndex(({ numbers }) => numbers.step.id === stepId);
    const isFailed = index < 0 && this.#failedNumbers?.step.id === stepId;
    const numbers = isFailed ? this.#failedNumbers : this.#chain[index]?.numbers;
    return numbers
      ? { numbers, before: this.#chain[isFailed ? this.#chain.length - 1 : index - 1]?.solid }
      : null;
  }

  #attempt<T>(work: () => Result<T, StepFault>): Result<T, StepFault> {
    try {
      return guarded(this.kernel, work);
    } catch (error) {
      if (error instanceof KernelRefusal) return no({ code: 'step.kernelFailed', message: error.message });
      throw error;
    }
  }

  #cutChain(length: number): void {
    if (length < this.#chain.length) this.#changes += 1;
    for (const link of this.#chain.splice(length)) link.solid.dispose();
  }
}

/** What a step says to people and not to the kernel. */
const WORDS_ALONE = { note: undefined, heading: undefined };

/** The numbers of a step's place. */
const placeIn = (lengths: LengthsOf<StepKind>): PlaceNumbers =>
  'place' in lengths ? lengths.place : AT_ORIGIN;
const ZERO: NamedLength = { what: 'place', tag: null, mm: 0 };
const AT_ORIGIN: PlaceNumbers = { x: ZERO, y: ZERO };

/** What a build works from. */
interface Work {
  numbers: EvaluatedRepair;
  onStep(stepId: string): void;
  surroundings: Surroundings;
}

/** A body by itself. */
const ALONE: Surroundings = { font: null, bodyOf: () => no({ code: 'body.gone' }) };
