import { scoped, partsOf, TaggedSolid } from '@core/shaping/kernel';
import { toWorld, WORLD, placedIn, type Affine, KernelRefusal } from '@core/shaping/part';

import { readBoundaries, type BoundaryText, type EdgeOn, type Part, type Use } from './brepText';
import { curveText, surfaceText, type FlatPoint } from './geometry';
import { mapCurve, mapFlatCurve, paceOf, reachOf } from './mapCurve';
import { mapSurface, type MappedSurface, type Reach } from './mapSurface';

type Edge = Extract<Part, { kind: 'Ed' }>;

/** A part at a place of its own: shared ones that are put several times become several. */
interface Instance {
  part: Part;
  place: Affine;
  uses: readonly { way: string; of: Instance }[];
}

/**
 * A solid stretched along the axes about the origin, unevenly if asked: what the kernel's own transformations do not
 * do. It goes through the kernel's open text of boundaries, in which every curve and surface is mapped with its
 * parameter kept, so that edges, faces and their order stay what they were.
 *
 * @throws KernelRefusal where a surface or curve is of a kind that cannot be mapped.
 */
export function stretched(solid: TaggedSolid, by: readonly [number, number, number]): TaggedSolid {
  const { kernel } = solid;
  return scoped((scope) => {
    const all = solid.originMap();
    const own = partsOf(kernel, scope, solid.shape, 'TopAbs_FACE').map((face) => all.get(face)!);
    const text = stretchedText(kernel.BRepToolsWrapper.Write(solid.shape), by);
    const shape = kernel.BRepToolsWrapper.Read(text);
    kernel.BRepLib.EncodeRegularity(shape, SMOOTH_RAD);
    const faces = partsOf(kernel, scope, shape, 'TopAbs_FACE');
    if (faces.length !== own.length) throw new KernelRefusal('a face was lost when it was stretched');
    return new TaggedSolid(
      kernel,
      shape,
      faces.map((face, index) => ({ face: scope.release(face), origins: own[index]! })),
    );
  });
}

const SMOOTH_RAD = 1e-6;

/** The kernel's own, mm. */
const LEAST_TOLERANCE = 1e-7;

/** The same, text to text. */
export function stretchedText(text: string, [x, y, z]: readonly [number, number, number]): string {
  const map: Affine = { origin: [0, 0, 0], x: [x, 0, 0], y: [0, y, 0], z: [0, 0, z] };
  return new Stretch(readBoundaries(text), map, Math.max(x, y, z)).text();
}

class Stretch {
  #instances = new Map<string, Instance>();
  /** In the order in which they are written: smaller ones first. */
  #order: Instance[] = [];
  #mapped = new Map<string, MappedSurface & { index: number }>();
  #flatCurves: string[] = [];
  #curves: string[] = [];
  #surfaces: string[] = [];

  constructor(
    private readonly from: BoundaryText,
    private readonly map: Affine,
    private readonly most: number,
  ) {}

