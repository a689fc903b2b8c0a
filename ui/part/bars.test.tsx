import { act, fireEvent, render, screen } from '@testing-library/react';

import type { Measured, SolidMesh } from '@core/shaping/part';
import { block, stepOf } from '@core/testing/pieces';
import { RepairDraft } from '@core/testing/repairDraft';

import { MeasureBar } from './MeasureBar';
import { usePartTool, type PickJob } from './partTool';
import { PickBar, pickWords } from './PickBar';
import { StageBar } from './StageBar';

const mockPut = jest.fn();
const mockMeasure = jest.fn();
const mockRooms = jest.fn();
jest.mock('../api/useRepair', () => ({ useChangeRepair: () => ({ put: mockPut }) }));
jest.mock('../solid/useSolid', () => ({
  workbench: {
    ask: {
      measure: (...given: unknown[]) => mockMeasure(...given) as unknown,
      clearances: () => mockRooms() as unknown,
    },
  },
}));
beforeEach(() => {
  mockPut.mockReset();
  mockMeasure.mockReset();
  act(() => usePartTool.getState().end());
});

const plate = { ...block(40, 20, 10), id: 'plate' };
const hole = stepOf('hole', { diameter: 4, depth: 'through', x: 0, y: 0 }, 'hole');
const { repair } = new RepairDraft('x')
  .measured('A', 'Length', ['40'])
  .body('body', 'Plate', [plate, hole] as never);
const body = repair.bodies[0]!;
const press = (name: string) => fireEvent.click(screen.getByRole('button', { name }));
const tool = () => usePartTool.getState();

const mesh: SolidMesh = {
  positions: new Float32Array(18),
  normals: new Float32Array(18),
  indices: new Uint32Array([0, 1, 2, 3, 4, 5]),
  faces: [
    { start: 0, count: 3, tag: 'plate:top' },
    { start: 3, count: 3, tag: 'hole:wall' },
  ],
  edges: new Float32Array(12),
  edgeRuns: [
    { start: 0, count: 1, tags: ['plate:top', 'hole:wall'] },
    { start: 1, count: 1, tags: ['plate:top', 'plate:front'] },
  ],
};
const job = (picks: PickJob['want']['picks']): PickJob => ({
  bodyId: 'body',
  forBody: 'body',
  stepId: 'new',
  steps: 2,
  want: { field: 'where', picks },
  what: 'which edges',
});

describe('picking', () => {
  const show = (picks: PickJob['want']['picks'], onDone = jest.fn()) => {
    act(() => tool().beginPick(job(picks)));
    render(<PickBar job={job(picks)} body={body} mesh={mesh} onDone={onDone} />);
    return onDone;
  };

  test('the keys go through every face, and the last one gone to is taken', () => {
    const onDone = show('ground');
    expect(screen.getByRole('status').textContent).toBe('Tap a face.');
    expect(screen.getByRole('button', { name: 'Take it' }).getAttribute('aria-disabled')).toBe('true');
    press('Next face');
    expect(screen.getByRole('status').textContent).toBe('the top of step 1');
    press('Next face');
    expect(screen.getByRole('status').textContent).toBe('the wall of step 2');
    press('Next face');
    expect(screen.getByRole('status').textContent).toBe('the top of step 1');
    press('Take it');
    expect(onDone).toHaveBeenCalled();
  });

  test('edges gather: one is gone through, kept, and the next gone through', () => {
    show('edges');
    press('Next edge');
    expect(screen.getByRole('status').textContent).toBe(
      'the edge where the top of step 1 meets the wall of step 2',
    );
    press('And another');
    press('Next edge');
    press('Next edge');
    expect(tool().picked).toHaveLength(2);
    expect(screen.getByRole('status').textContent).toMatch(/^2, the last of them the edge where/);
  });

  test('leaving it changes nothing', () => {
    show('rim');
    press('Next face');
    press('Cancel');
    expect(tool()).toMatchObject({ job: null, picked: [], stage: null });
  });

  test('what is picked of a step that is gone says so', () => {
    expect(pickWords({ kind: 'face', tag: 'gone:top', near: [0, 0, 0] }, body)).toBe(
      'the top of a step that is no longer before this one',
    );
  });
});

