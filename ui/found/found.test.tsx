import { cleanup, fireEvent, render, screen, waitFor } from '@testing-library/react';
import { Euler, Matrix4, Vector3 } from 'three';

import { writeStl } from '@core/making/formats';
import { meshAligned } from '@core/checking/found';
import type { Scan } from '@core/record/model';
import { rackWheel } from '@core/testing/repairDraft';
import { DEFAULT_WORKSHOP } from '@core/record/workshop';

import { Unreachable } from '../api/client';
import { InRepair } from '../testing/InRepair';
import { FoundComparison } from './FoundComparison';
import { PointedPiece } from './PointedPiece';
import { ScanComparison as MockDesk } from './scanComparison';

const mockMesh = jest.fn();
const mockEnd = jest.fn();
let mockLay: (() => Promise<unknown>) | null = null;
jest.mock('../solid/useSolid', () => ({
  workbench: { ask: { meshFrom: (...given: unknown[]) => mockMesh(...given) as unknown } },
}));
const mockPut = jest.fn();
jest.mock('../api/useRepair', () => ({ useChangeRepair: () => ({ put: mockPut }) }));
const mockSent = jest.fn();
jest.mock('../api/scans', () => ({
  scanAddress: (file: string) => `kept/${file}`,
  sendScan: (...given: unknown[]) => mockSent(...given) as unknown,
}));
const mockFetched = jest.fn();
jest.mock('../api/sendFile', () => ({
  fetchBytes: (...given: unknown[]) => mockFetched(...given) as unknown,
}));
/** Where each tap of the test goes, in the order of the taps. */
const mockTaps: [number, number, number][] = [];
jest.mock('./placesScene', () => ({
  PlacesScene: class {
    setPiece() {}
    setPlaces() {}
    resize() {}
    dispose() {}
    begin() {}
    turn() {}
    placeAt = (x: number, y: number) => [x, y, 0];
    end = () => mockTaps.shift() ?? null;
  },
}));
// No 3D graphics here: that is said, and all else goes on.
jest.mock('./foundScene', () => ({
  FoundScene: class {
    constructor() {
      throw new Error('no graphics');
    }
  },
}));
/** The desk itself, without a thread of its own. */
jest.mock('./spawnFound', () => ({
  spawnFound: () => {
    const desk = new MockDesk();
    const answered = (work: () => unknown) => new Promise((resolve) => resolve(work()));
    return {
      worker: {
        setSpare: (mesh: never) => answered(() => desk.setSpare(mesh)),
        read: (bytes: Uint8Array, name: string) => answered(() => desk.read(bytes, name)),
        lay: (unitMm: number, onShare: () => void) =>
          mockLay?.() ?? answered(() => desk.lay(unitMm, onShare)),
        layAt: (place: never) => answered(() => desk.layAt(place)),
        piece: () => answered(() => desk.piece()),
        layBy: (pairs: never, onShare: () => void) => answered(() => desk.layBy(pairs, onShare)),
        keepable: (way: number, byAll: boolean) => answered(() => desk.keepable(way, byAll)),
        show: (way: number, byAll: boolean, withinMm: number, onShare: () => void) =>
          answered(() => desk.show(way, byAll, withinMm, onShare)),
      },
      end: mockEnd,
    };
  },
}));

/** An angle of 30 by 12 with legs 10 and 4 wide, 5 thick: it looks the same from nowhere else. */
const CORNERS = [
  [0, 0],
  [30, 0],
  [30, 4],
  [10, 4],
  [10, 12],
  [0, 12],
] as const;
const FANS = [
  [0, 1, 2],
  [0, 2, 3],
  [0, 3, 4],
  [0, 4, 5],
] as const;
function angle(thick: number) {
  const positions = [0, thick].flatMap((z) => CORNERS.flatMap(([x, y]) => [x, y, z]));
  const sides = CORNERS.flatMap((_, at) => {
    const next = (at + 1) % 6;
    return [at, next, next + 6, at, next + 6, at + 6];
  });
  const caps = FANS.flatMap(([a, b, c]) => [a, c, b, a + 6, b + 6, c + 6]);
  return { positions: new Float32Array(positions), indices: new Uint32Array([...sides, ...caps]) };
}
const SPARE = {
  ...angle(5),
  normals: new Float32Array(),
  faces: [],
  edges: new Float32Array(6),
  edgeRuns: [],
};
const SOMEWHERE = new Matrix4()
  .makeRotationFromEuler(new Euler(1, 2, 0.5))
  .setPosition(new Vector3(5, 90, -7));

const repair = rackWheel();
const body = repair.bodies[0]!;
const scan = (bytes: Uint8Array, name = 'scan.stl') => ({
  name,
  size: bytes.length,
  arrayBuffer: () => Promise.resolve(bytes.slice().buffer),
});
const inInches = (thick: number) =>
  writeStl(meshAligned(meshAligned(angle(thick), 1, SOMEWHERE), 1 / 25.4, new Matrix4()), 'in');

