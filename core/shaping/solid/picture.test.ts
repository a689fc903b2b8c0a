import { evaluateRepair } from '@core/fitting/fit';
import type { Kernel } from '@core/shaping/kernel';
import { Picture } from '@core/record/model';
import { testKernel } from '@core/testing/kernel';
import { rackWheel, RepairDraft } from '@core/testing/repairDraft';

import { BodyBuilder } from './bodyBuilder';
import { drawPicture } from './picture';

let kernel: Kernel;
beforeAll(async () => {
  kernel = await testKernel();
});

function pictureOf(repair = rackWheel()): Picture {
  const builder = new BodyBuilder(kernel);
  const { solid } = builder.build(repair.bodies[0]!, evaluateRepair(repair));
  const picture = drawPicture(solid!, 'key');
  builder.dispose();
  return Picture.parse(picture);
}

/** Area inside loops given as x0, y0, x1, y1, … (shoelace formula; holes run the other way). */
const areaOf = (loops: number[][]) =>
  loops.reduce((sum, loop) => {
    let twice = 0;
    for (let at = 0; at < loop.length; at += 2) {
      const next = (at + 2) % loop.length;
      twice += loop[at]! * loop[next + 1]! - loop[next]! * loop[at + 1]!;
    }
    return sum + twice / 2;
  }, 0);

test('the outline of a block seen from the corner has the area of its three faces, foreshortened', () => {
  const draft = new RepairDraft('Block');
  const block = draft.step('plate', { length: 20, breadth: 10, thickness: 5, cornerRadius: 0 });
  const { outline, edges } = pictureOf(draft.body('b', 'Block', [block]).repair);
  // The viewer is at (√(3/8), -√(3/8), 1/2): each face shows its area times the cosine to its normal.
  const slant = Math.sqrt(3 / 8);
  expect(outline).toHaveLength(1);
  expect(Math.abs(areaOf(outline))).toBeCloseTo(20 * 10 * 0.5 + 20 * 5 * slant + 10 * 5 * slant, 0);
  // Nine of the twelve edges of a block are seen.
  expect(edges).toHaveLength(9);
});

test('the wheel’s picture is one outline, with its hidden edges left out', () => {
  const { outline, edges } = pictureOf();
  expect(outline.length).toBeGreaterThanOrEqual(1);
  const width =
    Math.max(...outline[0]!.filter((_, i) => i % 2 === 0)) -
    Math.min(...outline[0]!.filter((_, i) => i % 2 === 0));
  expect(width).toBeCloseTo(38.2, 0);
  expect(edges.length).toBeGreaterThan(4);
});
