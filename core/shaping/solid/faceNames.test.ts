import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';

import { evaluateRepair } from '@core/fitting/fit';
import { readRepairFile, STEP_KINDS, type Repair } from '@core/record/model';
import { testKernel } from '@core/testing/kernel';
import { lettersFont } from '@core/testing/lettersFont';
import { partsOfOtherKinds } from '@core/testing/namedParts';
import { REAL_PARTS, repairOf } from '@core/testing/parts';

import { RepairBuilder } from './repairBuilder';

/** Names of all faces of recipes, by repair and body, as they were once. Names are added to it, and none is ever taken away: files hold picks by them. */
const FROZEN = join(__dirname, 'frozen', 'face-names.json');
const DEMOS = join(__dirname, '..', '..', '..', 'demo', 'repairs');

type Names = Record<string, string[]>;

function repairs(): Repair[] {
  const demos = readdirSync(DEMOS).map((file) => {
    const read = readRepairFile(readFileSync(join(DEMOS, file), 'utf8'));
    if (!read.ok) throw new Error(`${file}: ${read.fault.code}`);
    return read.value.repair;
  });
  return [...REAL_PARTS.map((part) => repairOf(part)), ...demos, partsOfOtherKinds()];
}

async function namesNow(all: readonly Repair[]): Promise<Names> {
  const names: Names = {};
  for (const repair of all) {
    const builder = new RepairBuilder(await testKernel(), lettersFont());
    for (const [id, built] of builder.build(repair.bodies, evaluateRepair(repair))) {
      expect(built.steps.filter(({ state }) => state === 'failed')).toEqual([]);
      names[`${repair.head.name}, ${id}`] = [...built.solid!.allTags()].sort();
    }
    builder.dispose();
  }
  return names;
}

test('every face is still called what it was called when files were written with its name', async () => {
  const all = repairs();
  const now = await namesNow(all);
  const then = JSON.parse(readFileSync(FROZEN, 'utf8')) as Names;
  const lost = Object.entries(then).flatMap(([body, names]) => {
    const there = new Set(now[body]);
    return names.filter((name) => !there.has(name)).map((name) => `${body}: ${name}`);
  });
  expect(lost).toEqual([]);
  // What is new is to be added there.
  expect(Object.keys(then).sort()).toEqual(Object.keys(now).sort());
  const kinds = new Set(
    all.flatMap(({ bodies }) => bodies.flatMap(({ steps }) => steps.map(({ kind }) => kind))),
  );
  expect(STEP_KINDS.filter((kind) => !kinds.has(kind))).toEqual([]);
});
