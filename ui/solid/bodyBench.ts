import { transfer } from 'comlink';

import { no, type Fault, type Result } from '@core/fault';
import { evaluateRepair } from '@core/fit';
import { figuresOf, findingsOf } from '@core/inspect';
import { spareFile, type SpareFile, type SpareFormat } from '@core/make';
import type { Body, Picture, RepairState } from '@core/model';
import {
  BodyBuilder,
  cutOpen,
  drawPicture,
  meshOf,
  SCREEN_QUALITY,
  type Built,
  type CutPlane,
  type Kernel,
  type OpenedSolid,
  type SolidMesh,
} from '@core/solid';
import { materialOf } from '@core/standards';

import type { BuildReply, BuildRequest, BuiltBody } from './protocol';

interface OnBench {
  body: Body;
  builder: BodyBuilder;
  built: Built;
  build: number;
}

/** What the worker does, without the worker: the bodies of one repair on a kernel, kept between builds. */
export class BodyBench {
  #bodies = new Map<string, OnBench>();
  #state: RepairState | null = null;
  #builds = 0;

  constructor(
    private readonly kernel: Kernel,
    private readonly onStep: (bodyId: string, stepId: string) => void,
  ) {}

  build({ state, workshop, known }: BuildRequest): BuildReply {
    this.#state = state;
    const wanted = state.bodies.filter((body) => !body.removed);
    this.#clearAllBut(new Set(wanted.map((body) => body.id)));
    const numbers = evaluateRepair(state, workshop);
    const material = materialOf(state.head.materialId);
    const bodies = wanted.map((body): BuiltBody => {
      const before = this.#bodies.get(body.id);
      const builder = before?.builder ?? new BodyBuilder(this.kernel);
      const built = builder.build(body, numbers, (stepId) => this.onStep(body.id, stepId));
      const same = before && built.rebuiltSteps === 0 && before.built.solid === built.solid;
      const build = same ? before.build : (this.#builds += 1);
      this.#bodies.set(body.id, { body, builder, built, build });
      const figures = figuresOf(built, material);
      return {
        bodyId: body.id,
        build,
        mesh: built.solid && known[body.id] !== build ? meshOf(built.solid, SCREEN_QUALITY) : null,
        steps: built.steps,
        annotations: built.annotations,
        centreLines: built.centreLines,
        figures,
        findings: findingsOf(figures, built.steps),
      };
    });
    const reply = { bodies, memoryBytes: this.kernel.wasmMemory.buffer.byteLength };
    return transfer(
      reply,
      bodies.flatMap(({ mesh }) => (mesh ? buffersOf(mesh) : [])),
    );
  }

  cutOpen(bodyId: string, plane: CutPlane, hatchStepMm: number): OpenedSolid | null {
    const { solid, box } = this.#bodies.get(bodyId)?.built ?? {};
    if (!solid || !box) return null;
    const opened = cutOpen(solid, box, plane, SCREEN_QUALITY, hatchStepMm);
    return opened && transfer(opened, [...buffersOf(opened.mesh), opened.hatching.buffer]);
  }

  file(bodyId: string, format: SpareFormat, label: string, when: string): Result<SpareFile, Fault> {
    const onBench = this.#bodies.get(bodyId);
    if (!onBench || !this.#state) return no({ code: 'step.nothingLeft' });
    return spareFile(format, { head: this.#state.head, ...onBench }, label, when);
  }

  picture(bodyId: string): Picture | null {
    const onBench = this.#bodies.get(bodyId);
    if (!onBench?.built.solid) return null;
    const { check, areaMm2 } = onBench.built;
    return drawPicture(onBench.built.solid, `${check!.volumeMm3.toFixed(3)}-${areaMm2.toFixed(3)}`);
  }

  #clearAllBut(kept: Set<string>): void {
    for (const [id, { builder }] of this.#bodies) {
      if (kept.has(id)) continue;
      builder.dispose();
      this.#bodies.delete(id);
    }
  }
}

const buffersOf = (mesh: SolidMesh): Transferable[] =>
  [mesh.positions, mesh.normals, mesh.indices, mesh.edges].map((array) => array.buffer as ArrayBuffer);
