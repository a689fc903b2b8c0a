import { fireEvent, render, screen } from '@testing-library/react';

import type { Body } from '@core/record/model';
import { spokenSentence } from '@core/shaping/sentence';
import { stepSentence } from '@core/shaping/steps';
import { rackWheel } from '@core/testing/repairDraft';

import { stanceName } from '../../part/stances';
import { InRepair } from '../../testing/InRepair';
import { SideNamesSheet } from './SideNamesSheet';

const mockPut = jest.fn();
jest.mock('../../api/useRepair', () => ({ useChangeRepair: () => ({ put: mockPut }) }));
jest.mock('../../solid/spawnWorker', () => ({ spawnWorker: () => ({ end: () => {} }) }));
beforeEach(() => mockPut.mockReset());

const wheel = rackWheel().bodies[0]!;
const open = (body: Body = wheel) =>
  render(
    <InRepair repair={rackWheel()}>
      <SideNamesSheet body={body} onClose={() => {}} />
    </InRepair>,
  );
const type = (label: RegExp, value: string) =>
  fireEvent.change(screen.getByLabelText(label), { target: { value } });
const keep = () => fireEvent.click(screen.getByRole('button', { name: 'Keep these names' }));
const kept = () => (mockPut.mock.calls.at(-1) as [string, Body])[1];

test('sides that are named are kept, empty ones are not, and all emptied leave none', () => {
  open();
  type(/^Top/, '  wall side ');
  type(/^Left/, '   ');
  keep();
  expect(kept().sides).toEqual({ top: 'wall side' });
  open(kept());
  const [, last] = screen.getAllByLabelText(/^Top/);
  fireEvent.change(last!, { target: { value: '' } });
  fireEvent.click(screen.getAllByRole('button', { name: 'Keep these names' })[1]!);
  expect('sides' in kept()).toBe(false);
});

test('a name that is too long is told at its field, and nothing is lost', () => {
  open();
  type(/^Front/, 'x'.repeat(41));
  keep();
  expect(mockPut).not.toHaveBeenCalled();
  expect(screen.getByText('Use at most 40 letters, on one line.')).toBeTruthy();
  expect((screen.getByLabelText(/^Front/) as HTMLInputElement).value).toHaveLength(41);
});

test('steps and stances say the side by its name, beside its own word', () => {
  const sides = { top: 'wall side', front: 'up' };
  const bore = wheel.steps.find(({ kind }) => kind === 'hole')!;
  const said = (names: object) => spokenSentence(stepSentence(bore, wheel.steps, names), () => '6.32');
  expect(said({})).toContain('down from the top, on');
  expect(said({ sides })).toContain('down from the top (wall side), on');
  const choice = stepSentence(bore, wheel.steps, { sides }).find(
    (part) => part.kind === 'choice' && part.what === 'what it starts from',
  );
  const words = choice?.kind === 'choice' ? choice.options.map(({ word }) => word) : [];
  expect(words.slice(0, 4)).toEqual([
    'down from the top (wall side)',
    'up from the bottom',
    'in from the front (up)',
    'in from the back',
  ]);
  // What is chosen is still one of them.
  expect(choice?.kind === 'choice' && words.includes(choice.text)).toBe(true);
  expect([stanceName('plan', sides), stanceName('front', sides), stanceName('side', sides)]).toEqual([
    'Wall side',
    'Up',
    'Side',
  ]);
});
