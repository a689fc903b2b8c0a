import type { EdgesOfRule, LookedFor, NamedFace } from '@core/foundations/fault';

import { tagWords } from './tagWords';

/** `the top of step 2`. */
export const faceWords = ({ tag, place }: NamedFace): string => tagWords(tag, () => place ?? undefined);

/** What a step works on and can't find, in the middle of a sentence. */
export function lookedForWords(looked: LookedFor): string {
  switch (looked.is) {
    case 'face':
      return faceWords(looked.face);
    case 'edge': {
      const [first, second] = looked.between.map(faceWords);
      return `the edge where ${first} meets ${second}`;
    }
    case 'edges':
      return EDGES[looked.rule] + (looked.gone ? ' of a step that is no longer before this one' : '');
    default:
      return ONE[looked.is];
  }
}

const EDGES: Record<EdgesOfRule, string> = {
  mouths: 'the mouths of a hole',
  rims: 'the outer edges',
  upright: 'the upright edges',
  all: 'the edges',
  between: 'the edges where two steps meet',
  insides: 'hollow corners',
  face: 'the edges round a face',
  picked: 'edges that were picked',
};

const ONE: Record<Exclude<LookedFor['is'], 'face' | 'edge' | 'edges'>, string> = {
  earlierFace: 'a face of an earlier step',
  stepItsPlaceIsFrom: 'the step that its place is measured from',
  stepItMirrors: 'a step that it mirrors',
  stepItRepeats: 'the step that it repeats',
  stepItsOutlineIsOf: 'the step whose outline it takes',
  stepWhoseSidesLean: 'the step whose sides it leans',
  takenOutline: 'what its outline is taken from',
  rimItWasCutIn: 'the rim it was cut in',
};
