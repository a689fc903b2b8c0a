import type { SizeResult } from '@core/measure';
import type { Fit, Size } from '@core/model';
import { tidy } from '@core/quantity';
import type { Machine } from '@core/standards';

import { classClearanceMm, fitClassOf } from './classes';

/** One line of a trail. Signed lengths in mm; on a fit they are on the diameter. */
export type TrailEntry =
  | { kind: 'measured'; label: string; mm: number; plusMinusMm: number; count: number }
  | { kind: 'stated' | 'chosen'; label: string; mm: number; source: string }
  | { kind: 'allowance'; label: string; mm: number; why: string }
  | { kind: 'correction'; label: string; mm: number; why: string };

/** How a working size came about: its entries add up to it exactly. */
export interface Trail {
  tag: string;
  name: string;
  entries: TrailEntry[];
  workingMm: number;
}

/** What is known of a number of the model: its trail, or what is still to be taken. */
export type Worked = { ok: true; trail: Trail } | { ok: false; tag: string; name: string };

/** The first line of any trail: where the size itself comes from. */
function originEntry(size: Size, result: Exclude<SizeResult, { status: 'wanted' }>): TrailEntry {
  return result.status === 'measured'
    ? {
        kind: 'measured',
        label: size.name,
        mm: result.mm,
        plusMinusMm: result.uncertainty.expandedMm,
        count: result.count,
      }
    : {
        kind: size.kind === 'stated' ? 'stated' : 'chosen',
        label: size.name,
        mm: result.mm,
        source: size.source,
      };
}

const close = (tag: string, name: string, entries: TrailEntry[]): Trail => ({
  tag,
  name,
  entries,
  workingMm: tidy(entries.reduce((sum, entry) => sum + entry.mm, 0)),
});

/** Trail of a size used as it is. */
export function trailOfSize(size: Size, result: SizeResult): Worked {
  if (result.status === 'wanted') return { ok: false, tag: size.tag, name: size.name };
  return { ok: true, trail: close(size.tag, size.name, [originEntry(size, result)]) };
}

/**
 * Trail of a fit: counterpart's size, allowance for the fit, machine correction. A bore is made larger than
 * what goes in it by the clearance; a peg smaller than what it goes into.
 */
export function trailOfFit(fit: Fit, size: Size, result: SizeResult, machine: Machine): Worked {
  if (result.status === 'wanted') return { ok: false, tag: size.tag, name: size.name };
  const origin = originEntry(size, result);
  const clearance = fit.ownClearanceMm ?? classClearanceMm(fit.fitClass, origin.mm);
  const inside = fit.feature === 'bore';
  return {
    ok: true,
    trail: close(size.tag, fit.name, [
      origin,
      {
        kind: 'allowance',
        label: fitClassOf(fit.fitClass).phrase,
        mm: inside ? clearance : -clearance,
        why: fit.ownClearanceMm === null ? 'on the diameter, for this fit' : 'on the diameter, typed by you',
      },
      {
        kind: 'correction',
        label: `${machine.name}, ${inside ? 'holes come out small' : 'outsides come out large'}`,
        mm: inside ? machine.correctionMm.inside : machine.correctionMm.outside,
        why: machine.learnedFrom,
      },
    ]),
  };
}
