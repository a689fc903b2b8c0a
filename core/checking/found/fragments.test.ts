import { broken, brokenParts, offOf, scanOf } from '@core/testing/fragments';
import { LONG } from '@core/testing/long';
import { meshOfManifold } from '@core/testing/manifold';

import { waysOver } from './index';

jest.setTimeout(400_000);

const CUTS: [share: number, towards: [number, number, number]][] = [
  [0.75, [1, 0.2, 0.1]],
  [0.5, [-0.9, 0.3, 0.3]],
  [0.4, [0.3, 1, -0.2]],
];

test('fragments of parts lie where they were, or it is said that they may lie elsewhere', async () => {
  const all = await brokenParts();
  let [right, unsure, tried] = [0, 0, 0];
  const wrong: string[] = [];
  // All thirty take minutes: with EVEN_SPARE_LONG=1.
  const some = Object.entries(all).slice(0, LONG ? 10 : 3);
  for (const [place, [name, solid]] of some.entries()) {
    const spare = meshOfManifold(solid);
    for (const [index, [share, towards]] of CUTS.entries()) {
      if (!LONG && index !== place) continue;
      tried += 1;
      const piece = broken(solid, share, towards);
      const ways = waysOver(scanOf(piece, 11 + index), spare, 'scan.stl');
      if (!ways.ok) {
        unsure += 1;
        continue;
      }
      const off = Math.min(...ways.value.ways.map(({ place }) => offOf(meshOfManifold(piece), place)));
      if (off < 0.2) right += 1;
      else if (!ways.value.isSure || ways.value.ways.length > 1) unsure += 1;
      else
        wrong.push(
          `${name} ${share}: off by ${off.toFixed(1)}, ${ways.value.ways[0]!.explains!.both.toFixed(2)}`,
        );
    }
  }
  expect(wrong).toEqual([]);
  expect(right / tried).toBeGreaterThan(0.8);
  expect(right + unsure).toBe(tried);
});

test('a mirror image is named as one', async () => {
  const { bracket } = await brokenParts();
  const ways = waysOver(scanOf(bracket!.mirror([1, 0, 0]), 5), meshOfManifold(bracket!), 'left.stl');
  expect(ways).toEqual({ ok: false, fault: { code: 'found.mirrored', name: 'left.stl' } });
});
