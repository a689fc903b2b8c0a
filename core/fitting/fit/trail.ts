import type { Fault } from '@core/foundations/fault';
import { isKnown, type KnownResult, type SizeResult } from '@core/measuring/measure';
import type {
  FeatureKind,
  Fit,
  FitClass,
  FitTable,
  Machine,
  MaterialFamily,
  Size,
  Taken,
} from '@core/record/model';
import { roundTo, tidy, type Quantity } from '@core/foundations/quantity';
import { correctionOf } from '@core/record/workshop';

import { clearanceOf, stepOf } from './clearance';
import { askedOfFit, featureOf } from './features';

/** One line of a trail. Signed values: mm (on a fit, on the diameter), radians or counts. */
export type TrailEntry =
  | {
      kind: 'measured' | 'derived';
      label: string;
      value: number;
      /** Expanded uncertainty, about 95 %. */
      plusMinus: number;
      /** Readings it rests on; 0 for a derived size. */
      count: number;
      /** Which of the readings counts, and why it is not their mean. */
      taken: Taken;
      takenWhy: string;
      /** How it is worked out, where it is. */
      derivation: Size['derivation'];
    }
  | { kind: 'stated' | 'chosen'; label: string; value: number; source: string }
  /** From one counterpart to the middle of all that it must fit. */
  | { kind: 'mates'; value: number; count: number; smallestMm: number; largestMm: number }
  | {
      kind: 'allowance';
      value: number;
      fitClass: FitClass;
      /** Where it goes by limits of ISO 286 and not by its class. */
      iso: Fit['iso'];
      by: 'fitClass' | 'iso' | 'typed';
      /** What it is told on: a diameter, one side, or nothing, since holes take up the play. */
      on: 'diameter' | 'oneSide' | 'nothing';
    }
  | { kind: 'correction'; value: number; machine: string; feature: FeatureKind; learnedFrom: string };

/** How a working size came about: its entries add up to it exactly, as they are shown. */
export interface Trail {
  tag: string;
  name: string;
  quantity: Quantity;
  /** Decimals of a millimetre in which its lines are told. */
  decimals: 2 | 3;
  entries: TrailEntry[];
  working: number;
}

/** What is known of a number of the model: its trail, or what is still to be taken, or why there is none. */
export type Worked =
  { ok: true; trail: Trail } | { ok: false; tag: string; name: string; fault: Fault | null };

/** The first line of any trail: where the size itself comes from. */
function originEntry(size: Size, result: KnownResult): TrailEntry {
  switch (result.status) {
    case 'measured':
      return {
        kind: 'measured',
        label: size.name,
        value: result.value,
        plusMinus: result.uncertainty.expanded,
        count: result.count,
        taken: result.taken,
        takenWhy: size.takenWhy,
        derivation: null,
      };
    case 'derived':
      return {
        kind: 'derived',
        label: size.name,
        // To a hundredth, so that the lines that follow add up on paper.
        value: size.quantity === 'length' ? roundTo(result.value, 0.01) : result.value,
        plusMinus: result.uncertainty.expanded,
        count: 0,
        taken: 'mean',
        takenWhy: '',
        derivation: size.derivation,
      };
    case 'given':
      return {
        kind: size.kind === 'stated' ? 'stated' : 'chosen',
        label: size.name,
        value: result.value,
        source: size.source,
      };
  }
}

/** What stands in the way of a size that is not known. */
function unknown(size: Size, result: Exclude<SizeResult, KnownResult>): Worked {
  if (result.status === 'impossible') {
    return { ok: false, tag: size.tag, name: size.name, fault: result.fault };
  }
  const waitsFor = result.waitsFor ?? size;
  return { ok: false, tag: waitsFor.tag, name: waitsFor.name, fault: null };
}

const close = (parts: Omit<Trail, 'working'>): Worked => ({
  ok: true,
  trail: { ...parts, working: tidy(parts.entries.reduce((sum, entry) => sum + entry.value, 0)) },
});

/** Trail of a size used as it is. */
export function trailOfSize(size: Size, result: SizeResult): Worked {
  if (!isKnown(result)) return unknown(size, result);
  const { tag, name, quantity } = size;
  return close({ tag, name, quantity, decimals: 2, entries: [originEntry(size, result)] });
}

/** What a fit is made with. */
export interface FitSetting {
  machine: Machine;
  family: MaterialFamily;
  table: FitTable;
}

/**
 * Trail of a fit: counterpart's size, allowance for the fit, machine correction. What goes round the counterpart
 * is made larger by the clearance, what goes into it smaller.
 *
 * @param others further counterparts that it must fit as well: the middle of the smallest and the largest is gone by.
 */
export function trailOfFit(
  fit: Fit,
  size: Size,
  result: SizeResult,
  setting: FitSetting,
  others: readonly { size: Size; result: SizeResult }[] = [],
): Worked {
  for (const one of [{ size, result }, ...others]) {
    if (!isKnown(one.result)) return unknown(one.size, one.result);
    const { quantity, name, tag } = one.size;
    if (quantity === 'length') continue;
    const fault: Fault = { code: 'size.wrongQuantity', what: name, got: quantity, wanted: 'length' };
    return { ok: false, tag, name: fit.name, fault };
  }
  if (!isKnown(result)) return unknown(size, result);
  const { machine, family, table } = setting;
  const feature = featureOf(fit.feature);
  const origin = originEntry(size, result);
  const mates = matesEntry(origin.value, others);
  const middleMm = origin.value + (mates?.value ?? 0);
  const { aimMm } = clearanceOf(fit, table, middleMm, feature.inside);
  const correction = correctionOf(machine, family, feature.kind, middleMm, askedOfFit(fit));
  const isSpacing = fit.feature === 'spacing';
  return close({
    tag: size.tag,
    name: fit.name,
    quantity: 'length',
    decimals: stepOf(table) < 0.01 ? 3 : 2,
    entries: [
      origin,
      ...(mates ? [mates] : []),
      {
        kind: 'allowance',
        value: isSpacing ? 0 : feature.inside ? aimMm : -aimMm,
        fitClass: fit.fitClass,
        iso: fit.iso,
        by: fit.iso ? 'iso' : fit.ownClearanceMm === null ? 'fitClass' : 'typed',
        on: isSpacing ? 'nothing' : feature.twoSides ? 'diameter' : 'oneSide',
      },
      {
        kind: 'correction',
        value: roundTo(correction.mm, stepOf(table)),
        machine: machine.name,
        feature: feature.kind,
        learnedFrom: correction.learnedFrom,
      },
    ],
  });
}

/** The size that a fit goes by: the counterpart's, or the middle of several. mm. */
export const counterpartOf = ({ entries }: Pick<Trail, 'entries'>): number =>
  tidy(
    entries.reduce(
      (sum, { kind, value }) => (kind === 'allowance' || kind === 'correction' ? sum : sum + value),
      0,
    ),
  );

/** To the middle of the smallest and the largest that it must fit, so that neither is worse off than it must be. */
function matesEntry(
  ownMm: number,
  others: readonly { size: Size; result: SizeResult }[],
): Extract<TrailEntry, { kind: 'mates' }> | null {
  if (others.length === 0) return null;
  const all = [ownMm, ...others.flatMap(({ result }) => (isKnown(result) ? [result.value] : []))];
  const [smallest, largest] = [Math.min(...all), Math.max(...all)];
  return {
    kind: 'mates',
    value: roundTo((smallest + largest) / 2 - ownMm, 0.01),
    count: all.length,
    smallestMm: smallest,
    largestMm: largest,
  };
}
