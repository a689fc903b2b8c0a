import { fireEvent, render, screen } from '@testing-library/react';

import type { Body } from '@core/record/model';
import { rackWheel } from '@core/testing/repairDraft';

import { useBodyHistory } from '../../api/bodyHistory';
import { InRepair } from '../../testing/InRepair';
import { HistoryButtons } from './HistoryButtons';
import { StepList } from './StepList';

const mockPut = jest.fn();
jest.mock('../../api/useRepair', () => ({ useChangeRepair: () => ({ put: mockPut }) }));
jest.mock('../../solid/spawnWorker', () => ({ spawnWorker: () => ({ end: () => {} }) }));
beforeEach(() => mockPut.mockReset());

const repair = rackWheel();
const wheel = repair.bodies[0]!;
const order = () => (mockPut.mock.calls.at(-1) as [string, Body])[1].steps.map(({ id }) => id);

function showList(): void {
  render(
    <InRepair repair={repair}>
      <StepList body={wheel} outcomes={[]} />
    </InRepair>,
  );
}

test('the arrow keys move a step by one place, and not past the ends', () => {
  showList();
  const handle = (place: number) => screen.getByRole('button', { name: `Move step ${place}` });
  fireEvent.keyDown(handle(2), { key: 'ArrowDown' });
  expect(order()).toEqual(['disc', 'bore', 'groove', 'mouths', 'rims']);
  fireEvent.keyDown(handle(5), { key: 'ArrowUp' });
  expect(order()).toEqual(['disc', 'groove', 'bore', 'rims', 'mouths']);
  mockPut.mockReset();
  fireEvent.keyDown(handle(1), { key: 'ArrowUp' });
  fireEvent.keyDown(handle(5), { key: 'ArrowDown' });
  fireEvent.keyDown(handle(3), { key: 'Enter' });
  expect(mockPut).not.toHaveBeenCalled();
});

test('the list holds its steps and nothing else', () => {
  showList();
  expect(screen.getAllByRole('listitem')).toHaveLength(5);
});

test('the last change is taken back by its button and by the keys, but not while one types', () => {
  useBodyHistory.setState({ past: {}, future: {} });
  const before = { ...wheel, steps: wheel.steps.slice(0, 4) };
  useBodyHistory.getState().record(before);
  render(
    <InRepair repair={repair}>
      <HistoryButtons body={wheel} />
      <input aria-label="somewhere" />
    </InRepair>,
  );
  fireEvent.keyDown(screen.getByLabelText('somewhere'), { key: 'z', ctrlKey: true });
  expect(mockPut).not.toHaveBeenCalled();
  fireEvent.keyDown(window.document.body, { key: 'z', ctrlKey: true });
  expect(order()).toEqual(['disc', 'groove', 'bore', 'mouths']);
  expect(
    screen.getByRole('button', { name: 'Take back the last change' }).getAttribute('aria-disabled'),
  ).toBe('true');
  fireEvent.click(screen.getByRole('button', { name: 'Make the change again' }));
  expect(order()).toEqual(['disc', 'groove', 'bore', 'mouths', 'rims']);
});
