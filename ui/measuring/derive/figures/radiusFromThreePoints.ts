import { dot, type Figure } from './shapes';

export const radiusFromThreePoints: Figure = {
  strokes: [
    { circle: [160, 88, 70], style: 'piece' },
    { path: 'M98 120 L182 22 L226 112 Z', style: 'thin' },
    dot(98, 120),
    dot(182, 22),
    dot(226, 112),
  ],
  inputs: {
    first: {
      at: [96, 56],
      span: [
        [98, 120],
        [182, 22],
      ],
    },
    second: {
      at: [246, 60],
      span: [
        [182, 22],
        [226, 112],
      ],
    },
    third: {
      at: [160, 134],
      span: [
        [226, 112],
        [98, 120],
      ],
    },
  },
  results: { result: { at: [286, 140] } },
};
