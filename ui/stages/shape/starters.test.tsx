import { act, fireEvent, render, screen } from '@testing-library/react';

import type { Body, Fit, Reading, Size } from '@core/record/model';
import { STARTERS } from '@core/shaping/starters';
import { RepairDraft } from '@core/testing/repairDraft';

import { usePreferences } from '../../preferences/usePreferences';
import { InRepair } from '../../testing/InRepair';
import { AddStepSheet } from './AddStepSheet';
import { BodyMenu } from './BodyMenu';
import { ChoiceSheet } from './ChoiceSheet';

const mockPut = jest.fn();
const mockCount = jest.fn();
const mockShow = jest.fn();
jest.mock('../../api/useRepair', () => ({ useChangeRepair: () => ({ put: mockPut }) }));
jest.mock('../../solid/useSolid', () => ({
  workbench: {
    ask: {
      countEdges: (...given: unknown[]) => mockCount(...given) as unknown,
      showEdges: (...given: unknown[]) => mockShow(...given) as unknown,
    },
  },
}));
beforeEach(() => jest.resetAllMocks());

const draft = new RepairDraft('Knob');
const { repair } = draft
  .body('body', 'Spare', [])
  .body('bolt', 'Bolt', [draft.step('disc', { diameter: 8, width: 20 }, 'pin')], 'counterpart');
const press = (name: string | RegExp) => fireEvent.click(screen.getByRole('button', { name }));
const put = <T,>(row: string): T[] =>
  mockPut.mock.calls.filter(([kind]) => kind === row).map(([, value]) => value as T);

async function openStarter(name: RegExp): Promise<void> {
  render(
    <InRepair repair={repair}>
      <AddStepSheet body={repair.bodies[0]!} onClose={() => {}} />
    </InRepair>,
  );
  press('A starter: a whole recipe to change');
  await act(async () => {
    press(name);
    await Promise.resolve();
  });
}

describe('beginning with a starter', () => {
  test('all of them are offered, each by what it is for', () => {
    render(
      <InRepair repair={repair}>
        <AddStepSheet body={repair.bodies[0]!} onClose={() => {}} />
      </InRepair>,
    );
    press('A starter: a whole recipe to change');
    for (const { name, what } of STARTERS) {
      expect(screen.getByRole('button', { name: `${name}: ${what}` })).toBeTruthy();
    }
  });

  test('typed numbers are measured, the others are usual ones; the first spare goes into the body that is there', async () => {
    await openStarter(/^Wheel/);
    fireEvent.change(screen.getByLabelText(/Rim, outside/), { target: { value: '41.3' } });
    fireEvent.change(screen.getByLabelText(/Axle it runs on/), { target: { value: '1/4 in' } });
    press('Begin');
    const sizes = put<Size>('size');
    expect(sizes.map(({ tag, kind }) => [tag, kind])).toEqual([
      ['A', 'measured'],
      ['B', 'chosen'],
      ['C', 'measured'],
      ['D', 'chosen'],
      ['E', 'chosen'],
    ]);
    const readings = put<Reading>('reading');
    expect(readings.map(({ value, typed }) => [value, typed])).toEqual([
      [41.3, '41.3'],
      [6.35, '1/4 in'],
    ]);
    expect(readings.map(({ sizeId }) => sizeId)).toEqual([sizes[0]!.id, sizes[2]!.id]);
    expect(put<Fit>('fit')).toMatchObject([{ counterpartSizeId: sizes[2]!.id, fitClass: 'turns' }]);
    const [wheel] = put<Body>('body');
    expect(wheel).toMatchObject({ id: 'body', name: 'Wheel' });
    expect(wheel!.steps.map(({ kind }) => kind)).toEqual(['disc', 'groove', 'hole', 'chamfer', 'chamfer']);
  });

  test('calipers that type go from one number to the next', async () => {
    await openStarter(/^Wheel/);
    const type = (keys: string[]) =>
      act(() => {
        for (const key of keys) fireEvent.keyDown(window, { key });
      });
    type([...'41.32', 'Enter', ...'12.07', 'Enter', ...'6.02', 'Enter']);
    press('Begin');
    expect(put<Reading>('reading').map(({ value }) => value)).toEqual([41.32, 12.07, 6.02]);
  });

  test('what an inch caliper types is in inches, as on the pad', async () => {
    const { instruments } = usePreferences.getState();
    usePreferences.setState({ instruments: { ...instruments, length: 'inch-caliper' } });
    await openStarter(/^Wheel/);
    fireEvent.change(screen.getByLabelText(/Rim, outside/), { target: { value: '1.504' } });
    press('Begin');
    usePreferences.setState({ instruments });
    const [reading] = put<Reading>('reading');
    expect(reading!.value).toBeCloseTo(38.2016, 4);
    expect(reading!.instrumentId).toBe('inch-caliper');
  });

  test('a number that can’t be is told at its field, and nothing is begun', async () => {
    await openStarter(/^Wheel/);
    fireEvent.change(screen.getByLabelText(/Wheel, width/), { target: { value: '8 bananas' } });
    press('Begin');
    expect(screen.getByRole('alert').textContent).toContain('is not a length');
    expect(mockPut).not.toHaveBeenCalled();
    fireEvent.change(screen.getByLabelText(/Wheel, width/), { target: { value: '-8' } });
    press('Begin');
    expect(screen.getByRole('alert')).toBeTruthy();
    expect(mockPut).not.toHaveBeenCalled();
  });

  test('one with several bodies makes them all, each with its part to play', async () => {
    await openStarter(/^Knob with/);
    press('Begin');
    const bodies = put<Body>('body');
    expect(bodies.map(({ name, role }) => [name, role])).toEqual([
      ['Bolt', 'counterpart'],
      ['Knob', 'spare'],
      ['Lid', 'spare'],
    ]);
    const room = bodies[1]!.steps.find(({ kind }) => kind === 'body');
    expect(room).toMatchObject({ of: bodies[0]!.id, effect: 'cut' });
  });
});

