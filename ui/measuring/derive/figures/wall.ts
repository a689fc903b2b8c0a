import { hole, type Figure } from './shapes';

export const wall: Figure = {
  strokes: [{ circle: [160, 85, 72], style: 'piece' }, hole(160, 85, 46)],
  inputs: {
    outside: {
      at: [48, 150],
      span: [
        [88, 152],
        [232, 152],
      ],
    },
    inside: {
      at: [160, 85],
      span: [
        [114, 85],
        [206, 85],
      ],
    },
  },
  results: {
    result: {
      at: [276, 85],
      span: [
        [206, 70],
        [232, 70],
      ],
    },
  },
};
