import fc from 'fast-check';

import {
  arcCentre,
  arcCentreByRadius,
  arcLength,
  arcRadius,
  furthestOf,
  placesAlong,
  sweepAbout,
} from './arcs';

const coordinate = fc.double({ min: -50, max: 50, noNaN: true });
const place = fc.tuple(coordinate, coordinate);
const sweep = fc
  .tuple(fc.double({ min: 0.01, max: 6.2, noNaN: true }), fc.boolean())
  .map(([angle, isClockwise]) => (isClockwise ? -angle : angle));
const arc = fc
  .record({ from: place, to: place, sweep })
  .filter(({ from, to }) => Math.hypot(to[0] - from[0], to[1] - from[1]) > 0.1);

test('whatever the arc: its centre is a radius from both ends, its angle about it is its own, its length radius × angle', () => {
  fc.assert(
    fc.property(arc, (one) => {
      const centre = arcCentre(one);
      const radius = arcRadius(one);
      for (const [x, y] of [one.from, one.to])
        expect(Math.hypot(x - centre[0], y - centre[1]) / radius).toBeCloseTo(1, 6);
      expect(sweepAbout(centre, one.from, one.to, one.sweep < 0)).toBeCloseTo(one.sweep, 6);
      expect(arcLength(one) / (radius * Math.abs(one.sweep))).toBeCloseTo(1, 9);
    }),
  );
});

test('by its radius, below zero for the longer way round, it has the same centre', () => {
  fc.assert(
    fc.property(arc, (one) => {
      const longer = Math.abs(one.sweep) > Math.PI;
      const found = arcCentreByRadius(one.from, one.to, (longer ? -1 : 1) * arcRadius(one), one.sweep < 0);
      // Half a circle has a chord as long as it is wide, and rounding may take a hair of it.
      fc.pre(Math.abs(Math.abs(one.sweep) - Math.PI) > 0.01);
      const centre = arcCentre(one);
      expect(Math.hypot(found![0] - centre[0], found![1] - centre[1])).toBeLessThan(1e-5 * arcRadius(one));
    }),
  );
  expect(arcCentreByRadius([0, 0], [10, 0], 4, true)).toBeNull();
  expect(arcCentreByRadius([0, 0], [0, 0], 4, true)).toBeNull();
});

test('its chords stay as near as they are asked to, and nothing of it reaches further than is told', () => {
  fc.assert(
    fc.property(arc, (one) => {
      const centre = arcCentre(one);
      const radius = arcRadius(one);
      fc.pre(radius < 200);
      const places = [one.from, ...placesAlong(centre, one, 0.01)];
      const told = [...furthestOf(centre, one.from, one.sweep), ['X', one.to[0]], ['X', one.from[0]]] as [
        string,
        number,
      ][];
      const right = Math.max(...told.filter(([axis]) => axis === 'X').map(([, mm]) => mm));
      for (let at = 1; at < places.length; at += 1) {
        const [[ax, ay], [bx, by]] = [places[at - 1]!, places[at]!];
        const middle = Math.hypot((ax + bx) / 2 - centre[0], (ay + by) / 2 - centre[1]);
        expect(radius - middle).toBeLessThan(0.0101);
        expect(bx).toBeLessThan(right + 1e-6);
      }
    }),
  );
});

test('a circle that ends where it begins is a whole turn', () => {
  expect(sweepAbout([0, 0], [5, 0], [5, 0], true)).toBeCloseTo(-2 * Math.PI, 9);
  expect(sweepAbout([0, 0], [5, 0], [5, 0], false)).toBeCloseTo(2 * Math.PI, 9);
});
