import type { FitClass } from '@core/record/model';

export interface FitClassWords {
  id: FitClass;
  /** Workshop word on a switch. */
  word: string;
  /** In the trail: "Turns freely". */
  phrase: string;
}

/** The classes in words, from loosest to tightest. */
export const FIT_CLASSES: readonly FitClassWords[] = [
  { id: 'loose', word: 'Loose', phrase: 'Loose, may rattle' },
  { id: 'turns', word: 'Turns', phrase: 'Turns freely' },
  { id: 'slides', word: 'Slides', phrase: 'Slides without play' },
  { id: 'snug', word: 'Snug', phrase: 'Snug, goes on by hand' },
  { id: 'pressed', word: 'Pressed', phrase: 'Pressed on' },
];

export const fitClassOf = (id: FitClass): FitClassWords => FIT_CLASSES.find((known) => known.id === id)!;
