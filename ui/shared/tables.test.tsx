import { render, screen } from '@testing-library/react';

import { evaluateRepair } from '@core/fitting/fit';
import type { Difference } from '@core/reporting/revision';
import { rackWheel } from '@core/testing/repairDraft';

import { DifferenceTable } from '../revisions/DifferenceTable';
import { TrailTable } from './TrailTable';

test('a trail shows each line with its reason, allowances signed, and the sum', () => {
  const worked = evaluateRepair(rackWheel()).fits.get('bore')!.worked;
  if (!worked.ok) throw new Error('not worked out');
  render(<TrailTable trail={worked.trail} resultName="Bore, working size" />);
  const text = screen.getByLabelText('Trail of Bore on the axle').textContent;
  expect(text).toContain('Axle it runs onmeasured, ± 0.03, 3 readings6.02');
  expect(text).toContain('Turns freelyon the diameter, for this fit+0.18');
  expect(text).toContain('+0.12');
  expect(text).toContain('Bore, working size6.32 mm');
});

describe('what differs', () => {
  const rows: Difference[] = [
    { group: 'fit', label: 'Bore, working size', from: 6.25, to: 6.17, unit: 'mm' },
    { group: 'fit', label: 'Bore, how freely', from: 'Turns', to: 'Slides', unit: '' },
    { group: 'figure', label: 'Wheel: volume', from: 7350.96, to: 7357.31, unit: 'mm³' },
    { group: 'recipe', label: 'Wheel: Ease', from: 'there', to: null, unit: '' },
  ];

  test('by number, with its sign; words have no difference', () => {
    render(<DifferenceTable rows={rows} from="Rev A" to="Rev B" />);
    const cells = screen.getAllByRole('row').map((row) => [...row.children].map((cell) => cell.textContent));
    expect(cells).toEqual([
      ['', 'Rev A', 'Rev B', 'by'],
      ['Bore, working size, mm', '6.25', '6.17', '−0.08'],
      ['Bore, how freely', 'Turns', 'Slides', ''],
      ['Wheel: volume, mm³', '7351.0', '7357.3', '+6.3'],
      ['Wheel: Ease', 'there', '–', ''],
    ]);
  });

  test('nothing, in a sentence', () => {
    render(<DifferenceTable rows={[]} from="Rev A" to="Now" />);
    expect(screen.getByText('Nothing differs between Rev A and Now.')).toBeTruthy();
  });
});
