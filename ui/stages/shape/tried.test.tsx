import { act, fireEvent, render, screen } from '@testing-library/react';

import type { Body, Repair } from '@core/record/model';
import type { SolidMesh } from '@core/shaping/part';
import { rackWheel } from '@core/testing/repairDraft';

import { useDraft, withDraft } from '../../inRepair/draft';
import { usePartTool } from '../../part/partTool';
import type { ShownBody, SolidView } from '../../solid/useSolid';
import { InRepair } from '../../testing/InRepair';
import { AddStepSheet } from './AddStepSheet';
import { DraftState } from '../../values/DraftState';
import { FaceOffers } from './FaceOffers';

const mockPut = jest.fn();
jest.mock('../../api/useRepair', () => ({ useChangeRepair: () => ({ put: mockPut }) }));
jest.mock('../../solid/spawnWorker', () => ({ spawnWorker: () => ({ end: () => {} }) }));
beforeEach(() => {
  jest.useFakeTimers();
  mockPut.mockReset();
  usePartTool.getState().end();
});
afterEach(() => jest.useRealTimers());

const repair = rackWheel();
const body = repair.bodies[0]!;
const wait = (ms = 500) => act(() => jest.advanceTimersByTime(ms));
const tried = () => useDraft.getState().body;
const labels = () =>
  screen
    .getAllByRole('button')
    .map((button) => button.getAttribute('aria-label'))
    .filter((label) => label !== null);

/** The upper face of the wheel, as one square. */
const mesh = {
  positions: new Float32Array([-9, -9, 8, 9, -9, 8, 9, 9, 8]),
  normals: new Float32Array([0, 0, 1, 0, 0, 1, 0, 0, 1]),
  indices: new Uint32Array([0, 1, 2]),
  faces: [{ start: 0, count: 3, tag: 'wheel:top' }],
  edges: new Float32Array(),
  edgeRuns: [],
} as unknown as SolidMesh;
const built = (of: readonly Body[], steps: ShownBody['steps'] = []): SolidView => ({
  of,
  unchecked: [],
  rebuild: () => {},
  bodies: [
    {
      bodyId: body.id,
      build: 1,
      mesh,
      steps,
      annotations: [],
      centreLines: [],
      figures: null,
      findings: [],
      failedTool: null,
      cautions: [],
      outOfDate: false,
    },
  ],
});

describe('a new step', () => {
  const open = () =>
    render(
      <InRepair repair={repair}>
        <AddStepSheet body={body} onClose={() => {}} />
      </InRepair>,
    );

  test('is shown on the part while the mouse is on it, and kept nowhere', () => {
    const { unmount } = open();
    fireEvent.pointerEnter(screen.getByLabelText(/^Drill a hole/));
    fireEvent.mouseEnter(screen.getByLabelText(/^Drill a hole/));
    wait();
    expect(tried()?.steps).toHaveLength(body.steps.length + 1);
    expect(tried()?.steps.at(-1)).toMatchObject({ kind: 'hole' });
    fireEvent.pointerLeave(screen.getByLabelText(/^Drill a hole/));
    fireEvent.mouseLeave(screen.getByLabelText(/^Drill a hole/));
    expect(tried()).toBeNull();
    unmount();
    expect(mockPut).not.toHaveBeenCalled();
  });

  test('is found by what it is for; what nothing is called is said, and cleared by a tap', () => {
    open();
    fireEvent.change(screen.getByLabelText('Find a step'), { target: { value: 'bearing' } });
    expect(labels().filter((label) => label !== 'Close')).toEqual([expect.stringMatching(/^Drill a hole/)]);
    fireEvent.change(screen.getByLabelText('Find a step'), { target: { value: 'xyzzy' } });
    expect(screen.getByText(/^Nothing here is called “xyzzy”/)).toBeTruthy();
    fireEvent.click(screen.getByText('Clear the search'));
    expect(labels().length).toBeGreaterThan(20);
  });

  test('what mostly follows stands first, and once', () => {
    open();
    // The wheel ends with eased edges.
    expect(labels().filter((label) => /^Drill a hole/.test(label))).toHaveLength(1);
    expect(labels()[1]).toMatch(/^Drill a hole/);
  });
});

describe('at a face that was tapped', () => {
  const touch = () =>
    usePartTool.getState().touch({
      bodyId: body.id,
      picked: { kind: 'face', tag: 'wheel:top' as never, near: [4.00049, 2, 8] },
    });
  const open = () =>
    render(
      <InRepair repair={repair} solid={built([body])}>
        <FaceOffers body={body} />
      </InRepair>,
    );

  test('what is offered is added on that face, and the face is let go', () => {
    touch();
    open();
    fireEvent.click(screen.getByText('Drill here'));
    const [row, changed, undo] = mockPut.mock.calls.at(-1) as [string, Body, string];
    expect([row, undo]).toEqual(['body', `Step ${body.steps.length + 1} added.`]);
    // To a thousandth: where it was tapped only breaks ties.
    expect(changed.steps.at(-1)).toMatchObject({
      kind: 'hole',
      on: { face: { tag: 'wheel:top', near: [4, 2, 8] } },
    });
    expect(usePartTool.getState().touched).toBeNull();
  });

  test('it is the first of two things to measure between', () => {
    touch();
    open();
    fireEvent.click(screen.getByText('Measure from here'));
    expect(usePartTool.getState()).toMatchObject({ measuring: true, touched: null });
    expect(usePartTool.getState().picked).toHaveLength(1);
  });
});

describe('what is tried', () => {
  const draft: Body = { ...body, name: 'Tried' };
  const at = (solid: SolidView, wanted: Body = draft) =>
    render(
      <InRepair repair={repair} solid={solid}>
        <DraftState body={wanted} stepId={body.steps[2]!.id} />
      </InRepair>,
    );
  beforeEach(() => act(() => useDraft.setState({ body: draft })));
  afterEach(() => act(() => useDraft.setState({ body: null })));

  test('takes the place of its body in the repair, and of no other', () => {
    expect(withDraft(repair, draft).bodies).toEqual([draft, ...repair.bodies.slice(1)]);
    const elsewhere: Repair = { ...repair, bodies: repair.bodies.slice(1) };
    expect(withDraft(elsewhere, draft)).toBe(elsewhere);
    expect(withDraft(repair, null)).toBe(repair);
  });

  test('is said to be shown only once the part in view is built from it', () => {
    at(built([body]));
    expect(screen.getByRole('status').textContent).toBe('The part follows…');
  });

  test('is shown; a further figure is on its way again', () => {
    const { unmount } = at(built([draft]));
    expect(screen.getByRole('status').textContent).toContain('It is not kept yet.');
    unmount();
    at(built([draft]), { ...draft, name: 'Typed since' });
    expect(screen.getByRole('status').textContent).toBe('The part follows…');
  });

  test('says which step would fail, and why', () => {
    const last = body.steps.at(-1)!.id;
    at(built([draft], [{ stepId: last, state: 'failed', fault: { code: 'step.nothingLeft' } }]));
    expect(screen.getByRole('status').textContent).toMatch(
      new RegExp(`^Step ${body.steps.length} would fail\\. .+\\.$`),
    );
  });
});
