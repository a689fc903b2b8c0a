import { evaluateRepair } from '@core/fit';
import { numberValue, type Step } from '@core/model';
import { gearRadii, halfToothAngle } from '@core/outline';
import { RepairBuilder, tagWords, type Kernel } from '@core/solid';
import { ridgeOf, THREADS, threadArea, threadForm } from '@core/standards';
import { testKernel } from '@core/testing/kernel';
import { LayoutDraft } from '@core/testing/layoutDraft';
import { block, buildPiece, outlineOf, raised, stepOf, type Piece } from '@core/testing/pieces';
import { rackWheel, RepairDraft } from '@core/testing/repairDraft';

let kernel: Kernel;
beforeAll(async () => {
  kernel = await testKernel();
});

const build = (...steps: Step[]): Piece => buildPiece(kernel, steps);
const whole = (...steps: Step[]): number => {
  const piece = build(...steps);
  expect(piece.faults).toEqual([]);
  expect(piece.check).toMatchObject({ valid: true, closed: true });
  return piece.volume;
};
const relative = (actual: number, exact: number, within = 1e-6) =>
  expect(Math.abs(actual / exact - 1)).toBeLessThan(within);

describe('mouths of a threaded hole', () => {
  const hole = (size: string, length: number | 'through', eased: boolean) =>
    stepOf('thread', {
      side: 'inside',
      size,
      length,
      play: 0.1,
      made: 'modelled',
      on: 'top',
      x: 0,
      y: 0,
      ...(eased ? { eased } : {}),
    });

  test.each([
    ['M8', 'through' as const, 2],
    ['M5', 4, 1],
  ])('of %s (%s) widen at 45°', (size, length, mouths) => {
    const base = block(30, 30, 6);
    const taken = whole(base, hole(size, length, false)) - whole(base, hole(size, length, true));
    // From past the crest down to the core the cone takes what the thread left at each depth.
    const form = threadForm(THREADS.find(({ name }) => name === size)!);
    const ridge = ridgeOf(form, 'inside', 0.1)!;
    const wide = ridge.crestRadius + 0.05 * form.pitchMm;
    const slices = 4000;
    let more = 0;
    for (let slice = 0; slice < slices; slice += 1) {
      const r = ridge.coreRadius + ((wide - ridge.coreRadius) * (slice + 0.5)) / slices;
      more += (Math.PI * r * r - threadArea(form, ridge, r)) * ((wide - ridge.coreRadius) / slices);
    }
    relative(taken, mouths * more, 2e-3);
  });
});

describe('blends', () => {
  const square = (breadth: number) => outlineOf('rectangle', { length: 12, breadth, cornerRadius: 0 });
  const blend = (last: object, breadth = 12) => {
    const section = (at: number, more: object, broad: number) => ({
      outline: square(broad),
      at: numberValue(at),
      x: numberValue(0),
      y: numberValue(0),
      turn: 0,
      ...more,
    });
    return stepOf('blend', {
      effect: 'add',
      sections: [section(0, {}, 12), section(20, last, breadth)],
      between: 'straight',
      on: 'bottom',
      x: 0,
      y: 0,
    });
  };

  test('up to a leaning outline: a block cut off at an angle', () => {
    const tilt = Math.PI / 9;
    relative(whole(blend({ tilt }, 12 / Math.cos(tilt))), 12 * 12 * 20);
  });

  test('corners that meet those further on twist it, and a turn takes the twist back', () => {
    relative(whole(blend({})), 12 * 12 * 20);
    // Sides ruled between lines a quarter turn apart: a section at share s is a square of 12² (1 − 2s + 2s²).
    const twisted = whole(blend({ turn: Math.PI / 4 }));
    expect(twisted).toBeLessThan(12 * 12 * 20 * 0.999);
    relative(whole(blend({ turn: Math.PI / 2, shift: -1 })), 12 * 12 * 20);
  });
});

