import type { FeatureKind, Fit, FitFeature } from '@core/record/model';
import type { Asked } from '@core/record/workshop';

export interface Feature {
  id: FitFeature;
  /** The spare goes round the counterpart, so clearance makes it larger; else smaller. */
  inside: boolean;
  /** What the machine does to it. */
  kind: FeatureKind;
  /** Clearance is shared by two sides, so that it can be told per side or over both. */
  twoSides: boolean;
}

/** The ways in which a spare meets its counterpart. */
export const FIT_FEATURES: readonly Feature[] = [
  {
    id: 'bore',
    inside: true,
    kind: 'inside',
    twoSides: true,
  },
  {
    id: 'peg',
    inside: false,
    kind: 'outside',
    twoSides: true,
  },
  {
    id: 'slot',
    inside: true,
    kind: 'inside',
    twoSides: true,
  },
  {
    id: 'tab',
    inside: false,
    kind: 'outside',
    twoSides: true,
  },
  {
    id: 'recess',
    inside: true,
    kind: 'height',
    twoSides: false,
  },
  {
    id: 'between',
    inside: false,
    kind: 'height',
    twoSides: true,
  },
  {
    id: 'nut',
    inside: true,
    kind: 'inside',
    twoSides: true,
  },
  {
    id: 'screw',
    inside: false,
    kind: 'outside',
    twoSides: true,
  },
  {
    id: 'spacing',
    inside: true,
    kind: 'spacing',
    twoSides: true,
  },
];

export const featureOf = (id: FitFeature): Feature => FIT_FEATURES.find((known) => known.id === id)!;

/** What of a fit matters to what the machine does. */
export const askedOfFit = ({ feature, along }: Pick<Fit, 'feature' | 'along'>): Asked => ({
  fitFeature: feature,
  isRound: isRound(feature),
  ...(along ? { along } : {}),
});

/** What is the same along every direction: its fit goes by the mean of all. */
export const isRound = (feature: FitFeature): boolean =>
  feature === 'bore' || feature === 'peg' || feature === 'nut' || feature === 'screw';
