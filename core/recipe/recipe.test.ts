import { evaluateRepair } from '@core/fit';
import { numberValue, Step, type Repair, type StepKind } from '@core/model';
import { newStep, withField, withoutStep, withStepMoved } from '@core/recipe';
import { RepairDraft } from '@core/testing/repairDraft';
import { STEP_VERBS } from '@core/wording';

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
    expect(next(repair, 'turn')).toMatchObject({
      diameter: { from: 'size', id: 'b' },
      width: { from: 'size', id: 'a' },
    });
  });

  test('a hole from the fit, a groove from the sizes that are called so', () => {
    const draft = measured();
    const { repair } = draft.body('b', 'Wheel', [draft.step('turn', { diameter: 'B', width: 'A' }, 'disc')]);
    expect(next(repair, 'drill')).toMatchObject({ diameter: { from: 'fit', id: 'bore' }, depth: 'through' });
    expect(next(repair, 'groove')).toMatchObject({
      rimOf: 'disc',
      width: { from: 'size', id: 'd' },
      depth: { from: 'size', id: 'e' },
    });
  });

  test('uses a size only once, and plain numbers where nothing is known', () => {
    const draft = measured();
    const { repair } = draft.body('b', 'Wheel', [draft.step('turn', { diameter: 'B', width: 'A' }, 'disc')]);
    expect(next(repair, 'turn')).toMatchObject({ diameter: numberValue(30), width: numberValue(10) });
    const { repair: empty } = new RepairDraft('x').body('b', 'Body', []);
    expect(next(empty, 'plate')).toMatchObject({ length: numberValue(40), thickness: numberValue(3) });
  });

  test('a counterpart from the counterpart’s sizes', () => {
    const { repair } = measured().body('axle', 'Axle', [], 'counterpart');
    expect(next(repair, 'turn')).toMatchObject({ diameter: { from: 'size', id: 'c' } });
  });

  test('eases the mouths of a new hole first, then the outer edges', () => {
    const draft = measured();
    const steps = [
      draft.step('turn', { diameter: 'B', width: 'A' }, 'disc'),
      draft.step('drill', { diameter: 'fit:bore', depth: 'through', x: 0, y: 0 }, 'hole'),
    ];
    const { repair } = draft.body('b', 'Wheel', steps);
    const mouths = next(repair, 'ease');
    expect(mouths).toMatchObject({ where: { edges: 'mouths', of: 'hole' } });
    repair.bodies[0]!.steps.push(mouths);
    expect(next(repair, 'round')).toMatchObject({ where: { edges: 'rims', of: 'disc' } });
  });

  test.each(Object.keys(STEP_VERBS) as StepKind[])('%s always passes the schema', (kind) => {
    const draft = measured();
    const { repair } = draft.body('b', 'Wheel', [draft.step('turn', { diameter: 'B', width: 'A' }, 'disc')]);
    expect(Step.safeParse(next(repair, kind)).error).toBeUndefined();
  });
});

describe('editing a recipe', () => {
  const draft = new RepairDraft('x');
  const steps = ['a', 'b', 'c'].map((id) => draft.step('turn', { diameter: 5, width: 5 }, id));
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
