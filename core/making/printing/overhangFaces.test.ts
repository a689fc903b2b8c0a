import { AS_MODELLED, overhangFaces, oriented } from '@core/making/printing';
import { ball, block, cone, together } from '@core/testing/solids3d';
import { jobOf, sliceNow, partOf } from '@core/testing/sliced';

const degree = Math.PI / 180;
const of = (mesh: Parameters<typeof oriented>[0], overhang = 45 * degree) =>
  overhangFaces(oriented(mesh, AS_MODELLED), overhang);
const lengthOf = (hatching: Float32Array) => {
  let sum = 0;
  for (let at = 0; at < hatching.length; at += 6) {
    sum += Math.hypot(
      hatching[at + 3]! - hatching[at]!,
      hatching[at + 4]! - hatching[at + 1]!,
      hatching[at + 5]! - hatching[at + 2]!,
    );
  }
  return sum;
};

test('under a table all but its leg hangs, hatched a millimetre apart', () => {
  const table = together(
    { mesh: block(6, 6, 10), at: [0, 0, 5] },
    { mesh: block(30, 20, 4), at: [0, 0, 12] },
  );
  const { areaMm2, triangles, hatching } = of(table);
  // The two meshes lie on each other: the plate's whole underside is a face of its own.
  expect(areaMm2).toBeCloseTo(600, 3);
  for (let at = 2; at < triangles.length; at += 3) expect(triangles[at]).toBeCloseTo(10, 4);
  expect(lengthOf(hatching) / 600).toBeCloseTo(1, 1);
});

test('what stands on the bed does not hang, and neither does what leans as little as the machine manages', () => {
  expect(of(block(20, 20, 5)).areaMm2).toBe(0);
  // A cone on its tip leans by half its opening: 10 mm out over 20 up.
  const tip = oriented(cone(20, 20), [0, 0, 1]);
  const lean = Math.atan(10 / 20);
  expect(overhangFaces(tip, lean + 2 * degree).areaMm2).toBe(0);
  const mantle = Math.PI * 10 * Math.hypot(10, 20);
  expect(overhangFaces(tip, lean - 2 * degree).areaMm2 / mantle).toBeCloseTo(1, 2);
});

test('of a ball the cap below the lean that is managed hangs: 2πr²(1 − sin of it)', () => {
  const cap = 2 * Math.PI * 100 * (1 - Math.sin(45 * degree));
  expect(of(ball(20)).areaMm2 / cap).toBeCloseTo(1, 1);
});

test('it is painted on every piece, where it stands on the bed', () => {
  const table = together(
    { mesh: block(6, 6, 10), at: [0, 0, 5] },
    { mesh: block(30, 20, 4), at: [0, 0, 12] },
  );
  const { overhangs, job } = sliceNow(
    jobOf([
      partOf(table, {
        pieces: 2,
        at: [
          [-30, 0],
          [30, 10],
        ],
      }),
    ]),
  );
  expect(overhangs.areaMm2).toBeCloseTo(1200, 2);
  const xs = Array.from(overhangs.triangles).filter((_, at) => at % 3 === 0);
  expect(Math.min(...xs)).toBeCloseTo(job.machine.envelopeMm[0] / 2 - 45, 3);
  expect(Math.max(...xs)).toBeCloseTo(job.machine.envelopeMm[0] / 2 + 45, 3);
  const ys = Array.from(overhangs.triangles).filter((_, at) => at % 3 === 1);
  expect(Math.max(...ys)).toBeCloseTo(job.machine.envelopeMm[1] / 2 + 20, 3);
});
