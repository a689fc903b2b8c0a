import { fireEvent, render, screen } from '@testing-library/react';

import type { PartPlacement } from '@core/making/printing';
import { DEFAULT_WORKSHOP, materialIn } from '@core/record/workshop';

import { InRepair } from '../testing/InRepair';
import { rackWheel } from '@core/testing/repairDraft';
import { PrintRisks } from './PrintRisks';

const placement = (longMm: number, pieces: number): PartPlacement => ({
  name: 'Plate',
  hull: [
    [0, 0],
    [longMm, 0],
    [longMm, 5],
  ],
  foot: [],
  at: Array.from({ length: pieces }, (_, index): [number, number] => [40 * index, 0]),
});
const onEars = jest.fn();
const told = (id: string, longMm: number, pieces = 1, foot = 'skirt') => {
  document.body.innerHTML = '';
  render(
    <InRepair repair={rackWheel()}>
      <PrintRisks
        material={materialIn(DEFAULT_WORKSHOP, id)}
        placements={[placement(longMm, pieces)]}
        foot={foot}
        onEars={onEars}
      />
    </InRepair>,
  );
  return screen.queryAllByRole('alert').map(({ textContent }) => textContent);
};

test('a long foot of what lifts is told, and gets ears by a tap', () => {
  expect(told('abs', 80)).toEqual([
    expect.stringMatching(/^ABS lifts its corners off the bed \(warping\), .* 80\.\d\d mm long on it\.$/),
  ]);
  fireEvent.click(screen.getByRole('button', { name: 'Add mouse ears' }));
  expect(onEars).toHaveBeenCalledTimes(1);
  expect(told('abs', 80, 1, 'ears')).toEqual([]);
  expect(told('abs', 30)).toEqual([]);
  expect(told('pla', 80)).toEqual([]);
});

test('what strings is told where there is a way from piece to piece', () => {
  expect(told('tpu', 20, 3)).toEqual([
    expect.stringMatching(/^TPU, soft strings from piece to piece: keep the 3 apart/),
  ]);
  expect(told('tpu', 20)).toEqual([]);
  expect(told('pla', 20, 3)).toEqual([]);
});
