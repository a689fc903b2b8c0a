import { transfer } from 'comlink';

import { no, type Fault, type Result } from '@core/foundations/fault';
import { compareShapes } from '@core/checking/comparing';
import { evaluateRepair, type EvaluatedRepair } from '@core/fitting/fit';
import { cautionsBetween, cautionsOf, figuresOf, findingsOf, type Caution } from '@core/checking/inspect';
import type { SpareFile, SpareFormat } from '@core/making/formats';
import { asMade, bedFile, layerMeshOf, spareFile, spareStems, type Spare } from '@core/reporting/make';
import type { Body, EdgeRule, Picture, RepairState } from '@core/record/model';
import { isForTrial } from '@core/shaping/recipe';
import { madeOf, serviceOf } from '@core/checking/strength';
import {
  clearance,
  countEdges,
  cutOpen,
  drawPicture,
  edgesToShow,
  measure,
  morphTarget,
  RepairBuilder,
  sharpRoots,
  slideUntil,
  type Built,
} from '@core/shaping/solid';
import { broughtInto, meshOf, type Kernel, type TaggedSolid } from '@core/shaping/kernel';
import { orientedAxes } from '@core/making/printing';
import type { Vec3 } from '@core/foundations/vectors';
import {
  FILE_QUALITY,
  SCREEN_QUALITY,
  type BehindOutline,
  type SeenPiece,
  type CutPlane,
  type Measured,
  type Motion,
  type OpenedSolid,
  type SolidMesh,
  type WeldedMesh,
  type ShapeDifference,
  KernelRefusal,
  middleOfBox,
} from '@core/shaping/part';
import type { Font } from '@core/shaping/text';
import { growthOf, machineIn, materialIn } from '@core/record/workshop';
import { ownValue } from '@core/foundations/own';

import type {
  BuildReply,
  BuildRequest,
  BuiltBody,
  BuiltFrom,
  Clearance,
  LyingOnBed,
  Morph,
  MorphEnd,
  PickedOn,
  SlideReply,
  SlideWish,
  WorkerCalls,
  Answered,
  UncheckedBody,
} from './protocol';

/** Parts that take longer are not followed by the thumb, ms: both ends of a number's range would have to be built as well. */
const FOLLOWED_MS = 3000;

interface OnBench {
  body: Body;
  built: Built;
  build: number;
  cautions: Caution[];
  /** What they were told for besides the shape: of what it is made, and how. */
  told: string;
}

/** What the worker does, without the worker: the bodies of one repair on a kernel, kept between builds. */
export class BodyBench implements Answered<WorkerCalls> {
  readonly #builder: RepairBuilder;
  readonly #font: Font | null;
  #bodies = new Map<string, OnBench>();
  #state: RepairState | null = null;
  #numbers: EvaluatedRepair | null = null;
  #builds = 0;
  /** The longest build of all bodies: that of everything, unless a change is slower. */
  #longestMs = 0;

  constructor(
    private readonly kernel: Kernel,
    private readonly onStep: (bodyId: string, stepId: string) => void,
    font: Font | null = null,
    private readonly onStands: (body: UncheckedBody) => void = () => {},
  ) {
    this.#font = font;
    this.#builder = new RepairBuilder(kernel, font);
  }

