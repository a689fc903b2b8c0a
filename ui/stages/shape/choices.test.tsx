import { fireEvent, render, screen } from '@testing-library/react';

import { numberValue, Step, type Body } from '@core/record/model';

import { InRepair } from '../../testing/InRepair';
import { press, repairWith, show } from '../../testing/oneStep';
import { AddStepSheet } from './AddStepSheet';

const mockPut = jest.fn();
jest.mock('../../api/useRepair', () => ({ useChangeRepair: () => ({ put: mockPut }) }));
jest.mock('../../solid/spawnWorker', () => ({ spawnWorker: () => ({ end: () => {} }) }));
beforeEach(() => mockPut.mockReset());

const slot = Step.parse({
  id: 'slot',
  kind: 'extrude',
  effect: 'cut',
  outline: { shape: 'slot', length: numberValue(20), breadth: numberValue(5) },
  turn: 0,
  height: 'through',
  on: 'top',
  x: numberValue(0),
  y: numberValue(0),
});
const sent = () => (mockPut.mock.calls.at(-1) as [string, Body])[1].steps;

describe('words of a sentence that can be changed', () => {
  test('open their other words, with the one that holds marked', () => {
    show(repairWith(slot));
    press('the outline: a slot');
    expect(screen.getByRole('heading', { name: 'Change the outline' })).toBeTruthy();
    press('an ellipse');
    expect(sent()[1]).toMatchObject({
      outline: { shape: 'ellipse', length: numberValue(20), breadth: numberValue(5) },
    });
    expect(sent()[0]!.id).toBe('plate');
  });

  test('a number inside an outline is changed there', () => {
    show(repairWith(slot));
    press('length: 20.00 mm');
    press('A, Plate, length, 40.00 mm');
    expect(sent()[1]).toMatchObject({
      outline: { length: { from: 'size', id: 'a' }, breadth: numberValue(5) },
    });
  });

  test('a step moves off the axle line and back by its words', () => {
    show(repairWith(slot));
    press('where it is: on the axle line');
    press('aside of the axle line');
    expect(sent()[1]).toMatchObject({ x: numberValue(10) });
  });
});

describe('the menu of a step', () => {
  test('switches it off, on, and copies it', () => {
    show(repairWith(slot));
    press('More for step 2');
    press('Switch it off');
    expect(sent()[1]).toEqual({ ...slot, off: true });
    press('More for step 2');
    press('Copy it');
    expect(sent().map(({ kind }) => kind)).toEqual(['plate', 'extrude', 'extrude']);
    expect(sent()[2]!.id).not.toBe('slot');
  });

  test('one that is off says so', () => {
    show(repairWith({ ...slot, off: true }));
    expect(screen.getByText(/^Switched off/)).toBeTruthy();
    press('More for step 2');
    press('Switch it on');
    expect(sent()[1]).toEqual(slot);
  });
});

test('every kind of step that is offered can be added and passes the schema', () => {
  const repair = repairWith(slot);
  const body = repair.bodies[0]!;
  const open = () =>
    render(
      <InRepair repair={repair}>
        <AddStepSheet body={body} onClose={() => {}} />
      </InRepair>,
    );
  const { unmount } = open();
  const names = screen
    .getAllByRole('button')
    .map((button) => button.getAttribute('aria-label')!)
    .filter((name) => name !== 'Close');
  unmount();
  expect(names.length).toBeGreaterThan(10);
  for (const name of names) {
    const opened = open();
    // By its label: to look for a role among some thirty drawings takes a second each time.
    fireEvent.click(opened.baseElement.querySelector(`[aria-label="${name}"]`)!);
    const added = sent().at(-1)!;
    expect(Step.safeParse(added).error).toBeUndefined();
    opened.unmount();
  }
});