describe('slots for a strap', () => {
  const ring = [
    raised(outlineOf('circle', { diameter: 40 }), 10),
    stepOf('drill', { diameter: 20, depth: 'through', x: 0, y: 0 }),
  ];
  const split = (apart: number) => ({
    ...stepOf('split', { axis: 'y', at: 0, keep: 'both', gap: 5 }),
    ties: { breadth: numberValue(4), thickness: numberValue(2), apart: numberValue(apart) },
  });

  test('go right through both halves of a ring', () => {
    const whole40 = Math.PI * (400 - 100) * 10;
    const piece = build(...ring, split(30) as Step);
    expect(piece.faults).toEqual([]);
    expect(piece.check!.pieces).toBe(2);
    // Each slot: 4 high and 2 broad, through the chord of the outer circle at 14 to 16 from the middle.
    const slices = 2000;
    let chord = 0;
    for (let slice = 0; slice < slices; slice += 1) {
      const x = 14 + (2 * (slice + 0.5)) / slices;
      chord += (2 * Math.sqrt(400 - x * x) * 2) / slices;
    }
    relative(piece.volume, whole40 - 2 * 4 * chord, 1e-5);
  });

  test('that would come out at the side are refused', () => {
    expect(build(...ring, split(40) as Step).faults).toMatchObject([{ code: 'split.tiesDoNotFit' }]);
  });
});

