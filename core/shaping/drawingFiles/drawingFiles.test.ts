import Drawing from 'dxf-writer';

import { drawnRegion, regionArea, type Curve } from '@core/shaping/outline';
import { outlineSvg } from '@core/making/formats';
import type { DrawnData } from '@core/shaping/drawn';
import { lengthsOf } from '@core/testing/drawnOutline';

import { curvesThrough, drawnFromFile, readDxf, readPoints, readSvg, sizeOfCurves, writeDxf } from '.';
import { bezier } from './readSvg';

const read = (file: ReturnType<typeof readDxf>) => {
  if (!file.ok) throw new Error(file.fault.code);
  return file.value;
};
const curvesOf = (file: ReturnType<typeof readDxf>) => read(file).curves.map(({ curve }) => curve);
const near = (values: readonly number[], digits = 6) =>
  values.map((value) => expect.closeTo(value, digits) as number);
const areaOf = (file: ReturnType<typeof readDxf>, unitMm = 1) => {
  const drawn = drawnFromFile(read(file).curves, unitMm);
  if (!drawn.ok) throw new Error(drawn.fault.code);
  const region = drawnRegion(drawn.value as DrawnData, lengthsOf(drawn.value));
  if (!region.ok) throw new Error(JSON.stringify(region.fault));
  return regionArea(region.value);
};

/** One of every kind: a rounded end, a hole, an ellipse, smooth curves open and closed. */
const ALL: Curve[] = [
  { kind: 'line', from: [0, 0], to: [40, 0], role: 'a' },
  { kind: 'arc', from: [40, 0], via: [50, 10], to: [40, 20], role: 'b' },
  { kind: 'arc', from: [3, 9], via: [1, 4.5], to: [3, 0], role: 'c' },
  { kind: 'circle', middle: [12.5, 7.25], radius: 3.125, role: 'd' },
  { kind: 'ellipse', middle: [5, 5], alongX: 2, alongY: 3.5, role: 'e' },
  {
    kind: 'spline',
    points: [
      [0, 0],
      [3, 4],
      [9, 5],
      [11, 1],
      [14, 2],
    ],
    role: 'f',
  },
  {
    kind: 'spline',
    points: [
      [0, 0],
      [8, 1],
      [9, 7],
      [1, 6],
    ],
    closed: true,
    role: 'g',
  },
];

test('what is written as DXF is read again, each curve as it was, in millimetres', () => {
  const text = writeDxf(ALL, 'Outline');
  const file = read(readDxf(text));
  expect(file.unitMm).toBe(1);
  expect(file.leftOut.size).toBe(0);
  expect(file.curves.map(({ layer }) => layer)).toEqual(ALL.map(() => 'Outline'));
  const back = file.curves.map(({ curve }) => curve);
  expect(back.map(({ kind }) => kind)).toEqual(ALL.map(({ kind }) => kind));
  expect(back[0]).toMatchObject({ from: near([0, 0]), to: near([40, 0]) });
  expect(back[1]).toMatchObject({ from: near([40, 0]), via: near([50, 10]), to: near([40, 20]) });
  // One that went clockwise goes the other way, through the same places.
  const turned = back[2] as Extract<Curve, { kind: 'arc' }>;
  expect([...turned.from, ...turned.to].sort()).toEqual(near([0, 3, 3, 9]));
  expect(turned.via[0]).toBeCloseTo(1, 1);
  expect(back[3]).toMatchObject({ middle: near([12.5, 7.25]), radius: expect.closeTo(3.125, 6) as number });
  const ellipse = back[4] as Extract<Curve, { kind: 'ellipse' }>;
  expect([ellipse.alongX, ellipse.alongY, Math.abs(Math.cos(ellipse.turn ?? 0))]).toEqual(near([3.5, 2, 0]));
  expect((back[5] as Extract<Curve, { kind: 'spline' }>).points.flat()).toEqual(
    near((ALL[5] as { points: readonly (readonly number[])[] }).points.flat()),
  );
  expect(back[6]).toMatchObject({ closed: true });
  expect((back[6] as Extract<Curve, { kind: 'spline' }>).points).toHaveLength(4);
});

