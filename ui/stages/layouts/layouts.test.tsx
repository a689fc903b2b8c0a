import { fireEvent, render, screen, within } from '@testing-library/react';

import { solveLayout } from '@core/measuring/layout';
import type { Layout, LayoutEnd, Repair } from '@core/record/model';
import { LayoutDraft } from '@core/testing/layoutDraft';
import { rackWheel } from '@core/testing/repairDraft';

import { InRepair } from '../../testing/InRepair';
import { boardView, ellipseZoom } from './boardView';
import { DistanceList } from './DistanceList';
import { DistanceSheet } from './DistanceSheet';
import {
  distanceWords,
  endWords,
  withDistance,
  withoutPoint,
  withPoint,
  withSketchAsSolved,
} from './editLayout';
import { LayoutState } from './LayoutState';
import { PointSheet } from './PointSheet';

const mockPut = jest.fn();
jest.mock('../../api/useRepair', () => ({ useChangeRepair: () => ({ put: mockPut }) }));
beforeEach(() => mockPut.mockReset());

const solve = (layout: Layout) =>
  solveLayout(layout, (source) => (source.from === 'number' ? { mm: source.value, standardMm: 0.02 } : null));
const PLATE = [
  { x: 0, y: 0 },
  { x: 60, y: 0 },
  { x: 64, y: 35 },
  { x: 22, y: 48 },
];
const triangle = () => new LayoutDraft(PLATE.slice(0, 3)).between(1, 2).between(1, 3).between(2, 3);
const press = (name: string | RegExp) => fireEvent.click(screen.getByRole('button', { name }));
const inRepair = (node: React.ReactNode, repair: Repair = rackWheel()) =>
  render(<InRepair repair={repair}>{node}</InRepair>);

describe('how a layout stands, in a sentence', () => {
  const say = (layout: Layout, waiting: LayoutEnd | null = null) => {
    const { container, unmount } = render(
      <LayoutState layout={layout} solved={solve(layout)} waiting={waiting} />,
    );
    const text = container.textContent!;
    unmount();
    return text;
  };

  test('what is missing, what is enough, and what is more than enough', () => {
    const { layout } = triangle();
    expect(say({ ...layout, distances: layout.distances.slice(0, 2) })).toContain('Point 3 can still move');
    expect(say(layout)).toContain('nothing checks the distances');
    const checked = new LayoutDraft(PLATE)
      .between(1, 2)
      .between(1, 3)
      .between(1, 4)
      .between(2, 3)
      .between(2, 4)
      .between(3, 4);
    expect(say(checked.layout)).toBe('The distances agree. 1 more than needed.');
  });

  test('one of several is wrong, and it can’t be told which', () => {
    const wrong = new LayoutDraft(PLATE)
      .between(1, 2)
      .between(1, 3)
      .between(1, 4)
      .between(2, 3, 0.5)
      .between(2, 4)
      .between(3, 4);
    expect(say(wrong.layout)).toMatch(
      /^One of these 6 distances is off, by 0\.\d\d to \d\.\d\d mm, and the distances do not show which: .*2 to 3.*\. Measure \d to \d again first: it would be \d\.\d\d mm too (long|short)\.$/,
    );
  });

  test('which one is wrong, by how much and which way', () => {
    const spots = [...PLATE, { x: -8, y: 30 }];
    const draft = new LayoutDraft(spots);
    for (const [i, j] of [
      [1, 2],
      [1, 3],
      [1, 4],
      [1, 5],
      [2, 3],
      [2, 4],
      [2, 5],
      [3, 4],
      [3, 5],
      [4, 5],
    ] as const) {
      draft.between(i, j, i === 2 && j === 4 ? -0.6 : 0);
    }
    expect(say(draft.layout)).toMatch(
      /The distance 2 to 4, centre to centre does not agree with the others: it seems 0\.(59|60|61) mm too short/,
    );
  });

  test('a first end waits for a second', () => {
    expect(say(triangle().layout, { point: 'p2' })).toContain('From 2: tap the other end');
    expect(say(triangle().layout, { edge: 'left' })).toContain('From left edge');
  });
});

