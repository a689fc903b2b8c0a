import type { Jaw, SizeKind, Taken } from '@core/record/model';
import type { Quantity } from '@core/foundations/quantity';

export const JAW_WORDS: Record<Jaw, string> = {
  outside: 'outside jaws',
  inside: 'inside jaws',
  depth: 'depth rod',
  step: 'step',
};

/** How to hold the calipers, for whoever does it for the first time. */
export const JAW_HINTS: Record<Jaw, string> = {
  outside:
    'Close the long jaws over it, at right angles, near their roots. Rock a little: the smallest is right.',
  inside: 'Open the short jaws in the hole and rock a little: across a hole the largest is right.',
  depth: 'Stand the end of the beam on the edge and let the rod down to the bottom.',
  step: 'Rest the end face of the beam on the upper level and slide the jaw’s end down to the lower one.',
};

export const KIND_WORDS: Record<SizeKind, string> = {
  measured: 'Measured',
  stated: 'Stated',
  derived: 'Worked out',
  chosen: 'Chosen',
};

export const QUANTITY_WORDS: Record<Quantity, string> = { length: 'Length', angle: 'Angle', count: 'Count' };

export const TAKEN_WORDS: Record<Taken, string> = {
  mean: 'Mean',
  largest: 'Largest',
  smallest: 'Smallest',
  median: 'Middle one',
};
