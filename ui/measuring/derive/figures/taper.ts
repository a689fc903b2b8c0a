import { type Figure } from './shapes';

export const taper: Figure = {
  strokes: [
    { path: 'M60 24 L260 54 L260 116 L60 146 Z', style: 'piece' },
    { path: 'M30 85 L290 85', style: 'thin' },
  ],
  inputs: {
    wide: {
      at: [34, 60],
      span: [
        [46, 24],
        [46, 146],
      ],
    },
    narrow: {
      at: [288, 60],
      span: [
        [274, 54],
        [274, 116],
      ],
    },
    apart: {
      at: [160, 156],
      span: [
        [60, 154],
        [260, 154],
      ],
    },
  },
  results: { angle: { at: [160, 85] }, per100: { at: [160, 85] } },
};
