import { readFileSync } from 'node:fs';

import { DOMParser } from '@xmldom/xmldom';
import { strFromU8, unzipSync } from 'fflate';
import { JSDOM } from 'jsdom';
import { STLLoader } from 'three/examples/jsm/loaders/STLLoader.js';
import { ThreeMFLoader } from 'three/examples/jsm/loaders/3MFLoader.js';
import type { BufferGeometry, Mesh, Object3D } from 'three';

import { evaluateRepair } from '@core/fitting/fit';
import { fileStem, stepString, withStepHeader, writeStl, writeThreeMf } from '@core/making/formats';
import { BodyBuilder } from '@core/shaping/solid';
import { checkShape, meshOf, readStep, writeStep, type Kernel } from '@core/shaping/kernel';
import { FILE_QUALITY, meshVolume, openEdgeCount, weld, type WeldedMesh } from '@core/shaping/part';
import { withDomParser } from '@core/testing/domParser';
import { testKernel } from '@core/testing/kernel';
import { rackWheel } from '@core/testing/repairDraft';

const { version } = JSON.parse(readFileSync('package.json', 'utf8')) as { version: string };

let kernel: Kernel;
let builder: BodyBuilder;
let wheel: WeldedMesh;
let exactVolume: number;

beforeAll(async () => {
  kernel = await testKernel();
  builder = new BodyBuilder(kernel);
  const repair = rackWheel();
  const built = builder.build(repair.bodies[0]!, evaluateRepair(repair));
  exactVolume = built.check!.volumeMm3;
  wheel = weld(meshOf(built.solid!, FILE_QUALITY));
});
afterAll(() => builder.dispose());

/** Volume of what a three.js loader read. */
function volumeOf(geometry: BufferGeometry): number {
  const positions = geometry.getAttribute('position').array as Float32Array;
  const indices = geometry.index?.array ?? Uint32Array.from({ length: positions.length / 3 }, (_, i) => i);
  return meshVolume({ positions, indices: indices as Uint32Array });
}

test('the mesh that goes into files is watertight and close to the exact solid', () => {
  expect(openEdgeCount(wheel)).toBe(0);
  expect(Math.abs(meshVolume(wheel) / exactVolume - 1)).toBeLessThan(1e-3);
});

test('a hole in a mesh is found', () => {
  expect(openEdgeCount({ ...wheel, indices: wheel.indices.slice(3) })).toBe(3);
});

test('STL is read back by another reader to the same volume and size', () => {
  const bytes = writeStl(wheel, 'solid <Rack wheel>');
  expect(bytes.length).toBe(84 + 50 * (wheel.indices.length / 3));
  const geometry = new STLLoader().parse(bytes.buffer as ArrayBuffer);
  expect(volumeOf(geometry) / meshVolume(wheel)).toBeCloseTo(1, 6);
  geometry.computeBoundingBox();
  expect(geometry.boundingBox!.max.z).toBeCloseTo(8, 5);
  const [normals, positions] = [geometry.getAttribute('normal'), geometry.getAttribute('position')];
  let longest = 0;
  for (let at = 0; at < positions.count; at += 1) {
    longest = Math.max(longest, Math.hypot(normals.getX(at), normals.getY(at), normals.getZ(at)));
  }
  expect(longest).toBeCloseTo(1, 5);
});

test('3MF is read back by another reader, with its names, to the same volume', () => {
  const bytes = writeThreeMf(
    [{ name: 'Wheel <b>&"1"', mesh: wheel }],
    'Rack & wheel',
    '2026-05-04T09:00:00Z',
  );
  const model = strFromU8(unzipSync(bytes)['3D/3dmodel.model']!);
  expect(model).toContain('unit="millimeter"');
  expect(new DOMParser().parseFromString(model, 'text/xml').documentElement?.tagName).toBe('model');

  const group = withDomParser(() => new ThreeMFLoader().parse(bytes.buffer as ArrayBuffer));
  const meshes: Mesh[] = [];
  group.traverse((object: Object3D) => {
    if ('geometry' in object) meshes.push(object as Mesh);
  });
  expect(meshes).toHaveLength(1);
  expect(volumeOf(meshes[0]!.geometry) / meshVolume(wheel)).toBeCloseTo(1, 6);
  expect(model).toContain('name="Wheel &lt;b&gt;&amp;&quot;1&quot;"');
});

