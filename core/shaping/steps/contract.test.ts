import { readFileSync } from 'node:fs';

import { evaluateRepair, settledStep } from '@core/fitting/fit';
import type { Kernel } from '@core/shaping/kernel';
import {
  edgesOfferedBy,
  factsOfKind,
  isTaken,
  numberValue,
  plainFieldsOf,
  Step,
  STEP_KINDS,
  valuesIn,
  type EdgeRule,
  type StepKind,
} from '@core/record/model';
import { spokenSentence, type SentencePart } from '@core/shaping/sentence';
import { withPatch } from '@core/shaping/recipe';
import { countEdges, RepairBuilder } from '@core/shaping/solid';
import { resolveStep } from '@core/shaping/steps/kinds';
import { menuOf, moreOptions, newStep, stepSentence } from '@core/shaping/steps';
import { testKernel } from '@core/testing/kernel';
import { block, raised, outlineOf, stepOf } from '@core/testing/pieces';
import { RepairDraft } from '@core/testing/repairDraft';
import { readFont } from '@core/shaping/text';
import { sentenceOf } from '@core/reporting/wording';

/** What every kind of step has to do, whichever it is: a new one is tried here as soon as it is in the registry. */

let kernel: Kernel;
beforeAll(async () => {
  kernel = await testKernel();
});

const font = readFont(
  new Uint8Array(
    readFileSync(require.resolve('@expo-google-fonts/barlow/600SemiBold/Barlow_600SemiBold.ttf')),
  ).buffer,
);

/** A part that every kind can be done to: a disc on a smaller one, with a hole, and a block on it. */
const GROUND: Step[] = [
  stepOf('disc', { diameter: 20, width: 4 }, 'foot'),
  stepOf('disc', { diameter: 40, width: 12, on: 'top', x: 0, y: 0 }, 'disc'),
  {
    ...raised(outlineOf('rectangle', { length: 14, breadth: 12, cornerRadius: 0 }), 6),
    id: 'block',
    on: 'top',
  } as Step,
  stepOf('hole', { diameter: 3, depth: 'through', on: 'top', x: 0, y: -14 }, 'hole'),
];

function repairWith(kind: StepKind) {
  const draft = new RepairDraft('Trial')
    .body('part', 'Part', [...GROUND])
    .body('other', 'Other', [block(6, 6, 30)]);
  const { repair } = draft;
  repair.bodies[1]!.role = 'counterpart';
  const numbers = evaluateRepair(repair);
  const step = newStep(kind, { body: repair.bodies[0]!, state: repair, numbers }, 'fresh');
  repair.bodies[0]!.steps.push(step);
  return { repair, numbers, step, recipe: repair.bodies[0]!.steps };
}
const optionsOf = (parts: readonly SentencePart[]) =>
  parts.flatMap((part) => (part.kind === 'choice' ? part.options : []));
const wordsOf = (parts: readonly SentencePart[]) => spokenSentence(parts, (value) => JSON.stringify(value));

