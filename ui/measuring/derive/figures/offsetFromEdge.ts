import { hole, type Figure } from './shapes';

export const offsetFromEdge: Figure = {
  strokes: [{ path: 'M60 20 L300 20 L300 150 L60 150 Z', style: 'piece' }, hole(190, 85, 32)],
  inputs: {
    gap: {
      at: [108, 68],
      span: [
        [60, 85],
        [158, 85],
      ],
    },
    hole: {
      at: [262, 40],
      span: [
        [158, 52],
        [222, 52],
      ],
    },
  },
  results: {
    result: {
      at: [125, 130],
      span: [
        [60, 130],
        [190, 130],
      ],
    },
  },
};
