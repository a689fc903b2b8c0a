import { twoHoles, type Figure } from './shapes';

export const centresFromFarEdges: Figure = {
  strokes: twoHoles,
  inputs: {
    far: {
      at: [160, 22],
      span: [
        [66, 22],
        [254, 22],
      ],
    },
    first: {
      at: [90, 110],
      span: [
        [66, 85],
        [114, 85],
      ],
    },
    second: {
      at: [230, 110],
      span: [
        [206, 85],
        [254, 85],
      ],
    },
  },
  results: {
    result: {
      at: [160, 150],
      span: [
        [90, 150],
        [230, 150],
      ],
    },
  },
};
