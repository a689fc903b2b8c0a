import { type Figure } from './shapes';

export const radiusFromChord: Figure = {
  strokes: [
    { path: 'M50 130 A125 125 0 0 1 270 130', style: 'line' },
    { path: 'M50 130 L270 130', style: 'thin' },
    { path: 'M160 130 L160 62', style: 'thin' },
  ],
  inputs: {
    chord: {
      at: [110, 152],
      span: [
        [50, 146],
        [270, 146],
      ],
    },
    height: {
      at: [110, 100],
      span: [
        [160, 64],
        [160, 130],
      ],
    },
  },
  results: { result: { at: [252, 66] } },
};
