import { Matrix4, Quaternion, Vector3 } from 'three';

import { writePly } from '@core/making/formats';
import { ok, type FoundFault, type Result } from '@core/foundations/fault';
import {
  boxOf,
  comparedOver,
  foundFigures,
  alignedByAll,
  likelyUnit,
  meshAligned,
  painted,
  readFound,
  waysFromPlaces,
  waysOver,
  type FoundCompared,
  type FoundMesh,
  type FoundWays,
  type Aligned,
  type PlacePair,
} from '@core/checking/found';
import type { ScanPlace } from '@core/record/model';
import type { SolidMesh, WeldedMesh } from '@core/shaping/part';

import type { FoundRead, FoundShown, Alignments } from './protocol';

/** A spare, a file that is laid over it, and what came of each way of laying it. */
export class ScanComparison {
  #spare: WeldedMesh | null = null;
  #file: { mesh: FoundMesh; name: string } | null = null;
  #inMm: WeldedMesh | null = null;
  #ways: Aligned[] = [];
  #isSure = false;
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

  lay(unitMm: number, onShare: (share: number) => void): Result<Alignments, FoundFault> {
    if (!this.#file) throw new Error('nothing was read');
    this.#shown = null;
    this.#inMm = meshAligned(this.#file.mesh, unitMm, new Matrix4());
    const ways = waysOver(this.#inMm, this.#given(), this.#file.name, onShare);
    return ways.ok ? ok(this.#take(ways.value)) : ways;
  }

  layAt({ turn, move, isSure }: ScanPlace): Alignments {
    if (!this.#file) throw new Error('nothing was read');
    this.#inMm = this.#file.mesh;
    const place = new Matrix4().compose(new Vector3(...move), new Quaternion(...turn), new Vector3(1, 1, 1));
    return this.#take({ ways: [{ place, worth: 0 }], isSure });
  }

  piece(): WeldedMesh {
    const { positions, indices } = this.#piece();
    return { positions: positions.slice(), indices: indices.slice() };
  }

  layBy(pairs: readonly PlacePair[], onShare: (share: number) => void): Result<Alignments, FoundFault> {
    const ways = waysFromPlaces(this.#piece(), this.#given(), pairs, onShare);
    return ways.ok ? ok(this.#take(ways.value)) : ways;
  }

  keepable(way: number, byAll: boolean): { bytes: Uint8Array<ArrayBuffer>; place: ScanPlace } {
    const [at, turn, scale] = [new Vector3(), new Quaternion(), new Vector3()];
    this.#placeOf(way, byAll).decompose(at, turn, scale);
    const place = { turn: turn.normalize().toArray(), move: at.toArray(), isSure: this.#isSure };
    return { bytes: writePly(this.#piece()), place };
  }

  #take({ ways, isSure }: FoundWays): Alignments {
    this.#shown = null;
    this.#ways = ways;
    this.#isSure = isSure;
    return { ways: ways.length, isSure };
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
    return comparedOver(this.#piece(), this.#given(), this.#placeOf(way, byAll), onShare);
  }

  #placeOf(way: number, byAll: boolean): Matrix4 {
    const laid = this.#ways[way];
    if (!laid) throw new Error('nothing is laid');
    return (byAll ? alignedByAll(this.#piece(), this.#given(), laid) : laid).place;
  }

  #piece(): WeldedMesh {
    if (!this.#inMm) throw new Error('nothing was read');
    return this.#inMm;
  }

  #given(): WeldedMesh {
    if (!this.#spare) throw new Error('there is no spare');
    return this.#spare;
  }
}
