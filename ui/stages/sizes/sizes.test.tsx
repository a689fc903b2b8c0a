import { fireEvent, render, screen } from '@testing-library/react';

import { evaluateSize } from '@core/measuring/measure';
import type { Reading } from '@core/record/model';
import { RepairDraft } from '@core/testing/repairDraft';
import { DEFAULT_WORKSHOP, INSTRUMENTS } from '@core/record/workshop';

import { Pad } from '../../measuring/Pad';
import { Readings } from '../../measuring/Readings';
import { SizeRow } from './SizeRow';

const press = (name: string | RegExp) => fireEvent.click(screen.getByRole('button', { name }));

describe('the pad', () => {
  const take = jest.fn();
  const show = (start = '') =>
    render(
      <Pad
        instrument={INSTRUMENTS[0]!}
        start={start}
        action="Take reading 1"
        onTake={take}
        onInstrument={() => {}}
      />,
    );
  const value = () => (screen.getByLabelText('Reading') as HTMLInputElement).value;
  beforeEach(() => take.mockReset());

  test('takes a number from its keys, and keeps it as it was typed', () => {
    show();
    for (const key of ['6', 'point', '0', '2']) press(key);
    expect(value()).toBe('6.02');
    press('Take reading 1');
    expect(take).toHaveBeenCalledWith(6.02, '6.02');
  });

  test('rubs out, and puts the inch on and off', () => {
    show();
    for (const key of ['1', 'space', '3', 'over, for fractions', '1', '7', 'Delete', '6', 'inch']) press(key);
    expect(value()).toBe('1 3/16 in');
    // The key; without a unit the number is marked as well.
    expect(screen.getAllByText('mm')).toHaveLength(1);
    press('inch');
    expect(value()).toBe('1 3/16');
    expect(screen.getAllByText('mm')).toHaveLength(2);
    press('inch');
    press('Take reading 1');
    expect(take).toHaveBeenCalledWith(30.1625, '1 3/16 in');
    press('inch');
    expect(value()).toBe('');
  });

  test('works a sum out while it is typed, and keeps it as typed', () => {
    show();
    for (const key of ['1', '2', 'point', '4', 'halve']) press(key);
    expect(screen.getByText('= 6.20 mm')).toBeTruthy();
    press('Take reading 1');
    expect(take).toHaveBeenCalledWith(6.2, '12.4/2');
  });

  test('takes a number that calipers type, and the next one after it', () => {
    show();
    const input = screen.getByLabelText('Reading');
    for (const typed of ['38.21', '38.19']) {
      fireEvent.change(input, { target: { value: typed } });
      fireEvent.keyDown(input, { key: 'Enter' });
    }
    expect(take.mock.calls).toEqual([
      [38.21, '38.21'],
      [38.19, '38.19'],
    ]);
    expect(value()).toBe('');
  });

  test('asks where two readings are possible, and takes the one that is chosen', () => {
    for (const [typed, chosen, mm] of [
      ['1,250', '1.250', 1.25],
      ['1½', '1 1/2 in', 38.1],
      ['3-1/2', '3 - 1/2', 2.5],
    ] as const) {
      take.mockReset();
      const { unmount } = show(typed);
      press('Take reading 1');
      expect(take).not.toHaveBeenCalled();
      expect(screen.getByRole('alert').textContent).toContain('Choose the one that is meant');
      press(`It is ${chosen}`);
      expect(value()).toBe(chosen);
      expect(screen.queryByRole('alert')).toBeNull();
      press('Take reading 1');
      expect(take).toHaveBeenCalledWith(mm, chosen);
      unmount();
    }
  });

  test('says what is wrong until the number is changed', () => {
    show('2000');
    press('Take reading 1');
    expect(take).not.toHaveBeenCalled();
    expect(screen.getByRole('alert').textContent).toContain('more than the bench caliper can reach (200 mm)');
    expect(screen.getByLabelText('Reading').getAttribute('aria-invalid')).toBe('true');
    press('Delete');
    expect(screen.queryByRole('alert')).toBeNull();
    press('Take reading 1');
    expect(take).toHaveBeenCalledWith(200, '200');
  });
});

describe('the readings of a size', () => {
  const { repair } = new RepairDraft('x').measured('A', 'Rim', ['38.20', '38.19', '38.24']);
  const size = repair.sizes[0]!;
  const readings = () => repair.readings.map((reading) => ({ ...reading }));
  const show = (list: Reading[], selected: Reading | null = null) => {
    const put = jest.fn();
    const onSelect = jest.fn();
    const result = evaluateSize(size, list, DEFAULT_WORKSHOP);
    render(
      <Readings
        size={size}
        result={result}
        readings={list}
        selected={selected}
        onSelect={onSelect}
        put={put}
      />,
    );
    return { put, onSelect };
  };

  test('tell their mean and spread; what is left out shows its reason and does not count', () => {
    const list = readings();
    list[2]!.leftOut = 'jaws were tilted';
    show(list);
    expect(screen.getByText('mean 38.195 mm · spread 0.01 mm')).toBeTruthy();
    expect(
      screen.getByRole('button', { name: 'Reading 3, 38.24 mm, left out: jaws were tilted' }),
    ).toBeTruthy();
  });

  test('one far from the others is pointed out, and still counts', () => {
    const list = readings();
    list[2]!.value = 39.2;
    show(list);
    expect(screen.getByRole('status').textContent).toContain('39.20 stands far from the others');
    expect(screen.getByRole('button', { name: 'Reading 3, 39.20 mm, doubtful' })).toBeTruthy();
    expect(screen.getByText('mean 38.530 mm · spread 1.01 mm')).toBeTruthy();
  });

  test('are chosen by a tap, and a chosen one can be deleted, to be undone', () => {
    const list = readings();
    const { put, onSelect } = show(list, list[1]!);
    press('Reading 1, 38.20 mm');
    expect(onSelect).toHaveBeenCalledWith(list[0]);
    press('Delete reading');
    expect(put).toHaveBeenCalledWith('reading', { ...list[1], removed: true }, 'Reading 38.19 deleted.');
  });

  test('deleted ones stand aside and come back', () => {
    const list = readings();
    list[0]!.removed = true;
    const { put } = show(list);
    expect(screen.queryByRole('button', { name: /^Reading 3/ })).toBeNull();
    press('Bring back 38.20');
    expect(put).toHaveBeenCalledWith('reading', { ...list[0], removed: false });
  });

  test('one that is left out can count again', () => {
    const list = readings();
    list[0]!.leftOut = 'slipped';
    const { put } = show(list, list[0]!);
    press('Count it again');
    expect(put).toHaveBeenCalledWith('reading', { ...list[0], leftOut: null });
  });
});

test('a row of the list says how a size is known', () => {
  const { repair } = new RepairDraft('x')
    .measured('A', 'Rim', ['38.20', '38.19', '38.21'])
    .measured('B', 'Axle', [], { of: 'counterpart', jaw: 'inside' })
    .chosen('C', 'Groove', 4);
  for (const size of repair.sizes) {
    render(
      <SizeRow
        size={size}
        result={evaluateSize(size, repair.readings, DEFAULT_WORKSHOP)}
        onPress={() => {}}
      />,
    );
  }
  const texts = screen.getAllByRole('button').map((row) => row.textContent);
  expect(texts[0]).toContain('outside jaws · 3 readings38.20± 0.03');
  expect(texts[1]).toContain('inside jaws · counterpartto take');
  expect(texts[2]).toContain('chosen4.00');
});
