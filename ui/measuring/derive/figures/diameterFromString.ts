import { type Figure } from './shapes';

export const diameterFromString: Figure = {
  strokes: [
    { circle: [120, 80, 56], style: 'piece' },
    { circle: [120, 80, 60], style: 'thin' },
    { path: 'M120 140 L300 140', style: 'line' },
  ],
  inputs: {
    string: {
      at: [246, 120],
      span: [
        [180, 140],
        [300, 140],
      ],
    },
    turns: { at: [262, 40] },
    thickness: { at: [120, 156] },
  },
  results: {
    result: {
      at: [120, 80],
      span: [
        [64, 80],
        [176, 80],
      ],
    },
  },
};
