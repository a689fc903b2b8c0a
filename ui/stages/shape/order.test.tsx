import { fireEvent, render, screen } from '@testing-library/react';

import type { Body } from '@core/record/model';
import { rackWheel } from '@core/testing/repairDraft';

import { useBodyHistory } from '../../api/bodyHistory';
import { takeInHand } from '../../inRepair/atHand';
import { useFolded } from '../../inRepair/folded';
import { InRepair } from '../../testing/InRepair';
import { HistoryButtons } from '../../inRepair/HistoryButtons';
import { StepList } from './StepList';
import { StepMenu } from './StepMenu';

const mockPut = jest.fn();
jest.mock('../../api/useRepair', () => ({ useChangeRepair: () => ({ put: mockPut }) }));
jest.mock('../../solid/spawnWorker', () => ({ spawnWorker: () => ({ end: () => {} }) }));
beforeEach(() => mockPut.mockReset());

const repair = rackWheel();
const wheel = repair.bodies[0]!;
const order = () => (mockPut.mock.calls.at(-1) as [string, Body])[1].steps.map(({ id }) => id);

function showList(body: Body = wheel, outcomes: Parameters<typeof StepList>[0]['outcomes'] = []): void {
  render(
    <InRepair repair={repair}>
      <StepList body={body} outcomes={outcomes} />
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

describe('a long recipe', () => {
  const named: Body = {
    ...wheel,
    steps: wheel.steps.map((step, index) => (index === 2 ? { ...step, heading: 'Bore' } : step)),
  };
  const items = () => screen.getAllByRole('listitem').length;
  beforeEach(() => {
    useFolded.setState({ sections: [], isShort: false });
    takeInHand(null);
  });

  test('a section is folded away under its name, which tells what is in it and what goes wrong', () => {
    const failed = { stepId: 'mouths', state: 'failed', fault: { code: 'step.nothingLeft' } } as never;
    showList(named, [failed]);
    expect(items()).toBe(6);
    fireEvent.click(screen.getByRole('button', { name: 'Bore', expanded: true }));
    expect(items()).toBe(3);
    expect(screen.getByText('3 steps')).toBeTruthy();
    expect(screen.getByText('1 fails')).toBeTruthy();
    fireEvent.click(screen.getByRole('button', { name: /^Bore/, expanded: false }));
    expect(items()).toBe(6);
  });

  test('the step at hand is seen in a section that was folded, until that is folded again', () => {
    useFolded.setState({ sections: ['bore'] });
    takeInHand('mouths');
    showList(named);
    expect(items()).toBe(6);
    fireEvent.click(screen.getByRole('button', { name: 'Bore', expanded: true }));
    expect(items()).toBe(3);
    fireEvent.click(screen.getByRole('button', { name: /^Bore/, expanded: false }));
    expect(items()).toBe(6);
  });

  test('on one line each a step is a sentence with its numbers; the one at hand is whole', () => {
    useFolded.setState({ isShort: true });
    showList();
    expect(screen.queryByRole('button', { name: /^groove width:/ })).toBeNull();
    fireEvent.click(screen.getByRole('button', { name: /^Step 2: Cut a groove 4\.00 mm wide/ }));
    expect(screen.getByRole('button', { name: /^groove width:/ })).toBeTruthy();
    expect(screen.queryByRole('button', { name: /^Step 2: Cut/ })).toBeNull();
    expect(screen.getByRole('button', { name: /^Step 3: Drill a hole/ })).toBeTruthy();
  });

  test('a section begins where a person says, and no more when its name is taken away', () => {
    const { unmount } = render(
      <InRepair repair={repair}>
        <StepMenu body={wheel} step={wheel.steps[2]!} index={2} onClose={() => {}} />
      </InRepair>,
    );
    const field = () => screen.getByLabelText('A section begins here, called');
    const headings = () =>
      (mockPut.mock.calls.at(-1) as [string, Body])[1].steps.map(({ heading }) => heading);
    fireEvent.change(field(), { target: { value: ' Bore ' } });
    fireEvent.click(screen.getByText('Begin the section here'));
    expect(headings()).toEqual([undefined, undefined, 'Bore', undefined, undefined]);
    unmount();
    render(
      <InRepair repair={repair}>
        <StepMenu body={named} step={named.steps[2]!} index={2} onClose={() => {}} />
      </InRepair>,
    );
    fireEvent.change(field(), { target: { value: '' } });
    fireEvent.click(screen.getByText('Begin no section here'));
    expect(headings().every((heading) => heading === undefined)).toBe(true);
  });
});
