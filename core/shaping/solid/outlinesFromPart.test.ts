import { evaluateRepair } from '@core/fitting/fit';
import type { Kernel } from '@core/shaping/kernel';
import { numberValue, type Step } from '@core/record/model';
import { testKernel } from '@core/testing/kernel';
import { block, buildPiece, outlineOf, raised, stepOf, type Piece } from '@core/testing/pieces';
import { RepairDraft } from '@core/testing/repairDraft';
import { expectNear, wholeVolume } from '@core/testing/volumes';

import { RepairBuilder } from './repairBuilder';

let kernel: Kernel;
beforeAll(async () => {
  kernel = await testKernel();
});

const build = (...steps: Step[]): Piece => {
  const piece = buildPiece(kernel, steps);
  return piece;
};

const whole = (...steps: Step[]) => wholeVolume(kernel, ...steps);

const faceOf = (step: Step, role: string, near: [number, number, number] = [0, 0, 0]) => ({
  tag: `${step.id}:${role}`,
  near,
});

const offset = (of: object, by: number) => outlineOf('offset', { of, by });

describe('the outline of a step, moved out', () => {
  test.each([2, 0, -2])('of a rounded plate by %d: the corners follow', (by) => {
    const plate = stepOf('plate', { length: 40, breadth: 20, thickness: 5, cornerRadius: 4 });
    const lid = raised(offset({ step: plate.id }, by), 3, { on: 'top' });
    const [l, b, r] = [40 + 2 * by, 20 + 2 * by, 4 + by];
    const base = (40 * 20 - (4 - Math.PI) * 16) * 5;
    expectNear(whole(plate, lid), base + (l * b - (4 - Math.PI) * r * r) * 3);
  });

  test('of a polygon keeps its corners sharp', () => {
    const nut = raised(outlineOf('polygon', { sides: 6, by: 'flats', across: 10 }), 4);
    const round = raised(offset({ step: nut.id }, 1.5), 2, { on: 'top' });
    // Area of a hexagon over flats s: s² √3 / 2.
    const area = (flats: number) => (flats * flats * Math.sqrt(3)) / 2;
    expectNear(whole(nut, round), area(10) * 4 + area(13) * 2);
  });

  test('follows when the step changes', () => {
    const of = (diameter: number) => {
      const disc = stepOf('disc', { diameter, width: 5 }, 'disc');
      return whole(disc, raised(offset({ step: 'disc' }, 1), 2, { on: 'top' }));
    };
    expectNear(of(20), Math.PI * (100 * 5 + 121 * 2));
    expectNear(of(30), Math.PI * (225 * 5 + 256 * 2));
  });

  test('is refused where nothing is left, or where a step has none', () => {
    const base = block(40, 20, 5);
    const gone = build(base, raised(offset({ step: base.id }, -10), 3, { on: 'top' }));
    expect(gone.faults).toMatchObject([{ code: 'outline.offsetTooFar' }]);
    const ease = stepOf('chamfer', { size: 1, where: { edges: 'rims', of: base.id } });
    const none = build(base, ease, raised(offset({ step: ease.id }, 1), 3, { on: 'top' }));
    expect(none.faults).toMatchObject([{ code: 'outline.noneOfStep', place: 2 }]);
  });
});

describe('the outline of a face', () => {
  test('comes with its holes, which shrink as it grows', () => {
    const base = block(40, 20, 5);
    const bore = stepOf('hole', { diameter: 8, depth: 'through', x: 0, y: 0 });
    const face = faceOf(base, 'top');
    const on = { on: { face }, x: 0, y: 0 };
    const before = (800 - Math.PI * 16) * 5;
    expectNear(whole(base, bore, raised(offset({ face }, 0), 3, on)), before + (800 - Math.PI * 16) * 3);
    expectNear(whole(base, bore, raised(offset({ face }, -1), 3, on)), before + (38 * 18 - Math.PI * 25) * 3);
  });

  test('that is round can’t be taken', () => {
    const disc = stepOf('disc', { diameter: 20, width: 5 });
    const piece = build(disc, raised(offset({ face: faceOf(disc, 'rim') }, 0), 3, { on: 'top' }));
    expect(piece.faults).toMatchObject([{ code: 'pick.notFlat' }]);
  });
});

