import { flatsFigure, type Figure } from './shapes';

export const cornersToFlats: Figure = {
  ...flatsFigure,
  inputs: { corners: flatsFigure.inputs.corners!, sides: flatsFigure.inputs.sides! },
  results: { result: flatsFigure.inputs.flats! },
};
