import { z } from 'zod';

/** What is done to a spare once the machine has made it, in the order of the bench. */
export const Afterwork = z.enum([
  'cool',
  'drip',
  'takeOff',
  'wash',
  'supports',
  'foot',
  'cure',
  'edges',
  'ream',
  'nut',
  'glue',
]);
export type Afterwork = z.infer<typeof Afterwork>;
