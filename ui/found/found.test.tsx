import { fireEvent, render, screen, waitFor } from '@testing-library/react';
import { Euler, Matrix4, Vector3 } from 'three';

import { writeStl } from '@core/formats';
import { meshLaid } from '@core/found';
import { rackWheel } from '@core/testing/repairDraft';
import { DEFAULT_WORKSHOP } from '@core/workshop';

import { InRepair } from '../testing/InRepair';
import { FoundComparison } from './FoundComparison';
import { FoundDesk as MockDesk } from './foundDesk';

const mockMesh = jest.fn();
const mockEnd = jest.fn();
let mockLay: (() => Promise<unknown>) | null = null;
jest.mock('../solid/useSolid', () => ({
  workbench: { ask: { meshFrom: (...given: unknown[]) => mockMesh(...given) as unknown } },
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
        show: (way: number, byAll: boolean, withinMm: number, onShare: () => void) =>
          answered(() => desk.show(way, byAll, withinMm, onShare)),
      },
      end: mockEnd,
    };
  },
}));

/** An angle of 30 by 12 with legs 10 and 4 broad, 5 thick: it looks the same from nowhere else. */
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
  writeStl(meshLaid(meshLaid(angle(thick), 1, SOMEWHERE), 1 / 25.4, new Matrix4()), 'in');

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
  fireEvent.click(screen.getByRole('button', { name: 'Lay it over the spare' }));
  const told = await screen.findByLabelText('What is off', undefined, { timeout: 60_000 });
  expect(told.textContent).toContain('Furthest out of the spare by 0.80 mm');
  expect(told.textContent).toMatch(/^[6-8]\d % of it lies within 0.20 mm/);
  expect(told.textContent).not.toContain('has nothing of it near');
  // Laid by all of it: half on each side, which no longer counts as off.
  fireEvent.click(screen.getByRole('radio', { name: '0.5' }));
  fireEvent.click(screen.getByRole('radio', { name: 'By all of it' }));
  await waitFor(() =>
    expect(screen.getByLabelText('What is off').textContent).toMatch(/^100 % of it lies within 0.50 mm/),
  );
  expect(screen.queryByText(/Furthest out/)).toBeNull();
  fireEvent.click(screen.getByRole('radio', { name: '0.2' }));
  await waitFor(() =>
    expect(screen.getByLabelText('What is off').textContent).toMatch(
      /Furthest out of the spare by 0\.4[01] mm/,
    ),
  );
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
  fireEvent.click(await screen.findByRole('button', { name: 'Lay it over the spare' }));
  expect(screen.getByRole('status').textContent).toBe('Laying scan.stl over it: 0 %');
  mockEnd.mockClear();
  fireEvent.click(screen.getByRole('button', { name: 'Stop' }));
  expect(mockEnd).toHaveBeenCalled();
  expect(screen.queryByRole('status')).toBeNull();
  expect(screen.getByRole('button', { name: `Lay a scanned piece over ${body.name}` })).toBeTruthy();
});

test('a fault of the program is told with a report', async () => {
  choose(scan(inInches(5)));
  mockLay = () => Promise.reject(new Error('lost'));
  fireEvent.click(await screen.findByRole('button', { name: 'Lay it over the spare' }));
  expect((await screen.findByRole('alert')).textContent).toContain('the scanned piece');
});