function choose(file: object) {
  render(
    <InRepair repair={repair}>
      <FoundComparison body={body} of={{ state: repair, workshop: DEFAULT_WORKSHOP, figures: [] } as never} />
    </InRepair>,
  );
  fireEvent.change(screen.getByLabelText(`Scanned piece for ${body.name}`), { target: { files: [file] } });
}

// Laying it takes seconds where both cores are busy.
jest.setTimeout(90_000);
beforeEach(() => {
  mockMesh.mockResolvedValue(SPARE);
  mockLay = null;
});

test('a scan without a unit is asked for it, laid over the spare, and what is off is told by the limit', async () => {
  // Thicker by 0.8 mm on one side.
  choose(scan(inInches(5.8)));
  expect((await screen.findByText(/triangles/)).textContent).toMatch(/^scan.stl: 20 triangles/);
  expect(screen.getByRole('radio', { name: 'inches' }).getAttribute('aria-checked')).toBe('true');
  fireEvent.click(screen.getByRole('button', { name: 'Align it with the spare' }));
  const told = await screen.findByLabelText('Deviation', undefined, { timeout: 60_000 });
  expect(told.textContent).toContain('Furthest outside the spare by 0.80 mm');
  expect(told.textContent).toMatch(/^[6-8]\d % of it is within 0.20 mm/);
  expect(told.textContent).not.toContain('has nothing of it near');
  // Laid by all of it: half on each side, which no longer counts as off.
  fireEvent.click(screen.getByRole('radio', { name: '0.5' }));
  fireEvent.click(screen.getByRole('radio', { name: 'By the whole piece' }));
  await waitFor(() =>
    expect(screen.getByLabelText('Deviation').textContent).toMatch(/^100 % of it is within 0.50 mm/),
  );
  expect(screen.queryByText(/Furthest out/)).toBeNull();
  fireEvent.click(screen.getByRole('radio', { name: '0.2' }));
  await waitFor(() =>
    expect(screen.getByLabelText('Deviation').textContent).toMatch(
      /Furthest outside the spare by 0\.4[01] mm/,
    ),
  );
});

test('from a keyboard a cross is moved over the piece, and marks what is under it', () => {
  const onPlace = jest.fn();
  const { container } = render(
    <PointedPiece heading="Stay" piece={SPARE} edges={null} places={[]} onPlace={onPlace} />,
  );
  const canvas = container.querySelector('canvas')!;
  fireEvent.keyDown(canvas, { key: 'ArrowRight' });
  expect(screen.queryByTestId('cross')).toBeNull();
  fireEvent.keyDown(canvas, { key: 'Enter' });
  // Nothing is laid out here: the view has no size, so the cross stays in its middle.
  fireEvent.keyDown(canvas, { key: 'ArrowRight', shiftKey: true });
  expect(screen.getByTestId('cross')).toBeTruthy();
  fireEvent.keyDown(canvas, { key: 'Enter' });
  expect(onPlace.mock.calls).toEqual([[[0, 0, 0]], [[0, 0, 0]]]);
});

const tap = (name: RegExp) => {
  const canvas = screen.getByRole('application', { name });
  fireEvent.pointerDown(canvas);
  fireEvent.pointerUp(canvas);
};
const CORNER_PLACES: [number, number, number][] = [
  [0, 0, 0],
  [30, 0, 5],
  [0, 12, 0],
];
const onScan = ([x, y, z]: [number, number, number]) =>
  new Vector3(x, y, z).applyMatrix4(SOMEWHERE).toArray() as [number, number, number];

test('three places pointed at on both lay it; swapped ones are told by their numbers first', async () => {
  choose(scan(inInches(5.8)));
  fireEvent.click(await screen.findByRole('button', { name: 'Align it with the spare' }));
  await screen.findByLabelText('Deviation', undefined, { timeout: 60_000 });
  fireEvent.click(screen.getByRole('button', { name: 'Align by three places' }));
  const lay = await screen.findByRole('button', { name: 'Align by these places' });
  for (const [index, at] of CORNER_PLACES.entries()) {
    expect(lay.getAttribute('aria-disabled')).toBe('true');
    mockTaps.push(onScan(at), CORNER_PLACES[[0, 2, 1][index]!]!);
    tap(/^Scanned piece/);
    tap(new RegExp(`^${body.name}`));
  }
  fireEvent.click(lay);
  expect((await screen.findByRole('alert')).textContent).toMatch(
    /^Places 1 and 2 are 30\.41 mm apart on the scanned piece and 12\.00 mm on the spare/,
  );
  // Nothing is lost: the wrong ones are taken back. A tap beside the piece marks nothing.
  expect(screen.getByRole('status').textContent).toBe('Three places are marked on both.');
  for (let back = 0; back < 3; back += 1)
    fireEvent.click(screen.getByRole('button', { name: 'Take back the last' }));
  expect(screen.getByRole('status').textContent).toBe(`Now tap place 2 on ${body.name}: the same corner.`);
  tap(new RegExp(`^${body.name}`));
  mockTaps.push(CORNER_PLACES[1]!, onScan(CORNER_PLACES[2]!), CORNER_PLACES[2]!);
  tap(new RegExp(`^${body.name}`));
  tap(/^Scanned piece/);
  tap(new RegExp(`^${body.name}`));
  fireEvent.click(screen.getByRole('button', { name: 'Align by these places' }));
  const told = await screen.findByLabelText('Deviation', undefined, { timeout: 60_000 });
  expect(told.textContent).toContain('Furthest outside the spare by 0.80 mm');
});

