import { evaluateRepair } from '@core/fitting/fit';
import type { Kernel } from '@core/shaping/kernel';
import { numberValue, type Step } from '@core/record/model';
import { testKernel } from '@core/testing/kernel';
import { block, buildPiece, raised, stepOf, type Piece } from '@core/testing/pieces';
import { rackWheel, RepairDraft } from '@core/testing/repairDraft';
import { expectNear } from '@core/testing/volumes';

import { RepairBuilder } from './repairBuilder';

let kernel: Kernel;
beforeAll(async () => {
  kernel = await testKernel();
});

const build = (...steps: Step[]): Piece => buildPiece(kernel, steps);

describe('room for a body by its fits', () => {
  const housing = (more: object) => ({
    ...stepOf('body', { of: 'axle', effect: 'cut', grow: 0, wayIn: 'none' }, 'room'),
    ...more,
  });
  function roomIn(repair: ReturnType<typeof rackWheel>, more: object) {
    repair.bodies[0]!.steps = [stepOf('disc', { diameter: 30, width: 10 }, 'disc'), housing(more) as Step];
    const numbers = evaluateRepair(repair);
    const builder = new RepairBuilder(kernel);
    const built = builder.build(repair.bodies, numbers).get('wheel')!;
    const faults = built.steps.flatMap((step) => (step.state === 'failed' ? [step.fault] : []));
    const volume = built.check?.volumeMm3 ?? 0;
    builder.dispose();
    return { faults, volume, numbers };
  }

  test('each face has the allowance of its own fit', () => {
    const { faults, volume, numbers } = roomIn(rackWheel(), { byFits: true });
    expect(faults).toEqual([]);
    const fit = numbers.fits.get('bore')!.worked;
    if (!fit.ok) throw new Error('the fit is not worked out');
    expect(fit.trail.working).toBeGreaterThan(6.02);
    expectNear(volume, Math.PI * (225 - (fit.trail.working / 2) ** 2) * 10);
  });

  test('follows its fit: a looser class makes more room', () => {
    const loose = rackWheel();
    loose.fits[0]!.fitClass = 'loose';
    const tight = rackWheel();
    tight.fits[0]!.fitClass = 'pressed';
    const [a, b] = [roomIn(loose, { byFits: true }), roomIn(tight, { byFits: true })];
    expect(a.volume).toBeLessThan(b.volume);
  });

  test('without a fit, or with two for one size, it says so', () => {
    const none = rackWheel();
    none.fits = [];
    expect(roomIn(none, { byFits: true }).faults).toMatchObject([{ code: 'body.noFits', name: 'Axle' }]);
    const two = rackWheel();
    two.fits.push({ ...two.fits[0]!, id: 'other' });
    expect(roomIn(two, { byFits: true }).faults).toMatchObject([{ code: 'body.severalFits', tag: 'B' }]);
  });
});

describe('all faces that a fit is for', () => {
  test('are eased at once: the bore grows and the rest stays', () => {
    const repair = rackWheel();
    const spare = repair.bodies[0]!;
    spare.steps = spare.steps.filter(({ kind }) => kind === 'disc' || kind === 'hole');
    const volume = (by: number | null) => {
      const steps =
        by === null ? spare.steps : [...spare.steps, stepOf('offset', { of: 'mating', by }, 'eased')];
      const builder = new RepairBuilder(kernel);
      const built = builder.build([{ ...spare, steps }], evaluateRepair(repair)).get('wheel')!;
      const { volumeMm3 } = built.check!;
      builder.dispose();
      return volumeMm3;
    };
    const bore = 6.32;
    expectNear(volume(null) - volume(-0.1), (Math.PI / 4) * ((bore + 0.2) ** 2 - bore ** 2) * 8, 1e-6);
  });

  test('without a fit there are none, and it says so', () => {
    const eased = stepOf('offset', { of: 'mating', by: -0.1 });
    expect(build(block(20, 20, 5), eased).faults).toMatchObject([{ code: 'offset.noneMates' }]);
  });
});

describe('the outline of another body', () => {
  test('of its step, moved out, follows that body', () => {
    const lid = (length: number) => {
      const plug = { ...block(length, 20, 8), id: 'plug' } as Step;
      const cover = raised({ shape: 'offset', of: { step: 'plug', body: 'box' }, by: numberValue(2) }, 3);
      const { repair } = new RepairDraft('x').body('lid', 'Lid', [cover]).body('box', 'Box', [plug]);
      const builder = new RepairBuilder(kernel);
      const built = builder.build(repair.bodies, evaluateRepair(repair)).get('lid')!;
      expect(built.steps).toMatchObject([{ state: 'built' }]);
      const { volumeMm3 } = built.check!;
      builder.dispose();
      return volumeMm3;
    };
    expectNear(lid(30), 34 * 24 * 3);
    expectNear(lid(50), 54 * 24 * 3);
  });

  test('a body that is gone, and two that take from each other, are told', () => {
    const from = (body: string, step: string) =>
      raised({ shape: 'offset', of: { step, body }, by: numberValue(1) }, 3);
    const { repair } = new RepairDraft('x')
      .body('a', 'A', [{ ...from('b', 'two'), id: 'one' } as Step])
      .body('b', 'B', [{ ...from('a', 'one'), id: 'two' } as Step])
      .body('c', 'C', [from('nowhere', 'one')]);
    const builder = new RepairBuilder(kernel);
    const built = builder.build(repair.bodies, evaluateRepair(repair));
    const faults = repair.bodies.map(({ id }) => built.get(id)!.steps[0]!);
    builder.dispose();
    expect(faults[0]).toMatchObject({ fault: { code: 'body.notBuilt' } });
    expect(faults[1]).toMatchObject({ fault: { code: 'body.circle' } });
    expect(faults[2]).toMatchObject({ fault: { code: 'body.gone' } });
  });
});
