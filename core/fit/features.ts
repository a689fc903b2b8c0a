import type { FeatureKind, FitFeature } from '@core/model';

export interface FeatureWords {
  id: FitFeature;
  /** What the spare has there: "Hole over". */
  word: string;
  /** How it goes with the counterpart, for a list to choose from. */
  phrase: string;
  /** What it is called in a sentence and beside its band. */
  noun: string;
  /** The spare goes round the counterpart, so clearance makes it larger; else smaller. */
  inside: boolean;
  /** What the machine does to it. */
  kind: FeatureKind;
  /** Clearance is shared by two sides, so that it can be told per side or over both. */
  twoSides: boolean;
}

/** The ways in which a spare meets its counterpart. */
export const FIT_FEATURES: readonly FeatureWords[] = [
  {
    id: 'bore',
    word: 'Hole over',
    phrase: 'A hole goes over it',
    noun: 'hole',
    inside: true,
    kind: 'inside',
    twoSides: true,
  },
  {
    id: 'peg',
    word: 'Peg in',
    phrase: 'A peg goes into it',
    noun: 'peg',
    inside: false,
    kind: 'outside',
    twoSides: true,
  },
  {
    id: 'slot',
    word: 'Slot over',
    phrase: 'A slot goes over it',
    noun: 'slot',
    inside: true,
    kind: 'inside',
    twoSides: true,
  },
  {
    id: 'tab',
    word: 'Tab in',
    phrase: 'A tab goes into it',
    noun: 'tab',
    inside: false,
    kind: 'outside',
    twoSides: true,
  },
  {
    id: 'recess',
    word: 'Recess for',
    phrase: 'It lies in a recess, so deep',
    noun: 'recess',
    inside: true,
    kind: 'height',
    twoSides: false,
  },
  {
    id: 'between',
    word: 'Length between',
    phrase: 'The spare goes between two faces',
    noun: 'length',
    inside: false,
    kind: 'height',
    twoSides: true,
  },
  {
    id: 'nut',
    word: 'Thread over',
    phrase: 'A thread inside, screwed over it',
    noun: 'thread',
    inside: true,
    kind: 'inside',
    twoSides: true,
  },
  {
    id: 'screw',
    word: 'Thread in',
    phrase: 'A thread outside, screwed into it',
    noun: 'thread',
    inside: false,
    kind: 'outside',
    twoSides: true,
  },
  {
    id: 'spacing',
    word: 'Spacing for',
    phrase: 'Holes as far apart as its pegs',
    noun: 'spacing',
    inside: true,
    kind: 'spacing',
    twoSides: true,
  },
];

export const featureOf = (id: FitFeature): FeatureWords => FIT_FEATURES.find((known) => known.id === id)!;
