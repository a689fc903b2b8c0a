import { act, fireEvent, render, screen, waitFor } from '@testing-library/react';

import type { Body, Repair } from '@core/record/model';
import { LayoutDraft } from '@core/testing/layoutDraft';
import { rackWheel } from '@core/testing/repairDraft';

import { usePreferences } from '../../preferences/usePreferences';
import { InRepair } from '../../testing/InRepair';
import { useFollowed } from '../../part/followed';
import type { Morph } from '../../solid/protocol';
import { workbench } from '../../solid/useSolid';
import { slideOf } from '../../shared/nudges';
import { ValueSheet, type StepNumber } from '../../values/ValueSheet';

const mockPut = jest.fn();
jest.mock('../../api/useRepair', () => ({ useChangeRepair: () => ({ put: mockPut }) }));
jest.mock('../../solid/spawnWorker', () => ({ spawnWorker: () => ({ end: () => {} }) }));
const morph = jest.fn();
workbench.ask.morph = morph;
const goOn = jest.fn();
beforeEach(() => {
  goOn.mockReset();
  mockPut.mockReset();
  morph.mockReset().mockResolvedValue(null);
  usePreferences.setState({ unit: 'mm' });
});

const press = (name: string | RegExp) => fireEvent.click(screen.getByRole('button', { name }));
const type = (value: string) =>
  fireEvent.change(screen.getByLabelText(/^Type a number/), { target: { value } });
/** Opens a number of the wheel's drilled hole. */
function show(field: string, repair: Repair = rackWheel(), next: StepNumber | null = null) {
  const body = repair.bodies[0]!;
  render(
    <InRepair repair={repair}>
      <ValueSheet
        body={body}
        step={body.steps[2]!}
        field={field}
        what="hole"
        next={next}
        onNext={goOn}
        onClose={() => {}}
      />
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

test('one number after the other: it is kept, and the next one is asked for; what is no number is told first', () => {
  const y = { field: 'y', what: 'place to the back' };
  show('x', rackWheel(), y);
  type('12 +');
  press('Use it. Then the place to the back');
  expect(goOn).not.toHaveBeenCalled();
  type('12.5');
  press('Use it. Then the place to the back');
  expect(sent('x')).toEqual({ from: 'number', mm: 12.5 });
  expect(goOn).toHaveBeenCalledWith(y);
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

test('a nudge goes from the whole number, not from what is shown of it; a sum from what it comes to, a formula not at all', () => {
  const repair = rackWheel();
  const body = repair.bodies[0]!;
  body.steps[2] = { ...body.steps[2]!, x: { from: 'number', mm: 12.3456 } } as (typeof body.steps)[number];
  show('x', repair);
  const field = screen.getByLabelText<HTMLInputElement>(/^Type a number/);
  expect(field.value).toBe('12.35');
  press('0.1 more');
  expect(field.value).toBe('12.4456');
  press('1 less');
  expect(field.value).toBe('11.4456');
  type('18 / 2');
  press('0.1 more');
  expect(field.value).toBe('9.1');
  type('A / 2');
  expect(screen.queryByRole('button', { name: '0.1 more' })).toBeNull();
});

describe('a number under the thumb', () => {
  const slider = () => screen.getByRole('slider', { name: 'Slide the number' });
  const slide = (value: string) => fireEvent.change(slider(), { target: { value } });

  test('goes through about a tenth of it either way, in whole steps, never through nothing', () => {
    expect(slideOf(38.2, 'mm')).toEqual({ low: 33.2, high: 43.2, step: 0.1 });
    expect(slideOf(0.15, 'mm')).toEqual({ low: 0.01, high: 0.35, step: 0.01 });
    expect(slideOf(-4, 'mm')).toEqual({ low: -4.5, high: -3.5, step: 0.01 });
    const inch = slideOf(25.4, 'in');
    expect((inch.high - inch.low) / 25.4).toBeCloseTo(0.2, 9);
  });

  test('is typed as it goes, and the part with it: between builds of both ends, until it is let go of', async () => {
    const ends = { positions: new Float32Array(3), edges: new Float32Array(6) };
    const mesh = {
      ...ends,
      normals: new Float32Array(3),
      indices: new Uint32Array(),
      faces: [],
      edgeRuns: [],
    };
    const found: Morph = { mesh, low: { mesh, target: ends }, high: { mesh, target: ends } };
    morph.mockResolvedValue(found);
    const repair = rackWheel();
    const [wheel] = repair.bodies as [Body];
    wheel.steps[2] = { ...wheel.steps[2]!, x: { from: 'number', mm: 10 } } as (typeof wheel.steps)[number];
    show('x', repair);
    await waitFor(() => expect(morph).toHaveBeenCalled());
    await act(async () => {});
    const [bodyId, ...states] = morph.mock.calls.at(-1) as [string, ...{ state: Repair }[]];
    const built = states.map(({ state }) => {
      const body = state.bodies.find(({ id }) => id === bodyId)!;
      return (body.steps[2] as unknown as { x: { mm: number } }).x.mm;
    });
    expect(built).toEqual([10, 9, 11]);
    slide('10.513');
    expect(screen.getByLabelText(/^Type a number/)).toHaveProperty('value', '10.52');
    expect(useFollowed.getState().followed).toMatchObject({ bodyId, morph: found });
    expect(useFollowed.getState().followed!.share).toBeCloseTo(0.52, 9);
    slide('9.25');
    expect(useFollowed.getState().followed!.share).toBeCloseTo(-0.74, 9);
    press('Use this number');
    expect(sent('x')).toEqual({ from: 'number', mm: 9.26 });
  });

  test.each(['mm', 'cm', 'in'] as const)('slid to its ends in %s it keeps its range', (unit) => {
    usePreferences.setState({ unit });
    const repair = rackWheel();
    const [wheel] = repair.bodies as [Body];
    wheel.steps[2] = { ...wheel.steps[2]!, x: { from: 'number', mm: 7.13 } } as (typeof wheel.steps)[number];
    show('x', repair);
    const ends = () => [slider().getAttribute('min'), slider().getAttribute('max')] as [string, string];
    const before = ends();
    for (const end of [...before, ...before]) {
      slide(end);
      expect(ends()).toEqual(before);
    }
  });

  test('begins anew where a number is typed out of its range; a number from a size has none', () => {
    show('x');
    expect(screen.queryByRole('slider')).toBeTruthy();
    type('A');
    expect(screen.queryByRole('slider')).toBeNull();
    type('200');
    expect(slider().getAttribute('min')).toBe('180');
    expect(slider().getAttribute('max')).toBe('220');
  });
});
