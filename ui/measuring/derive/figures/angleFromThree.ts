import { dot, type Figure } from './shapes';

export const angleFromThree: Figure = {
  strokes: [
    { path: 'M60 30 L90 130 L280 130', style: 'line' },
    { path: 'M60 30 L280 130', style: 'thin' },
    dot(60, 30),
    dot(280, 130),
  ],
  inputs: {
    first: {
      at: [44, 86],
      span: [
        [60, 30],
        [90, 130],
      ],
    },
    second: {
      at: [186, 150],
      span: [
        [90, 130],
        [280, 130],
      ],
    },
    across: {
      at: [196, 66],
      span: [
        [60, 30],
        [280, 130],
      ],
    },
  },
  results: { result: { at: [124, 108] } },
};
