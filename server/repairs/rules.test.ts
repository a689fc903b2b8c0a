import fc from 'fast-check';
import request from 'supertest';

import {
  Change,
  LIST_LIMITS,
  LIST_OF,
  readRepairFile,
  type Chain,
  type Layout,
  type ListedRow,
  type Photo,
  type Repair,
  type RowKind,
} from '@core/record/model';
import { freeze } from '@core/reporting/revision';
import { rackWheel } from '@core/testing/repairDraft';
import { DEFAULT_WORKSHOP } from '@core/record/workshop';
import { openTestServer, testSurroundings, type TestServer } from '@server/testing/testServer';

const surroundings = testSurroundings();
let server: TestServer;
let wheel: Repair;
beforeEach(async () => {
  server = await openTestServer(surroundings);
  wheel = await server.store.open(rackWheel());
});
afterEach(() => server.close());

const post = (change: unknown, id = wheel.head.id) =>
  request(server.app)
    .post(`/api/repairs/${id}/changes`)
    .send(change as object);
const put = (row: RowKind, value: object, baseVersion = 0) => ({
  changeId: surroundings.newId(),
  row,
  baseVersion,
  value: { version: 0, removed: false, ...value },
});
const number = { from: 'number', value: 5 } as const;
const layout = (fields: object) =>
  put('layout', { id: 'l', name: 'Holes', zero: 'start', points: [], distances: [], ...fields });
const point = (id: string) => ({ id, label: '1', kind: 'hole', x: 0, y: 0, diameter: null });
const step = (id: string, diameter: object = { from: 'number', mm: 10 }) => ({
  id,
  kind: 'disc',
  diameter,
  width: { from: 'number', mm: 4 },
});
const body = (...steps: object[]) => put('body', { id: 'b', name: 'Body', role: 'spare', steps });
const photo = (fields: object) =>
  put('photo', {
    id: 'p',
    name: 'Hub',
    file: 'a'.repeat(64),
    widthPx: 10,
    heightPx: 10,
    tags: [],
    ...fields,
  });
const chain = (value: object): object =>
  put('chain', {
    id: 'c',
    name: 'Row',
    links: [{ id: 'k', value, times: 1, sign: 1, plusMinusMm: null }],
    fromMm: null,
    toMm: null,
  });
const derived = (id: string) =>
  put('size', {
    ...rackWheel().sizes[0]!,
    id: 'd',
    tag: 'Z',
    kind: 'derived',
    version: 0,
    derivation: {
      by: 'construction',
      construction: 'half',
      inputs: { whole: { from: 'size', id } },
      result: 'result',
    },
  });

describe('what a file would refuse is refused as a change', () => {
  const wrong: [string, () => object, string][] = [
    [
      'a tag of no size',
      () => photo({ tags: [{ id: 't', sizeId: 'none', x: 0, y: 0 }] }),
      'row.refersToNothing',
    ],
    [
      'a reading of no size',
      () => put('reading', { ...wheel.readings[0]!, id: 'r', sizeId: 'none', version: 0 }),
      'row.refersToNothing',
    ],
    [
      'a distance from no point',
      () =>
        layout({
          points: [point('one')],
          distances: [
            {
              id: 'd',
              from: { point: 'one' },
              to: { point: 'two' },
              over: 'centres',
              source: number,
              leftOut: null,
            },
          ],
        }),
      'row.refersToNothing',
    ],
    [
      'a diameter of no size',
      () => layout({ points: [{ ...point('one'), diameter: { from: 'size', id: 'none' } }] }),
      'row.refersToNothing',
    ],
    ['two points of one id', () => layout({ points: [point('one'), point('one')] }), 'row.double'],
    ['a link of no size', () => chain({ from: 'size', id: 'none' }), 'row.refersToNothing'],
    ['a link of no fit', () => chain({ from: 'fit', id: 'none' }), 'row.refersToNothing'],
    ['two steps of one id', () => body(step('one'), step('one')), 'row.double'],
    ['a step of no size', () => body(step('one', { from: 'size', id: 'none' })), 'row.refersToNothing'],
    ['a step of no fit', () => body(step('one', { from: 'fit', id: 'none' })), 'row.refersToNothing'],
    [
      'a step of no layout',
      () => body(step('one', { from: 'layout', id: 'none', point: 'x', axis: 'x' })),
      'row.refersToNothing',
    ],
    [
      'a step of no body',
      () =>
        body({
          id: 'one',
          kind: 'body',
          of: 'none',
          grow: { from: 'number', mm: 0 },
          wayIn: 'none',
          effect: 'add',
        }),
      'row.refersToNothing',
    ],
    ['a construction of no size', () => derived('none'), 'row.refersToNothing'],
    [
      'a revision of rows that refer to nothing',
      () =>
        put('revision', {
          ...freeze(
            { ...wheel, sizes: wheel.sizes.slice(1) },
            {
              id: 'rev',
              note: '',
              frozenAt: '2026-05-04T10:00:00.000Z',
              figures: [],
              workshop: DEFAULT_WORKSHOP,
            },
          ),
        }),
      'row.refersToNothing',
    ],
  ];
  test.each(wrong)('%s', async (_, make, code) => {
    const change = make();
    // It is well formed: only the rules between rows speak against it.
    expect(Change.safeParse(change)).toMatchObject({ success: true });
    const reply = await post(change);
    expect(reply.status).toBe(422);
    expect(reply.body).toMatchObject({ fault: { code } });
    expect((reply.body as { sentence: string }).sentence).toMatch(/[.]$/);

    const { row, value } = change as Change;
    const list = LIST_OF[row as ListedRow];
    const withIt = { ...wheel, [list]: [...wheel[list], value] };
    const file = JSON.stringify({
      format: 'even-spare-repair',
      version: 1,
      writtenAt: '2026-05-04T10:00:00.000Z',
      repair: withIt,
    });
    expect(readRepairFile(file)).toMatchObject({ ok: false, fault: { code: 'file.invalid' } });
  });

  test('a chain too many', async () => {
    const draft = rackWheel();
    const empty = (id: string): Chain => ({
      id,
      version: 1,
      name: 'Row',
      links: [],
      fromMm: null,
      toMm: null,
      removed: false,
    });
    draft.chains.push(...Array.from({ length: LIST_LIMITS.chains }, (_, index) => empty(`c${index}`)));
    const full = await server.store.open(draft);
    const reply = await post(put('chain', { ...empty('one-more'), version: 0 }), full.head.id);
    expect(reply.body).toMatchObject({ fault: { code: 'row.listFull', limit: 200 } });
    // One that is there may still be changed.
    const there = full.chains[0]!;
    await post(
      { ...put('chain', { ...there, name: 'Other' }), baseVersion: there.version },
      full.head.id,
    ).expect(200);
  });
});

