import { jointBears } from '.';
import { pitchDiameterMm } from './joints';

test.each([
  [3, 2.675],
  [4, 3.545],
  [6, 5.35],
  [8, 7.188],
  [10, 9.026],
])('M%d has a pitch diameter of %d (ISO 724, table 1)', (diameterMm, wanted) =>
  expect(pitchDiameterMm(diameterMm)).toBeCloseTo(wanted, 3),
);

test('an M3 screw, 8 mm deep in what bears 30 MPa: π · 2.675 · 8 · 30 / √3', () => {
  const bears = jointBears({ kind: 'screw', diameterMm: 3, depthMm: 8 }, 30);
  expect(bears).toBeCloseTo(1164.56, 2);
  expect(jointBears({ kind: 'screw', diameterMm: 3, depthMm: 16 }, 30)).toBeCloseTo(2 * bears, 9);
});

test('a pin presses on what it covers', () => {
  expect(jointBears({ kind: 'pin', diameterMm: 4, widthMm: 6 }, 20)).toBe(480);
});

test('a tooth bears by Lewis, whose table has 0.245 for 12 teeth, 0.322 for 20 and 0.446 for 100', () => {
  for (const [teeth, form] of [
    [12, 0.245],
    [20, 0.322],
    [100, 0.446],
  ] as const) {
    const bears = jointBears({ kind: 'tooth', moduleMm: 2, teeth, widthMm: 10 }, 40);
    // The formula goes through the table within some hundredths.
    expect(bears / (40 * 10 * 2 * form)).toBeGreaterThan(0.93);
    expect(bears / (40 * 10 * 2 * form)).toBeLessThan(1.08);
  }
});
