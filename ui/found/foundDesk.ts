import { Matrix4 } from 'three';

import { ok, type FoundFault, type Result } from '@core/fault';
import {
  boxOf,
  comparedOver,
  foundFigures,
  laidByAll,
  likelyUnit,
  meshLaid,
  painted,
  readFound,
  waysOver,
  type FoundCompared,
  type FoundMesh,
  type Laid,
} from '@core/found';
import type { SolidMesh, WeldedMesh } from '@core/part';

import type { FoundRead, FoundShown, LaidWays } from './protocol';

/** A spare, a file that is laid over it, and what came of each way of laying it. */
export class FoundDesk {
  #spare: WeldedMesh | null = null;
  #file: { mesh: FoundMesh; name: string } | null = null;
  #inMm: WeldedMesh | null = null;
  #ways: Laid[] = [];
  /** The way that was shown last: with another limit it is not compared anew. */
  #shown: { way: number; byAll: boolean; compared: FoundCompared } | null = null;

  setSpare({ positions, indices }: SolidMesh): void {
    this.#spare = { positions, indices };
    this.#file = null;
    this.#shown = null;
  }

  read(bytes: Uint8Array, name: string): Result<FoundRead, FoundFault> {
    const read = readFound(bytes, name);
    if (!read.ok) return read;
    const mesh = read.value;
    this.#file = { mesh, name };
    return ok({
      triangles: mesh.indices.length / 3,
      box: boxOf(mesh),
      unitMm: mesh.unitMm,
      likely: likelyUnit(mesh, this.#given()),
    });
  }

  lay(unitMm: number, onShare: (share: number) => void): Result<LaidWays, FoundFault> {
    if (!this.#file) throw new Error('nothing was read');
    this.#shown = null;
    this.#inMm = meshLaid(this.#file.mesh, unitMm, new Matrix4());
    const ways = waysOver(this.#inMm, this.#given(), this.#file.name, onShare);
    if (!ways.ok) return ways;
    this.#ways = ways.value.ways;
    return ok({ ways: this.#ways.length, isSure: ways.value.isSure });
  }

  show(way: number, byAll: boolean, withinMm: number, onShare: (share: number) => void): FoundShown {
    const spare = this.#given();
    const compared =
      this.#shown?.way === way && this.#shown.byAll === byAll
        ? this.#shown.compared
        : this.#compare(way, byAll, onShare);
    this.#shown = { way, byAll, compared };
    return {
      figures: foundFigures(compared, spare, withinMm),
      painted: painted(compared.painting, withinMm),
    };
  }

  #compare(way: number, byAll: boolean, onShare: (share: number) => void): FoundCompared {
    const [found, spare] = [this.#inMm, this.#given()];
    const laid = this.#ways[way];
    if (!found || !laid) throw new Error('nothing is laid');
    const { place } = byAll ? laidByAll(found, spare, laid) : laid;
    return comparedOver(found, spare, place, onShare);
  }

  #given(): WeldedMesh {
    if (!this.#spare) throw new Error('there is no spare');
    return this.#spare;
  }
}
