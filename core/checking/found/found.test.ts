import { Euler, Matrix4, Vector3 } from 'three';

import { evaluateRepair } from '@core/fitting/fit';
import { writeStl } from '@core/making/formats';
import { meshOf } from '@core/shaping/kernel';
import type { Step } from '@core/record/model';
import { FILE_QUALITY, weld, type WeldedMesh } from '@core/shaping/part';
import { RepairBuilder } from '@core/shaping/solid';
import { testKernel } from '@core/testing/kernel';
import { noiseFrom } from '@core/testing/layoutDraft';
import { RepairDraft } from '@core/testing/repairDraft';

import { scaleOver } from './scale';

import {
  comparedOver,
  foundFigures,
  alignedByAll,
  likelyUnit,
  meshAligned,
  painted,
  readFound,
  waysOver,
} from './index';

// Each lays a scan from hundreds of guesses: seconds on an idle machine.
jest.setTimeout(120_000);

const draft = new RepairDraft('Found');
const plate = (length: number, breadth = 20) =>
  draft.step('plate', { length, breadth, thickness: 5, cornerRadius: 0 }, 'plate');
/** Nothing of a plate with two unlike holes in odd places looks the same from elsewhere. */
const holes = (wide: number, x = 11) => [
  draft.step('hole', { diameter: wide, depth: 'through', x, y: 3, on: undefined }, 'wide'),
  draft.step('hole', { diameter: 3, depth: 'through', x: -8, y: -5, on: undefined }, 'narrow'),
];

async function meshed(steps: Step[]): Promise<WeldedMesh> {
  const builder = new RepairBuilder(await testKernel());
  const { repair } = new RepairDraft('Found').body('body', 'Body', steps);
  const built = builder.build(repair.bodies, evaluateRepair(repair)).get('body')!;
  const mesh = weld(meshOf(built.solid!, FILE_QUALITY));
  builder.dispose();
  return mesh;
}

/** Somewhere, turned about all axes. */
const SOMEWHERE = new Matrix4()
  .makeRotationFromEuler(new Euler(0.7, -1.9, 2.6))
  .setPosition(new Vector3(130, -42, 77));

const elsewhere = (mesh: WeldedMesh) => meshAligned(mesh, 1, SOMEWHERE);

function over(found: WeldedMesh, spare: WeldedMesh, withinMm = 0.1) {
  const ways = waysOver(found, spare, 'scan.stl');
  if (!ways.ok) throw new Error(ways.fault.code);
  const { ways: all, isSure } = ways.value;
  const compared = comparedOver(found, spare, all[0]!.place);
  return { ways: all, isSure, compared, figures: foundFigures(compared, spare, withinMm) };
}

/** How far corners lie from where they would if they had been laid back exactly, mm. */
function offFrom(spare: WeldedMesh, place: Matrix4): number {
  const back = meshAligned(elsewhere(spare), 1, place).positions;
  return Math.max(...back.map((mm, index) => Math.abs(mm - spare.positions[index]!)));
}

test('a scan that lies anywhere, in another unit, is laid over the spare', async () => {
  const spare = await meshed([plate(40), ...holes(8)]);
  const file = writeStl(meshAligned(elsewhere(spare), 0.1, new Matrix4()), 'in cm');
  const read = readFound(file, 'scan.stl');
  if (!read.ok) throw new Error(read.fault.code);
  expect(read.value.unitMm).toBeNull();
  expect(likelyUnit(read.value, spare)).toEqual({ unit: 'cm', isAlike: true });
  const { ways, figures } = over(meshAligned(read.value, 10, new Matrix4()), spare);
  expect(ways).toHaveLength(1);
  expect(offFrom(spare, ways[0]!.place)).toBeLessThan(0.01);
  expect(figures).toMatchObject({ shareOn: 1, furthestOut: null, furthestIn: null });
  expect(figures.shareMissing).toBe(0);
});

