import { CONSTRUCTIONS } from '@core/measuring/measure';

import { FIGURES } from './figures';

const WIDTH = 320;
const HEIGHT = 170;

test('there is a figure for each construction and for nothing else', () => {
  expect(Object.keys(FIGURES).sort()).toEqual(CONSTRUCTIONS.map(({ id }) => id).sort());
});

describe.each(CONSTRUCTIONS.map((construction) => [construction.id, construction] as const))(
  '%s',
  (id, of) => {
    const figure = FIGURES[id];
    const marks = { ...figure.inputs, ...figure.results };

    test('has a place to tap for each input, and one for each result', () => {
      expect(Object.keys(figure.inputs).sort()).toEqual(of.inputs.map(({ key }) => key).sort());
      expect(Object.keys(figure.results).sort()).toEqual(of.results.map(({ key }) => key).sort());
    });

    test('keeps everything on the paper', () => {
      for (const { at, span } of Object.values(marks)) {
        for (const [x, y] of [at, ...(span ?? [])]) {
          expect(x).toBeGreaterThanOrEqual(0);
          expect(x).toBeLessThanOrEqual(WIDTH);
          expect(y).toBeGreaterThanOrEqual(0);
          expect(y).toBeLessThanOrEqual(HEIGHT);
        }
      }
    });

    test('keeps the places that are tapped far enough apart for a thumb', () => {
      const places = Object.values(figure.inputs).map(({ at }) => at);
      for (const [index, [x, y]] of places.entries()) {
        for (const [otherX, otherY] of places.slice(index + 1)) {
          // Targets are 96 by 44; they may touch at a corner, but not hide each other's middle.
          expect(Math.abs(x - otherX) >= 48 || Math.abs(y - otherY) >= 24).toBe(true);
        }
      }
    });
  },
);
