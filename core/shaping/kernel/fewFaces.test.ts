import { testKernel } from '@core/testing/kernel';

import { FewFaces } from './fewFaces';
import type { Kernel, Shape } from './kernel';
import { scoped } from './scope';
import { facesOf } from './topology';

const boxOf = (kernel: Kernel, size: number): Shape =>
  scoped((scope) => scope.keep(new kernel.BRepPrimAPI_MakeBox(size, size, size)).Shape());

test('what is asked for again is not worked out again, however many others come between', async () => {
  const kernel = await testKernel();
  let worked = 0;
  const kept = new FewFaces(kernel, () => (worked += 1));
  const ask = (shape: Shape) => scoped((scope) => kept.of(facesOf(kernel, scope, shape)));
  const one = boxOf(kernel, 10);
  const first = ask(one);
  expect(first).toEqual([1, 2, 3, 4, 5, 6]);
  for (let turn = 0; turn < 200; turn += 1) {
    const other = boxOf(kernel, 5);
    ask(other);
    other.delete();
    // Another look at the same faces, from their other side.
    const turned = one.Reversed();
    expect(ask(turned)).toEqual(first);
    turned.delete();
  }
  expect(worked).toBe(6 + 200 * 6);
  // Once it is not asked for while hundreds of others are, it is let go.
  for (let turn = 0; turn < 200; turn += 1) {
    const other = boxOf(kernel, 5);
    ask(other);
    other.delete();
  }
  expect(ask(one)).not.toEqual(first);
  one.delete();
});