test('a picture that stands twice in a file is refused', () => {
  const picture = { file: 'a'.repeat(64), base64: 'AAAA' };
  const file = {
    format: 'even-spare-repair',
    version: 1,
    writtenAt: '2026-05-04T10:00:00.000Z',
    repair: rackWheel(),
    photoFiles: [picture, picture],
  };
  expect(readRepairFile(JSON.stringify(file))).toMatchObject({
    ok: false,
    fault: { code: 'file.invalid', path: 'photoFiles[1].file' },
  });
});

describe('a change that is sent again', () => {
  test('and belongs to another repair, or says something else, is refused', async () => {
    const other = await server.store.open(rackWheel());
    const change = put('size', { ...wheel.sizes[0]!, name: 'Rim' }, wheel.sizes[0]!.version);
    await post(change).expect(200);
    const elsewhere = await post(change, other.head.id);
    expect([elsewhere.status, elsewhere.body]).toMatchObject([409, { fault: { code: 'change.idTaken' } }]);
    const different = await post({ ...change, value: { ...wheel.sizes[1]!, name: 'Hub' } });
    expect([different.status, different.body]).toMatchObject([409, { fault: { code: 'change.idTaken' } }]);
    await post(change).expect(200);
  });
});

test('a repair of more than 2 MB can be frozen, and each limit tells its own number', async () => {
  const draft = rackWheel();
  const reading = draft.readings[0]!;
  for (let index = 0; index < 16_000; index += 1) draft.readings.push({ ...reading, id: `more-${index}` });
  const large = await server.store.open(draft);
  const revision = (id: string) => ({
    ...put('revision', {
      ...freeze(large, {
        id,
        note: '',
        frozenAt: '2026-05-04T10:00:00.000Z',
        figures: [],
        workshop: DEFAULT_WORKSHOP,
      }),
    }),
  });
  expect(JSON.stringify(large).length).toBeGreaterThan(2_500_000);
  let reply = await post(revision('rev-1'), large.head.id);
  expect(reply.status).toBe(200);
  for (let count = 2; reply.status === 200; count += 1)
    reply = await post(revision(`rev-${count}`), large.head.id);
  expect(reply.body).toMatchObject({ fault: { code: 'repair.tooLarge' } });
  expect((reply.body as { sentence: string }).sentence).toContain('32 MB');
  const saved = await request(server.app).get(`/api/repairs/${large.head.id}/file`);
  await request(server.app).post('/api/repair-files').type('json').send(saved.text).expect(201);
  const huge = await post({ pad: 'x'.repeat(17 * 1024 * 1024) }, large.head.id);
  expect([huge.status, (huge.body as { sentence: string }).sentence]).toMatchObject([
    413,
    expect.stringContaining('16 MB'),
  ]);
}, 60_000);