describe('the making of a part', () => {
  test('goes a step on and back, and stops at both ends', () => {
    act(() => tool().setStage({ bodyId: 'body', steps: 1 }));
    render(<StageBar body={body} />);
    expect(screen.getByRole('status').textContent).toBe('After 1 of 2: raise or cut');
    expect(screen.getByRole('button', { name: 'One step back' }).getAttribute('aria-disabled')).toBe('true');
    press('One step on');
    expect(screen.getByRole('status').textContent).toBe('After 2 of 2: drill');
    expect(screen.getByRole('button', { name: 'One step on' }).getAttribute('aria-disabled')).toBe('true');
    press('Whole part');
    expect(tool().stage).toBeNull();
  });
});

describe('the room between bodies', () => {
  test('goes from body to body, each with its ends shown', async () => {
    const room = { one: 'body', overlapMm3: 0, cautions: [] };
    mockRooms.mockResolvedValue([
      { ...room, other: 'pin', mm: 0.12, from: [1, 0, 0], to: [1.12, 0, 0] },
      { ...room, other: 'cap', mm: 0, overlapMm3: 3.4, from: [0, 0, 0], to: [0, 0, 0] },
    ]);
    const { repair: several } = new RepairDraft('x')
      .body('body', 'Plate', [])
      .body('pin', 'Pin', [], 'counterpart')
      .body('cap', 'Cap', [], 'counterpart');
    act(() => tool().setMeasuring(true));
    await act(async () => {
      render(
        <MeasureBar
          repair={several}
          bodies={['body', 'pin', 'cap'].map((bodyId) => ({ bodyId, build: 1, mesh: null }))}
        />,
      );
      await Promise.resolve();
    });
    press('Room between bodies');
    expect(screen.getByRole('status').textContent).toBe(
      'From Plate to Pin there are 0.12 mm at the nearest.',
    );
    expect(tool().points).toEqual([
      [1, 0, 0],
      [1.12, 0, 0],
    ]);
    press('Next body');
    expect(screen.getByRole('status').textContent).toBe('Plate and Cap share 3.4 mm³.');
  });
});

describe('with keys alone', () => {
  const plate: SolidMesh = {
    positions: new Float32Array([0, 0, 0, 10, 0, 0, 0, 10, 0]),
    normals: new Float32Array(9),
    indices: new Uint32Array([0, 1, 2]),
    faces: [{ start: 0, count: 3, tag: 'plate:top' }],
    edges: new Float32Array([0, 0, 0, 10, 0, 0]),
    edgeRuns: [{ start: 0, count: 1, tags: ['plate:top', 'plate:front'] }],
  };

  test('everything is stepped through, one thing is held, and a second one measured from it', async () => {
    mockMeasure.mockResolvedValue({
      things: [{ kind: 'corner', at: [10, 0, 0] }],
      distance: null,
      centres: null,
      angle: null,
      wallMm: null,
    } satisfies Measured);
    act(() => tool().setMeasuring(true));
    render(<MeasureBar repair={repair} bodies={[{ bodyId: 'body', build: 1, mesh: plate }]} />);
    const kinds = () => tool().picked.map(({ picked }) => picked.kind);
    const pressed = async (name: string) => {
      press(name);
      await act(() => Promise.resolve());
    };
    await pressed('Next thing');
    await pressed('Next thing');
    expect(kinds()).toEqual(['edge']);
    await pressed('And a second');
    await pressed('Next thing');
    expect(kinds()).toEqual(['edge', 'corner']);
    await pressed('Next thing');
    expect(tool().picked[1]).toEqual({ bodyId: 'body', picked: { kind: 'corner', near: [10, 0, 0] } });
    // A third begins anew, as a third tap does; corners are told by where they are.
    act(() => tool().setPicked(tool().picked.slice(1)));
    await act(() => Promise.resolve());
    expect(screen.getByRole('status').textContent).toBe(
      'Corner 10.00 mm to the right, 0.00 mm to the back and 0.00 mm up.',
    );
  });
});

