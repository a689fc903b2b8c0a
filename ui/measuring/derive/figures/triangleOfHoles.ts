import { hole, type Figure } from './shapes';

export const triangleOfHoles: Figure = {
  strokes: [
    { path: 'M70 130 L250 130 L190 36 Z', style: 'thin' },
    { path: 'M190 36 L190 130', style: 'thin' },
    hole(70, 130, 11),
    hole(250, 130, 11),
    hole(190, 36, 11),
  ],
  inputs: {
    base: {
      at: [216, 154],
      span: [
        [70, 148],
        [250, 148],
      ],
    },
    left: {
      at: [104, 72],
      span: [
        [70, 130],
        [190, 36],
      ],
    },
    right: {
      at: [256, 76],
      span: [
        [250, 130],
        [190, 36],
      ],
    },
  },
  results: { along: { at: [112, 118] }, up: { at: [168, 96] } },
};
