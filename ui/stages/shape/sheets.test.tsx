import { cleanup, fireEvent, screen } from '@testing-library/react';

import { newSize, numberValue, type Body, type Step } from '@core/record/model';
import { outlineOf, raised, stepOf } from '@core/testing/pieces';

import { press, repairWith, show } from '../../testing/oneStep';

const mockPut = jest.fn();
jest.mock('../../api/useRepair', () => ({ useChangeRepair: () => ({ put: mockPut }) }));
jest.mock('../../solid/spawnWorker', () => ({ spawnWorker: () => ({ end: () => {} }) }));
beforeEach(() => mockPut.mockReset());
const sent = () => (mockPut.mock.calls.at(-1) as [string, Body])[1].steps;

test('an angle is typed in degrees, and one that can’t be stays to be mended', () => {
  const turned = {
    ...raised(outlineOf('slot', { length: 20, breadth: 6 }), 5, { turn: Math.PI / 6 }),
    id: 'slot',
  } as Step;
  show(repairWith(turned));
  press('turn: 30°');
  fireEvent.change(screen.getByLabelText(/^Type an angle in degrees/), { target: { value: 'steep!' } });
  press('Use this number');
  expect(screen.getByRole('alert').textContent).toContain('is not an angle');
  fireEvent.change(screen.getByLabelText(/^Type an angle in degrees/), { target: { value: '45' } });
  press('Use this number');
  expect(sent()[1]).toMatchObject({ turn: Math.PI / 4 });
});

test('an angle is taken from a measured one, or from a formula, and shows what it comes to', () => {
  const slot = (turn: unknown) =>
    ({ ...raised(outlineOf('slot', { length: 20, breadth: 6 }), 5), turn, id: 'slot' }) as Step;
  const repair = repairWith(slot(Math.PI / 6));
  const lean = { id: 'lean', version: 1, tag: 'W', name: 'Lean of the lug' };
  repair.sizes.push(newSize({ ...lean, quantity: 'angle', kind: 'chosen', given: Math.PI / 8 }));
  show(repair);
  press('turn: 30°');
  press('W, Lean of the lug, 22.50°');
  expect(sent()[1]).toMatchObject({ turn: { from: 'size', id: 'lean' } });
  press('turn: 30°');
  fireEvent.change(screen.getByLabelText(/^Type an angle/), { target: { value: '2 * W' } });
  press('Use this number');
  expect(sent()[1]).toMatchObject({ turn: { from: 'formula', text: '2 * W' } });
  cleanup();
  repair.bodies[0]!.steps[1] = slot({ from: 'size', id: 'lean' });
  show(repair);
  press('turn: W, Lean of the lug, 22.50°');
  expect(screen.getByRole('button', { name: 'W, Lean of the lug, 22.50°' })).toBeTruthy();
});

describe('a list of points', () => {
  const points = (count: number) => ({
    shape: 'points',
    between: 'straight',
    points: Array.from({ length: count }, (_, index) => ({
      x: numberValue(10 * index),
      y: numberValue(index % 2),
    })),
  });
  const outline = (count: number) => ({ ...raised(points(count) as never, 5), id: 'points' }) as Step;

  test('grows by a row that stands on from the last', () => {
    show(repairWith(outline(3)));
    press('point: 3 points');
    press('Add a point');
    expect(sent()[1]).toMatchObject({
      outline: { points: [{}, {}, {}, { x: numberValue(30), y: numberValue(0) }] },
    });
  });

  test('keeps as many as an outline needs, and turns a corner into an arc', () => {
    show(repairWith(outline(4)));
    press('point: 4 points');
    press('Point 2: a corner');
    expect(sent()[1]).toMatchObject({ outline: { points: [{}, { via: true }, {}, {}] } });
    press('Take out point 2');
    expect((sent()[1] as unknown as { outline: { points: unknown[] } }).outline.points).toHaveLength(3);
  });

  test('of three none can be taken out', () => {
    show(repairWith(outline(3)));
    press('point: 3 points');
    expect(screen.getByRole('button', { name: 'Take out point 1' }).getAttribute('aria-disabled')).toBe(
      'true',
    );
  });
});

test('a hole is made the one for a nut of the tables', () => {
  show(repairWith(stepOf('hole', { diameter: 3, depth: 'through', x: 0, y: 0 }, 'hole')));
  press('More for step 2');
  press('For a screw, a nut or a bearing');
  fireEvent.change(screen.getByLabelText(/^Find/), { target: { value: 'm4 nut' } });
  fireEvent.click(screen.getByRole('button', { name: /^M4 nut, held/ }));
  expect(sent()[1]).toMatchObject({
    diameter: numberValue(4.5),
    head: { kind: 'nut', across: numberValue(7.2), depth: numberValue(3.2) },
  });
});

test('a finer point is given in the menu and spoken of in the sentence', () => {
  show(repairWith(stepOf('peg', { diameter: 4, height: 6, x: 0, y: 0 }, 'peg')));
  press('More for step 2');
  press('Tilt it');
  expect(sent()[1]).toMatchObject({ tilt: Math.PI / 12 });
});

test('a note is kept with its step', () => {
  show(repairWith(stepOf('peg', { diameter: 4, height: 6, x: 0, y: 0 }, 'peg')));
  press('More for step 2');
  fireEvent.change(screen.getByLabelText('A note of your own'), { target: { value: 'finds the slot' } });
  press('Keep the note');
  expect(sent()[1]).toMatchObject({ note: 'finds the slot' });
});
