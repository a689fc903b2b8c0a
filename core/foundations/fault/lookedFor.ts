/** A face by its tag, and the place of its step in the recipe; null where that step does not come before. */
export interface NamedFace {
  tag: string;
  place: number | null;
}

/** What a step works on and can't find. */
export type LookedFor =
  | {
      is:
        | 'earlierFace'
        | 'stepItsPlaceIsFrom'
        | 'stepItMirrors'
        | 'stepItRepeats'
        | 'stepItsOutlineIsOf'
        | 'stepWhoseSidesLean'
        | 'takenOutline'
        | 'rimItWasCutIn';
    }
  | { is: 'face'; face: NamedFace }
  | { is: 'edge'; between: readonly [NamedFace, NamedFace] }
  /** Edges that a rule catches; `gone`: a step that it names does not come before. */
  | { is: 'edges'; rule: EdgesOfRule; gone: boolean };

export type EdgesOfRule = 'mouths' | 'rims' | 'upright' | 'all' | 'between' | 'insides' | 'face' | 'picked';
