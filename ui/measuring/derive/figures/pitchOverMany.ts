import { type Figure } from './shapes';

export const pitchOverMany: Figure = {
  strokes: [
    {
      path: 'M20 60 L34 40 L48 60 L62 40 L76 60 L90 40 L104 60 L118 40 L132 60 L146 40 L160 60 L174 40 L188 60 L202 40 L216 60 L230 40 L244 60 L258 40 L272 60 L286 40 L300 60 L300 110 L20 110 Z',
      style: 'piece',
    },
  ],
  inputs: {
    over: {
      at: [146, 140],
      span: [
        [34, 124],
        [258, 124],
      ],
    },
    steps: { at: [270, 20] },
  },
  results: {
    result: {
      at: [62, 20],
      span: [
        [34, 32],
        [62, 32],
      ],
    },
  },
};
