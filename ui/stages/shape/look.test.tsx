import { act, fireEvent, render, screen } from '@testing-library/react';

import type { Caution } from '@core/checking/inspect';
import type { Body } from '@core/record/model';
import { movedPoint, type Motion } from '@core/shaping/part';
import { rackWheel, RepairDraft } from '@core/testing/repairDraft';

import { usePartTool } from '../../part/partTool';
import type { SlideReply } from '../../solid/protocol';
import { InRepair } from '../../testing/InRepair';
import { CautionSheet } from './CautionSheet';
import { FindingsBar } from './FindingsBar';
import { LiftSheet } from './LiftSheet';
import { moveThere, SlideSheet } from './SlideSheet';

const mockPut = jest.fn();
const mockSlide = jest.fn();
const mockRepair = jest.fn();
const mockRepairs = jest.fn();
jest.mock('../../api/useRepair', () => ({
  useChangeRepair: () => ({ put: mockPut }),
  useRepair: (id: string) => mockRepair(id) as unknown,
}));
jest.mock('../../api/useRepairs', () => ({ useRepairs: () => mockRepairs() as unknown }));
jest.mock('../../api/useWorkshop', () => ({ useWorkshop: () => ({ workshop: undefined }) }));
jest.mock('../../solid/useSolid', () => ({
  workbench: {
    ask: {
      slide: (...given: unknown[]) => mockSlide(...given) as unknown,
      clearances: () => Promise.resolve([]),
    },
    cancel: jest.fn(),
  },
}));
beforeEach(() => {
  jest.clearAllMocks();
  act(() => usePartTool.getState().end());
});

const repair = rackWheel();
const wheel = repair.bodies[0]!;
const press = (name: string | RegExp) => fireEvent.click(screen.getByRole('button', { name }));
const changed = () => (mockPut.mock.calls.at(-1) as [string, Body])[1];

const near: Caution = {
  code: 'hole.nearEdge',
  hole: null,
  stepId: 'bore',
  mm: 1.2,
  leastMm: 3,
  where: { faces: [{ tag: 'bore:wall', near: [3, 0, 4] }], points: [[3, 0, 4]] },
};
const overlap: Caution = { code: 'bodies.overlap', otherId: 'axle', other: 'Axle', mm3: 12.4 };

describe('what is worth a look', () => {
  const show = (cautions: Caution[], onClose = jest.fn()) => {
    render(
      <InRepair repair={repair}>
        <CautionSheet body={wheel} cautions={cautions} onClose={onClose} />
      </InRepair>,
    );
    return onClose;
  };

  test('is told with its step and shown on the part', () => {
    const onClose = show([near]);
    expect(screen.getByRole('group', { name: 'Finding 1' }).textContent).toContain(
      'The hole of step 3 has 1.20 mm beside it',
    );
    press('Show it on the part');
    expect(onClose).toHaveBeenCalled();
    expect(usePartTool.getState()).toMatchObject({
      pointing: { bodyId: 'wheel', where: near.where },
      job: null,
    });
  });

  test('is mended by a step of its own', () => {
    show([overlap]);
    expect(screen.queryByRole('button', { name: 'Show it on the part' })).toBeNull();
    press('Make room for Axle, 0.2 mm all round');
    expect(changed().steps).toHaveLength(wheel.steps.length + 1);
    expect(changed().steps.at(-1)).toMatchObject({ kind: 'body', of: 'axle', effect: 'cut' });
  });

  test('the steps that it is about are there to be changed, with all their numbers', () => {
    show([near]);
    // The bore itself, and nothing of the other steps.
    expect(screen.getByRole('button', { name: /^hole: / })).toBeTruthy();
    expect(screen.getAllByRole('button', { name: /^More for step/ })).toHaveLength(1);
    press(/^hole: /);
    expect(screen.getByLabelText(/^Type a number/)).toBeTruthy();
  });

  test('with nothing left it says so', () => {
    show([]);
    expect(screen.getByText('Nothing is left to look at.')).toBeTruthy();
  });

  test('the bar says the first of several and how many there are, and nothing of an old build', () => {
    const built = (outOfDate: boolean) => ({
      of: [],
      unchecked: [],
      rebuild: () => {},
      bodies: [
        {
          bodyId: 'wheel',
          build: 1,
          mesh: null,
          steps: [],
          annotations: [],
          centreLines: [],
          figures: null,
          findings: [],
          failedTool: null,
          cautions: [near, overlap],
          outOfDate,
        },
      ],
    });
    const { rerender } = render(
      <InRepair repair={repair} solid={built(false)}>
        <FindingsBar bodyId="wheel" action={null} />
      </InRepair>,
    );
    expect(screen.getByRole('button', { name: '2 worth a look' }).textContent).toContain('Look (2)');
    press('2 worth a look');
    expect(screen.getAllByRole('group', { name: /^Finding \d/ })).toHaveLength(2);
    rerender(
      <InRepair repair={repair} solid={built(true)}>
        <FindingsBar bodyId="wheel" action={null} />
      </InRepair>,
    );
    expect(screen.queryByRole('button', { name: /worth a look$/ })).toBeNull();
  });
});

