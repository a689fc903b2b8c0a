import { teeth, type Figure } from './shapes';

export const gearFromSpans: Figure = {
  strokes: [
    { path: teeth(16, 104, 86, 50, 66), style: 'piece' },
    { circle: [104, 86, 14], style: 'hole' },
    { path: teeth(10, 214, 86, 28, 44), style: 'thin' },
    { circle: [214, 86, 9], style: 'hole' },
  ],
  inputs: {
    teeth: { at: [34, 22] },
    tip: {
      at: [104, 160],
      span: [
        [38, 158],
        [170, 158],
      ],
    },
    k: { at: [104, 18] },
    span: {
      at: [180, 18],
      span: [
        [78, 34],
        [130, 34],
      ],
    },
    mate: { at: [276, 60] },
    centres: {
      at: [214, 148],
      span: [
        [104, 140],
        [214, 140],
      ],
    },
  },
  results: {
    module: { at: [286, 112] },
    pressureAngle: { at: [286, 112] },
    shift: { at: [286, 112] },
    unworn: { at: [264, 112] },
    mateShift: { at: [264, 112] },
  },
};