test('a smooth curve without its fit points is followed along its control points', () => {
  const only = writeDxf([ALL[5]!], 'x');
  // Group 11, 21, 31: the fit points; 74 says how many there are.
  const pairs = only.split('\n');
  const kept: string[] = [];
  let isSpline = false;
  for (let at = 0; at + 1 < pairs.length; at += 2) {
    const code = pairs[at]!.trim();
    if (code === '0') isSpline = pairs[at + 1]!.trim() === 'SPLINE';
    if (isSpline && ['11', '21', '31', '74'].includes(code)) continue;
    kept.push(pairs[at]!, pairs[at + 1]!);
  }
  const [curve] = curvesOf(readDxf(`${kept.join('\n')}\n`));
  if (curve?.kind !== 'spline') throw new Error('no spline');
  expect(curve.points).toHaveLength(17);
  expect(curve.points[0]).toEqual(near([0, 0]));
  expect(curve.points.at(-1)).toEqual(near([14, 2]));
  // It passes the points that it was made through, within what 17 points can follow.
  for (const [x, y] of [
    [3, 4],
    [9, 5],
    [11, 1],
  ] as const)
    expect(Math.min(...curve.points.map((at) => Math.hypot(at[0] - x, at[1] - y)))).toBeLessThan(0.6);
});

test('a file of another writer: in inches, on layers, with arcs in degrees', () => {
  const drawing = new Drawing();
  drawing.setUnits('Inches');
  drawing.addLayer('cut', Drawing.ACI.RED, 'CONTINUOUS');
  drawing.setActiveLayer('cut');
  drawing.drawLine(0, 0, 2, 0).drawLine(2, 0, 2, 1).drawLine(2, 1, 0, 1);
  drawing.drawArc(0, 0.5, 0.5, 90, 270);
  drawing.setActiveLayer('0');
  drawing.drawCircle(1, 0.5, 0.25).drawText(1, 2, 0.2, 0, 'seal');
  const file = read(readDxf(drawing.toDxfString()));
  expect(file.unitMm).toBe(25.4);
  expect([...file.leftOut]).toEqual([['TEXT', 1]]);
  expect(file.curves.map(({ layer }) => layer).sort()).toEqual(['0', 'cut', 'cut', 'cut', 'cut']);
  const inches = 2 + Math.PI / 8 - Math.PI / 16;
  expect(areaOf({ ok: true, value: file }, 25.4)).toBeCloseTo(inches * 25.4 ** 2, 3);
});

/** Group codes and values, a pair a line, as a DXF has them on two. */
const dxf = (...sections: string[]) => `${sections.join(' ').trim().split(/\s+/).join('\n')}\n0\nEOF\n`;

test('polylines with bulges, and blocks at their places, turned, larger and in rows', () => {
  // A slot of 20 by 10: two sides and two half rounds (a bulge of 1).
  const slot = dxf(
    '0 SECTION 2 ENTITIES',
    '0 LWPOLYLINE 8 0 90 4 70 1 10 -5 20 -5 42 0 10 5 20 -5 42 1 10 5 20 5 42 0 10 -5 20 5 42 1',
    '0 ENDSEC',
  );
  expect(read(readDxf(slot)).unitMm).toBeNull();
  expect(areaOf(readDxf(slot))).toBeCloseTo(100 + 25 * Math.PI, 6);
  const block = dxf(
    '0 SECTION 2 BLOCKS 0 BLOCK 8 0 2 pin 70 0 10 1 20 0 30 0',
    '0 CIRCLE 8 0 10 1 20 2 40 0.5 0 LINE 8 0 10 1 20 0 11 1 21 2 0 ENDBLK 0 ENDSEC',
    '0 SECTION 2 ENTITIES',
    '0 INSERT 8 0 2 pin 10 10 20 0 41 2 42 2 50 90 70 3 71 1 44 5 45 0 0 INSERT 8 0 2 gone 10 0 20 0 0 ENDSEC',
  );
  const file = read(readDxf(block));
  expect(file.leftOut.get('block that is not there')).toBe(1);
  const circles = file.curves.flatMap(({ curve }) => (curve.kind === 'circle' ? [curve] : []));
  // Two up in the block is four to the left, where it is turned and twice as large; columns go up.
  expect(circles.map(({ middle }) => [...middle])).toEqual([near([6, 0]), near([6, 5]), near([6, 10])]);
  expect(circles[0]!.radius).toBeCloseTo(1, 9);
  // Stretched one way a circle is an ellipse.
  const stretched = block.replace('41\n2\n42\n2', '41\n3\n42\n1');
  const [ellipse] = curvesOf(readDxf(stretched));
  expect(ellipse).toMatchObject({ kind: 'ellipse', alongX: expect.closeTo(1.5, 9) as number });
});