  build({ state, workshop, known }: BuildRequest): BuildReply {
    this.#state = state;
    const wanted = state.bodies.filter((body) => !body.removed);
    const numbers = evaluateRepair(state, workshop);
    this.#numbers = numbers;
    const material = materialIn(numbers.workshop, state.head.materialId);
    const began = performance.now();
    const allBuilt = this.#builder.build(state.bodies, numbers, this.onStep);
    this.#longestMs = Math.max(this.#longestMs, performance.now() - began);
    const before = this.#bodies;
    this.#bodies = new Map();
    this.#showWhatStands(allBuilt, before);
    const bodies = wanted.map((body): BuiltBody => {
      const built = allBuilt.get(body.id)!;
      const old = before.get(body.id);
      const same = old && built.rebuiltSteps === 0 && old.built.solid === built.solid;
      const build = same ? old.build : (this.#builds += 1);
      const figures = figuresOf(built, material);
      const isKnown = ownValue(known, body.id) === build;
      const mesh = same && isKnown ? null : built.mesh();
      const made = madeOf(body, state.head, numbers.workshop);
      const { safety } = serviceOf(body, state.head);
      const told = JSON.stringify([made, safety, body.laying]);
      const cautions =
        same && old.told === told
          ? old.cautions
          : cautionsOf(
              body,
              mesh ?? built.mesh(),
              numbers,
              material,
              (of) => (built.solid ? sharpRoots(built.solid, of) : []),
              built.steps,
              { made, safety },
            );
      this.#bodies.set(body.id, { body, built, build, cautions, told });
      return {
        bodyId: body.id,
        build,
        mesh: isKnown || !mesh ? null : copyOf(mesh),
        steps: built.steps,
        annotations: built.annotations,
        centreLines: built.centreLines,
        figures,
        findings: findingsOf(figures, built.steps, body),
        cautions,
        failedTool: built.failedTool,
      };
    });
    const reply = { bodies, memoryBytes: this.kernel.wasmMemory.buffer.byteLength };
    return transfer(
      reply,
      bodies.flatMap(({ mesh }) => (mesh ? buffersOf(mesh) : [])),
    );
  }

  /** What is new is shown before it is looked over, which can take as long as a third of its making. */
  #showWhatStands(built: ReadonlyMap<string, Built>, before: ReadonlyMap<string, OnBench>): void {
    for (const [bodyId, { solid, steps, mesh, annotations, centreLines }] of built) {
      const failed = steps.some(({ state }) => state === 'failed');
      const drawn = failed || before.get(bodyId)?.built.solid === solid ? null : mesh();
      if (drawn) this.onStands({ bodyId, mesh: copyOf(drawn), annotations, centreLines });
    }
  }

  cutOpen(bodyId: string, plane: CutPlane, hatchStepMm: number): OpenedSolid | null {
    const { solid, box } = this.#bodies.get(bodyId)?.built ?? {};
    if (!solid || !box) return null;
    const opened = cutOpen(solid, box, plane, SCREEN_QUALITY, hatchStepMm);
    return opened && transfer(opened, [...buffersOf(opened.mesh), opened.hatching.buffer]);
  }

  file(bodyId: string, format: SpareFormat, label: string, when: string): Result<SpareFile, Fault> {
    const spare = this.#spare(bodyId, label);
    return spare ? spareFile(format, spare, label, when) : no({ code: 'step.nothingLeft' });
  }

  bedFile(lying: readonly LyingOnBed[], when: string): Result<SpareFile, Fault> {
    const spares = lying.flatMap(({ bodyId, at }) => {
      const spare = this.#spare(bodyId, '');
      return spare ? [{ spare, at }] : [];
    });
    return spares.length === lying.length ? bedFile(spares, when) : no({ code: 'step.nothingLeft' });
  }

  #spare(bodyId: string, label: string): Spare | null {
    const onBench = this.#bodies.get(bodyId);
    if (!onBench || !this.#state || !this.#numbers) return null;
    const { head, bodies } = this.#state;
    const { workshop } = this.#numbers;
    const stem = spareStems(head, bodies, label).get(bodyId)!;
    const growth = growthOf(machineIn(workshop, head.machineId));
    return { head, stem, growth, asMade: asMade(head, onBench.body, workshop), ...onBench };
  }

  picture(bodyId: string): Picture | null {
    const onBench = this.#bodies.get(bodyId);
    if (!onBench?.built.solid) return null;
    const { check, areaMm2 } = onBench.built;
    return drawPicture(onBench.built.solid, `${check!.volumeMm3.toFixed(3)}-${areaMm2().toFixed(3)}`);
  }

