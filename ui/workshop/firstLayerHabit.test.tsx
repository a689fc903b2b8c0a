import { fireEvent, render, screen } from '@testing-library/react';

import type { LayerPrinter, Trial } from '@core/record/model';
import { DEFAULT_WORKSHOP, LAYER_PRINTERS, machineIn } from '@core/record/workshop';

import { FirstLayerHabit } from './FirstLayerHabit';

const reading = (mm: number) => ({ typed: mm.toFixed(2), mm, instrumentId: 'bench-caliper' });
/** A peg that spread by so much, of which 0.1 was taken back. */
const measured = (spreadMm: number, index: number) => ({
  id: `t${index}`,
  results: [
    {
      feature: 'peg',
      made: [reading(10)],
      foot: { takenBackMm: 0.1, made: [reading(10 + 2 * (spreadMm - 0.1))] },
    },
  ],
});
const onSave = jest.fn();
const show = (spreads: number[], printer: LayerPrinter = LAYER_PRINTERS[0]!) =>
  render(
    <FirstLayerHabit
      machine={machineIn(DEFAULT_WORKSHOP, printer.id)}
      printer={printer}
      family="plastic"
      trials={spreads.map(measured) as unknown as Trial[]}
      workshop={DEFAULT_WORKSHOP}
      onSave={onSave}
    />,
  );
const text = () => screen.getByRole('group', { name: 'First layer' }).textContent;
beforeEach(() => onSave.mockReset());

test('nothing measured: says how it is learned', () => {
  show([]);
  expect(text()).toContain(
    'Elephant foot: 0.10 mm per side. To learn it, measure a size above the first layer',
  );
  expect(screen.queryByRole('button', { name: /learned/ })).toBeNull();
});

test('what was measured is used on request, and forgotten on request', () => {
  show([0.16, 0.17, 0.18]);
  expect(text()).toMatch(/By 3 measured at the first layer it is 0.17 mm ± 0.0\d/);
  expect(onSave).not.toHaveBeenCalled();
  fireEvent.click(screen.getByRole('button', { name: 'Use what was learned of the first layer' }));
  const [kind, taught] = onSave.mock.lastCall as [string, LayerPrinter];
  expect(kind).toBe('layerPrinter');
  expect(taught.learnedSpreads).toMatchObject([{ family: 'plastic', count: 3 }]);
  document.body.innerHTML = '';
  show([0.16, 0.17, 0.18], taught);
  expect(screen.getByRole('status').textContent).toBe('Layers use what was learned.');
  expect(text()).toContain('Elephant foot: 0.17 mm');
  fireEvent.click(screen.getByRole('button', { name: 'Forget what was learned of the first layer' }));
  expect((onSave.mock.lastCall as [string, LayerPrinter])[1]).toEqual(LAYER_PRINTERS[0]);
});

test('one value that is far off is taken for odd, and nothing is offered', () => {
  show([0.9]);
  expect(text()).toContain('an outlier: measure another print');
  expect(screen.queryByRole('button', { name: /learned/ })).toBeNull();
});
