import { Matrix, SVD } from 'ml-matrix';
import { Matrix4, Vector3 } from 'three';

import { no, ok, type FoundFault, type Result } from '@core/foundations/fault';
import type { Vec3 } from '@core/foundations/vectors';
import type { WeldedMesh } from '@core/shaping/part';

import { refinedFrom } from './align';
import type { FoundWays } from './compareFound';
import { SURE } from './explained';
import { diagonalOf } from './foundMesh';

/** One place that was pointed at on the found piece and on the spare, mm. */
export interface PlacePair {
  found: Vec3;
  spare: Vec3;
}

/** Two places are as far apart on both within this, mm and share: what fingers miss. */
const MISSED = { mm: 4, share: 0.15 };
/** Places nearer a line than this share of their reach hold no turn about it. */
const LEAST_SPREAD = 0.08;
/** After it was brought near, each place lies so near its other one, as a share of the spare. */
const STAYED_SHARE = 0.05;

/**
 * Lays a found piece by three or more places that were pointed at on both, then brings it near.
 *
 * @returns a fault where the places lie in a line, or are not as far apart on both: nothing is laid by those.
 */
export function waysFromPlaces(
  found: WeldedMesh,
  spare: WeldedMesh,
  pairs: readonly PlacePair[],
  onShare: (share: number) => void = () => {},
): Result<FoundWays, FoundFault> {
  const apart = furthestApart(pairs);
  if (apart) return no({ code: 'found.placesApart', ...apart });
  const start = placedBy(pairs);
  if (!start) return no({ code: 'found.placesInLine' });
  const laid = refinedFrom(start, found, spare, onShare);
  const { onSpare, both } = laid.explains!;
  const reach = Math.max(MISSED.mm, STAYED_SHARE * diagonalOf(spare));
  const stayed = pairs.every((pair) => {
    const at = new Vector3(...pair.found).applyMatrix4(laid.place);
    return at.distanceTo(new Vector3(...pair.spare)) <= reach;
  });
  // Of a small fragment too little is expected to go by: then the person's word counts, if it lies well there.
  return ok({ ways: [laid], isSure: stayed && (both >= SURE || onSpare >= SURE) });
}

/** The two places whose distance differs most between both, where it differs by more than fingers miss. */
function furthestApart(pairs: readonly PlacePair[]) {
  let worst: { first: number; second: number; foundMm: number; spareMm: number } | null = null;
  let by = 0;
  for (let first = 0; first < pairs.length; first += 1) {
    for (let second = first + 1; second < pairs.length; second += 1) {
      const [a, b] = [pairs[first]!, pairs[second]!];
      const foundMm = new Vector3(...a.found).distanceTo(new Vector3(...b.found));
      const spareMm = new Vector3(...a.spare).distanceTo(new Vector3(...b.spare));
      const off = Math.abs(foundMm - spareMm) - Math.max(MISSED.mm, MISSED.share * spareMm);
      if (off > by) [by, worst] = [off, { first: first + 1, second: second + 1, foundMm, spareMm }];
    }
  }
  return worst;
}

/**
 * The turn and move that bring places nearest to their other ones, by least squares (Arun, Huang & Blostein, IEEE PAMI 9, 1987);
 * null where they lie in a line.
 */
export function placedBy(pairs: readonly PlacePair[]): Matrix4 | null {
  const middle = (of: (pair: PlacePair) => Vec3) =>
    pairs.reduce(
      (sum, pair) => sum.addScaledVector(new Vector3(...of(pair)), 1 / pairs.length),
      new Vector3(),
    );
  const [from, to] = [middle(({ found }) => found), middle(({ spare }) => spare)];
  const about = (of: (pair: PlacePair) => Vec3, centre: Vector3) =>
    new Matrix(pairs.map((pair) => new Vector3(...of(pair)).sub(centre).toArray()));
  const [own, other] = [about(({ found }) => found, from), about(({ spare }) => spare, to)];
  for (const points of [own, other]) {
    const [first, second] = new SVD(points).diagonal as [number, number];
    if (!(second > LEAST_SPREAD * first)) return null;
  }
  const svd = new SVD(own.transpose().mmul(other));
  const [u, v] = [svd.leftSingularVectors, svd.rightSingularVectors];
  // No mirror image: of places in a plane, one that turns explains them as well.
  const handed = determinant3(v) * determinant3(u) < 0 ? -1 : 1;
  const rotation = v.mmul(Matrix.diag([1, 1, handed])).mmul(u.transpose());
  const r = (row: number, column: number) => rotation.get(row, column);
  const turn = new Matrix4().set(
    ...([r(0, 0), r(0, 1), r(0, 2), 0, r(1, 0), r(1, 1), r(1, 2), 0] as const),
    ...([r(2, 0), r(2, 1), r(2, 2), 0, 0, 0, 0, 1] as const),
  );
  return new Matrix4()
    .makeTranslation(to.x, to.y, to.z)
    .multiply(turn)
    .multiply(new Matrix4().makeTranslation(-from.x, -from.y, -from.z));
}

function determinant3(m: Matrix): number {
  const column = (at: number) => new Vector3(m.get(0, at), m.get(1, at), m.get(2, at));
  return column(0).cross(column(1)).dot(column(2));
}