describe('layouts with one thing changed', () => {
  test('a new point takes the first free number and is like the last one', () => {
    const { layout } = new LayoutDraft(PLATE.slice(0, 2), PLATE.slice(0, 2), [5, 6]);
    const without = { ...layout, points: layout.points.slice(1) };
    const [, added] = withPoint(without, 'new', { x: 3, y: 4 }).points;
    expect(added).toMatchObject({ label: '1', x: 3, y: 4, diameter: { value: 6 } });
  });

  test('a point goes with the distances that end at it', () => {
    const { layout } = triangle();
    expect(withoutPoint(layout, 'p3').distances.map(({ id }) => id)).toEqual(['d1']);
  });

  test('a distance takes the place of itself, or is added', () => {
    const { layout } = triangle();
    const again = { ...layout.distances[1]!, over: 'far' as const };
    expect(withDistance(layout, again).distances[1]).toEqual(again);
    expect(withDistance(layout, { ...again, id: 'other' }).distances).toHaveLength(4);
  });

  test('the sketch is brought to where the points came out', () => {
    const { layout } = new LayoutDraft(PLATE.slice(0, 3), [
      { x: 0, y: 0 },
      { x: 20, y: 2 },
      { x: 25, y: 12 },
    ])
      .between(1, 2)
      .between(1, 3)
      .between(2, 3);
    const [, , third] = withSketchAsSolved(layout, solve(layout)).points;
    expect(third!.x).toBeCloseTo(64, 5);
    expect(third!.y).toBeCloseTo(35, 5);
  });

  test('ends and distances in words', () => {
    const { layout } = triangle();
    expect(endWords(layout, { point: 'p2' })).toBe('2');
    expect(endWords(layout, { edge: 'top' })).toBe('top edge');
    expect(distanceWords(layout, { ...layout.distances[2]!, over: 'near' })).toBe(
      '2 to 3, between the near rims',
    );
  });
});

describe('the board', () => {
  test('a place on it is the same place in the layout, and there and back', () => {
    const view = boardView(solve(triangle().layout), 390, 300);
    const { x, y } = view.toPx(64, 35);
    expect(view.toMm(x, y)).toEqual({ x: expect.closeTo(64, 9), y: expect.closeTo(35, 9) });
    // Up on the piece is up on the screen.
    expect(view.toPx(0, 10).y).toBeLessThan(view.toPx(0, 0).y);
  });

  test('all points lie on it, with room for fingers', () => {
    const view = boardView(solve(triangle().layout), 390, 300);
    for (const { x, y } of PLATE.slice(0, 3)) {
      const at = view.toPx(x, y);
      expect(at.x).toBeGreaterThanOrEqual(44);
      expect(at.x).toBeLessThanOrEqual(390 - 44);
      expect(at.y).toBeGreaterThanOrEqual(44);
      expect(at.y).toBeLessThanOrEqual(300 - 44);
    }
  });

  test('regions are drawn a round number of times too large', () => {
    const solved = solve(triangle().layout);
    const zoom = ellipseZoom(solved, boardView(solved, 390, 300));
    expect(zoom).toBeGreaterThan(1);
    expect(['1', '2', '5']).toContain(String(zoom)[0]);
    expect(String(zoom).slice(1)).toMatch(/^0*$/);
  });
});

test('the list of distances tells what was done to each, and what each lacks', () => {
  const draft = triangle();
  draft.between(1, 2, 0, 'near');
  draft.layout.distances[1]!.leftOut = 'tape sagged';
  const open = jest.fn();
  inRepair(<DistanceList layout={draft.layout} solved={solve(draft.layout)} onOpen={open} />);
  const rows = within(screen.getByRole('list', { name: 'Distances' })).getAllByRole('listitem');
  expect(rows.map((row) => row.textContent)).toEqual([
    expect.stringContaining('1 to 2, centre to centre'),
    expect.stringContaining('left out'),
    expect.stringContaining('2 to 3'),
    expect.stringContaining('needs a diameter'),
  ]);
  press('Distance 1 to 2, centre to centre');
  expect(open).toHaveBeenCalledWith(draft.layout.distances[0]);
});

