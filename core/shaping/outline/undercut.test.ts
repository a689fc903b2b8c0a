import type { Point } from './curves';
import { gearLoop } from './gear';
import { gearRadii, type GearTeeth } from './gearTeeth';
import { roomForTip, undercutOf } from './undercut';

const gear = (teeth: number, fields: Partial<GearTeeth> = {}): GearTeeth => ({
  teeth,
  module: 1,
  pressure: (20 * Math.PI) / 180,
  shift: 0,
  backlash: 0,
  side: 'outside',
  ...fields,
});
const loopOf = (teeth: GearTeeth) => {
  const loop = gearLoop(teeth);
  if (!loop.ok) throw new Error(loop.fault.code);
  return loop.value;
};

test('by hand: 6 teeth, at a radius of 2.5', () => {
  expect(roomForTip(gear(6), 2.5)).toBeCloseTo(0.2396, 3);
});

test.each([5, 6, 8, 10, 12, 14, 16])(
  'with %d teeth the feet keep out of the way of a rack that rolls by',
  (teeth) => {
    const known = gear(teeth);
    const { pitch } = gearRadii(known);
    expect(undercutOf(known)).not.toBeNull();
    // The first tooth's points, right side, by radius and angle.
    const side = loopOf(known).flatMap((curve) =>
      curve.kind === 'spline' && ['hollow0', 'back0'].includes(curve.role ?? '') ? curve.points : [],
    );
    const outline = side
      .map(([x, y]: Point) => ({ radius: Math.hypot(x, y), angle: Math.atan2(y, x) }))
      .sort((a, b) => a.radius - b.radius);
    const halfAt = (radius: number) => {
      const next = outline.findIndex((place) => place.radius >= radius);
      const [low, high] = [outline[Math.max(0, next - 1)]!, outline[next]!];
      const share = high.radius > low.radius ? (radius - low.radius) / (high.radius - low.radius) : 0;
      return low.angle + share * (high.angle - low.angle);
    };
    // The corner of the rack's tooth, one module above its middle line, brought into the frame of the gear.
    const start = Math.PI / 4 + Math.tan(known.pressure);
    let deepest = 0;
    let looked = 0;
    for (let turn = -1.2; turn <= 1.2; turn += 0.002) {
      const [along, up] = [start + pitch * turn, pitch - 1];
      const [radius, angle] = [Math.hypot(along, up), Math.atan2(along, up) - turn];
      if (radius < outline[0]!.radius || radius > outline.at(-1)!.radius) continue;
      looked += 1;
      deepest = Math.max(deepest, (halfAt(radius) - angle) * radius);
    }
    expect(looked).toBeGreaterThan(50);
    // Between points of a smooth line, seen as straight here; it was 0.08 of a module with 6 teeth.
    expect(deepest).toBeLessThan(0.01);
  },
);

test.each([17, 18, 24, 60])('with %d teeth nothing is cut in', (teeth) => {
  expect(undercutOf(gear(teeth))).toBeNull();
});

test('shift keeps few teeth from being cut in (x ≥ 1 − z sin² α / 2)', () => {
  const teeth = 10;
  const needed = 1 - (teeth * Math.sin((20 * Math.PI) / 180) ** 2) / 2;
  expect(undercutOf(gear(teeth, { shift: needed + 0.01 }))).toBeNull();
  expect(undercutOf(gear(teeth, { shift: needed - 0.05 }))).not.toBeNull();
});

test('a gear that is cut in closes, has every tooth, and names its cuts', () => {
  const loop = loopOf(gear(8));
  for (const role of ['under', 'hollow', 'flank', 'back', 'tip', 'root']) {
    expect(loop.filter((curve) => curve.role?.startsWith(role))).toHaveLength(8);
  }
  const ends = loop.map((curve) =>
    curve.kind === 'spline'
      ? [curve.points[0]!, curve.points.at(-1)!]
      : [(curve as { from: Point }).from, (curve as { to: Point }).to],
  );
  for (const [index, [, to]] of ends.entries()) {
    const [next] = ends[(index + 1) % ends.length]!;
    expect(Math.hypot(to![0] - next![0], to![1] - next![1])).toBeLessThan(1e-9);
  }
});
