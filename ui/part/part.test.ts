import type { Vec3 } from '@core/foundations/vectors';
import type { Annotation } from '@core/shaping/part';

import { centreMarks, chainLine } from './chainLine';
import { placeLabels, type View } from './placeLabels';
import { STANCES } from './stances';

describe('chain lines', () => {
  const lengthOf = ([from, to]: readonly [Vec3, Vec3]) =>
    Math.hypot(...from.map((value, k) => value - to[k]!));

  test('begin and end with a long dash at the ends of the line', () => {
    const segments = chainLine([0, 0, 0], [0, 0, 50], 1);
    expect(segments[0]![0]).toEqual([0, 0, 0]);
    expect(segments.at(-1)![1][2]).toBeCloseTo(50, 9);
    const lengths = segments.map(lengthOf);
    expect(lengths[0]).toBeCloseTo(lengths.at(-1)!, 9);
    expect(lengths[0]! / lengths[1]!).toBeCloseTo(8, 9);
  });

  test('a short line is one dash, and no line is none', () => {
    expect(chainLine([0, 0, 0], [1, 0, 0], 1)).toHaveLength(1);
    expect(chainLine([1, 1, 1], [1, 1, 1], 1)).toEqual([]);
  });

  test('centre marks reach past the circle on all sides, square to its axis', () => {
    const points = centreMarks({ from: [0, 0, 0], to: [0, 0, 8], radius: 5 }, 2).flat();
    const reach = (k: number) => [
      Math.min(...points.map((p) => p[k]!)),
      Math.max(...points.map((p) => p[k]!)),
    ];
    expect(reach(0).map((v) => Number(v.toFixed(6)))).toEqual([-7, 7]);
    expect(reach(1).map((v) => Number(v.toFixed(6)))).toEqual([-7, 7]);
    expect(reach(2).map((v) => Number(v.toFixed(6)))).toEqual([-2, 10]);
  });
});

describe('sizes on the picture', () => {
  /** A view from a stance at 5 px a millimetre, of a block 40 × 20 × 10 about the origin. */
  function viewFrom(stance: keyof typeof STANCES): View {
    const { towards, up } = STANCES[stance];
    const right: Vec3 = [
      up[1] * towards[2] - up[2] * towards[1],
      up[2] * towards[0] - up[0] * towards[2],
      up[0] * towards[1] - up[1] * towards[0],
    ];
    const dot = (a: Vec3, b: Vec3) => a[0] * b[0] + a[1] * b[1] + a[2] * b[2];
    const corners = [-20, 20].flatMap((x) => [-10, 10].flatMap((y) => [0, 10].map((z): Vec3 => [x, y, z])));
    return {
      width: 600,
      height: 500,
      corners,
      project: (point) => ({ x: 300 + 5 * dot(point, right), y: 250 - 5 * dot(point, up) }),
    };
  }
  const base = { stepId: 's', value: { from: 'number', mm: 1 } as const, mm: 1, points: [] };
  const length: Annotation = {
    ...base,
    field: 'length',
    form: 'span',
    spans: [
      { from: [-20, 10, 10], to: [20, 10, 10], out: [0, 1, 0] },
      { from: [-20, -10, 10], to: [20, -10, 10], out: [0, 0, 1] },
    ],
  };
  const height: Annotation = {
    ...base,
    field: 'height',
    form: 'span',
    spans: [{ from: [20, -10, 0], to: [20, -10, 10], out: [1, 0, 0] }],
  };
  const second: Annotation = { ...length, field: 'second' };

  test('no label stands in a corner that is taken', () => {
    const many = Array.from({ length: 200 }, () => length);
    const view = viewFrom('plan');
    const corner = { width: 118, height: 46 };
    const inCorner = (labels: ReturnType<typeof placeLabels>) =>
      labels.filter(({ label }) => label.x - 42 < corner.width && label.y + 15 > view.height - corner.height);
    expect(inCorner(placeLabels(many, view)).length).toBeGreaterThan(0);
    expect(inCorner(placeLabels(many, { ...view, corner }))).toEqual([]);
  });

  test('stand clear of the part, at their true length', () => {
    const [placed] = placeLabels([length], viewFrom('plan'));
    expect(placed!.line.to.x - placed!.line.from.x).toBeCloseTo(200, 6);
    // The part's upper edge is at y = 250 - 50; the line stands above it.
    expect(placed!.line.from.y).toBeLessThan(200 - 20);
    expect(placed!.line.from.y).toBeCloseTo(placed!.line.to.y, 6);
  });

  test('are left out where they would be seen end on, and take another side where they can', () => {
    expect(placeLabels([height], viewFrom('plan'))).toEqual([]);
    expect(placeLabels([height], viewFrom('front'))).toHaveLength(1);
    const [fromFront] = placeLabels([length], viewFrom('front'));
    expect(fromFront!.line.from.y).toBeLessThan(250 - 50);
    expect(placeLabels([length], viewFrom('side'))).toEqual([]);
  });

  test('do not lie on each other, and stay inside the view', () => {
    const view = viewFrom('plan');
    const placed = placeLabels([length, second, { ...length, field: 'third' }], view);
    expect(placed).toHaveLength(3);
    for (const [index, one] of placed.entries()) {
      expect(one.label.x).toBeGreaterThan(0);
      expect(one.label.y).toBeGreaterThan(0);
      for (const other of placed.slice(index + 1)) {
        const apart =
          Math.abs(one.label.x - other.label.x) >= 84 || Math.abs(one.label.y - other.label.y) >= 30;
        expect(apart).toBe(true);
      }
    }
  });

  test('a leader points at its hole and its label keeps off it', () => {
    const hole: Annotation = {
      ...base,
      field: 'bore',
      form: 'leader',
      spans: [],
      points: [{ at: [3, 0, 10], out: [1, 0, 0] }],
    };
    const [placed] = placeLabels([hole], viewFrom('plan'));
    expect(placed!.line.from).toEqual({ x: 315, y: 250 });
    expect(Math.hypot(placed!.label.x - 315, placed!.label.y - 250)).toBeGreaterThan(60);
  });
});
