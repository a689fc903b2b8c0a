import { MemoryWatch } from './memoryWatch';

const MB = 1e6;

test('a kernel whose memory creeps up is replaced', () => {
  const watch = new MemoryWatch();
  let bytes = 100 * MB;
  let builds = 0;
  while (!watch.shouldReplace(bytes)) {
    bytes += 0.2 * MB;
    builds += 1;
  }
  expect(builds).toBeGreaterThanOrEqual(99);
  expect(bytes / MB).toBeLessThan(130);
});

test('a kernel with a large model that stays as it is, is kept', () => {
  const watch = new MemoryWatch();
  const replaced = Array.from({ length: 1000 }, (_, build) =>
    watch.shouldReplace(build === 0 ? 100 * MB : 900 * MB),
  );
  expect(replaced).not.toContain(true);
});

test('growth early on is the model’s own', () => {
  const watch = new MemoryWatch();
  const replaced = Array.from({ length: 99 }, (_, build) => watch.shouldReplace((100 + 10 * build) * MB));
  expect(replaced).not.toContain(true);
});
