import fc from 'fast-check';
import { strToU8, zipSync } from 'fflate';

import type { FoundFault } from '@core/foundations/fault';
import { writeStl, writeThreeMf } from '@core/making/formats';
import { meshVolume } from '@core/shaping/part';

import { boxOf, likelyUnit } from './units';
import { readFound } from './readFound';

/** A right-angled corner piece: legs of 3, 4 and 5, so that its volume is 10. */
const WEDGE = {
  positions: new Float32Array([0, 0, 0, 3, 0, 0, 0, 4, 0, 0, 0, 5]),
  indices: new Uint32Array([0, 2, 1, 0, 1, 3, 0, 3, 2, 1, 2, 3]),
};

const read = (bytes: Uint8Array | string) => {
  const found = readFound(typeof bytes === 'string' ? strToU8(bytes) : bytes, 'scan');
  if (!found.ok) throw new Error(found.fault.code);
  return found.value;
};
const faultOf = (bytes: Uint8Array | string): FoundFault['code'] | null => {
  const found = readFound(typeof bytes === 'string' ? strToU8(bytes) : bytes, 'scan');
  return found.ok ? null : found.fault.code;
};

const facets = [...Array(4).keys()].map((side) => {
  const corners = [0, 1, 2].map((at) => WEDGE.indices[3 * side + at]! * 3);
  return `facet normal 0 0 0\nouter loop\n${corners
    .map((at) => `vertex ${WEDGE.positions.subarray(at, at + 3).join(' ')}`)
    .join('\n')}\nendloop\nendfacet`;
});
const TEXT_STL = `solid wedge\n${facets.join('\n')}\nendsolid wedge\n`;
const OBJ = 'o wedge\nv 0 0 0\nv 3 0 0\nv 0 4 0\nv 0 0 5\nf 1 3 2\nf 1 2 4\nf 1 4 3\nf 2 3 4\n';
const PLY_HEAD =
  'ply\nformat ascii 1.0\nelement vertex 4\nproperty float x\nproperty float y\nproperty float z\n';
const PLY = `${PLY_HEAD}element face 4\nproperty list uchar int vertex_indices\nend_header\n0 0 0\n3 0 0\n0 4 0\n0 0 5\n3 0 2 1\n3 0 1 3\n3 0 3 2\n3 1 2 3\n`;

test.each([
  ['binary STL', writeStl(WEDGE, 'wedge')],
  ['text STL', TEXT_STL],
  ['OBJ', OBJ],
  ['PLY', PLY],
])('%s: its triangles, in numbers without a unit', (_, bytes) => {
  const found = read(bytes);
  expect(meshVolume(found)).toBeCloseTo(10, 5);
  expect(boxOf(found)).toEqual([5, 4, 3]);
  expect(found.unitMm).toBeNull();
});

test('a text STL may be named by words of its own', () => {
  expect(meshVolume(read(TEXT_STL.replaceAll('wedge', 'a solid facet')))).toBeCloseTo(10, 5);
});

/** A 3MF by hand: an object made of the wedge twice, once mirrored and moved, laid on the bed upside down, with a support beside it. */
const model = (unit: string) => `<?xml version="1.0"?>
<model unit="${unit}" xmlns="http://schemas.microsoft.com/3dmanufacturing/core/2015/02"><resources>
<object id="1"><mesh><vertices><vertex x="0" y="0" z="0"/><vertex x="3" y="0" z="0"/><vertex x="0" y="4" z="0"/><vertex x="0" y="0" z="5"/></vertices>
<triangles><triangle v1="0" v2="2" v3="1"/><triangle v1="0" v2="1" v3="3"/><triangle v1="0" v2="3" v3="2"/><triangle v1="1" v2="2" v3="3"/></triangles></mesh></object>
<object id="2"><components><component objectid="1"/><component objectid="1" transform="-1 0 0 0 1 0 0 0 1 -10 0 0"/></components></object>
<object id="3" type="support"><mesh><vertices><vertex x="0" y="0" z="0"/><vertex x="9" y="0" z="0"/><vertex x="0" y="9" z="0"/></vertices><triangles><triangle v1="0" v2="1" v3="2"/></triangles></mesh></object>
</resources><build><item objectid="2" transform="1 0 0 0 -1 0 0 0 -1 100 200 300"/><item objectid="3"/></build></model>`;
const threeMf = (text: string) => zipSync({ '3D/3dmodel.model': strToU8(text) });

test('3MF: objects made of others, mirrored and placed, in the unit that it states', () => {
  const found = read(threeMf(model('inch')));
  expect(found.unitMm).toBe(25.4);
  expect(meshVolume(found)).toBeCloseTo(20, 3);
  const along = (axis: number) => [...found.positions].filter((_, index) => index % 3 === axis);
  const reach = [0, 1, 2].map((axis) => [Math.min(...along(axis)), Math.max(...along(axis))]);
  // From −13 to 3, then by hundred; 0 to 4 and 0 to 5 upside down.
  expect(reach).toEqual([
    [87, 103],
    [196, 200],
    [295, 300],
  ]);
});