describe('an outline that stays where it stands', () => {
  /** An L, nowhere symmetric, off the axle line: 30 by 8 along x with 6 by 20 at its right end. */
  const corners = [
    [3, -4],
    [33, -4],
    [33, 16],
    [27, 16],
    [27, 4],
    [3, 4],
  ] as const;
  const AREA = 30 * 8 + 6 * 12;
  const ell = raised(
    outlineOf('points', {
      points: corners.map(([x, y]) => ({ x: numberValue(x), y: numberValue(y) })),
      between: 'straight',
    }),
    5,
  );
  const there = { x: 0, y: 0, xFrom: 'there', yFrom: 'there' };

  test('from the top face: it goes on straight up', () => {
    const face = faceOf(ell, 'top', [10, 0, 5]);
    const piece = build(ell, raised(offset({ face }, 0), 3, { on: 'top', ...there }));
    expectNear(piece.volume, AREA * 8);
    expect(piece.box!.map((mm) => Math.round(mm * 1e6) / 1e6 + 0)).toEqual([3, -4, 0, 33, 16, 8]);
    // Moved in, all of it stays within.
    expectNear(
      whole(ell, raised(offset({ face }, -1), 3, { on: 'top', ...there })),
      AREA * 5 + (28 * 6 + 4 * 12) * 3,
    );
  });

  test('from the bottom, seen from behind, it is not mirrored', () => {
    const face = faceOf(ell, 'bottom', [10, 0, 0]);
    const piece = build(ell, raised(offset({ face }, 0), 3, { on: 'top', ...there }));
    expectNear(piece.volume, AREA * 8);
    expect(piece.box![4]).toBeCloseTo(16, 6);
  });

  test('of another body, and aside of where it stands if told so', () => {
    const cap = raised(offset({ face: faceOf(ell, 'top', [10, 0, 5]), body: 'grip' }, 0), 4, {
      on: 'bottom',
      ...there,
    });
    const boxOf = (step: Step) => {
      const { repair } = new RepairDraft('x')
        .body('grip', 'Grip', [ell], 'counterpart')
        .body('cap', 'Cap', [step]);
      const builder = new RepairBuilder(kernel);
      const box = builder.build(repair.bodies, evaluateRepair(repair)).get('cap')!.box!;
      builder.dispose();
      return box.map((mm) => Math.round(mm * 1e6) / 1e6 + 0);
    };
    expect(boxOf(cap)).toEqual([3, -4, 0, 33, 16, 4]);
    expect(boxOf({ ...cap, x: numberValue(10) } as Step)[0]).toBe(13);
  });

  test('in another plane it is refused', () => {
    const face = faceOf(ell, 'top', [10, 0, 5]);
    const piece = build(ell, raised(offset({ face }, 0), 3, { on: 'front', ...there }));
    expect(piece.faults).toMatchObject([{ code: 'outline.notLevelThere' }]);
  });

  test('on a face that leans: as it lies on it', () => {
    const wedge = stepOf('wedge', {
      effect: 'add',
      length: 40,
      breadth: 10,
      low: 10,
      high: 30,
      turn: 0,
      on: 'bottom',
      x: 0,
      y: 0,
    });
    const slope = faceOf(wedge, 'slope');
    const plate = raised(offset({ face: slope }, 0), 2, { on: { face: slope }, ...there });
    expectNear(whole(wedge, plate), 40 * 10 * 20 + Math.hypot(40, 20) * 10 * 2);
  });
});

test('an ellipse is turned with its step', () => {
  const oval = (turn: number) =>
    build(raised(outlineOf('ellipse', { length: 20, breadth: 10 }), 5, { turn })).box!;
  expect(oval(Math.PI / 2).map((mm) => Math.round(mm * 1e6) / 1e6 + 0)).toEqual([-5, -10, 0, 5, 10, 5]);
  // Half as far as √((10² + 5²) / 2) either way at 45°.
  expect(oval(Math.PI / 4)[3]).toBeCloseTo(Math.sqrt((100 + 25) / 2), 5);
});

