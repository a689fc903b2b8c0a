import { fireEvent, render, screen } from '@testing-library/react';

import type { Body } from '@core/record/model';
import type { Picked } from '@core/shaping/part';
import { block } from '@core/testing/pieces';
import { RepairDraft } from '@core/testing/repairDraft';

import type { PartViewProps } from '../part/PartView';
import type { ShownBody, SolidView } from '../solid/useSolid';
import { InRepair } from '../testing/InRepair';
import { LoadChoice } from './LoadChoice';

/** What is tapped on the part next. */
let mockTap: Picked;
jest.mock('../part/PartView', () => ({
  PartView: ({ onPick }: PartViewProps) => (
    <button onClick={() => onPick({ bodyId: 'arm', picked: mockTap })}>the part</button>
  ),
}));
jest.mock('../solid/spawnWorker', () => ({ spawnWorker: () => ({ end: () => {} }) }));

const { repair } = new RepairDraft('x').body('arm', 'Arm', [block(60, 6, 4)] as never);
const [arm] = repair.bodies as [Body];

/** A triangle that leans half way up, and its edge along x. */
const mesh: ShownBody['mesh'] = {
  positions: Float32Array.of(0, 0, 0, 10, 0, 0, 0, 10, 10),
  normals: new Float32Array(9),
  indices: Uint32Array.of(0, 1, 2),
  faces: [{ start: 0, count: 3, tag: 'slope:face' }],
  edges: Float32Array.of(0, 0, 0, 10, 0, 0),
  edgeRuns: [{ start: 0, count: 1, tags: ['slope:face', 'slope:foot'] }],
};
const built = (of: ShownBody['mesh']): SolidView => ({
  bodies: of ? [{ bodyId: 'arm', mesh: of } as ShownBody] : [],
  of: [],
  unchecked: [],
  rebuild: () => {},
});

const onChange = jest.fn<void, [Body]>();
beforeEach(() => onChange.mockReset());
const press = (name: string) => fireEvent.click(screen.getByRole('button', { name }));
function point(tap: Picked) {
  render(
    <InRepair repair={repair} solid={built(mesh)}>
      <LoadChoice body={arm} onChange={onChange} />
    </InRepair>,
  );
  press('Point at it on the part');
  expect(screen.getByRole('status').textContent).toBe('No place tapped yet.');
  mockTap = tap;
  press('the part');
  press('Use only its direction');
  return onChange.mock.calls[0]![0].laying!.load!;
}

test('a face that is tapped gives the way it looks', () => {
  const load = point({ kind: 'face', tag: 'slope:face', near: [2, 2, 2] });
  const half = Math.SQRT1_2;
  [0, -half, half].forEach((share, axis) => expect(load[axis]).toBeCloseTo(share, 6));
});

test('an edge along the part gives exactly that way', () => {
  expect(point({ kind: 'edge', tags: ['slope:foot', 'slope:face'], near: [4, 0, 0] })).toEqual([1, 0, 0]);
});

test('what is not built cannot be pointed at, and says so', () => {
  render(
    <InRepair repair={repair} solid={built(null)}>
      <LoadChoice body={arm} onChange={onChange} />
    </InRepair>,
  );
  press('Point at it on the part');
  expect(screen.getByText(/Arm is not built yet/)).toBeTruthy();
});

test('a way that was pointed at is said, and another choice takes its place', () => {
  const pointed: Body = {
    ...arm,
    laying: { down: [0, 0, -1], settings: 'everyday', support: 'none', foot: 'skirt', load: [0, 0.6, 0.8] },
  };
  render(
    <InRepair repair={repair}>
      <LoadChoice body={pointed} onChange={onChange} />
    </InRepair>,
  );
  expect(screen.getByText('It pulls in the direction that you pointed at on the part.')).toBeTruthy();
  fireEvent.click(screen.getByRole('radio', { name: 'Not said' }));
  expect(onChange.mock.calls[0]![0].laying).not.toHaveProperty('load');
});

test('how strong it is and what it is held against are kept with it, and another way keeps them', () => {
  render(
    <InRepair repair={repair} solid={built(mesh)}>
      <LoadChoice body={arm} onChange={onChange} />
    </InRepair>,
  );
  press('Point at it on the part');
  mockTap = { kind: 'edge', tags: ['slope:foot', 'slope:face'], near: [4, 0, 0] };
  press('the part');
  press('Type the load');
  expect(screen.getByRole('button', { name: 'Take it' }).getAttribute('aria-disabled')).toBe('true');
  mockTap = { kind: 'face', tag: 'slope:face', near: [0, 9, 9] };
  press('the part');
  fireEvent.change(screen.getByLabelText(/^Load/), { target: { value: 'much' } });
  expect(screen.getByText(/takes only a number/)).toBeTruthy();
  fireEvent.change(screen.getByLabelText(/^Load/), { target: { value: '50' } });
  press('Take it');
  const [loaded] = onChange.mock.lastCall!;
  const held = { forceN: 50, at: [4, 0, 0], heldAt: [0, 9, 9] };
  expect(loaded.laying).toMatchObject({ load: [1, 0, 0], held });
  document.body.innerHTML = '';
  render(
    <InRepair repair={repair}>
      <LoadChoice body={loaded} onChange={onChange} />
    </InRepair>,
  );
  fireEvent.click(screen.getByRole('radio', { name: 'Up, down' }));
  expect(onChange.mock.lastCall![0].laying).toMatchObject({ load: [0, 0, 1], held });
  fireEvent.click(screen.getByRole('radio', { name: 'Not said' }));
  expect(onChange.mock.lastCall![0].laying).not.toHaveProperty('held');
});

test('what it bears between load and hold is told, as strong as it is and too weak', () => {
  const corners = [0, 1, 2, 3, 4, 5, 6, 7].flatMap((at) => [
    at & 1 ? 60 : 0,
    at & 2 ? 3 : -3,
    at & 4 ? 4 : 0,
  ]);
  const indices = [
    0, 2, 3, 0, 3, 1, 4, 5, 7, 4, 7, 6, 0, 1, 5, 0, 5, 4, 2, 6, 7, 2, 7, 3, 0, 4, 6, 0, 6, 2, 1, 3, 7, 1, 7,
    5,
  ];
  const bar = { ...mesh!, positions: Float32Array.from(corners), indices: Uint32Array.from(indices) };
  const told = (forceN: number) => {
    document.body.innerHTML = '';
    const held = { forceN, at: [60, 0, 4], heldAt: [0, 0, 2] };
    const laying = {
      down: [0, 0, -1],
      settings: 'everyday',
      support: 'none',
      foot: 'skirt',
      load: [0, 0, -1],
      held,
    };
    render(
      <InRepair repair={repair} solid={built(bar)}>
        <LoadChoice body={{ ...arm, laying } as Body} onChange={onChange} />
      </InRepair>,
    );
    return screen.getByRole('status').textContent;
  };
  expect(told(2)).toMatch(
    /^The weakest section between load and hold holds about [\d.]+ N, [\d.]+ times the load/,
  );
  expect(told(500)).toMatch(
    /^The weakest section holds about [\d.]+ N of the 500 N load .* Make it \d+\.\d times as thick/,
  );
});
