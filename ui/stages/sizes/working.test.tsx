import { act, fireEvent, render, renderHook, screen, within } from '@testing-library/react';
import type { ReactNode } from 'react';

import { evaluateRepair } from '@core/fitting/fit';
import type { Derivation, Repair, Size } from '@core/record/model';
import { rackWheel, RepairDraft } from '@core/testing/repairDraft';

import { useNotices } from '../../api/notices';
import { usePreferences } from '../../preferences/usePreferences';
import { InRepair } from '../../testing/InRepair';
import { DeriveSheet } from '../../measuring/derive/DeriveSheet';
import { Doubt } from '../../inRepair/Doubt';
import { openSize, useOpened } from '../../inRepair/opened';
import { LikelySheet, likelyOf } from '../../measuring/LikelySheet';
import { SizeForm } from '../../measuring/SizeForm';
import { TakenSheet } from '../../measuring/TakenSheet';
import { useReadThrough } from '../../measuring/useReadThrough';

const mockPut = jest.fn();
jest.mock('../../api/useRepair', () => ({ useChangeRepair: () => ({ put: mockPut }) }));
beforeEach(() => {
  mockPut.mockReset();
  usePreferences.setState({ unit: 'mm', readingsEach: 3 });
});

const press = (name: string | RegExp) => fireEvent.click(screen.getByRole('button', { name }));
const choose = (name: string | RegExp) => fireEvent.click(screen.getByRole('radio', { name }));
const type = (label: string | RegExp, value: string) =>
  fireEvent.change(screen.getByLabelText(label), { target: { value } });
const inRepair = (node: ReactNode, repair: Repair = rackWheel()) =>
  render(<InRepair repair={repair}>{node}</InRepair>);
const sent = () => (mockPut.mock.calls.at(-1) as [string, Size])[1];

describe('working a size out', () => {
  const repair = () =>
    new RepairDraft('x')
      .measured('A', 'Tube, outside', ['20.00', '20.02'])
      .measured('B', 'Tube, inside', ['16.00', '16.02'])
      .formula('C', 'Wall', '').repair;
  const show = (derivation: Derivation | null) => {
    const state = repair();
    const size = { ...state.sizes[2]!, derivation };
    inRepair(<DeriveSheet size={size} onClose={() => {}} />, state);
  };
  const formula = (text: string): Derivation => ({ by: 'formula', text, unit: 'mm' });

  test('by a formula, with what it gives while it is typed', () => {
    show(formula(''));
    type('Formula over tags', '(A - B) / 2');
    expect(screen.getByRole('status').textContent).toMatch(/^C = 2\.00 mm ± 0\.0\d$/);
    press('Keep');
    expect(sent()).toMatchObject({ kind: 'derived', derivation: formula('(A - B) / 2'), quantity: 'length' });
  });

  test.each([
    ['C + 1', 'worked out from itself'],
    ['A / (B - B)', 'is wanted'],
    ['A * A / (B - B)', 'divides by zero'],
    ['A + 10°', 'angle'],
    ['A + Z', 'Z'],
    ['A +', 'read'],
  ])('%s is told while it is typed', (text, sentence) => {
    show(formula(text));
    expect(screen.getByRole('alert').textContent).toContain(sentence);
  });

  test('by a drawing: inputs are tapped on it, and the rest follows', () => {
    show(null);
    press('Wall');
    const figure = screen.getByRole('group', { name: 'Figure: Wall' });
    // Places are drawn once the figure knows its width, which it never does here.
    expect(within(figure).queryAllByRole('button')).toHaveLength(0);
    expect(screen.getByText(/A tube or a cup/)).toBeTruthy();
    expect(screen.getByRole('button', { name: 'Keep' }).getAttribute('aria-disabled')).toBe('true');
  });

  test('a drawing that gives several numbers asks which is meant, and the size follows its kind', () => {
    show({
      by: 'construction',
      construction: 'taper',
      inputs: {
        wide: { from: 'size', id: 'a' },
        narrow: { from: 'size', id: 'b' },
        apart: { from: 'number', value: 40 },
      },
      result: 'angle',
    });
    // 2 atan(4 / 80).
    expect(screen.getByRole('status').textContent).toContain('C = 5.72°');
    choose(/taper on 100 mm/i);
    expect(screen.getByRole('status').textContent).toContain('C = 10.00 mm');
    press('Keep');
    expect(sent()).toMatchObject({ quantity: 'length', derivation: { result: 'per100' } });
  });

  test('a size that is not taken yet is named', () => {
    const state = repair();
    state.readings = state.readings.filter(({ sizeId }) => sizeId !== 'b');
    const size = { ...state.sizes[2]!, derivation: formula('A - B') };
    inRepair(<DeriveSheet size={size} onClose={() => {}} />, state);
    expect(screen.getByText('Known as soon as B (Tube, inside) is taken.')).toBeTruthy();
  });

  test('the doubt is told by its shares, the largest named', () => {
    const state = repair();
    state.sizes[2]!.derivation = formula('A + B / 10');
    const { result, size } = evaluateRepair(state).sizes.get('c')!;
    if (result.status !== 'derived') throw new Error(result.status);
    inRepair(<Doubt size={size} uncertainty={result.uncertainty} />, state);
    const doubt = screen.getByRole('group', { name: 'Where the doubt comes from' });
    // 0.011² by A itself, a hundredth of that by B, and the caliper's 1.1 · 0.01155 in both.
    expect(doubt.textContent).toMatch(/mostly Bench caliper, the same in each/);
    expect(doubt.textContent).toMatch(/Bench caliper, the same in each5[67] %A Tube, outside4[23] %/);
  });

  test('of a wall, what the caliper may do differently at each place counts', () => {
    const state = repair();
    state.sizes[2]!.derivation = formula('(A - B) / 2');
    const { result, size } = evaluateRepair(state).sizes.get('c')!;
    if (result.status !== 'derived') throw new Error(result.status);
    inRepair(<Doubt size={size} uncertainty={result.uncertainty} />, state);
    expect(screen.getByText('Bench caliper, different in each')).toBeTruthy();
  });
});