test('3MF: what is written here is read as it was', () => {
  const found = read(
    writeThreeMf([{ name: 'Wedge', mesh: WEDGE, material: 'PETG' }], 'Wedge', '2026-11-30T10:00:00.000Z'),
  );
  expect(found.unitMm).toBe(1);
  expect([...found.positions]).toEqual([...WEDGE.positions]);
  expect([...found.indices]).toEqual([...WEDGE.indices]);
});

test('what can’t be read, or holds no faces, is refused in so many words', () => {
  expect(faultOf('')).toBe('found.notRead');
  expect(faultOf('{"format": "even-spare-repair"}')).toBe('found.notRead');
  expect(faultOf(`${PLY_HEAD}end_header\n0 0 0\n3 0 0\n0 4 0\n0 0 5\n`)).toBe('found.noFaces');
  expect(faultOf('v 1 2 3\nv 2 3 4\nv 3 4 5\nf 1 2 3\n')).toBe('found.noFaces');
  expect(faultOf(OBJ.replace('v 3 0 0', 'v nothing 0 0'))).toBe('found.notRead');
  expect(faultOf(writeStl(WEDGE, 'cut short').subarray(0, 120))).not.toBeNull();
  expect(faultOf(threeMf(model('furlong')))).toBe('found.notRead');
  expect(faultOf(threeMf(model('inch').replace('objectid="1"/>', 'objectid="2"/>')))).toBe('found.notRead');
  expect(faultOf(threeMf(model('inch').replace('v3="1"', 'v3="77"')))).toBe('found.notRead');
  expect(faultOf(zipSync({ 'letter.txt': strToU8('nothing') }))).toBe('found.notRead');
});

test('whatever a file holds, it is read or refused', () => {
  // The readers say on the console what they pass over.
  jest.spyOn(console, 'warn').mockImplementation(() => {});
  const heads = ['', 'ply\n', 'solid x\n', 'v 1 2 3\nf 1 1 1\n', 'PK\u0003\u0004'];
  fc.assert(
    fc.property(fc.constantFrom(...heads), fc.uint8Array({ maxLength: 400 }), (head, rest) => {
      const found = readFound(Uint8Array.from([...strToU8(head), ...rest]), 'noise');
      if (found.ok) expect(found.value.indices.length).toBeGreaterThan(0);
      else expect(found.fault.code).toMatch(/^found\./);
    }),
    { numRuns: 200 },
  );
});

test('the unit that is offered first is the one in which it is as large as the spare', () => {
  const scaled = (by: number) => ({ ...WEDGE, positions: WEDGE.positions.map((mm) => mm * by) });
  expect(likelyUnit(scaled(1 / 25.4), WEDGE)).toEqual({ unit: 'inch', isAlike: true });
  expect(likelyUnit(scaled(0.001), WEDGE)).toEqual({ unit: 'm', isAlike: true });
  expect(likelyUnit(scaled(0.8), WEDGE)).toEqual({ unit: 'mm', isAlike: true });
  expect(likelyUnit(scaled(4), WEDGE).isAlike).toBe(false);
});

describe('a file that would never end is refused before it is read', () => {
  const many = (text: string, count: number) => text.repeat(count);
  const bomb = () => {
    // Each made of two of the one before: over a million wedges of fifteen objects.
    const objects = Array.from(
      { length: 20 },
      (_, at) =>
        `<object id="${at + 2}"><components><component objectid="${at + 1}"/><component objectid="${at + 1}"/></components></object>`,
    );
    const wedge = /<object id="1">.*?<\/object>/s.exec(model('millimeter'))![0];
    return threeMf(
      `<model unit="millimeter"><resources>${wedge}${objects.join('')}</resources><build><item objectid="21"/></build></model>`,
    );
  };
  const binary = (count: number) => {
    const bytes = new Uint8Array(84 + 50 * count);
    new DataView(bytes.buffer).setUint32(80, count, true);
    return bytes;
  };
  test.each<[string, () => Uint8Array | string, FoundFault['code']]>([
    ['3MF whose parts double', bomb, 'found.odd'],
    [
      '3MF of many empty parts',
      () => threeMf(`<model><build>${many('<item objectid="1"/>', 9000)}</build></model>`),
      'found.odd',
    ],
    ['binary STL with too many triangles', () => binary(500_001), 'found.tooMany'],
    [
      'text STL with blanks where numbers should be',
      () => `solid a\nfacet normal${many(' ', 200_000)}`,
      'found.odd',
    ],
    ['text STL without ends', () => `solid a\n${many('facet normal 0 0 1\n', 200_000)}`, 'found.odd'],
    ['text STL with many solids', () => many('solid a\n', 100_000), 'found.odd'],
    [
      'PLY that says it has a billion corners',
      () => PLY.replace('vertex 4', 'vertex 1000000000'),
      'found.tooMany',
    ],
    [
      'PLY that says it has more than it has room for',
      () => PLY.replace('face 4', 'face 400000'),
      'found.odd',
    ],
    ['PLY whose head does not end', () => `${PLY_HEAD}${many('comment x\n', 20_000)}`, 'found.odd'],
    ['OBJ of many groups', () => many('g one\n', 100_000), 'found.odd'],
    ['OBJ with a face of a million corners', () => `${OBJ}f${many(' 1', 1_000_000)}\n`, 'found.tooMany'],
  ])('%s', (_, file, code) => {
    expect(faultOf(file())).toBe(code);
  });
});
