import { twoHoles, type Figure } from './shapes';

export const centresFromNearEdges: Figure = {
  strokes: twoHoles,
  inputs: {
    near: {
      at: [160, 68],
      span: [
        [114, 68],
        [206, 68],
      ],
    },
    first: {
      at: [66, 22],
      span: [
        [66, 38],
        [114, 38],
      ],
    },
    second: {
      at: [254, 22],
      span: [
        [206, 38],
        [254, 38],
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