test('what a DXF holds that is no outline is listed, and what would lie mirrored refused', () => {
  const solids = dxf('0 SECTION 2 ENTITIES 0 3DFACE 8 0 10 0 20 0 30 0 0 3DFACE 8 0 10 1 20 0 30 0 0 ENDSEC');
  const file = read(readDxf(solids));
  expect(file.curves).toEqual([]);
  expect([...file.leftOut]).toEqual([['3DFACE', 2]]);
  expect(drawnFromFile(file.curves, 1)).toMatchObject({ ok: false, fault: { code: 'nothingToTake' } });
  const below = dxf('0 SECTION 2 ENTITIES 0 CIRCLE 8 0 10 5 20 0 40 2 230 -1 0 ENDSEC');
  expect(readDxf(below)).toEqual({ ok: false, fault: { code: 'fromBelow', count: 1 } });
  const arc = dxf('0 SECTION 2 ENTITIES 0 ARC 8 0 10 5 20 0 40 2 50 0 51 90 230 -1 0 ENDSEC');
  const [mirrored] = curvesOf(readDxf(arc));
  expect((mirrored as { from: readonly number[] }).from).toEqual(near([-7, 0]));
  expect(readDxf('AutoCAD Binary DXF\r\n')).toMatchObject({ fault: { code: 'binary' } });
  for (const text of ['', 'hello', writeDxf(ALL, 'x').slice(0, 900), '{"a":1}'])
    expect([text.slice(0, 9), readDxf(text)]).toEqual([
      text.slice(0, 9),
      { ok: false, fault: { code: 'unreadable', form: 'DXF' } },
    ]);
  expect(readDxf('0\n'.repeat(5_000_000))).toMatchObject({ fault: { code: 'tooLarge' } });
});

test('what is written as SVG is read again: the same area, at true size', () => {
  const region = {
    outer: [
      { kind: 'line', from: [0, 0], to: [40, 0], role: 'a' },
      { kind: 'arc', from: [40, 0], via: [50, 10], to: [40, 20], role: 'b' },
      { kind: 'line', from: [40, 20], to: [0, 20], role: 'c' },
      { kind: 'line', from: [0, 20], to: [0, 0], role: 'd' },
    ] as Curve[],
    holes: [[{ kind: 'circle', middle: [20, 10], radius: 4, role: 'e' }] as Curve[]],
  };
  const file = readSvg(outlineSvg(region, 'Lid'));
  expect(read(file).unitMm).toBeCloseTo(1, 9);
  expect(areaOf(file)).toBeCloseTo(800 + 50 * Math.PI - 16 * Math.PI, 4);
});

const svg = (inside: string, attributes = '') =>
  `<svg xmlns="http://www.w3.org/2000/svg" ${attributes}>${inside}</svg>`;

test('basic shapes, transforms and nested groups of an SVG, its y turned up', () => {
  const file = readSvg(
    svg(
      `<g transform="translate(10 0)"><g transform="rotate(90)">
        <rect x="0" y="0" width="20" height="10" rx="2"/></g></g>
       <circle cx="5" cy="30" r="2" transform="scale(2)"/>
       <circle cx="0" cy="0" r="2" transform="scale(3 1)"/>
       <polygon points="0,0 4,0 4,3"/>`,
      'width="100mm" height="50mm" viewBox="0 0 200 100"',
    ),
  );
  const { curves, unitMm } = read(file);
  expect(unitMm).toBeCloseTo(0.5, 12);
  const kinds = curves.map(({ curve }) => curve.kind);
  expect(kinds.filter((kind) => kind === 'arc')).toHaveLength(4);
  expect(sizeOfCurves(curves.slice(0, 8))).toEqual(near([10, 20]));
  const rounds = curves.flatMap(({ curve }) =>
    curve.kind === 'circle' || curve.kind === 'ellipse' ? [curve] : [],
  );
  expect(rounds[0]).toMatchObject({
    kind: 'circle',
    middle: near([10, -60]),
    radius: expect.closeTo(4, 9) as number,
  });
  expect(rounds[1]).toMatchObject({ kind: 'ellipse', alongX: expect.closeTo(6, 9) as number });
  expect(kinds.slice(-3)).toEqual(['line', 'line', 'line']);
});