describe('drawn outlines', () => {
  const point = (id: string, x: number, y: number) => ({ id, x: numberValue(x), y: numberValue(y) });
  const frame = {
    shape: 'drawn' as const,
    points: [
      point('a', -15, -10),
      point('b', 15, -10),
      point('c', 15, 10),
      point('d', -15, 10),
      point('m', 5, 0),
      point('n', -8, 0),
    ],
    curves: [
      { kind: 'line' as const, from: 'a', to: 'b' },
      { kind: 'line' as const, from: 'b', to: 'c' },
      { kind: 'line' as const, from: 'c', to: 'd' },
      { kind: 'line' as const, from: 'd', to: 'a' },
      { kind: 'circle' as const, middle: 'm', diameter: numberValue(6) },
      { kind: 'ellipse' as const, middle: 'n', length: numberValue(8), breadth: numberValue(4) },
    ],
    relations: [],
  };
  const area = 600 - Math.PI * 9 - Math.PI * 8;

  test('of several loops are raised with their holes', () => {
    expectNear(whole(raised(frame, 7)), area * 7);
  });

  test('are turned with their holes, by Pappus', () => {
    const spun = stepOf('revolve', {
      effect: 'add',
      outline: frame,
      away: 40,
      up: 20,
      angle: Math.PI,
      turn: 0,
      on: 'bottom',
      x: 0,
      y: 0,
    });
    // The middle of the area is off the outline's own by the holes' moments.
    const middle = (-Math.PI * 9 * 5 + Math.PI * 8 * 8) / area;
    const step = { ...spun, angle: Math.PI } as Step;
    expectNear(whole(step), Math.PI * (40 + middle) * area);
  });

  test('with holes can’t be run along a path', () => {
    const path = [0, 30].map((up) => ({ x: numberValue(0), y: numberValue(0), up: numberValue(up) }));
    const run = stepOf('sweep', {
      effect: 'add',
      outline: frame,
      path,
      bend: 0,
      along: 'straight',
      closed: false,
      on: 'bottom',
      x: 0,
      y: 0,
    });
    expect(build(run).faults).toMatchObject([{ code: 'outline.hasHoles' }]);
  });
});

