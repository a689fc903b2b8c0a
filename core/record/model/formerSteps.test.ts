import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';

import {
  changeInPresentWords,
  readRepairFile,
  REPAIR_FILE_VERSION,
  stateInPresentWords,
  STEP_KINDS,
} from '@core/record/model';

const FOLDER = join(__dirname, 'frozen');

interface OldStep {
  id: string;
  kind: string;
  taper?: unknown;
}
interface OldState {
  bodies: { steps: OldStep[] }[];
  revisions?: { state: OldState }[];
}

const stepsOf = (state: OldState): OldStep[] => [
  ...state.bodies.flatMap(({ steps }) => steps),
  ...(state.revisions ?? []).flatMap((revision) => stepsOf(revision.state)),
];

/** What steps were called, by what they are called now. */
const FORMERLY: Readonly<Record<string, string>> = {
  disc: 'turn',
  extrude: 'raise',
  loft: 'blend',
  sweep: 'run',
  revolve: 'spin',
  fillet: 'round',
  chamfer: 'ease',
  shell: 'hollow',
  draft: 'taper',
  pattern: 'repeat',
  hole: 'drill',
  torus: 'ring',
  sphere: 'ball',
  offset: 'faces',
};

test.each(readdirSync(FOLDER))('%s keeps every step and every number of it', (name) => {
  const text = readFileSync(join(FOLDER, name), 'utf8');
  const { version, repair } = JSON.parse(text) as { version: number; repair: OldState };
  const opened = readRepairFile(text);
  if (!opened.ok) throw new Error(JSON.stringify(opened.fault));
  const [then, now] = [stepsOf(repair), stepsOf(opened.value.repair as unknown as OldState)];
  expect(then.length).toBeGreaterThan(0);
  expect(now).toHaveLength(then.length);
  for (const [index, { kind, ...rest }] of now.entries()) {
    const { draft, ...plain } = rest as typeof rest & { draft?: unknown };
    const inOldWords = {
      ...plain,
      kind: version < 9 ? (FORMERLY[kind] ?? kind) : kind,
      ...(draft === undefined ? {} : { [version < 9 ? 'taper' : 'draft']: draft }),
    };
    expect(inOldWords).toEqual(then[index]);
  }
  // What is in present words stays as it is.
  const present = opened.value.repair as unknown as Record<string, unknown>;
  expect(stateInPresentWords(present)).toEqual(present);
});

test('no former word is one of now, and each stands for a kind that there is', () => {
  for (const [now, then] of Object.entries(FORMERLY)) {
    expect(STEP_KINDS).toContain(now);
    expect(STEP_KINDS).not.toContain(then);
    const body = { id: 'b', steps: [{ id: 's', kind: then, taper: 0.1 }] };
    expect(changeInPresentWords({ row: 'body', value: body })).toEqual({
      row: 'body',
      value: { id: 'b', steps: [{ id: 's', kind: now, draft: 0.1 }] },
    });
  }
});

test('a change to anything else is left alone, whatever it is', () => {
  for (const change of [null, 'x', 3, {}, { row: 'size', value: { kind: 'turn' } }, { row: 'body' }]) {
    expect(changeInPresentWords(change)).toBe(change);
  }
});

test('a file of a later version is refused, and says which is read', () => {
  const text = readFileSync(join(FOLDER, 'version-9.json'), 'utf8');
  for (const version of [REPAIR_FILE_VERSION + 1, 0, -1, 1.5, '9', null]) {
    const file = JSON.stringify({ ...(JSON.parse(text) as object), version });
    expect(readRepairFile(file)).toEqual({
      ok: false,
      fault: { code: 'file.otherVersion', version, supported: REPAIR_FILE_VERSION },
    });
  }
});
