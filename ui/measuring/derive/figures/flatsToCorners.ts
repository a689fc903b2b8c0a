import { flatsFigure, type Figure } from './shapes';

export const flatsToCorners: Figure = {
  ...flatsFigure,
  inputs: { flats: flatsFigure.inputs.flats!, sides: flatsFigure.inputs.sides! },
  results: { result: flatsFigure.inputs.corners! },
};
