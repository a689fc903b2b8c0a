import fc from 'fast-check';

import type { NamedLength } from '@core/foundations/fault';
import {
  boxOfLoop,
  cornerRadiusOf,
  loopOf,
  placedLoop,
  type Curve,
  type KnownOutline,
  type Loop,
} from '@core/shaping/outline';

const lengths = (mm: Record<string, number>): Record<string, NamedLength> =>
  Object.fromEntries(
    Object.entries(mm).map(([key, value]) => [key, { what: 'length', tag: null, mm: value }]),
  );
function loop(
  shape: KnownOutline['shape'],
  mm: Record<string, number>,
  more: Partial<KnownOutline> = {},
): Loop {
  const made = loopOf({ shape, lengths: lengths(mm), ...more });
  if (!made.ok) throw new Error(made.fault.code);
  return made.value;
}
const ends = (curve: Curve) => ('from' in curve ? [curve.from, curve.to] : []);

/** Area by the trapezoids of a finely divided loop (lines, and arcs through three points). */
function areaOf(made: Loop): number {
  const points = made.flatMap((curve) => {
    if (curve.kind === 'line') return [curve.from];
    if (curve.kind !== 'arc') throw new Error('not divided here');
    const [a, b, c] = [curve.from, curve.via, curve.to];
    // Centre of the circle through three points.
    const d = 2 * (a[0] * (b[1] - c[1]) + b[0] * (c[1] - a[1]) + c[0] * (a[1] - b[1]));
    const [sa, sb, sc] = [a, b, c].map(([x, y]) => x * x + y * y) as [number, number, number];
    const mx = (sa * (b[1] - c[1]) + sb * (c[1] - a[1]) + sc * (a[1] - b[1])) / d;
    const my = (sa * (c[0] - b[0]) + sb * (a[0] - c[0]) + sc * (b[0] - a[0])) / d;
    const radius = Math.hypot(a[0] - mx, a[1] - my);
    const start = Math.atan2(a[1] - my, a[0] - mx);
    let sweep = Math.atan2(c[1] - my, c[0] - mx) - start;
    if (sweep < 0) sweep += 2 * Math.PI;
    return Array.from({ length: 400 }, (_, index) => {
      const angle = start + (sweep * index) / 400;
      return [mx + radius * Math.cos(angle), my + radius * Math.sin(angle)] as const;
    });
  });
  return points.reduce((sum, [x, y], index) => {
    const [nx, ny] = points[(index + 1) % points.length]!;
    return sum + (x * ny - nx * y) / 2;
  }, 0);
}

const mm = fc.double({ min: 1, max: 200, noNaN: true });

describe('plain outlines', () => {
  test('have the areas of the formulas, anticlockwise', () => {
    fc.assert(
      fc.property(mm, mm, fc.double({ min: 0.02, max: 0.48, noNaN: true }), (length, breadth, share) => {
        const radius = share * Math.min(length, breadth);
        const rectangle = loop('rectangle', { length, breadth, cornerRadius: radius });
        const expected = length * breadth - (4 - Math.PI) * radius ** 2;
        expect(areaOf(rectangle) / expected).toBeCloseTo(1, 3);
      }),
    );
    expect(areaOf(loop('slot', { length: 30, breadth: 8 }))).toBeCloseTo(22 * 8 + Math.PI * 16, 1);
    // A hexagon over flats s: s² √3 / 2.
    expect(areaOf(loop('polygon', { across: 10 }, { sides: 6, by: 'flats' }))).toBeCloseTo(
      50 * Math.sqrt(3),
      9,
    );
    // An octagon over corners d: 2 √2 r².
    expect(areaOf(loop('polygon', { across: 20 }, { sides: 8, by: 'corners' }))).toBeCloseTo(
      200 * Math.SQRT2,
      9,
    );
  });

  test('close, and each curve begins where the last one ended', () => {
    const shapes = [
      loop('rectangle', { length: 20, breadth: 10, cornerRadius: 2 }),
      loop('rectangle', { length: 20, breadth: 10, cornerRadius: 0 }),
      loop('slot', { length: 20, breadth: 10 }),
      loop('polygon', { across: 9 }, { sides: 5, by: 'flats' }),
    ];
    for (const made of shapes) {
      for (const [index, curve] of made.entries()) {
        const next = made[(index + 1) % made.length]!;
        const [end, start] = [ends(curve)[1]!, ends(next)[0]!];
        expect(Math.hypot(end[0] - start[0], end[1] - start[1])).toBeLessThan(1e-9);
      }
      expect(new Set(made.map(({ role }) => role)).size).toBe(made.length);
    }
  });

  test('a nut lies on a flat, and is as wide over flats as it was measured', () => {
    const [, y0, , y1] = boxOfLoop(loop('polygon', { across: 13 }, { sides: 6, by: 'flats' }));
    expect(y1 - y0).toBeCloseTo(13, 9);
    expect(2 * cornerRadiusOf(6, 'flats', 13)).toBeCloseTo(26 / Math.sqrt(3), 9);
    // Odd ones are measured from a flat to the corner opposite.
    const [, low, , high] = boxOfLoop(loop('polygon', { across: 15 }, { sides: 3, by: 'flats' }));
    expect(high - low).toBeCloseTo(15, 9);
  });

  test('an ellipse as broad as it is long is a circle', () => {
    expect(loop('ellipse', { length: 8, breadth: 8 })[0]).toMatchObject({ kind: 'circle', radius: 4 });
    expect(loop('ellipse', { length: 8, breadth: 12 })[0]).toMatchObject({ alongX: 4, alongY: 6 });
  });

  test.each([
    ['rectangle', { length: 20, breadth: 10, cornerRadius: 5 }, 'plate.cornerTooRound'],
    ['rectangle', { length: 20, breadth: 10, cornerRadius: -1 }, 'plate.cornerTooRound'],
    ['slot', { length: 8, breadth: 8 }, 'outline.slotTooShort'],
  ] as const)('%s %j is refused as %s', (shape, numbers, code) =>
    expect(loopOf({ shape, lengths: lengths(numbers) })).toMatchObject({ ok: false, fault: { code } }),
  );
});

test('turned and moved outlines keep their area', () => {
  const turns = fc.double({ min: -3, max: 3, noNaN: true });
  fc.assert(
    fc.property(turns, mm, mm, (turn, x, y) => {
      const made = placedLoop(loop('slot', { length: 30, breadth: 8 }), turn, [x, y]);
      expect(areaOf(made)).toBeCloseTo(22 * 8 + Math.PI * 16, 1);
    }),
  );
  const [x0, y0, x1, y1] = boxOfLoop(
    placedLoop(loop('rectangle', { length: 20, breadth: 10, cornerRadius: 0 }), Math.PI / 2, [100, 0]),
  );
  expect([x0, y0, x1, y1].map((value) => Math.round(value * 1e6) / 1e6)).toEqual([95, -10, 105, 10]);
});
