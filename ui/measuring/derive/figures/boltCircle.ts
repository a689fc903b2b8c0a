import { hole, type Figure } from './shapes';

export const boltCircle: Figure = {
  strokes: [
    { circle: [160, 86, 78], style: 'piece' },
    { circle: [160, 86, 54], style: 'thin' },
    ...Array.from({ length: 5 }, (_, index) => {
      const angle = -Math.PI / 2 + (index * 2 * Math.PI) / 5;
      return hole(160 + 54 * Math.cos(angle), 86 + 54 * Math.sin(angle), 8);
    }),
  ],
  inputs: {
    next: {
      at: [232, 34],
      span: [
        [160, 32],
        [211, 69],
      ],
    },
    holes: { at: [40, 40] },
  },
  results: {
    result: {
      at: [160, 100],
      span: [
        [106, 86],
        [214, 86],
      ],
    },
  },
};
