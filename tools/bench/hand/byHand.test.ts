import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';

import { evaluateRepair } from '@core/fitting/fit';
import { readRepairFile } from '@core/record/model';
import { BodyBuilder } from '@core/shaping/solid';
import { testKernel } from '@core/testing/kernel';
import { REAL_PARTS } from '@core/testing/parts';

import { ByHand, DEMO_BY_HAND, REAL_BY_HAND } from '.';
import { resolvedOf } from '../solids';

const FOLDER = join(__dirname, '..', '..', '..', 'demo', 'repairs');

test('every demo part is written by hand as well, and is the same part', async () => {
  const kernel = await testKernel();
  const files = readdirSync(FOLDER);
  expect(files.map((name) => name.replace('.json', '')).sort()).toEqual(Object.keys(DEMO_BY_HAND).sort());
  for (const name of files) {
    const file = readRepairFile(readFileSync(join(FOLDER, name), 'utf8'));
    if (!file.ok) throw new Error(file.fault.code);
    const { repair } = file.value;
    const [body] = repair.bodies;
    const builder = new BodyBuilder(kernel);
    const { check } = builder.build(body!, evaluateRepair(repair));
    const byHand = DEMO_BY_HAND[name.replace('.json', '')]!;
    const volume = byHand(new ByHand(kernel), resolvedOf(kernel, body!, repair));
    expect(`${name}: ${(volume / check!.volumeMm3).toFixed(9)}`).toBe(`${name}: 1.000000000`);
    builder.dispose();
  }
});

test('twenty of the real parts and more are written by hand', () => {
  expect(Object.keys(REAL_BY_HAND).length).toBeGreaterThanOrEqual(20);
});

test.each(Object.keys(REAL_BY_HAND))('%s by hand has the volume of its closed formula', async (name) => {
  const part = REAL_PARTS.find((one) => one.name === name)!;
  const volume = REAL_BY_HAND[name]!(new ByHand(await testKernel()), part.sizes);
  // By the kernel's plain integration, which is off where faces lie between ovals.
  expect(volume / part.volume(part.sizes)).toBeCloseTo(1, name === 'Oval cup' ? 4 : 6);
});
