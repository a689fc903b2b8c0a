import fc from 'fast-check';

import { volumeOf, type LayerPath } from '@core/making/slice';
import { jobOf, sliceNow, partOf, settingsNamed } from '@core/testing/sliced';
import { readByAnother } from '@core/testing/otherReader';
import { bar, together } from '@core/testing/solids3d';
import { LAYER_PRINTERS } from '@core/record/workshop';

import { arcCentre, placesAlong } from './arcs';
import { neededMoves } from './fewerMoves';
import { writeGcode } from './gcode';

type Place = readonly [number, number];

/** How far a place is from a line through places. */
function offFrom([x, y]: Place, line: readonly Place[]): number {
  // A line that goes nowhere is a place.
  let least = Math.hypot(x - line[0]![0], y - line[0]![1]);
  for (let at = 1; at < line.length; at += 1) {
    const [[ax, ay], [bx, by]] = [line[at - 1]!, line[at]!];
    const [dx, dy] = [bx - ax, by - ay];
    const square = dx * dx + dy * dy;
    const share = square === 0 ? 0 : Math.max(0, Math.min(1, ((x - ax) * dx + (y - ay) * dy) / square));
    least = Math.min(least, Math.hypot(x - ax - share * dx, y - ay - share * dy));
  }
  return least;
}

/** What a line's moves go along, arcs by chords that leave them by a ten-thousandth at most. */
function along(path: LayerPath, takesArcs: boolean): { line: Place[]; moves: number; arcs: number } {
  const at = (index: number): Place => {
    const place = index % (path.points.length / 2);
    return [path.points[2 * place]!, path.points[2 * place + 1]!];
  };
  const line: Place[] = [at(0)];
  const moves = neededMoves(path, takesArcs);
  let from = 0;
  for (const { to, sweep } of moves) {
    const arc = { from: at(from), to: at(to), sweep };
    line.push(...(sweep === 0 ? [at(to)] : placesAlong(arcCentre(arc), arc, 1e-4)));
    from = to;
  }
  return { line, moves: moves.length, arcs: moves.filter(({ sweep }) => sweep !== 0).length };
}

const place = fc.tuple(
  fc.double({ min: -20, max: 20, noNaN: true }),
  fc.double({ min: -20, max: 20, noNaN: true }),
);

test.each([false, true])(
  'whatever the line, no place that is left out lies further from it than allowed (arcs: %s)',
  (takesArcs) => {
    fc.assert(
      fc.property(fc.array(place, { minLength: 3, maxLength: 60 }), fc.boolean(), (places, closed) => {
        const path: LayerPath = { kind: 'gap', closed, points: Float64Array.from(places.flat()), width: 0.4 };
        const { line } = along(path, takesArcs);
        for (const one of places) expect(offFrom(one, line)).toBeLessThan(0.02 + 2e-3);
      }),
    );
  },
);

/** Bends and straight stretches, one after another without a corner, as outlines are: finely sampled. */
const outline = fc
  .array(
    fc.record({
      radius: fc.double({ min: 0.5, max: 60, noNaN: true }),
      turn: fc.double({ min: -2.5, max: 2.5, noNaN: true }),
      straight: fc.double({ min: 0, max: 10, noNaN: true }),
    }),
    { minLength: 1, maxLength: 6 },
  )
  .map((stretches) => {
    const points: number[] = [0, 0];
    let [x, y, way] = [0, 0, 0];
    for (const { radius, turn, straight } of stretches) {
      // Chords that leave their circle by two thousandths.
      const steps = Math.ceil(Math.abs(turn) / (2 * Math.acos(1 - 0.002 / radius)));
      const chord = 2 * radius * Math.sin(Math.abs(turn) / steps / 2);
      for (let step = 0; step < steps; step += 1) {
        way += turn / steps / 2;
        [x, y] = [x + chord * Math.cos(way), y + chord * Math.sin(way)];
        points.push(x, y);
        way += turn / steps / 2;
      }
      [x, y] = [x + straight * Math.cos(way), y + straight * Math.sin(way)];
      points.push(x, y);
    }
    return { points, stretches: stretches.length };
  });

test('outlines of arcs and lines: within a hundredth either way, and hardly more moves than they have arcs and lines', () => {
  fc.assert(
    fc.property(outline, ({ points, stretches }) => {
      const path: LayerPath = {
        kind: 'outerWall',
        closed: false,
        points: Float64Array.from(points),
        width: 0.4,
      };
      const places = Array.from({ length: points.length / 2 }, (_, at): Place => [
        points[2 * at]!,
        points[2 * at + 1]!,
      ]);
      const { line, moves } = along(path, true);
      expect(moves).toBeLessThanOrEqual(3 * stretches + 1);
      for (const one of places) expect(offFrom(one, line)).toBeLessThan(0.0041 + 1.6e-3);
      for (const one of line) expect(offFrom(one, places)).toBeLessThan(0.01);
    }),
    { numRuns: 200 },
  );
});

const circle = (count: number, radius: number): LayerPath => ({
  kind: 'outerWall',
  closed: true,
  points: Float64Array.from({ length: 2 * count }, (_, at) => {
    const angle = (2 * Math.PI * Math.floor(at / 2)) / count;
    return radius * (at % 2 === 0 ? Math.cos(angle) : Math.sin(angle));
  }),
  width: 0.4,
});

test('a circle of many short stretches becomes one of few, as long as they stay within four thousandths', () => {
  // A chord of sag s spans 2 acos(1 − s / r): 0.0566 rad, 111 of them.
  expect(neededMoves(circle(2000, 10), false)).toHaveLength(112);
});