  text(): string {
    const root = this.instance(this.from.root, WORLD);
    this.mapSurfaces();
    const numbers = new Map(this.#order.map((instance, index) => [instance, this.#order.length - index]));
    const uses = (of: Instance) => of.uses.map((use) => `${use.way}${numbers.get(use.of)!} 0`);
    const parts = this.#order.map((instance) =>
      [
        instance.part.kind,
        this.own(instance),
        '',
        unchecked(instance.part.flags),
        [...uses(instance), '*'].join(' '),
      ].join('\n'),
    );
    return [
      '\nCASCADE Topology V3, (c) Open Cascade',
      'Locations 0',
      listed('Curve2ds', this.#flatCurves),
      listed('Curves', this.#curves),
      'Polygon3D 0',
      'PolygonOnTriangulations 0',
      listed('Surfaces', this.#surfaces),
      'Triangulations 0',
      '',
      listed('TShapes', parts),
      '',
      `${this.from.root.way}${numbers.get(root)!} 0`,
      '',
    ].join('\n');
  }

  private tolerance({ tolerance }: { tolerance: number }): number {
    return Math.max(tolerance * this.most, LEAST_TOLERANCE);
  }

  private placed(at: number, within: Affine): Affine {
    return at === 0 ? within : placedIn(within, this.from.places[at - 1]!);
  }

  private instance(use: Use, within: Affine): Instance {
    const place = this.placed(use.place, within);
    const key = `${use.shape} ${placeKey(place)}`;
    const known = this.#instances.get(key);
    if (known) return known;
    const part = this.from.parts[use.shape]!;
    const uses = part.uses.map((inner) => ({ way: inner.way, of: this.instance(inner, place) }));
    const instance = { part, place, uses };
    this.#instances.set(key, instance);
    this.#order.push(instance);
    return instance;
  }

  private surfaceKey(surface: number, place: number, within: Affine): string {
    return `${surface} ${placeKey(this.placed(place, within))}`;
  }

  /** Surfaces first: what their edges take of them, and how their parameters change, is known then. */
  private mapSurfaces(): void {
    const reaches = new Map<string, FlatPoint[]>();
    for (const { part, place } of this.#order) {
      if (part.kind !== 'Ed') continue;
      for (const on of part.on) {
        const key = this.surfaceKey(on.surface, on.place, place);
        const points = on.curves.flatMap((curve) => reachOf(this.from.flatCurves[curve]!, part.range));
        reaches.set(key, [...(reaches.get(key) ?? []), ...points]);
      }
    }
    for (const { part, place } of this.#order) {
      if (part.kind !== 'Fa') continue;
      const key = this.surfaceKey(part.surface, part.place, place);
      if (this.#mapped.has(key)) continue;
      const whole = placedIn(this.map, this.placed(part.place, place));
      const surface = this.from.surfaces[part.surface]!;
      const reach = reaches.get(key);
      // Only of a plane need it not be known how far it goes.
      if (!reach && surface.kind !== 'plane') throw new KernelRefusal('a face has no edges in its surface');
      const result = mapSurface(surface, whole, boundsOf(reach ?? []));
      this.#surfaces.push(surfaceText(result.surface));
      this.#mapped.set(key, { ...result, index: this.#surfaces.length });
    }
  }

  private own({ part, place }: Instance): string {
    switch (part.kind) {
      case 'Ve': {
        const at = toWorld(this.map, toWorld(place, part.at));
        return `${this.tolerance(part)}\n${at.join(' ')}\n0 0`;
      }
      case 'Ed':
        return this.edge(part, place);
      case 'Fa': {
        const { index } = this.#mapped.get(this.surfaceKey(part.surface, part.place, place))!;
        return `0 ${this.tolerance(part)} ${index} 0`;
      }
      default:
        return '';
    }
  }

  private edge(edge: Edge, place: Affine): string {
    const lines = [` ${this.tolerance(edge)} ${edge.marks.join(' ')}`];
    let pace = 1;
    const ranged = () => edge.range.map((end) => end * pace).join(' ');
    if (edge.curve) {
      const whole = placedIn(this.map, this.placed(edge.curve.place, place));
      const curve = this.from.curves[edge.curve.curve]!;
      pace = paceOf(curve, whole);
      this.#curves.push(curveText(mapCurve(curve, whole, edge.range)));
      lines.push(`1 ${this.#curves.length} 0 ${ranged()}`);
    } else if (edge.marks[2] !== 1) throw new KernelRefusal('an edge has no curve in space');
    for (const on of edge.on) {
      const surface = this.#mapped.get(this.surfaceKey(on.surface, on.place, place));
      // Left over from an earlier operation: no face is on it any more.
      if (!surface) continue;
      const numbers = this.flat(on, surface, edge.range, pace);
      const curves = on.curves.length === 2 ? `3 ${numbers[0]} ${numbers[1]}${on.meets}` : `2 ${numbers[0]}`;
      lines.push(`${curves} ${surface.index} 0 ${ranged()}`);
    }
    return [...lines, '0'].join('\n');
  }

  private flat(
    on: EdgeOn,
    { flat }: MappedSurface,
    range: readonly [number, number],
    pace: number,
  ): number[] {
    return on.curves.map((curve) => {
      this.#flatCurves.push(curveText(mapFlatCurve(this.from.flatCurves[curve]!, flat, range, pace)));
      return this.#flatCurves.length;
    });
  }
}

const listed = (name: string, entries: readonly string[]) =>
  [`${name} ${entries.length}`, ...entries].join('\n');

/** Marks say among other things that it has been checked: it has not. */
const unchecked = (flags: string) => `${flags.slice(0, 2)}0${flags.slice(3)}`;

/** Places that differ by a rounding are one. */
const placeKey = ({ origin, x, y, z }: Affine) =>
  [origin, x, y, z].map((direction) => direction.map((one) => Math.round(one * 1e9)).join(',')).join(';');

function boundsOf(points: readonly FlatPoint[]): Reach {
  const range = (axis: 0 | 1) => {
    const all = points.map((point) => point[axis]);
    return [Math.min(...all), Math.max(...all)] as const;
  };
  return { u: range(0), v: range(1) };
}