/** Rows that are right, nearly right or wrong in every way that a schema lets through. */
function anyChange(): fc.Arbitrary<object> {
  const id = fc.constantFrom('a', 'b', 'c', 'x', 'y');
  const rowId = fc.constantFrom('n1', 'n2', 'n3');
  const source = fc.oneof(
    fc.constant(number),
    id.map((size) => ({ from: 'size', id: size })),
  );
  const value = fc.oneof(
    fc.constant({ from: 'number', mm: 3 }),
    id.map((size) => ({ from: 'size', id: size })),
    rowId.map((fit) => ({ from: 'fit', id: fit })),
    fc.record({ from: fc.constant('layout'), id: rowId, point: id, axis: fc.constant('x') }),
  );
  const end = fc.oneof(
    id.map((at) => ({ point: at })),
    fc.constant({ edge: 'left' }),
  );
  const rows: {
    [K in 'reading' | 'fit' | 'layout' | 'chain' | 'photo' | 'body' | 'size']: fc.Arbitrary<object>;
  } = {
    reading: fc.record({ id: rowId, sizeId: id }).map((row) => ({ ...rackWheel().readings[0]!, ...row })),
    fit: fc.record({ id: rowId, counterpartSizeId: id }).map((row) => ({ ...rackWheel().fits[0]!, ...row })),
    size: fc
      .record({ id: rowId, tag: fc.constantFrom('A', 'B', 'Q', 'R'), whole: source })
      .map(({ whole, ...row }) => ({
        ...rackWheel().sizes[0]!,
        ...row,
        kind: 'derived',
        derivation: { by: 'construction', construction: 'half', inputs: { whole }, result: 'result' },
      })),
    layout: fc
      .record({
        id: rowId,
        points: fc.array(fc.record({ id, diameter: fc.option(source) }), { maxLength: 3 }),
        distances: fc.array(fc.record({ from: end, to: end, source }), { maxLength: 3 }),
      })
      .map(({ id: own, points, distances }) => ({
        ...({ id: own, version: 0, name: 'Holes', zero: 'start', removed: false } satisfies Partial<Layout>),
        points: points.map((given) => ({ ...point(given.id), ...given })),
        distances: distances.map((given, at) => ({ id: `d${at}`, over: 'centres', leftOut: null, ...given })),
      })),
    chain: fc.record({ id: rowId, of: value }).map(({ id: own, of }) => ({
      ...(chain('from' in of && of.from === 'layout' ? { from: 'number', mm: 1 } : of) as { value: object })
        .value,
      id: own,
    })),
    photo: fc
      .record({
        id: rowId,
        tags: fc.array(fc.record({ id, sizeId: id, x: fc.constant(0), y: fc.constant(0) }), { maxLength: 3 }),
      })
      .map((row) => ({ ...(photo({}).value as unknown as Photo), ...row })),
    body: fc
      .record({ id: rowId, steps: fc.array(fc.record({ id, diameter: value }), { maxLength: 3 }) })
      .map(({ id: own, steps }) => ({
        ...body(...steps.map((given) => step(given.id, given.diameter))).value,
        id: own,
      })),
  };
  const kinds = Object.keys(rows) as (keyof typeof rows)[];
  return fc
    .constantFrom(...kinds)
    .chain((row) => rows[row].map((fields) => ({ row, fields })))
    .map(({ row, fields }) => put(row, { ...fields, version: 0 }));
}

test('whatever is taken in: the file that is saved of it opens', async () => {
  let taken = 0;
  let refused = 0;
  await fc.assert(
    fc.asyncProperty(fc.array(anyChange(), { minLength: 4, maxLength: 12 }), async (changes) => {
      const repair = await server.store.open(rackWheel());
      // In the copy the sizes have other ids; those that the changes go by are their old ones.
      const named = new Map(repair.sizes.map((size, index) => [rackWheel().sizes[index]!.id, size.id]));
      const renamed = JSON.parse(
        JSON.stringify(changes, (key, value: unknown) =>
          typeof value === 'string' && /^(sizeId|counterpartSizeId|id)$/.test(key)
            ? (named.get(value) ?? value)
            : value,
        ),
      ) as { row: RowKind; value: { id: string }; baseVersion: number }[];
      for (const change of renamed) {
        const now = (await server.store.get(repair.head.id))!;
        const list = now[LIST_OF[change.row as ListedRow]] as { id: string; version: number }[];
        const baseVersion = list.find(({ id }) => id === change.value.id)?.version ?? 0;
        const reply = await post({ ...change, changeId: surroundings.newId(), baseVersion }, repair.head.id);
        expect([200, 422]).toContain(reply.status);
        if (reply.status === 200) taken += 1;
        else refused += 1;
        const file = await request(server.app).get(`/api/repairs/${repair.head.id}/file`);
        expect(readRepairFile(file.text)).toMatchObject({ ok: true });
      }
    }),
    { numRuns: 40 },
  );
  // It tried both: what is right and what is not.
  expect(Math.min(taken, refused)).toBeGreaterThan(40);
}, 60_000);