test('bodies are shown, ghosted or hidden one by one', () => {
  render(
    <InRepair repair={repair}>
      <BodyMenu body={repair.bodies[0]!} onAdd={() => {}} onClose={() => {}} />
    </InRepair>,
  );
  const views = screen.getByRole('radiogroup', { name: 'How Bolt is shown' });
  const checked = () =>
    [...views.querySelectorAll('[role=radio]')].filter((one) => one.getAttribute('aria-checked') === 'true');
  expect(checked().map((one) => one.textContent)).toEqual(['Ghost']);
  fireEvent.click([...views.querySelectorAll('[role=radio]')].at(-1)!);
  expect(checked().map((one) => one.textContent)).toEqual(['Hidden']);
});

test('a rule for edges tells what it catches, is shown first, and used only then', async () => {
  const other = new RepairDraft('x');
  const steps = [
    other.step('disc', { diameter: 30, width: 10 }, 'disc'),
    other.step('fillet', { size: 1, where: { edges: 'rims', of: 'disc' } }, 'round'),
  ];
  const body = other.body('b', 'b', steps).repair.bodies[0]!;
  const rule = (edges: string) => ({ word: edges, patch: { where: { edges, of: 'disc' } } });
  mockCount.mockResolvedValue([2, 3, 0]);
  mockShow.mockResolvedValue(new Float32Array(12));
  const onTake = jest.fn();
  const options = [rule('rims'), rule('all'), rule('mouths')];
  render(
    <ChoiceSheet
      body={body}
      step={body.steps[1]!}
      choice={{ kind: 'choice', what: 'which edges', text: 'rims', strong: false, options }}
      onTake={onTake}
      onPick={() => {}}
      onClose={() => {}}
    />,
  );
  await act(async () => {
    await Promise.resolve();
  });
  expect(mockCount).toHaveBeenCalledWith(
    'b',
    1,
    options.map(({ patch }) => patch.where),
  );
  expect(screen.getByRole('button', { name: 'rims' }).textContent).toContain('catches 2 edges');
  expect(screen.queryByRole('button', { name: 'mouths' })).toBeNull();
  await act(async () => {
    press('all');
    await Promise.resolve();
  });
  expect(onTake).not.toHaveBeenCalled();
  expect(mockShow).toHaveBeenCalledWith('b', 1, { edges: 'all', of: 'disc' });
  press('Use these edges');
  expect(onTake).toHaveBeenCalledWith({ where: { edges: 'all', of: 'disc' } });
});