describe('up to a face', () => {
  test('that is level: as high as it stands, whatever the height of its own', () => {
    const foot = block(40, 20, 4);
    const tower = raised(outlineOf('rectangle', { length: 10, breadth: 20, cornerRadius: 0 }), 15, {
      on: 'top',
      x: -15,
    });
    const of = (height: number) => {
      const high = { ...tower, height: numberValue(height) } as Step;
      const post = raised(outlineOf('circle', { diameter: 6 }), 1, {
        on: { face: faceOf(foot, 'top', [10, 0, 4]) },
        xFrom: 'axle',
        x: 10,
        upTo: faceOf(tower, 'top'),
      });
      return whole(foot, high, post) - (40 * 20 * 4 + 200 * height);
    };
    expectNear(of(15), Math.PI * 9 * 15);
    expectNear(of(9), Math.PI * 9 * 9);
  });

  test('that leans: what would reach past it is taken off', () => {
    const wedge = stepOf('wedge', {
      effect: 'add',
      length: 40,
      breadth: 10,
      low: 10,
      high: 30,
      turn: 0,
      on: 'bottom',
      x: 0,
      y: 0,
    });
    // Beside the wedge, so that all of it shows: half as long, from 15 to 25 high under the same slope.
    const post = raised(outlineOf('rectangle', { length: 20, breadth: 10, cornerRadius: 0 }), 1, {
      y: 10,
      upTo: faceOf(wedge, 'slope'),
    });
    const made = build(wedge, post);
    expect(made.faults).toEqual([]);
    expectNear(made.volume, 40 * 10 * 20 + 20 * 10 * 20);
    // The two slopes are one plane, so they are one face.
    expect(made.roles.filter((role) => role === 'slope' || role === 'top')).toHaveLength(1);
  });

  test('a cut goes down to the floor of another', () => {
    const base = block(40, 20, 10);
    const first = raised(outlineOf('circle', { diameter: 8 }), 6, { effect: 'cut', on: 'top', x: -10 });
    const second = raised(outlineOf('circle', { diameter: 6 }), 1, {
      effect: 'cut',
      on: 'top',
      x: 10,
      upTo: faceOf(first, 'bottom'),
    });
    expectNear(whole(base, first, second), 8000 - Math.PI * (16 + 9) * 6);
  });

  describe('that is round', () => {
    /** Under a circle of a radius, from -half to half: its height over its middle line, integrated. */
    const under = (radius: number, half: number) =>
      half * Math.sqrt(radius ** 2 - half ** 2) + radius ** 2 * Math.asin(half / radius);
    const base = block(40, 20, 4);
    const tower = raised(outlineOf('rectangle', { length: 10, breadth: 20, cornerRadius: 0 }), 30, {
      on: 'top',
      x: -15,
    });
    /** A bar 10 thick that stands out of the tower, its middle 20 above the ground. */
    const bar = stepOf('peg', {
      diameter: 10,
      height: 20,
      on: { face: faceOf(tower, 'right', [-10, 0, 19]) },
      x: 0,
      y: 1,
    });
    const post = (x: number, more: object = {}) =>
      raised(outlineOf('rectangle', { length: 6, breadth: 4, cornerRadius: 0 }), 1, {
        on: { face: faceOf(base, 'top', [10, 0, 4]) },
        xFrom: 'axle',
        yFrom: 'axle',
        x,
        upTo: faceOf(bar, 'wall', [0, 0, 15]),
        ...more,
      });

    test('what stands under it ends on it, all the way across', () => {
      const exact = 6 * (16 * 4 - under(5, 2));
      expectNear(whole(base, tower, bar, post(0)) - whole(base, tower, bar), exact, 1e-5);
    });

    test('a cut goes down to a bore, and opens it', () => {
      const solid = block(40, 20, 10);
      const bore = stepOf('hole', { diameter: 4, depth: 'through', on: 'right', x: 0, y: 5 });
      const slot = raised(outlineOf('rectangle', { length: 6, breadth: 2, cornerRadius: 0 }), 1, {
        effect: 'cut',
        on: 'top',
        upTo: faceOf(bore, 'wall'),
      });
      const exact = 6 * (5 * 2 - under(2, 1));
      expectNear(whole(solid, bore) - whole(solid, bore, slot), exact, 1e-5);
    });

    test('from a side: as it lies there', () => {
      const solid = block(40, 20, 10);
      const bore = stepOf('hole', { diameter: 4, depth: 'through', x: 8, y: 0 });
      const slot = raised(outlineOf('rectangle', { length: 2, breadth: 6, cornerRadius: 0 }), 1, {
        effect: 'cut',
        on: 'right',
        y: 5,
        upTo: faceOf(bore, 'wall'),
      });
      const exact = 6 * (12 * 2 - under(2, 1));
      expectNear(whole(solid, bore) - whole(solid, bore, slot), exact, 1e-5);
    });

    test('with something in between, or beside it, it is refused', () => {
      const lid = raised(outlineOf('rectangle', { length: 30, breadth: 20, cornerRadius: 0 }), 2, {
        on: { face: faceOf(base, 'top', [10, 0, 4]) },
        xFrom: 'axle',
        yFrom: 'axle',
        x: 0,
        lift: 5,
      });
      for (const steps of [
        [base, tower, bar, lid, post(0)],
        [base, tower, bar, post(15)],
      ]) {
        expect(build(...steps).faults).toMatchObject([{ code: 'extrude.upToBehind' }]);
      }
    });
  });

  test('that lies behind, or beside the way, is refused', () => {
    const base = block(40, 20, 10);
    const up = (role: string) =>
      build(base, raised(outlineOf('circle', { diameter: 6 }), 1, { on: 'top', upTo: faceOf(base, role) }));
    expect(up('bottom').faults).toMatchObject([{ code: 'extrude.upToBehind' }]);
    expect(up('right').faults).toMatchObject([{ code: 'extrude.upToBehind' }]);
  });
});

describe('a piece of its own', () => {
  const beside = (x: number) =>
    raised(outlineOf('circle', { diameter: 10 }), 8, { effect: 'apart', x }) as Step;

  test('stands beside what is there and is worked on like the rest', () => {
    const base = block(40, 20, 5);
    const two = build(base, beside(40));
    expect(two.check!.pieces).toBe(2);
    expectNear(two.volume, 4000 + Math.PI * 25 * 8);
    const drilled = build(base, beside(40), stepOf('hole', { diameter: 4, depth: 'through', x: 40, y: 0 }));
    expect(drilled.faults).toEqual([]);
    expectNear(drilled.volume, 4000 + Math.PI * (25 - 4) * 8);
  });

  test('is refused where it touches', () => {
    expect(build(block(40, 20, 5), beside(25)).faults).toMatchObject([{ code: 'apart.touches' }]);
  });

  test('alone it begins the body', () => {
    expectNear(whole(beside(0)), Math.PI * 25 * 8);
  });
});
