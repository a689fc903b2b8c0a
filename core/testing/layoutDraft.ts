import { normalSource } from '@core/fitting/fit';
import type { DatumEdge, Layout, LayoutDistance, LayoutEnd } from '@core/record/model';
import { uniformFloat64 } from 'pure-rand/distribution/uniformFloat64';
import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus';

export interface Spot {
  x: number;
  y: number;
}

/** Normal noise of standard deviation 1, and uniform numbers, from a seed. */
export function noiseFrom(seed: number) {
  const generator = xoroshiro128plus(seed);
  const uniform = () => uniformFloat64(generator);
  return { uniform, normal: normalSource(uniform) };
}

/** A layout with known places, for tests: distances are worked out from the places and may be given noise. */
export class LayoutDraft {
  readonly layout: Layout;
  readonly #truth: readonly Spot[];

  /** @param sketch where somebody drew the points; the true places if it is left out. */
  constructor(truth: readonly Spot[], sketch: readonly Spot[] = truth, diameters: readonly number[] = []) {
    this.#truth = truth;
    this.layout = {
      id: 'layout',
      version: 1,
      name: 'Holes',
      zero: 'start',
      points: sketch.map(({ x, y }, index) => ({
        id: `p${index + 1}`,
        label: `${index + 1}`,
        kind: 'hole',
        x,
        y,
        diameter: diameters[index] === undefined ? null : { from: 'number', value: diameters[index] },
      })),
      distances: [],
      removed: false,
    };
  }

  /** True distance of two points by their numbers from 1, with an error on top. */
  between(first: number, second: number, errorMm = 0, over: LayoutDistance['over'] = 'centres'): this {
    const [a, b] = [this.#truth[first - 1]!, this.#truth[second - 1]!];
    let mm = Math.hypot(a.x - b.x, a.y - b.y) + errorMm;
    for (const point of over === 'centres' ? [] : [first, second]) {
      const { diameter } = this.layout.points[point - 1]!;
      const half = diameter?.from === 'number' ? diameter.value / 2 : 0;
      mm += over === 'near' ? -half : half;
    }
    return this.distance({ point: `p${first}` }, { point: `p${second}` }, mm, over);
  }

  toEdge(point: number, edge: DatumEdge, mm: number): this {
    return this.distance({ point: `p${point}` }, { edge }, mm);
  }

  distance(from: LayoutEnd, to: LayoutEnd, mm: number, over: LayoutDistance['over'] = 'centres'): this {
    this.layout.distances.push({
      id: `d${this.layout.distances.length + 1}`,
      from,
      to,
      over,
      source: { from: 'number', value: mm },
      leftOut: null,
    });
    return this;
  }
}
