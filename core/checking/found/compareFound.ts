import type { Matrix4 } from 'three';

import { no, ok, type FoundFault, type Result } from '@core/foundations/fault';
import type { WeldedMesh } from '@core/shaping/part';

import { explainedMirrored, alignedTo } from './align';
import { deviationOf, meshAligned, offsOf, quantile, shareWithin, type Deviation } from './deviation';
import { SURE } from './explained';
import { diagonalOf } from './foundMesh';
import { paintingOf, type Painting } from './paint';
import type { Aligned } from './refine';

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
  /** It is larger (or, below 0, smaller) by this share in all directions: another scale. Null where that does not explain what is off. */
  scale: Deviation['scale'];
  furthestOut: Deviation['furthestOut'];
  furthestIn: Deviation['furthestIn'];
  /** Of the spare, what has nothing of the found piece near it: it broke off, wore away, or was not scanned. */
  shareMissing: number;
}

/** Nearer than this, or this share of the spare, is near at all. */
const NEAR = { mm: 0.5, share: 0.01 };
/** A piece of which less is near the spare is another one. */
const LEAST_NEAR = 0.5;

/** Ways in which a found piece can be laid over the spare, the best first, and whether it surely lies in one of them. */
export interface FoundWays {
  ways: Aligned[];
  isSure: boolean;
}

/** Of a mirror image so much more is explained. */
const MIRRORED_BY = 0.06;

/** All ways in which a found piece can be laid over the spare. @param found in mm. */
export function waysOver(
  found: WeldedMesh,
  spare: WeldedMesh,
  name: string,
  onShare: (share: number) => void = () => {},
): Result<FoundWays, FoundFault> {
  // What is left is its mirror image, where that is looked at.
  const ways = alignedTo(found, spare, (share) => onShare(0.9 * share));
  const best = ways[0]!;
  const { both } = best.explains!;
  if (both < LOOKED_AT_MIRRORED) {
    const mirrored = explainedMirrored(found, spare);
    if (mirrored > both + MIRRORED_BY && mirrored > SURE) return no({ code: 'found.mirrored', name });
  }
  const offs = offsOf(meshAligned(found, 1, best.place), spare);
  return shareWithin(offs, nearOf(spare)) < LEAST_NEAR
    ? no({ code: 'found.notAlike', name })
    : ok({ ways, isSure: both >= SURE });
}

/** Of one that explains so much its mirror image can't explain more by enough. */
const LOOKED_AT_MIRRORED = 1 - MIRRORED_BY;
/** Compares a found piece, laid one way, with the spare. @param onShare told how far it is, 0 to 1. */
export function comparedOver(
  found: WeldedMesh,
  spare: WeldedMesh,
  place: Matrix4,
  onShare?: (share: number) => void,
): FoundCompared {
  const laid = meshAligned(found, 1, place);
  const painting = paintingOf(laid, spare, onShare);
  return { deviation: deviationOf(laid, spare, painting), painting };
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
    scale: deviation.scale,
    furthestOut: furthestOut && furthestOut.mm > withinMm ? furthestOut : null,
    furthestIn: furthestIn && furthestIn.mm > withinMm ? furthestIn : null,
    shareMissing: 1 - shareWithin(fromSpare, Math.max(nearOf(spare), 2 * withinMm)),
  };
}

const nearOf = (spare: WeldedMesh): number => Math.max(NEAR.mm, NEAR.share * diagonalOf(spare));