describe('two round things', () => {
  test('are told by their centres, which is what is kept', async () => {
    mockMeasure.mockResolvedValue({
      things: [4, 6].map((diameterMm) => ({ kind: 'circle', diameterMm, lengthMm: Math.PI * diameterMm })),
      distance: { mm: 15, from: [2, 0, 10], to: [17, 0, 10] },
      centres: { mm: 20, from: [0, 0, 10], to: [20, 0, 10] },
      angle: 0,
      wallMm: null,
    } satisfies Measured);
    act(() => tool().setMeasuring(true));
    render(<MeasureBar repair={repair} bodies={[]} />);
    await act(async () => {
      const picked = {
        kind: 'edge' as const,
        tags: ['hole:wall', 'plate:top'] as const,
        near: [0, 0, 10] as const,
      };
      tool().setPicked([picked, picked].map((one) => ({ bodyId: 'body', picked: one })));
      await Promise.resolve();
    });
    expect(screen.getByRole('status').textContent).toContain('their centres 20.00 mm');
    expect(tool().points).toEqual([
      [0, 0, 10],
      [20, 0, 10],
    ]);
    press('Keep as a size');
    expect(mockPut.mock.calls.at(-1)![1]).toMatchObject({
      given: 20,
      name: 'Distance of centres, measured on the part B',
    });
  });
});

describe('measuring', () => {
  const picked = {
    bodyId: 'body',
    picked: { kind: 'face' as const, tag: 'plate:top', near: [0, 0, 10] as const },
  };
  const show = async (measured: Measured, count = 1) => {
    mockMeasure.mockResolvedValue(measured);
    act(() => tool().setMeasuring(true));
    render(<MeasureBar repair={repair} bodies={[]} />);
    await act(async () => {
      tool().setPicked(Array.from({ length: count }, () => picked));
      await Promise.resolve();
    });
  };
  const said = () => screen.getByRole('status').textContent;

  test('a face alone: its area and the wall under it, which can be kept', async () => {
    await show({
      things: [{ kind: 'plane', areaMm2: 787.44 }],
      distance: null,
      centres: null,
      angle: null,
      wallMm: 10,
    });
    expect(said()).toBe('Flat face of 787.4 mm²; wall under it 10.00 mm.');
    press('Keep as a size');
    expect(mockPut).toHaveBeenCalledWith(
      'size',
      expect.objectContaining({ tag: 'B', kind: 'chosen', given: 10, name: 'Wall, measured on the part B' }),
      'Kept as size B.',
    );
  });

  test('a round edge by its diameter, a straight one by its length', async () => {
    await show({
      things: [{ kind: 'circle', diameterMm: 4, lengthMm: 12.57 }],
      distance: null,
      centres: null,
      angle: null,
      wallMm: null,
    });
    expect(said()).toBe('Round edge 4.00 mm across.');
  });

  test('between two things: how far apart, at which angle, and what they are', async () => {
    await show(
      {
        things: [
          { kind: 'plane', areaMm2: 200 },
          { kind: 'cylinder', diameterMm: 4, areaMm2: 125.7 },
        ],
        distance: { mm: 18, from: [0, 0, 0], to: [18, 0, 0] },
        centres: null,
        angle: Math.PI / 2,
        wallMm: null,
      },
      2,
    );
    expect(said()).toBe(
      '18.00 mm apart at the nearest, at 90°. Flat face of 200.0 mm²; round face 4.00 mm across, 125.7 mm².',
    );
    press('Keep as a size');
    expect(mockPut.mock.calls[0]![1]).toMatchObject({ given: 18, name: 'Distance, measured on the part B' });
  });

  test('things that touch are told to, and a curved face alone has nothing to keep', async () => {
    await show({
      things: [{ kind: 'surface', areaMm2: 5 }],
      distance: null,
      centres: null,
      angle: null,
      wallMm: null,
    });
    expect(said()).toBe('Curved face of 5.0 mm².');
    expect(screen.queryByRole('button', { name: 'Keep as a size' })).toBeNull();
    press('Done measuring');
    expect(tool().measuring).toBe(false);
  });
});