describe('room for a body by its fits', () => {
  const housing = (more: object) => ({
    ...stepOf('body', { of: 'axle', effect: 'cut', grow: 0, wayIn: 'none' }, 'room'),
    ...more,
  });
  function roomIn(repair: ReturnType<typeof rackWheel>, more: object) {
    repair.bodies[0]!.steps = [stepOf('turn', { diameter: 30, width: 10 }, 'disc'), housing(more) as Step];
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
    relative(volume, Math.PI * (225 - (fit.trail.working / 2) ** 2) * 10);
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

test('a band round the points of a layout is as wide as they lie, and follows them', () => {
  const band = (apart: number) => {
    const { layout } = new LayoutDraft([
      { x: 0, y: 0 },
      { x: apart, y: 0 },
    ]).between(1, 2);
    const step = raised({ shape: 'layoutHull', layout: 'layout', diameter: numberValue(12) }, 5);
    const { repair } = new RepairDraft('Bar').body('b', 'Bar', [step]);
    repair.layouts.push(layout);
    const builder = new RepairBuilder(kernel);
    const built = builder.build(repair.bodies, evaluateRepair(repair)).get('b')!;
    const volume = built.check?.volumeMm3 ?? 0;
    builder.dispose();
    return volume;
  };
  relative(band(30), (30 * 12 + Math.PI * 36) * 5);
  relative(band(44), (44 * 12 + Math.PI * 36) * 5);
});

test('a gear whose rim is eased loses what its teeth have beyond the slope', () => {
  const teeth = { teeth: 18, pressure: Math.PI / 9, shift: 0, side: 'outside' as const };
  const gear = (rim?: number) =>
    raised(outlineOf('gear', { module: 1.5, backlash: 0.1, ...(rim ? { rim } : {}) }), 8, {});
  const made = (rim?: number) => {
    const step = gear(rim) as Extract<Step, { kind: 'raise' }>;
    return whole({ ...step, outline: { ...step.outline, ...teeth } as typeof step.outline });
  };
  const known = { ...teeth, module: 1.5, backlash: 0.1 };
  const { tip } = gearRadii(known);
  // Beyond a radius each tooth is twice its half angle broad; both ends lose a ring of slopes.
  const rim = 0.8;
  const slices = 1500;
  let lost = 0;
  for (let slice = 0; slice < slices; slice += 1) {
    const r = tip - rim + (rim * (slice + 0.5)) / slices;
    lost += 18 * 2 * halfToothAngle(known, r) * r * (r - (tip - rim)) * (rim / slices);
  }
  relative(made() - made(rim), 2 * lost, 2e-3);
  expect(
    build({ ...gear(5), outline: { ...(gear(5) as never as { outline: object }).outline, ...teeth } } as Step)
      .faults,
  ).toMatchObject([{ code: 'ease.tooLarge' }]);
});

describe('repeats', () => {
  const plate = block(60, 60, 5);
  const hole = stepOf('drill', { diameter: 4, depth: 'through', x: 15, y: 0 }, 'hole');
  const repeat = (pattern: object, id = 'again') => ({ id, kind: 'repeat', of: 'hole', pattern }) as Step;
  const places = (piece: Piece) =>
    piece.centreLines.map(({ from }) => from.slice(0, 2).map((mm) => Math.round(mm * 1000) / 1000));

  test('round a point: evenly about it', () => {
    const piece = build(plate, hole, repeat({ by: 'round', count: 4, x: numberValue(5), y: numberValue(0) }));
    expect(piece.faults).toEqual([]);
    relative(piece.volume, 60 * 60 * 5 - 4 * Math.PI * 4 * 5);
    // The first stands 10 to the right of the point; the others a quarter turn on.
    expect(places(piece)).toEqual([
      [15, 0],
      [5, 10],
      [-5, 0],
      [5, -10],
    ]);
  });

  test('at places of their own, once where it stands already', () => {
    const points = [
      [15, 0],
      [-20, 12],
      [0, -22],
    ].map(([x, y]) => ({ x: numberValue(x!), y: numberValue(y!) }));
    const piece = build(plate, hole, repeat({ by: 'points', points }));
    relative(piece.volume, 60 * 60 * 5 - 3 * Math.PI * 4 * 5);
    expect(places(piece)).toEqual([
      [15, 0],
      [-20, 12],
      [0, -22],
    ]);
  });

  test('each copy has faces of its own, and a rule catches all of them', () => {
    const row = repeat({ by: 'row', count: 3, dx: numberValue(-15), dy: numberValue(0) });
    const piece = build(plate, hole, row);
    expect(piece.roles.filter((role) => role.startsWith('wall'))).toEqual(['wall', 'wall~2', 'wall~3']);
    const mouths = { ...stepOf('ease', { size: 0.5 }), where: { edges: 'mouths', of: 'again' } } as Step;
    // A ring of 45° at each of four mouths: π (r + c/3)·c² with c = 0.5, r = 2.
    relative(piece.volume - whole(plate, hole, row, mouths), 4 * Math.PI * (2 + 0.5 / 3) * 0.25, 1e-5);
  });

  test('something stands on the face of the copy that was picked, however many come before it', () => {
    const peg = stepOf('peg', { diameter: 8, height: 6, x: -20, y: 0 }, 'hole');
    const of = (count: number) => {
      const row = repeat({ by: 'row', count, dx: numberValue(12), dy: numberValue(0) });
      const ball = stepOf('ball', {
        effect: 'add',
        diameter: 6,
        up: 0,
        on: { face: { tag: 'again:top~2', near: [-8, 0, 11] } },
        x: 0,
        y: 0,
      });
      return build(plate, peg, row, ball);
    };
    for (const count of [2, 3, 4]) {
      const piece = of(count);
      expect(piece.faults).toEqual([]);
      // The upper half of the ball shows, in the middle of the second peg.
      relative(piece.volume, 18000 + count * Math.PI * 16 * 6 + (2 / 3) * Math.PI * 27);
    }
    expect(tagWords('again:top~2', () => 3)).toBe('the top of number 2 of step 3');
  });
});

test('mirrored top to bottom at the ground', () => {
  const cone = stepOf('cone', { effect: 'add', lower: 20, upper: 10, height: 6, on: 'bottom', x: 0, y: 0 });
  const mirror = (keep: 'both' | 'other') => ({ id: 'm', kind: 'mirror', across: 'upDown', keep }) as Step;
  const one = ((Math.PI * 6) / 3) * (100 + 50 + 25);
  const both = build(cone, mirror('both'));
  relative(both.volume, 2 * one);
  [-6, 6].forEach((mm, index) => expect(both.box![2 + 3 * index]).toBeCloseTo(mm, 6));
  const other = build(cone, mirror('other'));
  relative(other.volume, one);
  expect(other.box![2]).toBeCloseTo(-6, 6);
});

describe('split along a face', () => {
  const base = block(40, 20, 5);
  const wedge = stepOf('wedge', {
    effect: 'add',
    length: 20,
    breadth: 20,
    low: 0,
    high: 10,
    turn: 0,
    on: 'top',
    x: 0,
    y: 0,
  });
  const split = (face: string, more: object = {}) =>
    ({
      ...stepOf('split', { axis: 'z', at: 0, keep: 'low', gap: 10 }),
      face: { tag: face, near: [0, 0, 5] },
      ...more,
    }) as Step;

  test('level: what stands on it goes, what lies under it stays', () => {
    relative(whole(base, wedge, split(`${base.id}:top`)), 4000);
    relative(whole(base, wedge, split(`${base.id}:top`, { keep: 'high' })), 20 * 20 * 5);
  });

  test('leaning: both halves, moved apart along its own way', () => {
    const piece = build(base, wedge, split(`${wedge.id}:slope`, { keep: 'both' }));
    // The plane of the slope cuts the base below it: a wedge from where it runs out at the top, 5 down over 10.
    expect(piece.faults).toEqual([]);
    expect(piece.check!.pieces).toBe(2);
    relative(piece.volume, 4000 + 2000);
  });

  test('of the outside it splits nothing', () => {
    expect(build(base, split(`${base.id}:right`)).faults).toMatchObject([{ code: 'split.atOutside' }]);
  });
});