test('paths: relative, with arcs kept as arcs, and Béziers as what they are', () => {
  const quarter = (4 * (Math.SQRT2 - 1)) / 3;
  const [arc, straight, bent] = curvesOf(
    readSvg(
      svg(
        `<path d="M10 0 A10 10 0 0 0 0 -10"/><path d="m0 0 c1 1 2 2 3 3"/>
         <path d="M0 0 C 10 0 10 10 20 30"/>`,
      ),
    ),
  );
  expect(arc).toMatchObject({ kind: 'arc', from: near([10, 0]), to: near([0, 10]) });
  expect((arc as { via: readonly number[] }).via).toEqual(near([10 * Math.SQRT1_2, 10 * Math.SQRT1_2]));
  expect(straight).toMatchObject({ kind: 'line', to: near([3, -3]) });
  if (bent?.kind !== 'spline') throw new Error('no spline');
  const poles = [
    [0, 0],
    [10, 0],
    [10, 10],
    [20, 30],
  ] as const;
  for (const [index, [x, y]] of bent.points.entries()) {
    const [bx, by] = bezier(poles, index / 16);
    expect([x, y]).toEqual(near([bx, -by], 9));
  }
  // A quarter of a circle as drawing programs have it is off by 2.7 of 10,000, and stays smooth.
  const [round] = curvesOf(readSvg(svg(`<path d="M10 0 C 10 ${10 * quarter} ${10 * quarter} 10 0 10"/>`)));
  expect(round!.kind).toBe('spline');
});

test('an SVG that would run, unfold or fetch does nothing of it; pixels are asked for', () => {
  const file = read(
    readSvg(
      svg(
        `<script>alert(1)</script><image href="http://example.org/a.png"/><text>seal</text>
         <defs><circle r="4"/></defs><use href="#a"/><g style="display: none"><circle r="3"/></g>
         <line x1="0" y1="0" x2="96" y2="0"/>`,
        'width="960" height="480"',
      ),
    ),
  );
  expect(file.unitMm).toBeNull();
  expect(file.curves).toHaveLength(1);
  expect(Object.fromEntries(file.leftOut)).toEqual({
    script: 1,
    image: 1,
    text: 1,
    definitions: 1,
    use: 1,
    hidden: 1,
  });
  const bomb = `<!DOCTYPE svg [<!ENTITY a "&b;&b;"><!ENTITY b "x">]>${svg('<path d="&a;"/>')}`;
  expect(readSvg(bomb)).toEqual({ ok: false, fault: { code: 'entities' } });
  for (const text of ['', '<svg><g></svg>', '<html></html>', 'M0 0'])
    expect(readSvg(text)).toMatchObject({ ok: false, fault: { code: 'unreadable' } });
});

test('points of a table: headings, semicolons with decimal commas, rows that are none; straight or smooth', () => {
  const read2 = (text: string) => {
    const found = readPoints(text);
    if (!found.ok) throw new Error(found.fault.code);
    return found.value;
  };
  const square = 'x,y\n0,0\n10,0\n10,10\n0,10\n0,0\n';
  const { points, leftOut } = read2(square);
  expect(points).toHaveLength(5);
  expect(leftOut.size).toBe(0);
  const curves = curvesThrough(points, 'straight');
  expect(curves).toHaveLength(4);
  expect(areaOf({ ok: true, value: { curves, unitMm: null, leftOut } }, 2)).toBeCloseTo(400, 6);
  const german = read2('0,5;1,25\n3;4\nrim;\n7,75;-2');
  expect(german.points).toEqual([
    [0.5, 1.25],
    [3, 4],
    [7.75, -2],
  ]);
  expect([...german.leftOut]).toEqual([['row without two numbers', 1]]);
  expect(curvesThrough(german.points, 'smooth')).toMatchObject([{ curve: { kind: 'spline', closed: true } }]);
  expect(read2('1\t2\n3\t4').points).toEqual([
    [1, 2],
    [3, 4],
  ]);
  for (const text of ['', 'a,b', '1,2', 'no table at all'])
    expect(readPoints(text)).toEqual({ ok: false, fault: { code: 'noPoints' } });
});

