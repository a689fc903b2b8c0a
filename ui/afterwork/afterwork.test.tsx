import { fireEvent, render, screen } from '@testing-library/react';

import { evaluateRepair } from '@core/fitting/fit';
import { USUAL_PRINT_SETUP, type Trial } from '@core/record/model';
import { newTrial } from '@core/fitting/trial';
import { rackWheel } from '@core/testing/repairDraft';

import { TrialAfterwork } from '../stages/trial/TrialAfterwork';
import { InRepair } from '../testing/InRepair';

const mockPut = jest.fn();
jest.mock('../api/useRepair', () => ({ useChangeRepair: () => ({ put: mockPut }) }));
beforeEach(() => mockPut.mockReset());

function show(finished?: Trial['finished']) {
  const repair = rackWheel();
  repair.bodies[0]!.laying = { ...USUAL_PRINT_SETUP, support: 'bed' };
  const begun = newTrial(
    { state: repair, numbers: evaluateRepair(repair), letter: 'A' },
    { id: 't', of: 'part', triedAt: '2026-11-01T00:00:00.000Z', madePartId: null },
  );
  const trial = { ...begun, ...(finished ? { finished } : {}) };
  render(
    <InRepair repair={repair}>
      <TrialAfterwork trial={trial} />
    </InRepair>,
  );
}
const kept = () => (mockPut.mock.lastCall as [string, Trial])[1].finished;
const box = (name: RegExp) => screen.getByRole('checkbox', { name });

test('what comes after is ticked off at the bench and can be ticked on again', () => {
  show();
  expect(screen.getByRole('status').textContent).toBe('About 11 min hands-on and 18 min of waiting.');
  fireEvent.click(box(/^Break off the supports/));
  expect(kept()).toEqual([{ what: 'supports' }]);
  fireEvent.click(box(/^Ream .* to 6\.20/));
  expect(kept()).toEqual([{ what: 'ream', fitId: 'bore' }]);
});

test('what is done is told apart from what is left', () => {
  show([{ what: 'supports' }, { what: 'ream', fitId: 'bore' }]);
  expect(box(/^Break off the supports/).getAttribute('aria-checked')).toBe('true');
  expect(box(/^Take it off/).getAttribute('aria-checked')).toBe('false');
  expect(screen.getByRole('status').textContent).toBe('About 3 min hands-on and 18 min of waiting.');
  fireEvent.click(box(/^Break off the supports/));
  expect(kept()).toEqual([{ what: 'ream', fitId: 'bore' }]);
});
