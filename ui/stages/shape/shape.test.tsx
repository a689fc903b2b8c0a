import { cleanup, fireEvent, render, screen } from '@testing-library/react';
import { View } from 'react-native';

import type { Body } from '@core/record/model';
import type { StepOutcome } from '@core/shaping/part';
import { rackWheel } from '@core/testing/repairDraft';

import { useOpened } from '../../inRepair/opened';
import { InRepair } from '../../testing/InRepair';
import { StepSentence } from './StepSentence';

const mockPut = jest.fn();
jest.mock('../../api/useRepair', () => ({ useChangeRepair: () => ({ put: mockPut }) }));
jest.mock('../../solid/spawnWorker', () => ({ spawnWorker: () => ({ end: () => {} }) }));
beforeEach(() => mockPut.mockReset());

function show(index: number, outcome?: StepOutcome, repair = rackWheel()) {
  const body = repair.bodies[0]!;
  render(
    <InRepair repair={repair}>
      <View role="listitem">
        <StepSentence body={body} step={body.steps[index]!} index={index} outcome={outcome} />
      </View>
    </InRepair>,
  );
  return body;
}
const button = (name: string | RegExp) => screen.getByRole('button', { name });

test('a step reads as a sentence, with the working size in its chip', () => {
  show(2);
  expect(screen.getByRole('listitem').textContent).toBe(
    'Drill a hole B 6.32right through, down from the top, on the axle line',
  );
});

test('a chip’s mark shows its trail', () => {
  show(2);
  fireEvent.click(button('Trail of Bore on the axle, working size 6.32 mm'));
  expect(useOpened.getState().trail).toEqual({ from: 'fit', id: 'bore' });
});

test('a number is typed, or taken from a size', () => {
  const body = show(3);
  fireEvent.click(button('ease: 0.40 mm'));
  fireEvent.change(screen.getByLabelText(/^Type a number/), { target: { value: '0,6' } });
  fireEvent.click(button('Use this number'));
  expect(mockPut).toHaveBeenCalledTimes(1);
  const [row, value] = mockPut.mock.calls[0] as [string, typeof body];
  expect(row).toBe('body');
  expect(value.steps[3]).toEqual({ ...body.steps[3], size: { from: 'number', mm: 0.6 } });
  expect(value.steps.filter((step, index) => step !== body.steps[index])).toHaveLength(1);

  fireEvent.click(button('ease: 0.40 mm'));
  fireEvent.click(button('D, Groove, width, 4.00 mm'));
  const [, second] = mockPut.mock.calls[1] as [string, typeof body];
  expect(second.steps[3]).toMatchObject({ size: { from: 'size', id: 'd' } });
});

test('a number that is none is told, and nothing is changed', () => {
  show(3);
  fireEvent.click(button('ease: 0.40 mm'));
  fireEvent.change(screen.getByLabelText(/^Type a number/), { target: { value: 'wide' } });
  fireEvent.click(button('Use this number'));
  expect(screen.getByRole('alert').textContent).toContain('“wide” is not a length');
  expect(mockPut).not.toHaveBeenCalled();
});

test('a failing step says why; one behind it waits', () => {
  show(2, {
    stepId: 'bore',
    state: 'failed',
    fault: { code: 'step.pickLost', lookingFor: { is: 'rimItWasCutIn' } },
  });
  expect(screen.getByRole('alert').textContent).toContain('looking for the rim it was cut in');
  show(3, { stepId: 'mouths', state: 'waiting' });
  expect(screen.getByText('Waits for the step before it.')).toBeTruthy();
});

test('an ease that has no room is made as large as goes by a tap; with none that goes, only the reason is there', () => {
  const fault = (mostMm: number | null) => ({
    code: 'chamfer.tooLarge' as const,
    size: { what: 'ease' as const, tag: null, mm: 9 },
    verb: 'Ease',
    mostMm,
    at: [
      { tag: 'bore:wall', place: 3 },
      { tag: 'disc:top', place: 1 },
    ] as const,
  });
  show(3, { stepId: 'mouths', state: 'failed', fault: fault(3.4) });
  expect(screen.getByRole('alert').textContent).toContain('About 3.40 mm goes');
  fireEvent.click(button('Make it 3.4 mm'));
  const [, value] = mockPut.mock.calls[0] as [string, { steps: unknown[] }];
  expect(value.steps[3]).toMatchObject({ size: { from: 'number', mm: 3.4 } });
  cleanup();
  show(3, { stepId: 'mouths', state: 'failed', fault: fault(null) });
  expect(screen.getByRole('alert').textContent).toContain('Make it smaller');
  expect(screen.queryByRole('button', { name: /^Make it/ })).toBeNull();
});

test('a size that is gone shows as lost', () => {
  const repair = rackWheel();
  repair.sizes[0]!.removed = true;
  show(0, undefined, repair);
  expect(screen.getByRole('listitem').textContent).toContain('lost');
});

test('the menu moves a step, takes it out, and changes which edges it works on', () => {
  show(3);
  const order = () => (mockPut.mock.calls.at(-1) as [string, Body])[1].steps.map((step) => step.id).join(' ');
  fireEvent.click(button('More for step 4'));
  fireEvent.click(button('Later'));
  expect(order()).toBe('disc groove bore rims mouths');
  fireEvent.click(button('More for step 4'));
  fireEvent.click(button('Take out step 4'));
  expect(order()).toBe('disc groove bore rims');
  fireEvent.click(button('which edges: both mouths of the hole'));
  fireEvent.click(button('the outer edges'));
  const [, changed] = mockPut.mock.calls.at(-1) as [string, Body];
  expect(changed.steps[3]).toMatchObject({ where: { edges: 'rims', of: 'disc' } });
});
