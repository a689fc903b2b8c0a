import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { act, fireEvent, render, screen, within } from '@testing-library/react';

import { evaluateRepair } from '@core/fitting/fit';
import type { Body, Machine, Repair, Trial, TrialResult } from '@core/record/model';
import { newTrial } from '@core/fitting/trial';
import { rackWheel } from '@core/testing/repairDraft';
import { DEFAULT_WORKSHOP } from '@core/record/workshop';

import { InRepair } from '../../testing/InRepair';
import { ResultCard } from './ResultCard';

const mockPut = jest.fn();
const mockWorkshop = jest.fn();
const mockAsk = jest.fn();
jest.mock('expo-router', () => ({ router: {}, Link: () => null }));
jest.mock('../../api/useRepair', () => ({ useChangeRepair: () => ({ put: mockPut }) }));
jest.mock('../../api/useWorkshop', () => ({ useChangeWorkshop: () => mockWorkshop }));
jest.mock('../../api/client', () => ({ ask: (...given: unknown[]) => mockAsk(...given) as unknown }));
beforeEach(() => jest.resetAllMocks());

const press = (name: string | RegExp) => fireEvent.click(screen.getByRole('button', { name }));
const choose = (name: string) => fireEvent.click(screen.getByRole('radio', { name }));
const reading = (mm: number) => ({ typed: mm.toFixed(2), mm, instrumentId: 'bench-caliper' });

function show(more: Partial<TrialResult> = {}): Repair {
  const repair = rackWheel();
  const numbers = evaluateRepair(repair);
  const begun = newTrial(
    { state: repair, numbers, letter: 'A' },
    { id: 't', of: 'part', triedAt: '2026-11-01T00:00:00.000Z', madePartId: null },
  );
  const trial = { ...begun, results: begun.results.map((result) => ({ ...result, ...more })) };
  repair.trials = [trial];
  const setting = { state: repair, numbers, workshop: DEFAULT_WORKSHOP, trials: [trial], complete: true };
  render(
    <QueryClientProvider client={new QueryClient()}>
      <InRepair repair={repair}>
        <ResultCard trial={trial} index={0} setting={setting} />
      </InRepair>
    </QueryClientProvider>,
  );
  return repair;
}
const lastResult = (): TrialResult => (mockPut.mock.lastCall as [string, Trial])[1].results[0]!;
const SMALL = { made: [reading(5.98), reading(5.98)], verdict: 'willNotGo' as const };

test('what was done to it is kept with how much; what is no length is told, and nothing is kept', () => {
  show({ made: [reading(6.1)], done: [{ what: 'reamed', mm: null }] });
  const field = screen.getByLabelText('How much came off');
  fireEvent.change(field, { target: { value: '0.15' } });
  fireEvent.blur(field);
  expect(lastResult().done).toEqual([{ what: 'reamed', mm: 0.15 }]);
  // What is measured after the reamer is not what the machine made.
  expect(screen.getByText(/If it was measured after, do not learn from this one/)).toBeTruthy();
  mockPut.mockReset();
  fireEvent.change(field, { target: { value: 'a bit' } });
  fireEvent.blur(field);
  expect(screen.getByRole('alert').textContent).toContain('is not a length');
  expect(mockPut).not.toHaveBeenCalled();
});

test('one result of a trial can be left out and counted again; then the machine learns nothing from it', () => {
  show(SMALL);
  expect(screen.getByRole('button', { name: 'Take it: correction' })).toBeTruthy();
  press('Do not learn from Bore on the axle');
  expect(lastResult().leftOut).toBe('you left it out');
});

test('one that is left out proposes nothing for the machine, and can count again', () => {
  show({ ...SMALL, leftOut: 'you left it out' });
  expect(screen.queryByRole('button', { name: 'Take it: correction' })).toBeNull();
  press('Learn again from Bore on the axle');
  expect('leftOut' in lastResult()).toBe(false);
});

