import type { Kernel } from '@core/shaping/kernel';
import type { Step } from '@core/record/model';
import { testKernel } from '@core/testing/kernel';
import { block, buildPiece, outlineOf, plain, raised, stepOf } from '@core/testing/pieces';
import { expectNear, wholeVolume } from '@core/testing/volumes';

import { fittedSpline } from './fittedSpline';
import { stretchedText } from './stretched';

let kernel: Kernel;
beforeAll(async () => {
  kernel = await testKernel();
});

type By = readonly [number, number, number];

/** Thirteen to the right, nine to the back, eleven up: no way as another. */
const BY: By = [1.3, 0.9, 1.1];

const scaled = ([x, y, z]: By, more: object = {}): Step =>
  ({
    ...stepOf('move', { dx: 0, dy: 0, dz: 0, axis: 'z', turn: 0, ...more }),
    scale: { x, y, z },
  }) as Step;

const times = ([x, y, z]: By) => x * y * z;

const placed = { effect: 'add', on: 'bottom', x: 0, y: 0 };

const base = block(40, 20, 10);

const bore = stepOf('hole', { diameter: 6, depth: 'through', x: 0, y: 0 });

const dressed =
  (kind: 'fillet' | 'chamfer', edges: string) =>
  (of: Step, size: number): Step =>
    ({ ...stepOf(kind, { size }), where: { edges, of: of.id } }) as Step;

const [round, ease] = [dressed('fillet', 'all'), dressed('chamfer', 'rims')];

/** Plain numbers that are angles. */
const angled = (step: Step, angles: object): Step => ({ ...step, ...angles }) as Step;

const circle = (diameter: number) => outlineOf('circle', { diameter });

describe('all kinds of surfaces, stretched unevenly, hold what they held times the three shares', () => {
  const stations = (between: string, section?: string) =>
    stepOf('stations', {
      ...placed,
      between,
      ...(section ? { section } : {}),
      rows: [
        [0, 12, 8],
        [9, 20, 10],
        [20, 8, 6],
      ].map(([at, diameter, depth]) => plain({ at, diameter, ...(section ? { depth } : {}) })),
    });
  const pieces: [string, Step[]][] = [
    ['flat', [block(40, 20, 10)]],
    ['cylinders', [block(40, 20, 10), stepOf('hole', { diameter: 6, depth: 'through', x: 4, y: 1 })]],
    ['a cone', [stepOf('cone', { ...placed, lower: 20, upper: 6, height: 14 })]],
    ['a pointed cone', [stepOf('cone', { ...placed, lower: 20, upper: 0, height: 14 })]],
    ['a ball', [stepOf('sphere', { ...placed, diameter: 18, up: 9 })]],
    ['a ring', [stepOf('torus', { ...placed, across: 30, thick: 6, up: 3 })]],
    ['leaning sides', [angled(raised(outlineOf('slot', { length: 30, breadth: 12 }), 10), { draft: 0.1 })]],
    ['an ellipse', [raised(outlineOf('ellipse', { length: 30, breadth: 12 }), 10)]],
    ['smooth stations', [stations('smooth')]],
    ['oval stations', [stations('smooth', 'oval')]],
    ['rounds', [base, round(base, 3)]],
    [
      'a band bent round',
      [
        stepOf('sweep', {
          ...placed,
          outline: circle(4),
          along: 'straight',
          closed: false,
          bend: 6,
          path: [
            [0, 0, 0],
            [0, 0, 20],
            [20, 5, 30],
          ].map(([x, y, up]) => plain({ x, y, up })),
        }),
      ],
    ],
    [
      'part of a turned outline',
      [
        angled(
          stepOf('revolve', {
            ...placed,
            outline: outlineOf('ellipse', { length: 8, breadth: 4 }),
            away: 14,
            up: 4,
            turn: 0.3,
          }),
          { angle: 2 },
        ),
      ],
    ],
    [
      'repeats that share what is behind them',
      [
        block(40, 20, 4),
        stepOf('peg', { diameter: 3, height: 5, x: -12, y: 0 }, 'peg'),
        stepOf('pattern', { of: 'peg', pattern: { by: 'row', count: 4, ...plain({ dx: 8, dy: 0 }) } }),
      ],
    ],
  ];

  test.each(pieces)('%s', (_, steps) => {
    const whole = wholeVolume(kernel, ...steps);
    expect(whole).toBeGreaterThan(100);
    for (const by of [BY, [1.2, 1.2, 0.8] as const, [1, 2, 1] as const]) {
      expectNear(wholeVolume(kernel, ...steps, scaled(by)), whole * times(by), 1e-8);
    }
  });

  test('a screw thread', () => {
    const thread = {
      ...stepOf('thread', { on: 'bottom', x: 0, y: 0, length: 6, play: 0 }),
      side: 'outside',
      size: 'M8',
      made: 'modelled',
    } as Step;
    expectNear(wholeVolume(kernel, thread, scaled(BY)), wholeVolume(kernel, thread) * times(BY), 1e-6);
  });
});

