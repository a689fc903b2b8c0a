import { fireEvent, render, screen } from '@testing-library/react';

import { drawingOf, happeningsIn } from '@core/printing';
import { block, together } from '@core/testing/solids3d';
import { jobOf, laid, partOf } from '@core/testing/laid';

import type { LaidReply } from './protocol';
import { Told, type Mends, type Watched } from './Told';

const table = together({ mesh: block(6, 6, 8), at: [0, 0, 4] }, { mesh: block(40, 30, 2), at: [0, 0, 9] });
const { job, figures, sliced, footings, hanging } = laid(
  jobOf([
    partOf(table, {
      name: 'Table',
      pieces: 2,
      at: [
        [-40, 0],
        [40, 20],
      ],
    }),
  ]),
);
const reply: LaidReply = {
  drawing: drawingOf(job),
  told: { by: 'filament', figures, warnings: sliced.warnings },
  happenings: happeningsIn(sliced),
  footings,
  hanging,
};

test('a place that is to be watched is shown in its layer, and mended by a tap', () => {
  const shown: Watched[] = [];
  const acts: string[] = [];
  const show = (mends: Mends) =>
    render(
      <Told reply={reply} layer={0} bedMm={[220, 220]} mends={mends} onShow={(place) => shown.push(place)} />,
    );
  const first = show({ onSupports: () => acts.push('supports'), onSuggestedWay: () => acts.push('way') });
  expect(screen.getByRole('alert').textContent).toMatch(/^At 8\.00 mm above the bed .* \(2 times\.\)$/);
  fireEvent.click(screen.getByRole('button', { name: /^Show it: At 8\.00 mm/ }));
  // The 41st layer of 0.2 mm begins at 8 mm; the first piece stands 40 mm left of the middle.
  expect(shown).toHaveLength(1);
  expect(shown[0]!.layer).toBe(40);
  expect(shown[0]!.at[2]).toBeCloseTo(8, 6);
  expect(Math.abs(shown[0]!.at[0] - 70)).toBeLessThan(20.1);
  fireEvent.click(screen.getByRole('button', { name: 'Lay supports' }));
  fireEvent.click(screen.getByRole('button', { name: 'Lay it the suggested way' }));
  expect(acts).toEqual(['supports', 'way']);
  first.unmount();
  show({ onSupports: null, onSuggestedWay: null });
  expect(screen.queryByRole('button', { name: 'Lay supports' })).toBeNull();
  expect(screen.queryByRole('button', { name: 'Lay it the suggested way' })).toBeNull();
});
