import { fireEvent, render, screen } from '@testing-library/react';

import type { Body, Repair } from '@core/record/model';
import { LayoutDraft } from '@core/testing/layoutDraft';
import { rackWheel } from '@core/testing/repairDraft';

import { usePreferences } from '../../preferences/usePreferences';
import { InRepair } from '../../testing/InRepair';
import { ValueSheet } from './ValueSheet';

const mockPut = jest.fn();
jest.mock('../../api/useRepair', () => ({ useChangeRepair: () => ({ put: mockPut }) }));
beforeEach(() => {
  mockPut.mockReset();
  usePreferences.setState({ unit: 'mm' });
});

const press = (name: string | RegExp) => fireEvent.click(screen.getByRole('button', { name }));
const type = (value: string) =>
  fireEvent.change(screen.getByLabelText(/^Type a number/), { target: { value } });
/** Opens a number of the wheel's drilled hole. */
function show(field: string, repair: Repair = rackWheel()) {
  const body = repair.bodies[0]!;
  render(
    <InRepair repair={repair}>
      <ValueSheet body={body} step={body.steps[2]!} field={field} what="hole" onClose={() => {}} />
    </InRepair>,
  );
}
const sent = (field: string) => {
  const [, body] = mockPut.mock.calls.at(-1) as [string, Body];
  return (body.steps[2] as unknown as Record<string, unknown>)[field];
};

test('a formula over sizes is kept as typed, in the unit it was typed in', () => {
  show('x');
  type('A / 4 - 2');
  press('Use this number');
  expect(sent('x')).toEqual({ from: 'formula', text: 'A / 4 - 2', unit: 'mm' });
});

test('a plain number is kept as a number, in inches too', () => {
  usePreferences.setState({ unit: 'in' });
  show('x');
  type('-1/4');
  press('Use this number');
  expect(sent('x')).toEqual({ from: 'number', mm: -6.35 });
});

test('a formula over a size that is still to be taken will follow', () => {
  const repair = rackWheel();
  repair.readings = repair.readings.filter(({ sizeId }) => sizeId !== 'a');
  show('x', repair);
  type('A / 4');
  press('Use this number');
  expect(sent('x')).toMatchObject({ from: 'formula' });
});

test.each([
  ['A * C', 'is wanted'],
  ['Q + 1', 'Q'],
  ['wide', '“wide” is not a length'],
  ['2000', '1000'],
  ['1 / (C - C) * A * A', 'divides by zero'],
])('%s is told, and nothing is changed', (text, sentence) => {
  show('x');
  type(text);
  press('Use this number');
  expect(screen.getByRole('alert').textContent).toContain(sentence);
  expect(mockPut).not.toHaveBeenCalled();
});

test('a place can be a point of a layout, told from the layout’s zero', () => {
  const { layout } = new LayoutDraft([
    { x: 0, y: 0 },
    { x: 40, y: 0 },
    { x: 40, y: 30 },
  ])
    .between(1, 2)
    .between(1, 3)
    .between(2, 3);
  layout.zero = 'middle';
  show('y', { ...rackWheel(), layouts: [layout] });
  press('3, Holes, point 3, to the back, 15.00 mm');
  expect(sent('y')).toEqual({ from: 'layout', id: 'layout', point: 'p3', axis: 'y' });
});

test('a diameter is not offered places', () => {
  const { layout } = new LayoutDraft([
    { x: 0, y: 0 },
    { x: 40, y: 0 },
  ]).between(1, 2);
  show('diameter', { ...rackWheel(), layouts: [layout] });
  expect(screen.queryByRole('button', { name: /point 2/ })).toBeNull();
  press('B, Bore on the axle, working size, 6.32 mm');
  expect(sent('diameter')).toEqual({ from: 'fit', id: 'bore' });
});