test('the size that is told is that of the arcs, and blocks that unfold without end are cut short', () => {
  // Three quarters of a circle of 5: it reaches all round but at one corner.
  const arc = dxf('0 SECTION 2 ENTITIES 0 ARC 8 0 10 3 20 1 40 5 50 30 51 300 0 ENDSEC');
  const reach = 5 * Math.cos(Math.PI / 6);
  expect(sizeOfCurves(read(readDxf(arc)).curves)).toEqual(near([5 + reach, 10]));
  const many = (rows: number) =>
    dxf(
      '0 SECTION 2 BLOCKS 0 BLOCK 8 0 2 a 70 0 10 0 20 0 30 0 0 CIRCLE 8 0 10 0 20 0 40 1 0 ENDBLK',
      '0 BLOCK 8 0 2 b 70 0 10 0 20 0 30 0',
      `0 INSERT 8 0 2 a 10 0 20 0 70 100 71 ${rows} 0 ENDBLK 0 ENDSEC`,
      '0 SECTION 2 ENTITIES 0 INSERT 8 0 2 b 10 0 20 0 70 100 71 100 0 ENDSEC',
    );
  const file = read(readDxf(many(1_000_000)));
  expect(file.leftOut.get('block repeated too often')).toBeGreaterThan(0);
  expect(read(readDxf(many(100))).curves.length).toBeLessThanOrEqual(20_000);
  const styled = read(readSvg(svg('<circle r="2" style="transform: translate(5px)"/>')));
  expect(styled.curves).toEqual([]);
  expect(styled.leftOut.get('moved by its style')).toBe(1);
});

test('a smooth curve through very many points comes in parts that meet, and encloses the same', () => {
  const points = Array.from({ length: 240 }, (_, index): [number, number] => {
    const turn = (2 * Math.PI * index) / 240;
    return [30 * Math.cos(turn), 20 * Math.sin(turn)];
  });
  const long: Curve = { kind: 'spline', points, closed: true, role: '' };
  const file = readDxf(writeDxf([long], 'x'));
  const drawn = drawnFromFile(read(file).curves, 1);
  if (!drawn.ok) throw new Error(drawn.fault.code);
  expect(drawn.value.curves).toHaveLength(3);
  for (const curve of drawn.value.curves)
    expect(curve.kind === 'spline' && curve.points.length <= 100).toBe(true);
  expect(Math.abs(areaOf(file) / (600 * Math.PI) - 1)).toBeLessThan(1e-4);
});

test('a drawing begins in its middle; an ellipse aslant is followed closely; too many curves are refused', () => {
  const aslant = readSvg(svg('<ellipse cx="50" cy="50" rx="20" ry="8" transform="rotate(30 50 50)"/>'));
  expect(Math.abs(areaOf(aslant) / (Math.PI * 160) - 1)).toBeLessThan(2e-4);
  const drawn = drawnFromFile(read(aslant).curves, 1);
  if (!drawn.ok) throw new Error(drawn.fault.code);
  const xs = drawn.value.points.map(({ x }) => (x as { mm: number }).mm);
  expect(Math.max(...xs) + Math.min(...xs)).toBeCloseTo(0, 6);
  const many = svg(Array.from({ length: 401 }, (_, at) => `<circle cx="${at}" r="1"/>`).join(''));
  expect(drawnFromFile(read(readSvg(many)).curves, 1)).toEqual({
    ok: false,
    fault: { code: 'tooMany', curves: 401, most: 400 },
  });
});