test('a hole that wore wider is told by how much, and where', async () => {
  const spare = await meshed([plate(40), ...holes(8)]);
  const { figures, ways, compared } = over(elsewhere(await meshed([plate(40), ...holes(8.8)])), spare);
  expect(offFrom(spare, ways[0]!.place)).toBeLessThan(0.02);
  // The found wall stands 0.4 within the spare's: what went from it.
  expect(figures.furthestIn!.mm).toBeCloseTo(0.4, 1);
  const [x, y] = figures.furthestIn!.at;
  expect(Math.hypot(x - 11, y - 3)).toBeCloseTo(4.4, 1);
  expect(figures.furthestOut).toBeNull();
  // Of the surface, the wall of the hole: π · 8.8 · 5 of what the found piece has.
  const faces = 2 * (40 * 20 - Math.PI * (4.4 ** 2 + 1.5 ** 2));
  const all = faces + 2 * (40 + 20) * 5 + Math.PI * (8.8 + 3) * 5;
  const rim = 2 * Math.PI * 4.4 * 5;
  expect(1 - figures.shareOn).toBeCloseTo(rim / all, 2);
  const { on, out, within, withinHatching } = painted(compared.painting, 0.1);
  expect(out).toHaveLength(0);
  expect(within.length / (on.length + within.length)).toBeGreaterThan(0);
  expect(withinHatching.length).toBeGreaterThan(0);
});

test('of a piece that broke, what is left lies where it was, and what is missing is told', async () => {
  const spare = await meshed([plate(60), ...holes(8)]);
  // What lies beyond 10 mm left of the middle is gone: 20 of 60 mm.
  const fine = painted(comparedOver(spare, spare, new Matrix4()).painting, 1).on;
  const left = Array.from({ length: fine.length / 9 }, (_, triangle) =>
    fine.subarray(9 * triangle, 9 * triangle + 9),
  );
  const positions = Float32Array.from(
    left
      .filter((corners) => corners.every((mm, at) => at % 3 > 0 || mm > -10))
      .flatMap((corners) => [...corners]),
  );
  const indices = Uint32Array.from({ length: positions.length / 3 }, (_, corner) => corner);
  const { ways, figures } = over(elsewhere({ positions, indices }), spare);
  expect(offFrom(spare, ways[0]!.place)).toBeLessThan(0.05);
  // Both faces, both sides and one end of what is gone, less what lies within 0.6 mm of the break; the narrow hole takes little.
  expect(figures.shareMissing).toBeCloseTo((2 * 19.4 * (20 + 5) + 100) / (2 * 60 * (20 + 5) + 200), 1.5);
});

test('a shorter piece is laid by what it has, not by its middle', async () => {
  const spare = await meshed([plate(60), ...holes(8)]);
  const shorter = await meshed([plate(40), ...holes(8)]);
  const { ways, figures } = over(elsewhere(shorter), spare);
  expect(offFrom(spare, ways[0]!.place)).toBeLessThan(0.05);
  // Both ends stand ten within the spare, but no face of it is nearer than half its thickness.
  expect(figures.furthestIn!.mm).toBeCloseTo(2.5, 1);
  // Of the spare's surface both ends: 2 · (10 · (20 + 5) · 2 + 100), less what lies within half a millimetre.
  expect(figures.shareMissing).toBeGreaterThan(0.25);
});

test('a thin end that wore is told, though its edges lie in faces of the spare', async () => {
  const spare = await meshed([plate(120, 14)]);
  const worn = {
    ...spare,
    positions: spare.positions.map((mm, at) => (at % 3 === 0 && mm > 59 ? mm - 0.9 : mm)),
  };
  const { deviation } = comparedOver(worn, spare, new Matrix4());
  expect(deviation.furthestIn!.mm).toBeCloseTo(0.9, 4);
  expect(deviation.furthestIn!.at[0]).toBeCloseTo(59.1, 3);
  expect(deviation.furthestOut?.mm ?? 0).toBeLessThan(1e-4);
});