test('a scan is kept with the repair as it lies, and compared again without being laid anew', async () => {
  choose(scan(inInches(5.8)));
  fireEvent.click(await screen.findByRole('button', { name: 'Align it with the spare' }));
  await screen.findByLabelText('Deviation', undefined, { timeout: 60_000 });
  mockSent.mockRejectedValueOnce(new Unreachable('no answer'));
  const keep = () => fireEvent.click(screen.getByRole('button', { name: 'Keep the scan with the repair' }));
  keep();
  await screen.findByText(/^The server can’t be reached. The scan stays on this screen/);
  const file = 'a'.repeat(64);
  mockSent.mockResolvedValueOnce({ file, triangles: 20 });
  keep();
  await screen.findByText('Saved with the repair in this position.');
  const [bytes] = mockSent.mock.lastCall as [Uint8Array];
  const [kind, kept] = mockPut.mock.lastCall as [string, Scan];
  expect([kind, kept]).toMatchObject(['scan', { name: 'scan', bodyId: body.id, file, triangles: 20 }]);
  cleanup();

  mockFetched.mockRejectedValueOnce(new Error('away')).mockResolvedValue(bytes);
  render(
    <InRepair repair={{ ...repair, scans: [kept] }}>
      <FoundComparison body={body} of={{ state: repair, workshop: DEFAULT_WORKSHOP, figures: [] } as never} />
    </InRepair>,
  );
  mockLay = () => Promise.reject(new Error('it is not laid again'));
  fireEvent.click(screen.getByRole('button', { name: 'Compare the scan scan' }));
  expect((await screen.findByRole('alert')).textContent).toMatch(/^scan could not be fetched/);
  fireEvent.click(screen.getByRole('button', { name: 'Compare the scan scan' }));
  const told = await screen.findByLabelText('Deviation', undefined, { timeout: 60_000 });
  expect(mockFetched).toHaveBeenLastCalledWith(`kept/${file}`);
  expect(told.textContent).toContain('Furthest outside the spare by 0.80 mm');
  fireEvent.click(screen.getByRole('button', { name: 'Delete the scan scan' }));
  expect(mockPut).toHaveBeenLastCalledWith('scan', { ...kept, removed: true }, 'Deleted the scan scan.');
});

test('what can’t be read, or belongs to a spare that can’t be built, is said, and another file can be chosen', async () => {
  choose(scan(new TextEncoder().encode('a letter'), 'letter.txt'));
  expect((await screen.findByRole('alert')).textContent).toMatch(/^letter.txt can’t be read as STL/);
  mockMesh.mockResolvedValue(null);
  fireEvent.change(screen.getByLabelText(`Scanned piece for ${body.name}`), {
    target: { files: [scan(inInches(5))] },
  });
  await waitFor(() => expect(screen.getByRole('alert').textContent).toMatch(/^The spare can’t be built/));
  fireEvent.change(screen.getByLabelText(`Scanned piece for ${body.name}`), {
    target: { files: [{ name: 'huge.stl', size: 4e8 }] },
  });
  await waitFor(() =>
    expect(screen.getByRole('alert').textContent).toMatch(/^huge.stl has 382 MB; up to 150 MB/),
  );
});

test('laying it can be stopped, which ends its thread', async () => {
  choose(scan(inInches(5)));
  mockLay = () => new Promise(() => {});
  fireEvent.click(await screen.findByRole('button', { name: 'Align it with the spare' }));
  expect(screen.getByRole('status').textContent).toBe('Laying scan.stl over it: 0 %');
  mockEnd.mockClear();
  fireEvent.click(screen.getByRole('button', { name: 'Stop' }));
  expect(mockEnd).toHaveBeenCalled();
  expect(screen.queryByRole('status')).toBeNull();
  expect(screen.getByRole('button', { name: `Compare a scanned piece with ${body.name}` })).toBeTruthy();
});

test('a fault of the program is told with a report', async () => {
  choose(scan(inInches(5)));
  mockLay = () => Promise.reject(new Error('lost'));
  fireEvent.click(await screen.findByRole('button', { name: 'Align it with the spare' }));
  expect((await screen.findByRole('alert')).textContent).toContain('the scanned piece');
});
