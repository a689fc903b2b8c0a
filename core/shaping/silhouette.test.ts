import type { Kernel } from '@core/kernel';
import type { Step } from '@core/model';
import { testKernel } from '@core/testing/kernel';
import { block, buildPiece, outlineOf, raised, stepOf } from '@core/testing/pieces';

let kernel: Kernel;
beforeAll(async () => {
  kernel = await testKernel();
});

const shadow = (by = 0) =>
  ({ shape: 'offset', of: { whole: true }, by: { from: 'number', mm: by } }) as const;

/** What is there, set on a plate of its own outline so high, far above it: only that is looked at. */
function areaOf(steps: Step[], by = 0) {
  const high = 1;
  const alone = buildPiece(kernel, steps);
  const both = buildPiece(kernel, [
    ...steps,
    raised(shadow(by), high, { effect: 'apart', on: 'top', lift: 5, xFrom: 'there', yFrom: 'there' }),
  ]);
  expect(both.faults).toEqual([]);
  return {
    area: (both.volume - alone.volume) / high,
    faces: both.roles.length - alone.roles.length,
    box: both.box,
  };
}

test('a block with a peg that overhangs: two lines and arcs, exactly', () => {
  const { area, faces } = areaOf([
    block(30, 20, 5),
    stepOf('peg', { diameter: 12, height: 4, on: 'top', x: 15, y: 0 }),
  ]);
  // Half of the peg stands over the block's right side.
  expect(area).toBeCloseTo(600 + (Math.PI * 36) / 2, 2);
  // Top, bottom, five lines and one arc.
  expect(faces).toBe(8);
});

test('a wheel with a bore is a circle round a circle, larger all round by the play', () => {
  const { area, faces } = areaOf(
    [
      stepOf('disc', { diameter: 40, width: 8 }),
      stepOf('hole', { diameter: 10, depth: 'through', on: 'top', x: 0, y: 0 }),
    ],
    0.2,
  );
  expect(area).toBeCloseTo(Math.PI * (20.2 ** 2 - 4.8 ** 2), 2);
  expect(faces).toBe(4);
});

test('a ball and a cylinder on its side are as broad as they are, within a hundredth', () => {
  expect(
    areaOf([stepOf('sphere', { effect: 'add', diameter: 20, up: 10, on: 'bottom', x: 0, y: 0 })]).area /
      (Math.PI * 100),
  ).toBeCloseTo(1, 3);
  const lying = [
    block(10, 10, 10),
    stepOf('peg', { diameter: 8, height: 20, on: 'right', x: 0, y: 5, yFrom: 'low' }),
  ];
  expect(areaOf(lying).area).toBeCloseTo(100 + 20 * 8, 1);
});

test('it stays where the part stands, wherever that is', () => {
  const aside = raised(outlineOf('rectangle', { length: 10, breadth: 6, cornerRadius: 0 }), 3, {
    x: 17,
    y: -4,
  });
  const { box } = areaOf([aside]);
  expect(box!.slice(0, 2)).toEqual([expect.closeTo(12, 4), expect.closeTo(-7, 4)]);
});

test('what falls apart as seen from above is no one outline, and is told', () => {
  const apart = [
    block(10, 10, 5),
    raised(outlineOf('circle', { diameter: 5 }), 5, { effect: 'apart', x: 30 }),
  ];
  expect(buildPiece(kernel, [...apart, raised(shadow(), 1, { on: 'top' })]).faults).toEqual([
    { code: 'outline.loopsAside' },
  ]);
});
