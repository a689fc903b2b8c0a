import type { Kernel } from '@core/shaping/kernel';
import type { OutlineShape, Step } from '@core/record/model';
import { testKernel } from '@core/testing/kernel';
import { buildPiece, outlineOf, plain, raised, stepOf } from '@core/testing/pieces';
import { expectNear } from '@core/testing/volumes';

let kernel: Kernel;
beforeAll(async () => {
  kernel = await testKernel();
});

const OVAL = [
  [0, -14],
  [16, -10],
  [22, 0],
  [16, 10],
  [0, 14],
  [-16, 10],
  [-22, 0],
  [-16, -10],
] as const;
const OUTLINES: [string, OutlineShape][] = [
  [
    'smooth',
    {
      shape: 'points',
      between: 'smooth',
      points: OVAL.map(([x, y]) => plain({ x, y })),
    } as unknown as OutlineShape,
  ],
  ['oval', outlineOf('ellipse', { length: 44, breadth: 28 })],
  ['rounded', outlineOf('rectangle', { length: 44, breadth: 28, cornerRadius: 6 })],
];
const both = stepOf('mirror', { across: 'sides', keep: 'both' });
const rectangle = (length: number, breadth: number) =>
  outlineOf('rectangle', { length, breadth, cornerRadius: 0 });

test.each(OUTLINES)(
  'a hollow %s body with a clip in its wall, all of it mirrored: as much as the clip alone mirrored',
  (_, outline) => {
    const cup = [raised(outline, 12), stepOf('shell', { wall: 2, open: 'top' })];
    const clip = raised(rectangle(4, 6), 6, { on: 'top', x: 20.5, y: 2, lift: -1 });
    const [hollow, one] = [buildPiece(kernel, cup), buildPiece(kernel, [...cup, clip])];
    const all = buildPiece(kernel, [...cup, clip, both]);
    expect(all.faults).toEqual([]);
    // 4 by 6 by 6, less what of it lies in the wall, 1 deep.
    expect(one.volume - hollow.volume).toBeGreaterThan(24 * 5);
    expect(one.volume - hollow.volume).toBeLessThan(24 * 6);
    expectNear(all.volume, 2 * one.volume - hollow.volume, 1e-5);
    expectNear(
      buildPiece(kernel, [...cup, clip, { ...both, of: [clip.id] } as Step]).volume,
      all.volume,
      1e-5,
    );
  },
);

test('what is cut on one side alone is still not filled by the other', () => {
  const cup = [raised(rectangle(44, 28), 12), stepOf('shell', { wall: 2, open: 'top' })];
  const slot = raised(rectangle(8, 8), 'through', { effect: 'cut', on: 'top', x: 12, y: 0 });
  expect(buildPiece(kernel, [...cup, slot, both]).faults).toMatchObject([{ code: 'mirror.fills', place: 3 }]);
});
