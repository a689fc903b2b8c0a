import { fewestRingTeeth, ringCollision } from './meshing';
import { gearRadii, type GearTeeth } from './gearTeeth';

const DEGREE = Math.PI / 180;
const gear = (
  teeth: number,
  side: GearTeeth['side'] = 'outside',
  more: Partial<GearTeeth> = {},
): GearTeeth => ({
  teeth,
  module: 1,
  pressure: 20 * DEGREE,
  shift: 0,
  backlash: 0,
  side,
  ...more,
});
const ring = (teeth: number, more: Partial<GearTeeth> = {}) => gear(teeth, 'inside', more);

/** inv α = tan α − α */
const involute = (angle: number) => Math.tan(angle) - angle;

/**
 * Whether tips meet on the way in and out, by its closed form (trochoid interference of inside gears): they don't where
 * θ₁ z₁/z₂ + inv α − inv αa₂ ≥ θ₂, from the triangle of both tip circles and the axles.
 */
function tipsMeet(wheel: GearTeeth, inside: GearTeeth): boolean {
  const [ra1, ra2] = [gearRadii(wheel).tip, gearRadii(inside).root];
  const apart = gearRadii(inside).pitch - gearRadii(wheel).pitch;
  // Where the tip circles do not cross, the tips never meet, or always do.
  if (ra1 + apart <= ra2) return false;
  if (ra1 - apart >= ra2) return true;
  const pressureAt = (base: number, radius: number) => Math.acos(Math.min(1, base / radius));
  const first =
    Math.acos((ra2 ** 2 - ra1 ** 2 - apart ** 2) / (2 * apart * ra1)) +
    involute(pressureAt(gearRadii(wheel).base, ra1)) -
    involute(wheel.pressure);
  const second = Math.acos((apart ** 2 + ra2 ** 2 - ra1 ** 2) / (2 * apart * ra2));
  const atRing = involute(pressureAt(gearRadii(inside).base, ra2));
  return (first * wheel.teeth) / inside.teeth + involute(wheel.pressure) - atRing < second;
}

/** Whether the ring's tips reach below where the wheel's flanks begin: z₁/z₂ ≥ 1 − tan αa₂ / tan α, if they don't. */
function tipsDig(wheel: GearTeeth, inside: GearTeeth): boolean {
  const { base, root } = gearRadii(inside);
  const at = Math.acos(Math.min(1, base / root));
  return wheel.teeth / inside.teeth < 1 - Math.tan(at) / Math.tan(wheel.pressure);
}

test('20 and 14, 40 and 36 run into each other; 60 and 30 do not', () => {
  expect(ringCollision(gear(14), ring(20))).toBeGreaterThan(0.2);
  expect(ringCollision(gear(36), ring(40))).toBeGreaterThan(0.3);
  expect(ringCollision(gear(30), ring(60))).toBe(0);
});

test.each([20, 24, 30, 40, 60])(
  'followed through a turn, a wheel of %d does what closed forms say',
  (teeth) => {
    for (let more = 1; more <= 30; more += 1) {
      const [wheel, inside] = [gear(teeth), ring(teeth + more)];
      if (gearRadii(inside).root <= gearRadii(inside).base) continue;
      const depth = ringCollision(wheel, inside);
      // By a hair, they touch: that is not told.
      if (tipsMeet(wheel, inside) && tipsMeet(wheel, ring(teeth + more + 1))) {
        expect(depth).toBeGreaterThan(0);
      } else if (!tipsMeet(wheel, inside) && !tipsDig(wheel, inside)) expect(depth).toBe(0);
    }
  },
);

test('the fewest teeth of a ring are one more than the most that collide', () => {
  const fewest = fewestRingTeeth(gear(24), { shift: 0, backlash: 0 })!;
  expect(fewest).toBe(33);
  expect(ringCollision(gear(24), ring(fewest - 1))).toBeGreaterThan(0);
});

test('all is in proportion to the module', () => {
  const large = { module: 2.5 };
  expect(ringCollision(gear(14, 'outside', large), ring(20, large))).toBeCloseTo(
    2.5 * ringCollision(gear(14), ring(20)),
    9,
  );
});
