import fc from 'fast-check';

import { volumeOf, type LayerPath } from '@core/slice';
import { jobOf, laid, partOf, settingsNamed } from '@core/testing/laid';
import { bar, together } from '@core/testing/solids3d';
import { LAYER_PRINTERS } from '@core/workshop';

import { neededPoints } from './fewerPoints';
import { writeGcode } from './gcode';

/** How far a place is from a line through places. */
function offFrom(x: number, y: number, line: readonly [number, number][]): number {
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

test('whatever the line, no place that is left out lies further from it than allowed', () => {
  const place = fc.tuple(
    fc.double({ min: -20, max: 20, noNaN: true }),
    fc.double({ min: -20, max: 20, noNaN: true }),
  );
  fc.assert(
    fc.property(fc.array(place, { minLength: 3, maxLength: 60 }), fc.boolean(), (places, closed) => {
      const path: LayerPath = { kind: 'gap', closed, points: Float64Array.from(places.flat()), width: 0.4 };
      const needed = neededPoints(path);
      const line = needed.map((index) => places[index % places.length]!);
      expect(needed[0]).toBe(0);
      for (const [x, y] of places) expect(offFrom(x, y, line)).toBeLessThan(0.02 + 2e-4);
    }),
  );
});

test('a circle of many short stretches becomes one of few, as long as they stay within four thousandths', () => {
  const count = 2000;
  const points = Float64Array.from({ length: 2 * count }, (_, at) => {
    const angle = (2 * Math.PI * Math.floor(at / 2)) / count;
    return 10 * (at % 2 === 0 ? Math.cos(angle) : Math.sin(angle));
  });
  const needed = neededPoints({ kind: 'outerWall', closed: true, points, width: 0.4 });
  // A chord of sag s spans 2 acos(1 − s / r): 0.0566 rad, 111 of them; halving finds at most twice as many.
  expect(needed.length).toBeGreaterThan(110);
  expect(needed.length).toBeLessThan(225);
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
  const spread = laid(jobOf([partOf(tube, { settings })], { machine: printer }));
  const moves = spread.job.layers.flatMap(({ x, y, seconds, kind, filamentMm }) =>
    Array.from(x, (to, at) => ({
      at,
      x: to,
      y: y[at]!,
      seconds: seconds[at]!,
      kind: kind[at]!,
      filament: filamentMm[at]!,
    })),
  );

  test('no line goes from a place to itself', () => {
    const text = writeGcode(spread.job, 'Tube', '2026-11-28T08:00:00.000Z');
    if (!text.ok) throw new Error(text.fault.code);
    let before = '';
    const still: string[] = [];
    for (const line of text.value.split('\n')) {
      const place = /^G[01] (X\S+ Y\S+)/.exec(line)?.[1];
      if (!place) continue;
      if (place === before) still.push(line);
      before = place;
    }
    expect(before).not.toBe('');
    expect(still).toEqual([]);
  });

  test('a printer is asked for no more than a hundred lines a second, in any half of one', () => {
    let [from, seconds, most] = [0, 0, 0];
    for (const [to, move] of moves.entries()) {
      seconds += move.seconds;
      while (seconds > 0.5) seconds -= moves[from++]!.seconds;
      most = Math.max(most, to - from);
    }
    expect(most).toBeGreaterThan(10);
    expect(most).toBeLessThanOrEqual(55);
  });

  test('as much filament is laid as the lines as they were sliced take', () => {
    const mm3 = spread.sliced.layers.reduce(
      (sum, { paths, heightMm }) => sum + paths.reduce((all, path) => all + volumeOf(path, heightMm), 0),
      0,
    );
    const area = (Math.PI / 4) * printer.filamentMm ** 2;
    const filament = moves.reduce((sum, move) => sum + move.filament, 0);
    expect((filament * area) / mm3).toBeCloseTo(1, 9);
  });
});
