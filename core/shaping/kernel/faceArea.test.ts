import { evaluateRepair } from '@core/fitting/fit';
import { alongSmooth, smoothLine } from '@core/shaping/outline';
import { BodyBuilder } from '@core/shaping/solid';
import { testKernel } from '@core/testing/kernel';
import { outlineOf, plain, raised } from '@core/testing/pieces';
import { RepairDraft } from '@core/testing/repairDraft';

import { faceArea } from './faceArea';
import { scoped } from './scope';
import { partsOf } from './topology';

const HIGH = 10;

/** Areas of the faces of a raised outline, mm², the largest first. */
async function areasOf(outline: object): Promise<number[]> {
  const kernel = await testKernel();
  const { repair } = new RepairDraft('x').body('b', 'b', [raised(outline as never, HIGH)]);
  const builder = new BodyBuilder(kernel);
  builder.build(repair.bodies[0]!, evaluateRepair(repair));
  const { shape } = builder.after()!.solid;
  const areas = scoped((scope) =>
    partsOf(kernel, scope, shape, 'TopAbs_FACE').map((face) => faceArea(kernel, face)),
  );
  builder.dispose();
  return areas.sort((a, b) => b - a);
}

test.each([6, 10, 24, 40])(
  'the side of a plate along a smooth line through %i points is its length by its height',
  async (count) => {
    const points = Array.from({ length: count }, (_, index): [number, number] => {
      const turn = (2 * Math.PI * index) / count;
      const radius = 30 + 2 * Math.cos(3 * turn);
      return [radius * Math.cos(turn), 0.7 * radius * Math.sin(turn)];
    });
    const line = alongSmooth(smoothLine(points, true), 4000) as unknown as [number, number][];
    let [length, area] = [0, 0];
    for (const [index, [x, y]] of line.entries()) {
      const [nextX, nextY] = line[(index + 1) % line.length]!;
      length += Math.hypot(nextX - x, nextY - y);
      area += (x * nextY - nextX * y) / 2;
    }
    const outline = { shape: 'points', between: 'smooth', points: points.map(([x, y]) => plain({ x, y })) };
    const [top, bottom, side] = await areasOf(outline);
    expect(top! / area).toBeCloseTo(1, 5);
    expect(bottom! / area).toBeCloseTo(1, 5);
    expect(side! / (length * HIGH)).toBeCloseTo(1, 5);
  },
);

test('the side of an oval plate: the length of an ellipse by its series', async () => {
  // Maclaurin's series of 2 π a Σ [(2n)! / (2ⁿ n!)²]² · e²ⁿ / (1 − 2n).
  const [a, b] = [20, 12];
  const eccentricity = 1 - b ** 2 / a ** 2;
  let [length, factor] = [0, 1];
  for (let n = 0; n < 200; n += 1) {
    if (n > 0) factor *= ((2 * n - 1) / (2 * n)) ** 2;
    length += (2 * Math.PI * a * factor * eccentricity ** n) / (1 - 2 * n);
  }
  const [side, top] = await areasOf(outlineOf('ellipse', { length: 2 * a, breadth: 2 * b }));
  expect(top! / (Math.PI * a * b)).toBeCloseTo(1, 6);
  expect(side! / (length * HIGH)).toBeCloseTo(1, 6);
});
