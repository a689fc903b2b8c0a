import type { ConstructionId } from '@core/measuring/measure';

import { centresFromBothEdges } from './centresFromBothEdges';
import { centresFromNearEdges } from './centresFromNearEdges';
import { centresFromFarEdges } from './centresFromFarEdges';
import { offsetFromEdge } from './offsetFromEdge';
import { radiusFromChord } from './radiusFromChord';
import { radiusFromThreePoints } from './radiusFromThreePoints';
import { diameterFromString } from './diameterFromString';
import { boltCircle } from './boltCircle';
import { wall } from './wall';
import { flatsToCorners } from './flatsToCorners';
import { cornersToFlats } from './cornersToFlats';
import { pitchOverMany } from './pitchOverMany';
import { taper } from './taper';
import { angleFromTwo } from './angleFromTwo';
import { angleFromThree } from './angleFromThree';
import { triangleOfHoles } from './triangleOfHoles';
import { gearFromSpans } from './gearFromSpans';
import { gearFromTwoSpans } from './gearFromTwoSpans';
import type { Figure } from './shapes';

export type { Figure, FigureMark, Stroke } from './shapes';

/** The drawings of the constructions, by their id. */
export const FIGURES: Readonly<Record<ConstructionId, Figure>> = {
  'centres-from-both-edges': centresFromBothEdges,
  'centres-from-near-edges': centresFromNearEdges,
  'centres-from-far-edges': centresFromFarEdges,
  'offset-from-edge': offsetFromEdge,
  'radius-from-chord': radiusFromChord,
  'radius-from-three-points': radiusFromThreePoints,
  'diameter-from-string': diameterFromString,
  'bolt-circle': boltCircle,
  wall,
  'flats-to-corners': flatsToCorners,
  'corners-to-flats': cornersToFlats,
  'pitch-over-many': pitchOverMany,
  taper,
  'angle-from-two': angleFromTwo,
  'angle-from-three': angleFromThree,
  'triangle-of-holes': triangleOfHoles,
  'gear-from-spans': gearFromSpans,
  'gear-from-two-spans': gearFromTwoSpans,
};
