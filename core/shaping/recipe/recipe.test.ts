import { evaluateRepair } from '@core/fitting/fit';
import { numberValue, Step, type Repair, type StepKind, STEP_KINDS } from '@core/record/model';
import {
  fieldOf,
  withField,
  withoutStep,
  withPatch,
  withStepCopied,
  withStepMoved,
  withStepSwitched,
} from '@core/shaping/recipe';
import { LayoutDraft } from '@core/testing/layoutDraft';
import { RepairDraft } from '@core/testing/repairDraft';
import type { SentencePart } from '@core/shaping/sentence';
import { moreOptions, newStep, stepSentence } from '@core/shaping/steps';

function measured(): RepairDraft {
  return new RepairDraft('Wheel')
    .measured('A', 'Width', ['8'])
    .measured('B', 'Rim, outside', ['38.2'])
    .measured('C', 'Axle', ['6.02'], { of: 'counterpart' })
    .chosen('D', 'Groove, width', 4)
    .chosen('E', 'Groove, depth', 3.5)
    .fit('bore', 'Bore on the axle', 'C', 'turns');
}
const next = (repair: Repair, kind: StepKind, body = repair.bodies[0]!) =>
  newStep(kind, { body, state: repair, numbers: evaluateRepair(repair) }, 'new');

describe('a new step guesses its numbers', () => {
  test('from the words in names of sizes, not from their order', () => {
    const { repair } = measured().body('b', 'Wheel', []);
    expect(next(repair, 'disc')).toMatchObject({
      diameter: { from: 'size', id: 'b' },
      width: { from: 'size', id: 'a' },
    });
  });

  test('a hole from the fit, a groove from the sizes that are called so', () => {
    const draft = measured();
    const { repair } = draft.body('b', 'Wheel', [draft.step('disc', { diameter: 'B', width: 'A' }, 'disc')]);
    expect(next(repair, 'hole')).toMatchObject({ diameter: { from: 'fit', id: 'bore' }, depth: 'through' });
    expect(next(repair, 'groove')).toMatchObject({
      rimOf: 'disc',
      width: { from: 'size', id: 'd' },
      depth: { from: 'size', id: 'e' },
    });
  });

  test('uses a size only once, and plain numbers where nothing is known', () => {
    const draft = measured();
    const { repair } = draft.body('b', 'Wheel', [draft.step('disc', { diameter: 'B', width: 'A' }, 'disc')]);
    expect(next(repair, 'disc')).toMatchObject({ diameter: numberValue(30), width: numberValue(10) });
    const { repair: empty } = new RepairDraft('x').body('b', 'Body', []);
    expect(next(empty, 'plate')).toMatchObject({ length: numberValue(40), thickness: numberValue(3) });
  });

  test('a hole takes no distance between holes, and nothing that a layout is measured by', () => {
    const holes = () =>
      new RepairDraft('Plate')
        .measured('A', 'Holes 1 and 2, over the far rims', ['47.2'])
        .measured('B', 'Plate, width', ['20'])
        .body('b', 'Plate', []).repair;
    expect(next(holes(), 'hole')).toMatchObject({ diameter: numberValue(5) });
    expect(next(holes(), 'disc')).toMatchObject({ width: { from: 'size', id: 'b' } });
    const laidOut = holes();
    const { layout } = new LayoutDraft([
      { x: 0, y: 0 },
      { x: 20, y: 0 },
    ]).between(1, 2);
    layout.distances[0]!.source = { from: 'size', id: 'b' };
    laidOut.layouts.push(layout);
    expect(next(laidOut, 'disc')).toMatchObject({ width: numberValue(10) });
    // Measured with the inside jaws it is a hole's own width.
    const bored = new RepairDraft('Plate').measured('A', 'Hole', ['5.26'], { jaw: 'inside' });
    expect(next(bored.body('b', 'Plate', []).repair, 'hole')).toMatchObject({
      diameter: { from: 'size', id: 'a' },
    });
  });

  test('a counterpart from the counterpart’s sizes', () => {
    const { repair } = measured().body('axle', 'Axle', [], 'counterpart');
    expect(next(repair, 'disc')).toMatchObject({ diameter: { from: 'size', id: 'c' } });
  });

  test('eases the mouths of a new hole first, then the outer edges', () => {
    const draft = measured();
    const steps = [
      draft.step('disc', { diameter: 'B', width: 'A' }, 'disc'),
      draft.step('hole', { diameter: 'fit:bore', depth: 'through', x: 0, y: 0 }, 'hole'),
    ];
    const { repair } = draft.body('b', 'Wheel', steps);
    const mouths = next(repair, 'chamfer');
    expect(mouths).toMatchObject({ where: { edges: 'mouths', of: 'hole' } });
    repair.bodies[0]!.steps.push(mouths);
    const rims = next(repair, 'fillet');
    expect(rims).toMatchObject({ where: { edges: 'rims', of: 'disc' } });
    // With both done, the corners inside.
    repair.bodies[0]!.steps.push(rims);
    expect(next(repair, 'fillet')).toMatchObject({ where: { edges: 'insides' } });
  });

  test.each(STEP_KINDS)('%s always passes the schema', (kind) => {
    const draft = measured();
    const { repair } = draft.body('b', 'Wheel', [draft.step('disc', { diameter: 'B', width: 'A' }, 'disc')]);
    expect(Step.safeParse(next(repair, kind)).error).toBeUndefined();
  });
});

