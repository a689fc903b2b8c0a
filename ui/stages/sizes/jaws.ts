import type { Jaw, SizeKind } from '@core/model';

export const JAW_WORDS: Record<Jaw, string> = {
  outside: 'outside jaws',
  inside: 'inside jaws',
  depth: 'depth rod',
  step: 'step',
};

export const KIND_WORDS: Record<SizeKind, string> = {
  measured: 'Measured',
  chosen: 'Chosen',
  stated: 'Stated',
};