describe.each(STEP_KINDS)('%s', (kind) => {
  const { step, recipe, repair, numbers } = repairWith(kind);
  const bodies = [{ id: 'other', name: 'Other' }];
  const sentence = stepSentence(step, recipe, { bodies });

  test('its schema takes what it begins with, once more after it was written, and nothing besides', () => {
    expect(Step.parse(JSON.parse(JSON.stringify(step)))).toEqual(step);
    expect(Step.safeParse({ ...step, besides: 1 }).success).toBe(false);
    expect(step.kind).toBe(kind);
  });

  test('what it begins with is built on what is there', () => {
    const builder = new RepairBuilder(kernel, font);
    const built = builder.build(repair.bodies, numbers).get('part')!;
    const told = built.steps.flatMap((one) => (one.state === 'failed' ? [one.fault] : []));
    expect(told).toEqual([]);
    // Every rule that it offers for its edges is answered, and catches some.
    const { solid, earlier } = builder.of('part')!.after()!;
    for (const edges of edgesOfferedBy(step)) {
      const rule = { edges: edges === 'ends' ? 'rims' : edges, of: step.id } as EdgeRule;
      const caught = countEdges(solid, rule, earlier);
      const mayBeNone = factsOfKind(kind).makes === 'change';
      if (!mayBeNone) expect([edges, caught > 0]).toEqual([edges, true]);
    }
    builder.dispose();
  });

  test('its sentence names each of its numbers, and whatever else it says can be chosen', () => {
    // What it says now, and what it says once another of its choices is taken: a play, once it is cut.
    const changed = optionsOf(sentence).map(({ patch }) => withPatch([step], step.id, patch)[0]!);
    const said = [step, ...changed].map((one) => stepSentence(one, recipe, { bodies }));
    const fields = said.flat().flatMap((part) => ('field' in part ? [part.field] : []));
    const patched = [...said.flatMap(optionsOf), ...[step, ...changed].flatMap(moreOptions)].flatMap(
      ({ patch, pick }) => [...Object.keys(patch), ...(pick ? [pick.field] : [])],
    );
    const reached = [...fields, ...patched].map((path) => path.split('.')[0]);
    const own = Object.keys(step).filter((key) => !['id', 'kind'].includes(key));
    expect(own.filter((key) => !reached.includes(key))).toEqual([]);
    // Each length by a chip of its own, or a row of a list.
    const chips = sentence.filter(({ kind: what }) => what === 'chip' || what === 'rows').length;
    expect(chips > 0 || valuesIn(step).every((value) => 'mm' in value && value.mm === 0)).toBe(true);
    expect(wordsOf(sentence)).toMatch(/^[A-Z]/);
  });

  test('each of its lengths is called by words when it is told to be too long', () => {
    const settled = (of: Step) => {
      const found = settledStep(of, numbers);
      if (!found.ok) throw new Error(found.fault.code);
      return found.value;
    };
    const count = valuesIn(step).length;
    for (let index = 0; index < count; index += 1) {
      const far = structuredClone(step);
      const value = valuesIn(far)[index]!;
      if (!('mm' in value)) continue;
      value.mm = 1e7;
      const found = resolveStep(settled(far), numbers);
      if (found.ok) throw new Error(`length ${index} of ${kind} has no limit`);
      expect(found.fault.code).toBe('value.outOfRange');
      expect(sentenceOf(found.fault)).toMatch(/^The [a-z0-9 ]+ \(10,?000,?000\.00 mm\) must be between/);
    }
  });

  test('its angles, counts and factors have bounds, which its first values keep', () => {
    for (const { path, least, most, value } of plainFieldsOf(step)) {
      expect([path, Number.isFinite(least) && least < most]).toEqual([path, true]);
      if (!isTaken(value)) expect([path, value >= least && value <= most]).toEqual([path, true]);
    }
  });

  test('each number of it may go out of its bounds, and is told at its step', () => {
    const builder = new RepairBuilder(kernel, font);
    const { repair: other } = repairWith(kind);
    const body = other.bodies[0]!;
    const far = JSON.parse(JSON.stringify(step), (key, value: unknown) =>
      key !== '' && typeof value === 'object' && value !== null && 'mm' in value ? numberValue(1000) : value,
    ) as Step;
    if (JSON.stringify(far) === JSON.stringify(step)) return;
    body.steps[body.steps.length - 1] = far;
    const built = builder.build(other.bodies, evaluateRepair(other)).get('part')!;
    const last = built.steps.at(-1)!;
    // It is built so large, or it says what is wrong; what was there before it stays.
    expect(['built', 'failed']).toContain(last.state);
    expect(built.steps.slice(0, -1).every(({ state }) => state === 'built')).toBe(true);
    expect(built.solid).not.toBeNull();
    builder.dispose();
  });

  test('the list of new steps names it', () => {
    const { verb, what } = menuOf(kind);
    expect(verb).toMatch(/^[A-Z]/);
    expect(what).toMatch(/^[^A-Z.]/);
  });
});

test('no two kinds go by the same words', () => {
  const words = STEP_KINDS.map((kind) => `${menuOf(kind).verb} ${menuOf(kind).what}`);
  expect(new Set(words).size).toBe(words.length);
});

test('a body can begin with each kind that says so', () => {
  for (const kind of STEP_KINDS.filter((one) => factsOfKind(one).begins)) {
    const { repair } = new RepairDraft('Trial').body('part', 'Part', []);
    const body = repair.bodies[0]!;
    const numbers = evaluateRepair(repair);
    body.steps.push(newStep(kind, { body, state: repair, numbers }, 'first'));
    const builder = new RepairBuilder(kernel, font);
    expect([kind, builder.build(repair.bodies, numbers).get('part')!.steps]).toMatchObject([
      kind,
      [{ state: 'built' }],
    ]);
    builder.dispose();
  }
});
