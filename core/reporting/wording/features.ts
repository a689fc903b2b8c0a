import type { FitFeature } from '@core/record/model';

export interface FeatureWords {
  /** What the spare has there: "Hole over". */
  word: string;
  /** How it goes with the counterpart, for a list to choose from. */
  phrase: string;
  /** What it is called in a sentence and beside its band. */
  noun: string;
}

const FEATURES: Record<FitFeature, FeatureWords> = {
  bore: { word: 'Hole over', phrase: 'A hole goes over it', noun: 'hole' },
  peg: { word: 'Peg in', phrase: 'A peg goes into it', noun: 'peg' },
  slot: { word: 'Slot over', phrase: 'A slot goes over it', noun: 'slot' },
  tab: { word: 'Tab in', phrase: 'A tab goes into it', noun: 'tab' },
  recess: { word: 'Recess for', phrase: 'It goes into a recess this deep', noun: 'recess' },
  between: { word: 'Length between', phrase: 'The spare goes between two faces', noun: 'length' },
  nut: { word: 'Thread over', phrase: 'Internal thread, screwed onto it', noun: 'thread' },
  screw: { word: 'Thread in', phrase: 'External thread, screwed into it', noun: 'thread' },
  spacing: { word: 'Spacing for', phrase: 'Holes as far apart as its pegs', noun: 'spacing' },
};

/** A way in which a spare meets its counterpart, in words. */
export const featureWords = (feature: FitFeature): FeatureWords => FEATURES[feature];