  layerMesh(bodyId: string): Result<WeldedMesh, Fault> {
    const onBench = this.#bodies.get(bodyId);
    if (!onBench?.built.solid || !this.#state || !this.#numbers) return no({ code: 'step.nothingLeft' });
    const growth = growthOf(machineIn(this.#numbers.workshop, this.#state.head.machineId));
    const mesh = layerMeshOf(onBench.built, growth);
    return mesh.ok ? transfer(mesh, [mesh.value.positions.buffer, mesh.value.indices.buffer]) : mesh;
  }

  lyingPictures(bodyId: string, downs: readonly Vec3[]): Picture[] {
    const solid = this.#bodies.get(bodyId)?.built.solid;
    if (!solid) return [];
    return downs.map((down) => {
      const laid = broughtInto({ origin: [0, 0, 0], ...orientedAxes(down) }, solid);
      const picture = drawPicture(laid, down.join());
      laid.dispose();
      return picture;
    });
  }

  compareShapes(bodyId: string, before: BuiltFrom, after: BuiltFrom): ShapeDifference | null {
    return this.#builtAside(bodyId, [before, after], ([then, now]) =>
      then && now ? compareShapes(then, now) : null,
    );
  }

  meshFrom(bodyId: string, from: BuiltFrom): SolidMesh | null {
    const mesh = this.#builtAside(bodyId, [from], ([solid]) => (solid ? meshOf(solid, FILE_QUALITY) : null));
    return mesh && transfer(mesh, buffersOf(mesh));
  }

  morph(bodyId: string, now: BuiltFrom, low: BuiltFrom, high: BuiltFrom): Morph | null {
    // Who waits for a slow part would wait for its ends first.
    if (this.#longestMs > FOLLOWED_MS) return null;
    const builder = new RepairBuilder(this.kernel, this.#font);
    const meshed = ({ state, workshop }: BuiltFrom): SolidMesh | null => {
      const numbers = evaluateRepair(state, workshop);
      const built = builder.build(state.bodies, numbers, this.onStep).get(bodyId);
      const mesh = built?.steps.some((step) => step.state === 'failed') ? null : (built?.mesh() ?? null);
      return mesh && copyOf(mesh);
    };
    const between = (): Morph | null => {
      const mesh = meshed(now);
      if (!mesh) return null;
      const endOf = (from: BuiltFrom): MorphEnd | null => {
        const end = meshed(from);
        return end && { mesh: end, target: morphTarget(mesh, end) };
      };
      return { mesh, low: endOf(low), high: endOf(high) };
    };
    let morph: Morph | null;
    try {
      morph = orRefused(between);
    } finally {
      builder.dispose();
    }
    const ends = morph ? [morph.low, morph.high].filter((end) => end !== null) : [];
    return (
      morph &&
      transfer(morph, [
        ...buffersOf(morph.mesh),
        ...ends.flatMap(({ mesh }) => buffersOf(mesh)),
        ...ends.flatMap(({ target }) =>
          target ? [target.positions.buffer as ArrayBuffer, target.edges.buffer as ArrayBuffer] : [],
        ),
      ])
    );
  }

  /** Builds a body of other states than that on the bench, and puts them away after what is done with them. */
  #builtAside<T>(
    bodyId: string,
    states: readonly BuiltFrom[],
    work: (solids: (TaggedSolid | null)[]) => T | null,
  ): T | null {
    const builders = states.map(() => new RepairBuilder(this.kernel, this.#font));
    const all = () => {
      const solids = states.map(({ state, workshop }, index) => {
        const numbers = evaluateRepair(state, workshop);
        const built = builders[index]!.build(state.bodies, numbers, this.onStep).get(bodyId);
        return built?.steps.some((step) => step.state === 'failed') ? null : (built?.solid ?? null);
      });
      return work(solids);
    };
    try {
      return orRefused(all);
    } finally {
      for (const builder of builders) builder.dispose();
    }
  }

  stage(bodyId: string, steps: number): SolidMesh | null {
    const after = this.#builder.of(bodyId)?.after(steps);
    if (!after) return null;
    const mesh = meshOf(after.solid, SCREEN_QUALITY);
    return transfer(mesh, buffersOf(mesh));
  }

  behind(bodyId: string, stepId: string, field: string, otherId: string | null): BehindOutline | null {
    const other = this.#solidOf(otherId);
    if (otherId !== null && !other) return null;
    const behind = this.#builder.of(bodyId)?.behind(stepId, field, other) ?? null;
    return behind && transfer(behind, [behind.segments.buffer as ArrayBuffer]);
  }

  seen(bodyId: string, stepId: string, field: string, otherId: string | null): SeenPiece[] {
    const other = this.#solidOf(otherId);
    return otherId !== null && !other ? [] : (this.#builder.of(bodyId)?.seen(stepId, field, other) ?? []);
  }

  /** A body as it was built; undefined for none. */
  #solidOf(bodyId: string | null) {
    return bodyId === null ? undefined : this.#builder.of(bodyId)?.after()?.solid;
  }

  countEdges(bodyId: string, steps: number, rules: readonly EdgeRule[]): number[] {
    const after = this.#builder.of(bodyId)?.after(steps);
    return rules.map((rule) => (after ? countEdges(after.solid, rule, after.earlier) : 0));
  }

  showEdges(bodyId: string, steps: number, rule: EdgeRule): Float32Array {
    const after = this.#builder.of(bodyId)?.after(steps);
    return after ? edgesToShow(after.solid, rule, after.earlier) : new Float32Array();
  }

  measure(first: PickedOn, second: PickedOn | null): Measured | null {
    const [a, b] = [first, second].map((one) => one && this.#bodies.get(one.bodyId)?.built.solid);
    if (!a || (second && !b)) return null;
    return measure(
      { solid: a, picked: first.picked },
      second && b ? { solid: b, picked: second.picked } : null,
    );
  }

  clearances(bodyId: string): Clearance[] {
    const onBench = this.#bodies.get(bodyId);
    const solid = onBench?.built.solid;
    if (!onBench || !solid || !this.#numbers) return [];
    const own = { solid, body: onBench.body, numbers: this.#numbers };
    const fits = [...this.#numbers.fits.values()].map(({ fit }) => fit);
    if (isForTrial(own.body, fits)) return [];
    return [...this.#bodies.values()].flatMap(({ body, built }) => {
      if (body.id === bodyId || !built.solid || isForTrial(body, fits)) return [];
      const room = clearance(own.solid, built.solid);
      if (!room) return [];
      const cautions = cautionsBetween(own.body, body, room, own.numbers);
      return [{ one: bodyId, other: body.id, ...room, cautions }];
    });
  }

  slide(bodyId: string, wish: SlideWish): SlideReply | null {
    const { solid, box } = this.#bodies.get(bodyId)?.built ?? {};
    if (!solid || !box) return null;
    const others = [...this.#bodies.values()].flatMap(({ body, built }) =>
      body.id !== bodyId && built.solid ? [{ id: body.id, solid: built.solid }] : [],
    );
    const middle = middleOfBox(box);
    const motion: Motion =
      wish.by === 'move'
        ? { by: 'move', direction: wish.direction }
        : { by: 'turn', direction: wish.direction, at: wish.about === 'axle' ? [0, 0, 0] : middle };
    const slid = slideUntil(
      solid,
      others.map((other) => other.solid),
      motion,
      wish.limit,
    );
    return { slid, motion, other: slid.ends === 'free' ? null : (others[slid.other]?.id ?? null) };
  }
}

/** A mesh that can be handed over while the builder keeps its own. */
const copyOf = (mesh: SolidMesh): SolidMesh => ({
  ...mesh,
  positions: mesh.positions.slice(),
  normals: mesh.normals.slice(),
  indices: mesh.indices.slice(),
  edges: mesh.edges.slice(),
});

/** What comes of solids that may not be such that they can be worked with: then nothing, and the screen says so. */
function orRefused<T>(work: () => T | null): T | null {
  try {
    return work();
  } catch (error) {
    if (error instanceof KernelRefusal) return null;
    throw error;
  }
}

export const buffersOf = (mesh: SolidMesh): Transferable[] =>
  [mesh.positions, mesh.normals, mesh.indices, mesh.edges].map((array) => array.buffer as ArrayBuffer);