test('where the printer takes them it is three arcs at most, each half a turn at most, round the middle', () => {
  const path = circle(2000, 10);
  const moves = neededMoves(path, true);
  expect(moves.length).toBeLessThanOrEqual(3);
  expect(moves.reduce((sum, { sweep }) => sum + sweep, 0)).toBeCloseTo(2 * Math.PI, 6);
  for (const { sweep } of moves) expect(sweep).toBeLessThanOrEqual(Math.PI + 1e-9);
});

test('circles that thousandths of a millimetre would bend are straight lines', () => {
  expect(neededMoves(circle(40, 0.08), true).every(({ sweep }) => sweep === 0)).toBe(true);
  expect(neededMoves(circle(40, 0.5), true).some(({ sweep }) => sweep !== 0)).toBe(true);
});

test('corners that were meant stay: a hexagon and a polygon of 24 sides get no arcs', () => {
  expect(neededMoves(circle(6, 8), true)).toEqual([1, 2, 3, 4, 5, 6].map((to) => ({ to, sweep: 0 })));
  expect(neededMoves(circle(24, 8), true).every(({ sweep }) => sweep === 0)).toBe(true);
});

describe('a round hollow part as it is sent', () => {
  const printer = { ...LAYER_PRINTERS[0]!, firstLayerSpreadMm: 0 };
  // 1.95 of wall: two lines on either side, and a gap between them.
  const [outer, inner] = [bar(20, 3, 240), bar(16.1, 3, 240)];
  const tube = together(
    { mesh: outer, at: [0, 0, 0] },
    { mesh: { ...inner, indices: inner.indices.slice().reverse() }, at: [0, 0, 0] },
  );
  const settings = { ...settingsNamed('everyday'), foot: 'none' as const };
  const sent = (takesArcs: boolean) => {
    const spread = sliceNow(jobOf([partOf(tube, { settings })], { machine: { ...printer, takesArcs } }));
    const text = writeGcode(spread.job, 'Tube', '2026-11-28T08:00:00.000Z');
    if (!text.ok) throw new Error(text.fault.code);
    return { spread, text: text.value };
  };
  const jobs = { straight: sent(false), arcs: sent(true) };

  test.each(['straight', 'arcs'] as const)('no line goes from a place to itself: %s', (by) => {
    let before = '';
    const still: string[] = [];
    for (const line of jobs[by].text.split('\n')) {
      const at = /^G[0-3] (X\S+ Y\S+)/.exec(line)?.[1];
      if (!at) continue;
      if (at === before) still.push(line);
      before = at;
    }
    expect(before).not.toBe('');
    expect(still).toEqual([]);
  });

  test('a printer is asked for no more lines than it takes in a second, in any half of one', () => {
    const busiest = (linesPerSecond?: number) => {
      const machine = { ...printer, takesArcs: false, ...(linesPerSecond ? { linesPerSecond } : {}) };
      const { job } = sliceNow(jobOf([partOf(tube, { settings })], { machine }));
      const times = job.layers.flatMap(({ seconds }) => [...seconds]);
      let [from, sum, most] = [0, 0, 0];
      for (const [to, seconds] of times.entries()) {
        sum += seconds;
        while (sum > 0.5) sum -= times[from++]!;
        most = Math.max(most, to - from);
      }
      return most;
    };
    expect(busiest()).toBeGreaterThan(10);
    expect(busiest()).toBeLessThanOrEqual(55);
    expect(busiest(40)).toBeLessThanOrEqual(25);
  });

  test.each(['straight', 'arcs'] as const)('as much filament is laid as the lines take: %s', (by) => {
    const mm3 = jobs[by].spread.sliced.layers.reduce(
      (sum, { paths, heightMm }) => sum + paths.reduce((all, path) => all + volumeOf(path, heightMm), 0),
      0,
    );
    const area = (Math.PI / 4) * printer.filamentMm ** 2;
    const pushed = jobs[by].spread.job.layers.reduce(
      (sum, { filamentMm }) => sum + filamentMm.reduce((all, one) => all + one, 0),
      0,
    );
    expect((pushed * area) / mm3).toBeCloseTo(1, 9);
    const written = readByAnother(jobs[by].text).reduce((sum, { filamentMm }) => sum + filamentMm, 0);
    expect(written / pushed).toBeCloseTo(1, 5);
  });

  test('with arcs it takes a tenth of the bytes, no longer, and lies within a hundredth of where it belongs', () => {
    expect(jobs.arcs.text.length).toBeLessThan(jobs.straight.text.length / 10);
    expect(jobs.arcs.spread.figures.minutes).toBeLessThan(1.005 * jobs.straight.spread.figures.minutes);
    const [cx, cy] = [printer.envelopeMm[0] / 2, printer.envelopeMm[1] / 2];
    const radii = readByAnother(jobs.arcs.text)
      .filter(({ kind, lengthMm }) => kind === 'outerWall' && lengthMm > 0)
      .flatMap(({ places }) => places.map(([x, y]) => Math.hypot(x - cx, y - cy)));
    // Half a line within the outside, half a line outside the hole.
    const [outside, hole] = [10 - settings.lineMm / 2, 8.05 + settings.lineMm / 2];
    expect(radii.length).toBeGreaterThan(1000);
    for (const radius of radii)
      expect(Math.min(Math.abs(radius - outside), Math.abs(radius - hole))).toBeLessThan(0.01);
  });
});
