import { twoHoles, type Figure } from './shapes';

export const centresFromBothEdges: Figure = {
  strokes: twoHoles,
  inputs: {
    far: {
      at: [160, 22],
      span: [
        [66, 22],
        [254, 22],
      ],
    },
    near: {
      at: [160, 68],
      span: [
        [114, 68],
        [206, 68],
      ],
    },
  },
  results: {
    result: {
      at: [160, 148],
      span: [
        [90, 148],
        [230, 148],
      ],
    },
  },
};
