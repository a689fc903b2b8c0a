import { strFromU8, unzipSync } from 'fflate';
import { JSDOM } from 'jsdom';
import { Box3, Matrix4, Vector3 } from 'three';

import { evaluateRepair } from '@core/fitting/fit';
import { asMade, spareFile } from '@core/reporting/make';
import type { Body, PrintSetup } from '@core/record/model';
import { BodyBuilder } from '@core/shaping/solid';
import { testKernel } from '@core/testing/kernel';
import { rackWheel } from '@core/testing/repairDraft';
import { DEFAULT_WORKSHOP } from '@core/record/workshop';

const repair = rackWheel();

/** What the model part of a 3MF of the wheel says. */
async function modelOf(laying: Partial<PrintSetup> | null, machineId = 'bench-printer') {
  const builder = new BodyBuilder(await testKernel());
  const [plain] = repair.bodies;
  const laid = { down: [0, 0, -1], settings: 'everyday', support: 'none', foot: 'skirt', ...laying };
  const body = (laying ? { ...plain!, laying: laid } : plain!) as Body;
  const head = { ...repair.head, machineId };
  const built = builder.build(body, evaluateRepair(repair));
  const spare = { head, body, built, stem: 'wheel', growth: null };
  const file = spareFile(
    '3mf',
    { ...spare, asMade: asMade(head, body, DEFAULT_WORKSHOP) },
    'A',
    '2026-06-01',
  );
  builder.dispose();
  if (!file.ok) throw new Error(file.fault.code);
  const text = strFromU8(unzipSync(file.value.bytes)['3D/3dmodel.model']!);
  const { DOMParser } = new JSDOM('').window;
  return new DOMParser().parseFromString(text, 'text/xml');
}

/** Where it stands on the bed: the core specification multiplies rows from the left. */
function boxOnBed(model: Document): { box: Box3; turn: Matrix4 } {
  const numbers = model.querySelector('item')!.getAttribute('transform')!.split(' ').map(Number);
  const [a, b, c, d, e, f, g, h, i, x, y, z] = numbers;
  const turn = new Matrix4().set(a!, d!, g!, x!, b!, e!, h!, y!, c!, f!, i!, z!, 0, 0, 0, 1);
  const box = new Box3();
  for (const vertex of model.querySelectorAll('vertex')) {
    const at = ['x', 'y', 'z'].map((axis) => Number(vertex.getAttribute(axis))) as [number, number, number];
    box.expandByPoint(new Vector3(...at).applyMatrix4(turn));
  }
  return { box, turn };
}

const metadataOf = (model: Document) =>
  Object.fromEntries<string>(
    [...model.querySelectorAll('metadata')].map((one) => [one.getAttribute('name') ?? '', one.textContent]),
  );

test.each([
  ['as it stands', [0, 0, -1], [38.2, 38.2, 8]],
  ['upside down', [0, 0, 1], [38.2, 38.2, 8]],
  ['on its rim', [1, 0, 0], [8, 38.2, 38.2]],
  ['leaning', [0, Math.SQRT1_2, -Math.SQRT1_2], null],
] as const)('a 3MF has the wheel in the middle of the bed, %s', async (_name, down, size) => {
  const { box, turn } = boxOnBed(await modelOf({ down: [...down] }));
  // Turned, and neither mirrored nor stretched.
  expect(turn.determinant()).toBeCloseTo(1, 5);
  expect(box.min.z).toBeCloseTo(0, 3);
  const middle = box.getCenter(new Vector3());
  expect(middle.x).toBeCloseTo(110, 3);
  expect(middle.y).toBeCloseTo(110, 3);
  const found = box.getSize(new Vector3());
  if (size) for (const [axis, mm] of size.entries()) expect(found.getComponent(axis)).toBeCloseTo(mm, 1);
  // What lay down lies on the bed now.
  const way = new Vector3(...down).transformDirection(turn);
  expect(way.z).toBeCloseTo(-1, 5);
});

test('and says what it is made of, on what, and with which settings', async () => {
  const model = await modelOf({ settings: 'draft' });
  expect(model.querySelector('base')!.getAttribute('name')).toBe('PETG');
  expect(model.querySelector('object')!.getAttribute('pid')).toBe(
    model.querySelector('basematerials')!.getAttribute('id'),
  );
  expect(model.querySelector('object')!.getAttribute('id')).toBe(
    model.querySelector('item')!.getAttribute('objectid'),
  );
  expect(metadataOf(model)).toMatchObject({
    'es:Printer': 'Bench printer',
    'es:Settings': 'Draft: layer height 0.28 mm, 2 walls, 3 top and 3 bottom layers, 12 % infill (gyroid).',
  });
});

test('what is not laid in layers stands as it is modelled', async () => {
  const model = await modelOf({ down: [1, 0, 0] }, 'lathe-mill');
  expect(model.querySelector('item')!.getAttribute('transform')).toBeNull();
  expect(metadataOf(model)).not.toHaveProperty('es:Settings');
  expect(metadataOf(model)).toMatchObject({ 'es:Printer': 'Lathe or mill' });
});