test('what else a correction changes is asked of the server before it is taken', async () => {
  show(SMALL);
  mockAsk.mockResolvedValue({
    effects: [
      {
        repairId: 'other',
        repairName: 'Cool-box latch',
        fitName: 'Pin in the latch',
        working: { fromMm: 4.22, toMm: 4.31 },
        chance: { from: 0.6, to: 0.9 },
      },
    ],
    looked: 200,
    more: true,
  });
  await act(async () => {
    press('What else changes');
    await Promise.resolve();
  });
  const list = await screen.findByRole('list', { name: 'Fits that change' });
  expect(within(list).getByText('Cool-box latch: Pin in the latch')).toBeTruthy();
  expect(list.textContent).toContain('4.22 mm becomes 4.31 mm; the chance 60 % becomes 90 %');
  expect(screen.getByText(/^Only the 200 repairs/)).toBeTruthy();
  const [path, { body }] = mockAsk.mock.lastCall as [string, { body: Machine }];
  expect(path).toBe('/machine-effects');
  expect(body.corrections.some(({ learned }) => learned)).toBe(true);
});

test('how it went is one tap, and a second tap takes it back', () => {
  show({ verdict: 'stiff' });
  choose('Loose');
  expect(lastResult().verdict).toBe('loose');
  choose('Stiff');
  expect(lastResult().verdict).toBeNull();
});

test('a place that is off moves its step, by as much and the way that was said', () => {
  const repair = show({ verdict: 'right' });
  press('Bore on the axle is in the wrong place');
  choose('to the right');
  const field = screen.getByLabelText('How far to the right');
  fireEvent.change(field, { target: { value: '0.4' } });
  fireEvent.blur(field);
  expect(lastResult().misplaced).toEqual({ firstMm: 0.4, secondMm: 0 });
  expect(repair.bodies[0]!.steps[2]).toMatchObject({ x: { from: 'number', mm: 0 } });
});

test('what follows from it is shown and taken with its reason, once', () => {
  show({ verdict: 'right', misplaced: { firstMm: 0.4, secondMm: 0 } });
  const place = screen.getByRole('group', { name: 'Where Bore on the axle should be' });
  expect(place.textContent).toContain(
    'Wheel, step 3: its place from left to right becomes 0.40 mm instead of 0.00 mm.',
  );
  press('Take it: place');
  const [[, body], [, trial]] = mockPut.mock.calls.slice(-2) as [[string, Body], [string, Trial]];
  expect(body.steps[2]).toMatchObject({ x: { from: 'number', mm: 0.4 } });
  expect(trial.taken).toEqual(['Bore on the axle moved: step 3, 0.40 mm for 0.00 mm']);
});

test('a critical size is measured beside what it should be, without a feel', () => {
  show({
    ofSize: true,
    counterpartMm: 38.2,
    allowanceMm: 0,
    correctionMm: 0,
    feature: 'tab',
    made: [reading(38.26)],
  });
  expect(screen.getByText(/^A critical size/).textContent).toContain('In the model 38.20 mm.');
  expect(screen.queryByRole('radiogroup', { name: /^How it went/ })).toBeNull();
  expect(screen.getByText('It came out 0.06 mm too large.')).toBeTruthy();
});

test('a size is measured at its foot too, and the two together say how far the first layer spread', () => {
  show({ made: [reading(6.1)] });
  press('Measure again: Bore on the axle');
  choose('At the first layer');
  const display = screen.getByLabelText('Reading');
  fireEvent.change(display, { target: { value: '6.04' } });
  press('Take reading 1');
  expect(lastResult()).toMatchObject({
    made: [reading(6.1)],
    foot: { takenBackMm: 0.1, made: [{ mm: 6.04, typed: '6.04' }] },
  });
});

test('what the foot measures is told, beside what was taken back', () => {
  show({ made: [reading(6.1)], foot: { takenBackMm: 0.1, made: [reading(6.04)] } });
  expect(screen.getByText(/^6.04 mm at the first layer: elephant foot of 0.13 mm per side/)).toBeTruthy();
});

test('a foot alone asks for what stands above it; what was not laid in layers has none', () => {
  show({ foot: { takenBackMm: 0.1, made: [reading(6.04)] } });
  expect(screen.getByText(/Measure it above the first layer too/)).toBeTruthy();
  document.body.innerHTML = '';
  show({ made: [reading(6.1)], foot: undefined });
  press('Measure again: Bore on the axle');
  expect(screen.queryByRole('radio', { name: 'At the first layer' })).toBeNull();
});
