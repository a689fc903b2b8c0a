import type { TrailEntry } from '@core/fitting/fit';
import type { FeatureKind, Size, Taken } from '@core/record/model';

import { constructionName } from './constructions';
import { fitClassOf } from './fitClasses';

/** What a line of a trail is, before its number. */
export function trailLabel(entry: TrailEntry): string {
  switch (entry.kind) {
    case 'mates':
      return `to the middle of ${entry.count} that it must fit`;
    case 'allowance':
      return entry.iso
        ? `${entry.iso.hole}/${entry.iso.shaft}, the middle of what it allows`
        : fitClassOf(entry.fitClass).phrase;
    case 'correction':
      return `${entry.machine}, ${CORRECTIONS[entry.feature]}`;
    default:
      return entry.label;
  }
}

/** Which of the readings counts, and why; empty for their mean. */
export const takenWords = (taken: Taken, why: string): string =>
  taken === 'mean' ? '' : [TAKEN[taken], why].filter(Boolean).join(': ');

/** How a size is worked out: by its formula, or by a drawing. */
export function derivedWords(derivation: Size['derivation']): string {
  if (derivation?.by === 'formula') return derivation.text;
  return (derivation && constructionName(derivation.construction)) ?? 'not known how';
}

/** What an allowance is told on, and who says so. */
export function allowanceReason({ on, by }: Extract<TrailEntry, { kind: 'allowance' }>): string {
  if (on === 'nothing') return 'the clearance is in the holes, not in the spacing';
  return `${on === 'diameter' ? 'on the diameter' : 'on the one side'}, ${BY[by]}`;
}

const TAKEN: Record<Exclude<Taken, 'mean'>, string> = {
  largest: 'largest taken',
  smallest: 'smallest taken',
  median: 'middle one taken',
};

const CORRECTIONS: Record<FeatureKind, string> = {
  inside: 'holes come out small',
  outside: 'outsides come out large',
  height: 'heights',
  spacing: 'spacings',
};

const BY = { fitClass: 'for this fit', iso: 'limits of ISO 286', typed: 'typed by you' } as const;
