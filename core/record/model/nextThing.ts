import { z } from 'zod';

/** The next thing to do for a repair. */
export const NextThing = z.discriminatedUnion('do', [
  z.strictObject({ do: z.literal('sayWhatToMeasure') }),
  z.strictObject({ do: z.literal('takeSizes'), taken: z.int(), of: z.int() }),
  z.strictObject({ do: z.literal('chooseFit') }),
  z.strictObject({ do: z.literal('startRecipe') }),
  z.strictObject({ do: z.literal('freezeFirst') }),
  /** With the letter of the revision that it is about. */
  z.strictObject({
    do: z.enum(['makeFrozen', 'freezeChanges', 'takeNextNumbers', 'nothingItFits']),
    letter: z.string(),
  }),
]);
export type NextThing = z.infer<typeof NextThing>;

/** What a stage lacks; a count is of sizes that are to be taken. */
export type Lack = 'whatBroke' | 'sizes' | 'fit' | 'steps' | 'revision' | 'trial' | { toTake: number };
