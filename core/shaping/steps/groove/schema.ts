import { z } from 'zod';

import { Id, step, Value } from '@core/foundations/fields';

import type { StepFacts } from '../facts';

/** Groove cut round the rim of a turned step, in the middle of its width. */
export const schema = z.strictObject({
  ...step,
  kind: z.literal('groove'),
  rimOf: Id,
  width: Value,
  depth: Value,
  /** Above the middle of the width; below it if negative. */
  up: Value.optional(),
});

export const facts: StepFacts<z.infer<typeof schema>> = {
  makes: 'solid',
  group: 'holes',
  needs: 'disc',
  effect: () => 'cut',
  edges: ['all'],
};