describe('a distance', () => {
  const save = jest.fn();
  const measure = jest.fn();
  const show = (layout: Layout, id: string | null = null) => {
    save.mockReset();
    measure.mockReset();
    inRepair(
      <DistanceSheet
        layout={layout}
        from={{ point: 'p1' }}
        to={{ point: 'p2' }}
        id={id}
        onSave={save}
        onMeasure={measure}
        onClose={() => {}}
      />,
    );
  };
  const saved = () => (save.mock.calls.at(-1) as [Layout])[0].distances;

  test('is typed, sums too', () => {
    show(new LayoutDraft(PLATE.slice(0, 2)).layout);
    fireEvent.change(screen.getByLabelText('Distance'), { target: { value: '70 - 2*5' } });
    press('Use this number');
    expect(saved()).toMatchObject([{ over: 'far', source: { from: 'number', value: 60 } }]);
  });

  test.each([
    ['-3', 'more than zero'],
    ['far', '“far”'],
  ])('%j is told', (typed, sentence) => {
    show(new LayoutDraft(PLATE.slice(0, 2)).layout);
    fireEvent.change(screen.getByLabelText('Distance'), { target: { value: typed } });
    press('Use this number');
    expect(screen.getByRole('alert').textContent).toContain(sentence);
    expect(save).not.toHaveBeenCalled();
  });

  test('measured, it becomes a size of its own that the pad opens', () => {
    show(new LayoutDraft(PLATE.slice(0, 2)).layout);
    fireEvent.click(screen.getByRole('radio', { name: 'Between the near rims' }));
    press('Measure it');
    const [row, size] = mockPut.mock.calls[0] as [
      string,
      { id: string; tag: string; jaw: string; name: string },
    ];
    expect(row).toBe('size');
    expect(size).toMatchObject({ tag: 'G', jaw: 'inside', name: 'Holes, 1 to 2, between the near rims' });
    expect(saved()).toMatchObject([{ over: 'near', source: { from: 'size', id: size.id } }]);
    expect(measure).toHaveBeenCalledWith(size.id);
  });

  test('is left out, and counts again', () => {
    const { layout } = triangle();
    show(layout, 'd1');
    press('Leave this distance out');
    expect(saved()[0]!.leftOut).not.toBeNull();
  });
});

describe('a point', () => {
  const save = jest.fn();
  const show = (layout: Layout, pointId: string) => {
    save.mockReset();
    inRepair(
      <PointSheet
        layout={layout}
        solved={solve(layout)}
        pointId={pointId}
        onSave={save}
        onClose={() => {}}
      />,
    );
  };

  test('tells where it came out, how surely, and from where', () => {
    const { layout } = triangle();
    show({ ...layout, zero: 'middle' }, 'p1');
    expect(screen.getByText('32.00 left, 17.50 front')).toBeTruthy();
    expect(screen.getByText(/from the middle$/)).toBeTruthy();
  });

  test('a diameter goes to all holes that have none yet', () => {
    const { layout } = triangle();
    show(layout, 'p1');
    press(/^Diameter: not known/);
    fireEvent.change(screen.getByLabelText('Type it'), { target: { value: '5.2' } });
    press('Use this number');
    const { points } = (save.mock.calls[0] as [Layout])[0];
    expect(points.map(({ diameter }) => diameter)).toEqual(
      [1, 2, 3].map(() => ({ from: 'number', value: 5.2 })),
    );
  });

  test('a corner has no diameter', () => {
    const { layout } = triangle();
    show({ ...layout, points: layout.points.map((point) => ({ ...point, kind: 'corner' as const })) }, 'p1');
    expect(screen.queryByRole('button', { name: /^Diameter/ })).toBeNull();
  });
});
