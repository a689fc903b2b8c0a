import { type Figure } from './shapes';

export const angleFromTwo: Figure = {
  strokes: [{ path: 'M50 130 L260 130 L260 40 Z', style: 'piece' }],
  inputs: {
    along: {
      at: [155, 150],
      span: [
        [50, 146],
        [260, 146],
      ],
    },
    up: {
      at: [290, 85],
      span: [
        [272, 40],
        [272, 130],
      ],
    },
  },
  results: { result: { at: [118, 112] } },
};