test('3MF with a name that XML has no place for is well formed all the same', () => {
  const bytes = writeThreeMf(
    [{ name: 'A\uFFFEB\u0001\uD800C', mesh: wheel }],
    'T\uFFFF',
    '2026-05-04T09:00:00Z',
  );
  const model = strFromU8(unzipSync(bytes)['3D/3dmodel.model']!);
  expect(model).toContain('name="A\uFFFDB\uFFFD\uFFFDC"');
  // A strict reader: what is no character of XML, as U+FFFE, ends it.
  const dom = new JSDOM('');
  const parsed = new dom.window.DOMParser().parseFromString(model, 'text/xml');
  expect(parsed.getElementsByTagName('parsererror')).toHaveLength(0);
});

test('STEP is read back by the kernel’s reader to the exact volume, and carries the name', () => {
  const repair = rackWheel();
  const built = builder.build(repair.bodies[0]!, evaluateRepair(repair));
  const bytes = writeStep(kernel, [{ name: 'Wheel, rev A', shape: built.solid!.shape }]);
  const text = new TextDecoder().decode(bytes);
  expect(text.startsWith('ISO-10303-21;')).toBe(true);
  expect(text).toContain("PRODUCT('Wheel, rev A'");
  expect(text).toMatch(/SI_UNIT\(\.MILLI\.,\.METRE\.\)/);
  const shape = readStep(kernel, bytes);
  const check = checkShape(kernel, shape);
  expect(check).toMatchObject({ pieces: 1, valid: true, closed: true });
  expect(Math.abs(check.volumeMm3 / exactVolume - 1)).toBeLessThan(1e-9);
  shape.delete();
});

test('a STEP file says what it is, when and by what it was written, and the first is of the same schema as the next', () => {
  const repair = rackWheel();
  const built = builder.build(repair.bodies[0]!, evaluateRepair(repair));
  const write = () => {
    const bare = writeStep(kernel, [{ name: 'Wheel', shape: built.solid!.shape }]);
    return withStepHeader(bare, {
      name: 'Rack wheel · Wheel’s rim, rev A',
      when: '2026-12-01T08:30:12.345Z',
    });
  };
  const [first, next] = [write(), write()].map((bytes) => new TextDecoder().decode(bytes)) as [
    string,
    string,
  ];
  const name = "'Rack wheel \\X2\\00B7\\X0\\ Wheel\\X2\\2019\\X0\\s rim, rev A'";
  for (const text of [first, next]) {
    expect(text).toContain(`FILE_DESCRIPTION((${name}),'2;1');`);
    expect(text).toContain(
      `FILE_NAME(${name},'2026-12-01T08:30:12',(''),(''),'Even Spare ${version}','Even Spare ${version}','');`,
    );
    expect(text.match(/FILE_NAME|FILE_DESCRIPTION|FILE_SCHEMA/g)).toHaveLength(3);
    expect(text).toMatch(/FILE_SCHEMA\(\(\s*'AP242/);
  }
  const shape = readStep(kernel, write());
  expect(Math.abs(checkShape(kernel, shape).volumeMm3 / exactVolume - 1)).toBeLessThan(1e-9);
  shape.delete();
});

test('a text in a STEP file keeps its quotes, backslashes and what is beyond ASCII', () => {
  expect(stepString("O'ring \\ 5")).toBe("'O''ring \\\\ 5'");
  expect(stepString('é𝄞')).toBe("'\\X2\\00E9D834DD1E\\X0\\'");
});

test('names of files', () => {
  expect(fileStem('Rack wheel', 'Rev B')).toBe('rack-wheel-rev-b');
  expect(fileStem('Crème <b>brûlée</b>/../x')).toBe('creme-b-brulee-b-x');
  expect(fileStem('螺丝')).toBe('spare');
  expect(fileStem('a'.repeat(300))).toHaveLength(60);
});