describe('what has been stretched', () => {
  test('keeps the names of its faces, and stands where it was told', () => {
    const before = buildPiece(kernel, [base, bore]);
    const after = buildPiece(kernel, [base, bore, scaled([2, 1, 0.5], { dz: 3 })]);
    expect(after.roles).toEqual(before.roles);
    expect(after.box!.map((mm) => Math.round(mm * 1e4) / 1e4)).toEqual([-40, -10, 3, 40, 10, 8]);
  });

  test('takes what later steps do: drilled, rounded, hollowed, joined', () => {
    const drilled = wholeVolume(kernel, base, scaled(BY), bore);
    expectNear(drilled, 8000 * times(BY) - Math.PI * 9 * 11, 1e-8);
    expect(wholeVolume(kernel, base, bore, scaled(BY), ease(base, 1))).toBeLessThan(
      wholeVolume(kernel, base, bore, scaled(BY)),
    );
    const hollow = stepOf('shell', { wall: 2, open: 'top' });
    expectNear(wholeVolume(kernel, base, scaled(BY), hollow), 8000 * times(BY) - 48 * 14 * 9, 1e-8);
    const oval = raised(outlineOf('ellipse', { length: 6 * 1.3, breadth: 6 * 0.9 }), 4, { on: 'top' });
    expectNear(
      wholeVolume(kernel, base, bore, scaled(BY), { ...oval, x: plain({ x: 15 }).x } as Step),
      (8000 - Math.PI * 90) * times(BY) + Math.PI * 3.9 * 2.7 * 4,
      1e-8,
    );
  });

  test('evenly across, a bore stays a cylinder: a peg of its new size fills it to nothing', () => {
    const peg = raised(circle(6 * 1.2), 8, { on: 'bottom' });
    expectNear(wholeVolume(kernel, base, bore, scaled([1.2, 1.2, 0.8]), peg), 8000 * 1.2 * 1.2 * 0.8, 1e-9);
    const made = new kernel.BRepPrimAPI_MakeCylinder(3, 8);
    const text = kernel.BRepToolsWrapper.Write(made.Shape());
    // In the list of surfaces: 2 begins a cylinder, 9 a surface of splines.
    const kinds = (by: By) =>
      [
        ...stretchedText(text, by)
          .split(/Surfaces|Triangulations/u)[2]!
          .matchAll(/^(\d) /gmu),
      ].map(([, kind]) => kind);
    expect(kinds([1.2, 1.2, 0.8])).toContain('2');
    expect(kinds(BY)).not.toContain('2');
  });
});

test('sine and cosine as splines: to a ten-thousandth of a millionth', () => {
  const { knots, coefficients, degree } = fittedSpline([Math.cos, Math.sin], 0, 2 * Math.PI);
  const all = knots.flatMap(({ at, times: count }) => Array.from({ length: count }, () => at));
  /** De Boor's algorithm, apart from the basis functions that were fitted with. */
  const value = (row: readonly number[], at: number) => {
    let span = degree;
    while (span < row.length - 1 && at >= all[span + 1]!) span += 1;
    const points = row.slice(span - degree, span + 1);
    for (let level = 1; level <= degree; level += 1) {
      for (let index = degree; index >= level; index -= 1) {
        const left = all[span - degree + index]!;
        const share = (at - left) / (all[index + 1 + span - level]! - left);
        points[index] = (1 - share) * points[index - 1]! + share * points[index]!;
      }
    }
    return points[degree]!;
  };
  const ats = Array.from({ length: 999 }, (_, index) => ((index + 0.5) * 2 * Math.PI) / 999);
  const worst = Math.max(
    ...ats.flatMap((at) => [
      Math.abs(value(coefficients[0]!, at) - Math.cos(at)),
      Math.abs(value(coefficients[1]!, at) - Math.sin(at)),
    ]),
  );
  expect(worst).toBeLessThan(1e-10);
});