describe('what a size might be', () => {
  const seat = () =>
    new RepairDraft('x').measured('A', 'Seat', ['21.98', '21.97', '21.99'], { jaw: 'inside' }).repair;

  test('taking a standard keeps the readings and says where the number is from', () => {
    const repair = seat();
    const { size, result } = evaluateRepair(repair).sizes.get('a')!;
    inRepair(<LikelySheet size={size} result={result} onClose={() => {}} />, repair);
    press(/^Bearing seat 22/);
    expect(mockPut).not.toHaveBeenCalled();
    press('Use 22.00 mm instead (+0.02)');
    expect(sent()).toMatchObject({ kind: 'stated', given: 22, givenPlusMinus: 0.033 });
    expect(sent().source).toMatch(
      /^Bearing seat 22 .*ISO 15, tables of diameter series: 21\.97 to 22\.03 mm$/,
    );
    expect(mockPut.mock.calls[0]![2]).toContain('Its readings are kept.');
  });

  test('a nut stays as wide as it was measured between its crests, and is noted', () => {
    const repair = new RepairDraft('x').measured('A', 'Nut', ['6.75'], { jaw: 'inside' }).repair;
    const { size, result } = evaluateRepair(repair).sizes.get('a')!;
    inRepair(<LikelySheet size={size} result={result} onClose={() => {}} />, repair);
    choose('Thread');
    press(/^Nut thread M8/);
    expect(screen.getByText(/which is not the diameter that you measured/)).toBeTruthy();
    // What taking the standard's number would change stands on its button.
    expect(screen.getByRole('button', { name: 'Use 8.00 mm instead (+1.25)' })).toBeTruthy();
    press('Keep 6.75 mm, and note what it is');
    expect(sent()).toMatchObject({ kind: 'measured', given: null });
    expect(sent().source).toMatch(
      /^Nut thread M8, ISO 262, table 1; ISO 965-2, tables 2 and 4: 6\.65 to 6\.92 mm between the crests$/,
    );
  });

  test('a measured pitch tells threads apart', () => {
    const repair = new RepairDraft('x')
      .measured('A', 'Screw, outside', ['7.86'], { of: 'counterpart' })
      .measured('B', 'Pitch of the screw', ['1.00'], { of: 'counterpart' }).repair;
    const { size, result } = evaluateRepair(repair).sizes.get('a')!;
    inRepair(<LikelySheet size={size} result={result} onClose={() => {}} />, repair);
    expect(screen.getByText('With pitch B, most likely first')).toBeTruthy();
    expect(screen.getAllByRole('button', { name: /Thread/ })[0]!.textContent).toContain('M8 × 1');
  });

  test('depths and steps are no standard things, and neither is what no table has', () => {
    const repair = new RepairDraft('x')
      .measured('A', 'Depth', ['22.00'], { jaw: 'depth' })
      .measured('B', 'Odd', ['58.40']).repair;
    const { sizes } = evaluateRepair(repair);
    const [depth, odd] = [sizes.get('a')!, sizes.get('b')!];
    expect(likelyOf(depth.size, depth.result)).toEqual([]);
    inRepair(<LikelySheet {...odd} onClose={() => {}} />, repair);
    expect(screen.getByText(/^No standard size matches/)).toBeTruthy();
  });
});

