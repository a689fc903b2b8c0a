import { teeth, type Figure } from './shapes';

export const gearFromTwoSpans: Figure = {
  strokes: [
    { path: teeth(16, 150, 94, 48, 66), style: 'piece' },
    { circle: [150, 94, 14], style: 'hole' },
  ],
  inputs: {
    teeth: { at: [48, 60] },
    k: { at: [48, 108] },
    span: {
      at: [176, 22],
      span: [
        [124, 38],
        [176, 38],
      ],
    },
    next: {
      at: [160, 148],
      span: [
        [110, 150],
        [190, 150],
      ],
    },
  },
  results: {
    module: { at: [264, 94] },
    pressureAngle: { at: [264, 94] },
    shift: { at: [264, 94] },
    unworn: { at: [264, 94] },
  },
};
