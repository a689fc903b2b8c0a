import type { Kernel } from '@core/shaping/kernel';
import type { Step } from '@core/record/model';
import { testKernel } from '@core/testing/kernel';
import { block, buildPiece, plain, stepOf } from '@core/testing/pieces';
import { expectNear, wholeVolume } from '@core/testing/volumes';

let kernel: Kernel;
beforeAll(async () => {
  kernel = await testKernel();
});

const base = block(60, 20, 10);

const hole = stepOf('hole', { diameter: 4, depth: 'through', x: 10, y: 5 });

const HOLE = Math.PI * 4 * 10;

const move = (more: object, scale: unknown = 1): Step =>
  ({ ...stepOf('move', { dx: 0, dy: 0, dz: 0, axis: 'z', turn: 0, ...more }), scale }) as Step;

const rounded = (point: readonly number[]) => point.map((mm) => Math.round(mm * 1e6) / 1e6 + 0);

const build = (...steps: Step[]) => buildPiece(kernel, steps);

const middleOfHole = (...steps: Step[]) =>
  rounded(build(base, hole, ...steps).centreLines[0]!.from.slice(0, 2));

describe('what was there before a move goes along with it', () => {
  test.each<[string, Step[], number[]]>([
    ['moved', [move({ dx: 7, dy: -2 })], [17, 3]],
    ['turned, then moved', [move({ dx: 7, turn: Math.PI / 2 })], [2, 10]],
    ['twice', [move({ turn: Math.PI / 2 }), move({ dx: 3 })], [-2, 10]],
    ['scaled', [move({}, 2)], [20, 10]],
    ['scaled unevenly', [move({}, { x: 2, y: 0.5, z: 1 })], [20, 2.5]],
    ['made its mirror image', [stepOf('mirror', { across: 'sides', keep: 'other' })], [-10, 5]],
    ['mirrored beside itself', [stepOf('mirror', { across: 'sides', keep: 'both' })], [10, 5]],
  ])('its centre lines, %s', (_, steps, at) => {
    expect(middleOfHole(...steps)).toEqual(at);
  });

  test('its sizes on the picture', () => {
    const spans = build(base, move({ dx: 7 }, 2)).annotations.find(
      ({ field }) => field === 'outline.length',
    )!.spans;
    // 60 long, twice as large and 7 to the right.
    expect(rounded([spans[0]!.from[0], spans[0]!.to[0]])).toEqual([-53, 67]);
  });

  const there = { xFrom: { step: hole.id }, yFrom: { step: hole.id }, x: 0, y: 0 };
  test.each<[string, Step[]]>([
    ['moved', [move({ dx: 7, dy: -2 })]],
    ['turned', [move({ turn: 0.4 })]],
    ['its mirror image', [stepOf('mirror', { across: 'frontBack', keep: 'other' })]],
  ])('what is measured from it then, %s: a wider hole takes the first one in', (_, steps) => {
    const wider = stepOf('hole', { diameter: 6, depth: 'through', ...there });
    expectNear(wholeVolume(kernel, base, hole, ...steps, wider), 12_000 - Math.PI * 9 * 10);
  });

  test('what is repeated of it: from where it has gone', () => {
    const row = stepOf('pattern', {
      of: hole.id,
      pattern: { by: 'row', count: 3, ...plain({ dx: -10, dy: 0 }) },
    });
    expectNear(wholeVolume(kernel, base, hole, move({ dx: 15 }), row), 12_000 - 3 * HOLE);
    const { centreLines } = build(base, hole, move({ dx: 15 }), row);
    expect(centreLines.map(({ from }) => rounded(from)[0])).toEqual([25, 15, 5]);
  });

  test('sides that are leaned and rims that are grooved', () => {
    const wheel = stepOf('disc', { diameter: 20, width: 8 });
    const groove = { ...stepOf('groove', { width: 2, depth: 3 }), rimOf: wheel.id } as Step;
    const tipped = move({ dx: 5, dz: 30, axis: 'x', turn: Math.PI / 2 });
    expectNear(wholeVolume(kernel, wheel, tipped, groove), Math.PI * (100 * 8 - (100 - 49) * 2));
    const lean = { ...stepOf('draft', { held: 'bottom' }), of: wheel.id, angle: Math.atan(0.25) } as Step;
    expectNear(wholeVolume(kernel, wheel, tipped, lean), ((Math.PI * 8) / 3) * (100 + 80 + 64));
  });
});