describe('sliding a body', () => {
  const reply = (motion: Motion, far: number): SlideReply => ({
    slid: { ends: 'touches', far, other: 0, at: [1, 2, 3] },
    motion,
    other: 'axle',
  });
  const slide = async (found: SlideReply | null) => {
    mockSlide.mockResolvedValue(found);
    await act(async () => {
      press('Slide it');
      await Promise.resolve();
    });
  };
  const show = () =>
    render(
      <InRepair repair={repair}>
        <SlideSheet body={wheel} onClose={() => {}} />
      </InRepair>,
    );

  test('straight: how far, what it meets, shown there and left there', async () => {
    show();
    fireEvent.click(screen.getByRole('radio', { name: 'Back' }));
    await slide(reply({ by: 'move', direction: [0, 1, 0] }, 4.25));
    expect(mockSlide).toHaveBeenCalledWith('wheel', { by: 'move', direction: [0, 1, 0], limit: 200 });
    expect(screen.getByRole('status').textContent).toBe('Wheel goes 4.25 mm, and then touches Axle.');
    press('Show it there');
    expect(usePartTool.getState().pointing).toMatchObject({ moved: { far: 4.25 } });
    press('Leave it there');
    expect(changed().steps.at(-1)).toMatchObject({
      kind: 'move',
      dx: { mm: 0 },
      dy: { mm: 4.25 },
      dz: { mm: 0 },
    });
  });

  test('turning: about which axis, which way round, and in degrees', async () => {
    show();
    fireEvent.click(screen.getByRole('radio', { name: 'Turning' }));
    fireEvent.click(screen.getByRole('radio', { name: 'Axis to the right' }));
    fireEvent.click(screen.getByRole('radio', { name: 'Through its own middle' }));
    fireEvent.click(screen.getByRole('radio', { name: 'To the right' }));
    await slide(reply({ by: 'turn', at: [0, 0, 4], direction: [-1, 0, 0] }, Math.PI / 6));
    expect(mockSlide.mock.calls[0]![1]).toMatchObject({ by: 'turn', about: 'middle' });
    expect(screen.getByRole('status').textContent).toBe('Wheel goes 30°, and then touches Axle.');
  });

  test('what stays in its way, and what could not be slid, is told', async () => {
    show();
    await slide({
      slid: { ends: 'touchesNow', other: 0, at: [0, 0, 0] },
      motion: { by: 'move', direction: [1, 0, 0] },
      other: 'axle',
    });
    expect(screen.getByRole('status').textContent).toContain('touches Axle where it is');
    expect(screen.queryByRole('button', { name: 'Leave it there' })).toBeNull();
    await slide(null);
    expect(screen.getByRole('alert').textContent).toContain('could not be slid');
  });

  test('the step that leaves it there takes every point where the slide took it', () => {
    const motion: Motion = { by: 'turn', at: [5, -3, 4], direction: [0, 0, -1] };
    const step = moveThere(reply(motion, 0.7), 'new');
    if (step?.kind !== 'move') throw new Error('no step');
    // The step turns about its axis through the origin, and then moves.
    const plain = (value: typeof step.dx) => (value.from === 'number' ? value.mm : NaN);
    for (const point of [
      [0, 0, 0],
      [10, 2, 1],
      [-4, 7, 3],
    ] as const) {
      const turned = movedPoint(
        point,
        { by: 'turn', at: [0, 0, 0], direction: [0, 0, 1] },
        Number(step.turn),
      );
      const there = [turned[0] + plain(step.dx), turned[1] + plain(step.dy), turned[2] + plain(step.dz)];
      movedPoint(point, motion, 0.7).forEach((mm, axis) => expect(there[axis]).toBeCloseTo(mm, 2));
    }
  });
});

describe('bringing from another repair', () => {
  const list = (repairs: { id: string; name: string }[], more: object = {}) =>
    mockRepairs.mockReturnValue({
      data: { pages: [{ repairs: repairs.map((one) => ({ ...one, place: '' })) }] },
      isPending: false,
      isError: false,
      hasNextPage: false,
      ...more,
    });
  const show = () =>
    render(
      <InRepair repair={new RepairDraft('Own').body('own', 'Lid', []).repair}>
        <LiftSheet
          body={new RepairDraft('Own').body('own', 'Lid', []).repair.bodies[0]!}
          onClose={() => {}}
        />
      </InRepair>,
    );

  test('a body comes whole and a step to the end, both with plain numbers', () => {
    list([
      { id: 'rack-wheel', name: 'Rack wheel' },
      { id: 'own', name: 'Own' },
    ]);
    mockRepair.mockReturnValue({ repair, error: null });
    show();
    expect(screen.queryByRole('button', { name: 'Own' })).toBeNull();
    press('Rack wheel');
    press('Bring Wheel as a body');
    expect(changed()).toMatchObject({ name: 'Wheel', version: 0 });
    expect(changed().id).not.toBe('wheel');
    expect(JSON.stringify(changed().steps)).not.toContain('"from":"fit"');
    press(/^Drill a hole 6\.32/);
    expect(changed()).toMatchObject({
      id: 'own',
      steps: [{ kind: 'hole', diameter: { from: 'number', mm: 6.32 } }],
    });
  });

  test('none, none that can be fetched, and one without a shape each say what to do', () => {
    list([]);
    const { unmount } = show();
    expect(screen.getByText(/There is no other repair of that name/)).not.toBeNull();
    unmount();
    list([], { isError: true, data: undefined });
    const second = show();
    expect(screen.getByText(/the server does not answer/)).not.toBeNull();
    second.unmount();
    list([{ id: 'bare', name: 'Bare' }]);
    mockRepair.mockReturnValue({ repair: new RepairDraft('Bare').repair, error: null });
    show();
    press('Bare');
    expect(screen.getByText(/Nothing has been shaped in this repair yet/)).not.toBeNull();
  });
});