describe('adding a size', () => {
  const show = () => inRepair(<SizeForm size={null} onClose={() => {}} />);
  const submit = async (name: string | RegExp) => {
    await act(async () => press(name));
  };

  test('takes the next letter', async () => {
    show();
    type('Name', 'Hub, outside');
    await submit('Add and measure');
    expect(sent()).toMatchObject({ tag: 'G', name: 'Hub, outside', kind: 'measured', jaw: 'outside' });
  });

  test('a stated number may have any unit or be a sum, and keeps its source', async () => {
    show();
    type('Name', 'Shaft');
    choose('Stated');
    type('Number', '1/2 in');
    type('Where is it stated?', 'manual, page 4');
    await submit('Add');
    expect(sent()).toMatchObject({ kind: 'stated', given: 12.7, source: 'manual, page 4' });
  });

  test('a stated number keeps its limits, and loses them with its being stated', async () => {
    show();
    type('Name', 'Pin');
    choose('Stated');
    type('Number', '6');
    type('Plus or minus, if limits are stated', '0,012');
    type('Where is it stated?', 'drawing');
    await submit('Add');
    expect(sent()).toMatchObject({ kind: 'stated', given: 6, givenPlusMinus: 0.012 });
    const size = sent();
    inRepair(<SizeForm size={size} onClose={() => {}} />);
    const again = screen.getAllByRole('radio', { name: 'Chosen' }).at(-1)!;
    fireEvent.click(again);
    await act(async () => fireEvent.click(screen.getAllByRole('button', { name: 'Keep' }).at(-1)!));
    expect(sent()).toMatchObject({ kind: 'chosen', given: 6 });
    expect(sent()).not.toHaveProperty('givenPlusMinus');
  });

  test('limits that are no length are told', async () => {
    show();
    type('Name', 'Pin');
    choose('Stated');
    type('Number', '6');
    type('Plus or minus, if limits are stated', 'some');
    await submit('Add');
    expect(screen.getByRole('alert').textContent).toContain('some');
    expect(mockPut).not.toHaveBeenCalled();
  });

  test('an angle and a count', async () => {
    show();
    type('Name', 'Tilt');
    choose('Chosen');
    choose('Angle');
    type('Number', "22° 30'");
    await submit('Add');
    expect(sent().given).toBeCloseTo(Math.PI / 8, 9);
    expect(sent()).toMatchObject({ quantity: 'angle', kind: 'chosen' });
  });

  test.each([
    ['', 'needs a name'],
    ['RIM, outside ', 'Size A is called “Rim, outside” already'],
    ['n'.repeat(300), '300 characters'],
  ])('a name %j is told', async (name, sentence) => {
    show();
    type('Name', name);
    await submit('Add and measure');
    expect(screen.getByRole('alert').textContent).toContain(sentence);
    expect(mockPut).not.toHaveBeenCalled();
  });

  test('a number that is none is told at its place', async () => {
    show();
    type('Name', 'Shaft');
    choose('Chosen');
    type('Number', '0');
    await submit('Add');
    expect(screen.getByRole('alert').textContent).toContain('more than zero');
  });
});

test('another value than the mean is taken with a reason that can be changed', () => {
  const size = rackWheel().sizes[0]!;
  inRepair(<TakenSheet size={size} onClose={() => {}} />);
  choose(/Largest/);
  const why = screen.getByLabelText('Why not the mean?') as HTMLInputElement;
  expect(why.value).not.toBe('');
  type('Why not the mean?', 'flat on one side');
  choose(/Smallest/);
  expect((screen.getByLabelText('Why not the mean?') as HTMLInputElement).value).toBe('flat on one side');
  press('Take this value');
  expect(sent()).toMatchObject({ taken: 'smallest', takenWhy: 'flat on one side' });
});

describe('a read-through', () => {
  const repair = new RepairDraft('x')
    .measured('A', 'a', ['1.00', '1.00', '1.00'])
    .measured('B', 'b', ['1.00'])
    .measured('C', 'c', [])
    .chosen('D', 'd', 4).repair;
  const isOpen = () => useOpened.getState().size;
  const start = (size: string | null) => {
    openSize(size);
    const wrapper = ({ children }: { children: ReactNode }) => (
      <InRepair repair={repair}>{children}</InRepair>
    );
    return renderHook(() => useReadThrough(), { wrapper });
  };

  test('visits what lacks readings, in order, and nothing else', () => {
    const { result } = start('b');
    expect(result.current.waiting).toBe(2);
    act(() => result.current.begin());
    expect(isOpen()).toBe('b');
    expect(result.current).toMatchObject({ on: true, place: 1, total: 2 });
    act(() => result.current.taken(2));
    expect(isOpen()).toBe('b');
    act(() => result.current.taken(3));
    expect(isOpen()).toBe('c');
  });

  test('ends after the last one and says so', () => {
    useNotices.setState({ notice: null });
    const { result } = start(null);
    act(() => result.current.begin());
    act(() => result.current.skip());
    expect(isOpen()).toBe('c');
    act(() => result.current.skip());
    expect(isOpen()).toBeNull();
    expect(useNotices.getState().notice!.text).toContain('all sizes were visited');
    expect(result.current.on).toBe(false);
  });

  test.each([
    [1, 1],
    [3, 2],
    [5, 3],
  ])('for %d readings of each, %d sizes want some', (readingsEach, waiting) => {
    usePreferences.setState({ readingsEach });
    expect(start(null).result.current.waiting).toBe(waiting);
  });
});
