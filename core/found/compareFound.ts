import type { Matrix4 } from 'three';

import { no, ok, type FoundFault, type Result } from '@core/fault';
import type { Vec3, WeldedMesh } from '@core/part';

import { laidOver, type Laid } from './align';
import { deviationOf, meshLaid, quantile, shareWithin, type Deviation } from './deviation';
import { paintingOf, type Painting } from './paint';

/** A found piece laid over the spare one way. */
export interface FoundCompared {
  deviation: Deviation;
  painting: Painting;
}

/** What is told of a comparison, all but where it is drawn. mm; shares 0 to 1. */
export interface FoundFigures {
  withinMm: number;
  /** Of the found piece, what lies no further than that from the spare. */
  shareOn: number;
  /** Nineteen of twenty of its points are no further off. */
  mostlyMm: number;
  /** In the middle: how much larger (or, below 0, smaller) it is all over. */
  middleMm: number;
  furthestOut: Deviation['furthestOut'];
  furthestIn: Deviation['furthestIn'];
  /** Of the spare, what has nothing of the found piece near it: it broke off, wore away, or was not scanned. */
  shareMissing: number;
}

/** Nearer than this, or this share of the spare, is near at all. */
const NEAR = { mm: 0.5, share: 0.01 };

/** All ways in which a found piece can be laid over the spare, the best first. @param found in mm. */
export function waysOver(
  found: WeldedMesh,
  spare: WeldedMesh,
  name: string,
  onShare?: (share: number) => void,
): Result<Laid[], FoundFault> {
  const ways = laidOver(found, spare, onShare);
  const [best] = ways;
  const { offs } = deviationOf(meshLaid(found, 1, best!.place), spare);
  return shareWithin(offs, nearOf(spare)) < 0.5 ? no({ code: 'found.notAlike', name }) : ok(ways);
}

export function comparedOver(found: WeldedMesh, spare: WeldedMesh, place: Matrix4): FoundCompared {
  const laid = meshLaid(found, 1, place);
  return { deviation: deviationOf(laid, spare), painting: paintingOf(laid, spare) };
}

/** @param withinMm what does not count as off. */
export function foundFigures(
  { deviation }: FoundCompared,
  spare: WeldedMesh,
  withinMm: number,
): FoundFigures {
  const { offs, furthestOut, furthestIn, fromSpare } = deviation;
  return {
    withinMm,
    shareOn: shareWithin(offs, withinMm),
    mostlyMm: quantile(offs.map((mm) => Math.abs(mm)).sort(), 0.95),
    middleMm: quantile(offs, 0.5),
    furthestOut: furthestOut && furthestOut.mm > withinMm ? furthestOut : null,
    furthestIn: furthestIn && furthestIn.mm > withinMm ? furthestIn : null,
    shareMissing: 1 - shareWithin(fromSpare, Math.max(nearOf(spare), 2 * withinMm)),
  };
}

function nearOf({ positions }: WeldedMesh): number {
  let reach = 0;
  const first: Vec3 = [positions[0]!, positions[1]!, positions[2]!];
  for (let at = 0; at < positions.length; at += 3) {
    reach = Math.max(reach, Math.hypot(...first.map((mm, axis) => positions[at + axis]! - mm)));
  }
  return Math.max(NEAR.mm, NEAR.share * reach);
}
