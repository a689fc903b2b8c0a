import type { Lack, NextThing } from '@core/record/model';

/** The next thing to do, as the list of repairs tells it. */
export function nextThingWords(next: NextThing): string {
  switch (next.do) {
    case 'sayWhatToMeasure':
      return 'Say what to measure';
    case 'takeSizes':
      return `${next.taken} of ${next.of} sizes taken`;
    case 'chooseFit':
      return 'Choose how freely it goes on';
    case 'startRecipe':
      return 'Start the recipe';
    case 'freezeFirst':
      return 'Freeze revision A and make it';
    case 'makeFrozen':
      return `Revision ${next.letter} is frozen`;
    case 'freezeChanges':
      return `Changed since revision ${next.letter}`;
    case 'takeNextNumbers':
      return `Revision ${next.letter} is tried: take the next numbers`;
    case 'nothingItFits':
      return `Revision ${next.letter} is right`;
  }
}

/** What a stage lacks, in a word or two; empty when nothing is missing. */
export function lackWords(lack: Lack | null): string {
  if (lack === null) return '';
  return typeof lack === 'object' ? `${lack.toTake} to take` : LACKS[lack];
}

const LACKS: Record<Exclude<Lack, object>, string> = {
  whatBroke: 'what broke',
  sizes: 'no sizes yet',
  fit: 'no fit yet',
  steps: 'no steps yet',
  revision: 'no revision',
  trial: 'not tried',
};
