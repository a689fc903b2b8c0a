import { fireEvent, render, screen } from '@testing-library/react';

import { drawingOf, happeningsIn } from '@core/making/printing';
import { block, together } from '@core/testing/solids3d';
import { jobOf, sliceNow, partOf } from '@core/testing/sliced';

import type { SliceReply } from './protocol';
import { SliceReport, type Mends, type Watched } from './SliceReport';

const table = together({ mesh: block(6, 6, 8), at: [0, 0, 4] }, { mesh: block(40, 30, 2), at: [0, 0, 9] });
const { job, figures, sliced, placements, overhangs } = sliceNow(
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
const reply: SliceReply = {
  drawing: drawingOf(job),
  summary: { by: 'filament', figures, warnings: sliced.warnings },
  happenings: happeningsIn(sliced),
  placements,
  overhangs,
};

test('a place that is to be watched is shown in its layer, and mended by a tap', () => {
  const shown: Watched[] = [];
  const acts: string[] = [];
  const show = (mends: Mends) =>
    render(
      <SliceReport
        reply={reply}
        layer={0}
        bedMm={[220, 220]}
        mends={mends}
        onShow={(place) => shown.push(place)}
      />,
    );
  const first = show({
    onSupports: () => acts.push('supports'),
    onSuggestedWay: () => acts.push('way'),
    onDrain: () => {},
  });
  expect(screen.getByRole('alert').textContent).toMatch(/^At 8\.00 mm above the bed .* \(2 times\.\)$/);
  fireEvent.click(screen.getByRole('button', { name: /^Show it: At 8\.00 mm/ }));
  // The 41st layer of 0.2 mm begins at 8 mm; the first piece stands 40 mm left of the middle.
  expect(shown).toHaveLength(1);
  expect(shown[0]!.layer).toBe(40);
  expect(shown[0]!.at[2]).toBeCloseTo(8, 6);
  expect(Math.abs(shown[0]!.at[0] - 70)).toBeLessThan(20.1);
  fireEvent.click(screen.getByRole('button', { name: 'Use supports' }));
  fireEvent.click(screen.getByRole('button', { name: 'Use the suggested orientation' }));
  expect(acts).toEqual(['supports', 'way']);
  first.unmount();
  show({ onSupports: null, onSuggestedWay: null, onDrain: () => {} });
  expect(screen.queryByRole('button', { name: 'Use supports' })).toBeNull();
  expect(screen.queryByRole('button', { name: 'Use the suggested orientation' })).toBeNull();
});

test('resin that is shut in is let out by a hole, in the spare whose page it is alone', () => {
  const onDrain = jest.fn();
  const show = (part: number) => {
    const warning = { code: 'resin.closed', mm3: 900, at: [0, 0, 2], part };
    // Of two spares on the bed the first leads.
    const both = [placements[0]!, { ...placements[0]!, name: 'Cap', at: [] }];
    const summary = {
      by: 'resin',
      warnings: [warning],
      figures: {
        minutes: 60,
        lightMinutes: 20,
        liftMinutes: 40,
        layers: 200,
        grams: 5,
        cost: { whole: 1 },
        parts: [{ grams: 4 }, { grams: 1 }],
      },
    };
    return render(
      <SliceReport
        reply={{ ...reply, summary, placements: both } as unknown as SliceReply}
        layer={0}
        bedMm={[120, 70]}
        mends={{ onSupports: null, onSuggestedWay: null, onDrain }}
        onShow={() => {}}
      />,
    );
  };
  const first = show(0);
  fireEvent.click(screen.getByRole('button', { name: /^Drill a drain hole: .*traps/ }));
  expect(onDrain).toHaveBeenCalledTimes(1);
  first.unmount();
  show(1);
  expect(screen.getByRole('alert').textContent).toContain('traps');
  expect(screen.queryByRole('button', { name: /^Drill a drain hole/ })).toBeNull();
});