test('a rough scan is laid by its middle: half a tenth of noise moves it by hundredths', async () => {
  const spare = await meshed([plate(40), ...holes(8)]);
  const fine = painted(comparedOver(spare, spare, new Matrix4()).painting, 1).on;
  let seed = 7;
  const even = () => (seed = (seed * 16807) % 2147483647) / 2147483647;
  const sigma = 0.05;
  const noise = () => sigma * Math.sqrt(-2 * Math.log(even())) * Math.cos(2 * Math.PI * even());
  const positions = elsewhere({ positions: fine, indices: new Uint32Array() }).positions.map(
    (mm) => mm + noise(),
  );
  const indices = Uint32Array.from({ length: fine.length / 3 }, (_, corner) => corner);
  const { ways, figures } = over({ positions, indices }, spare);
  expect(offFrom(spare, ways[0]!.place)).toBeLessThan(0.03);
  expect(Math.abs(figures.middleMm)).toBeLessThan(0.01);
  expect(figures.mostlyMm).toBeGreaterThan(sigma);
  expect(figures.mostlyMm).toBeLessThan(2 * sigma);
});

test('a piece that swelled all over is told to be larger', async () => {
  const spare = await meshed([plate(40), ...holes(8)]);
  const larger = elsewhere(meshAligned(spare, 1.02, new Matrix4()));
  const { ways } = over(larger, spare);
  const figures = foundFigures(
    comparedOver(larger, spare, alignedByAll(larger, spare, ways[0]!).place),
    spare,
    0.1,
  );
  // A plate 5 thick is 0.05 higher on both sides; at its ends 0.4 longer on each.
  expect(figures.middleMm).toBeCloseTo(0.05, 1.5);
  expect(figures.furthestOut!.mm).toBeGreaterThan(0.35);
  expect(figures.furthestOut!.mm).toBeLessThan(0.5);
  expect(figures.scale).toBeCloseTo(0.02, 3);
});

describe('another scale', () => {
  const noisy = (mesh: WeldedMesh) => {
    const { normal } = noiseFrom(9);
    return { ...mesh, positions: mesh.positions.map((mm) => mm + 0.02 * normal()) };
  };
  test('is told, however the piece is laid', async () => {
    const spare = await meshed([plate(40), ...holes(8)]);
    const scaled = (by: number) => noisy(meshAligned(spare, by, new Matrix4()));
    expect(scaleOver(scaled(1.01), spare)).toBeCloseTo(0.01, 2.7);
    expect(scaleOver(scaled(0.99), spare)).toBeCloseTo(-0.01, 2.7);
    // Laid by one end.
    const aside = meshAligned(scaled(1.01), 1, new Matrix4().makeTranslation(-0.2, 0.05, 0));
    expect(scaleOver(aside, spare)).toBeCloseTo(0.01, 2.7);
  });

  test('is not told of what is true, rough, worn or shorter', async () => {
    const spare = await meshed([plate(60), ...holes(8)]);
    expect(scaleOver(spare, spare)).toBeNull();
    expect(scaleOver(noisy(spare), spare)).toBeNull();
    expect(scaleOver(await meshed([plate(60), ...holes(9)]), spare)).toBeNull();
    expect(scaleOver(await meshed([plate(40), ...holes(8)]), spare)).toBeNull();
  });
});

test('a piece that looks the same from several sides is laid in each of them', async () => {
  const plain = await meshed([plate(40)]);
  const { ways } = over(elsewhere(plain), plain);
  // Turned by half about each of its three axes.
  expect(ways).toHaveLength(4);
});

test('another piece is not laid over it', async () => {
  const spare = await meshed([plate(40), ...holes(8)]);
  const ways = waysOver(await meshed([plate(90, 60)]), spare, 'other.stl');
  expect(ways).toEqual({ ok: false, fault: { code: 'found.notAlike', name: 'other.stl' } });
});