describe('editing a recipe', () => {
  const draft = new RepairDraft('x');
  const steps = ['a', 'b', 'c'].map((id) => draft.step('disc', { diameter: 5, width: 5 }, id));
  const ids = (list: Step[]) => list.map((step) => step.id).join('');

  test('moving stops at the ends and never loses a step', () => {
    expect(ids(withStepMoved(steps, 'b', -1))).toBe('bac');
    expect(ids(withStepMoved(steps, 'b', 1))).toBe('acb');
    expect(ids(withStepMoved(steps, 'a', -1))).toBe('abc');
    expect(ids(withStepMoved(steps, 'c', 1))).toBe('abc');
    expect(ids(withStepMoved(steps, 'z', 1))).toBe('abc');
    expect(ids(steps)).toBe('abc');
  });

  test('taking out and setting a number touch one step', () => {
    expect(ids(withoutStep(steps, 'b'))).toBe('ac');
    const changed = withField(steps, 'b', 'width', numberValue(9));
    expect(changed[1]).toMatchObject({ width: numberValue(9), diameter: numberValue(5) });
    expect(changed[0]).toBe(steps[0]);
    expect(steps[1]).toMatchObject({ width: numberValue(5) });
  });
});

describe('steps with something inside', () => {
  const draft = new RepairDraft('x');
  const raise = Step.parse({
    id: 'raise',
    kind: 'extrude',
    effect: 'cut',
    outline: { shape: 'slot', length: numberValue(20), breadth: numberValue(5) },
    turn: 0,
    height: 'through',
    on: 'top',
    x: numberValue(0),
    y: numberValue(0),
  });
  const grip = Step.parse({
    id: 'grip',
    kind: 'stations',
    effect: 'add',
    rows: [0, 10, 20].map((at) => ({ at: numberValue(at), diameter: numberValue(8) })),
    between: 'smooth',
    on: 'bottom',
    x: numberValue(0),
    y: numberValue(0),
  });
  const steps = [raise, grip, draft.step('disc', { diameter: 5, width: 5 }, 'disc')];

  test('a number inside an outline or a row is read and set by its path', () => {
    expect(fieldOf(raise, 'outline.breadth')).toEqual(numberValue(5));
    expect(fieldOf(grip, 'rows.1.at')).toEqual(numberValue(10));
    expect(fieldOf(raise, 'height')).toBe('through');
    const wider = withField(steps, 'raise', 'outline.breadth', numberValue(6));
    expect(fieldOf(wider[0]!, 'outline.breadth')).toEqual(numberValue(6));
    expect(fieldOf(raise, 'outline.breadth')).toEqual(numberValue(5));
    const higher = withField(steps, 'grip', 'rows.1.at', numberValue(12));
    expect(Step.parse(higher[1])).toEqual(higher[1]);
    expect(fieldOf(higher[1]!, 'rows.1.at')).toEqual(numberValue(12));
    expect(fieldOf(higher[1]!, 'rows.2.at')).toEqual(numberValue(20));
  });

  test('every choice of every sentence gives a step that the file takes, and its own words', () => {
    const layouts = [{ id: 'holes', name: 'Holes' }];
    const all: Step[] = [
      ...steps,
      draft.step('hole', { diameter: 5, depth: 'through', x: 0, y: 0 }, 'hole'),
      { id: 'ease', kind: 'chamfer', size: numberValue(1), where: { edges: 'rims', of: 'disc' } },
      { id: 'again', kind: 'pattern', of: 'hole', pattern: { by: 'round', count: 7 } },
      { id: 'mirror', kind: 'mirror', across: 'sides', keep: 'both' },
      { id: 'hollow', kind: 'shell', wall: numberValue(2), open: 'top' },
    ];
    // And every other kind, as it begins.
    const { repair } = measured()
      .body('b', 'Wheel', [...all])
      .body('c', 'Other', []);
    for (const kind of STEP_KINDS) {
      const fresh = { ...next(repair, kind), id: `new-${kind}` } as Step;
      if (!all.some((step) => step.kind === kind)) all.push(fresh);
    }
    const bodies = [{ id: 'c', name: 'Other' }];
    let tried = 0;
    for (const step of all) {
      for (const part of stepSentence(step, all, { layouts, bodies })) {
        if (part.kind !== 'choice') continue;
        expect(part.options.map(({ word }) => word)).toContain(part.text);
        for (const { word, patch, pick } of part.options) {
          if (pick) continue;
          const [changed] = withPatch([step], step.id, patch);
          expect(Step.safeParse(changed).error).toBeUndefined();
          const others = all.map((other) => (other.id === step.id ? changed! : other));
          const again = stepSentence(changed!, others, { layouts, bodies });
          // The words of this very choice say it now; or what it took away is no longer spoken of.
          const sameChoice = (other: SentencePart): other is typeof part =>
            other.kind === 'choice' && other.what === part.what;
          const now = again.filter(sameChoice);
          const isGone = now.length < stepSentence(step, all, { layouts, bodies }).filter(sameChoice).length;
          const isSaid = now.some(({ text }) => text === word) || isGone;
          expect({ kind: step.kind, word, isSaid }).toEqual({ kind: step.kind, word, isSaid: true });
          tried += 1;
        }
      }
    }
    expect(tried).toBeGreaterThan(300);
  });

  test('a step is switched off and on, and copied right after itself', () => {
    const off = withStepSwitched(steps, 'grip');
    expect(off.map((step) => step.off)).toEqual([undefined, true, undefined]);
    expect(withStepSwitched(off, 'grip')).toEqual(steps);
    const copied = withStepCopied(steps, 'raise', 'copy');
    expect(copied.map(({ id }) => id)).toEqual(['raise', 'copy', 'grip', 'disc']);
    expect({ ...copied[1], id: 'raise' }).toEqual(raise);
  });
});

test('what was cut last is mirrored by itself, and a head is wider than its hole', () => {
  const draft = new RepairDraft('x');
  const hole = draft.step('hole', { diameter: 19, depth: 'through', x: 28, y: 0 }, 'bore');
  const post = draft.step('disc', { diameter: 12, width: 9 }, 'post');
  const { repair } = draft.body('b', 'B', [post, hole]).body('c', 'C', [post]);
  expect(next(repair, 'mirror')).toMatchObject({ of: ['bore'], keep: 'both' });
  expect(next(repair, 'mirror', repair.bodies[1]!)).not.toHaveProperty('of');
  const seat = moreOptions(hole).find(({ word }) => word === 'Give it a round seat')!;
  // Half as wide again, to half a millimetre.
  expect(seat.patch.head).toMatchObject({ diameter: numberValue(28.5) });
});

test('letters are those of the revision that comes next, where it is known', () => {
  const { repair } = new RepairDraft('x').body('b', 'B', []);
  const context = { body: repair.bodies[0]!, state: repair, numbers: evaluateRepair(repair) };
  expect(newStep('text', { ...context, nextRevision: 'C' }, 'new')).toMatchObject({ text: 'C' });
  expect(newStep('text', context, 'new')).toMatchObject({ text: 'A' });
});
