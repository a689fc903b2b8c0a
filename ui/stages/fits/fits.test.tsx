import { fireEvent, render, screen, within } from '@testing-library/react';

import { evaluateRepair } from '@core/fitting/fit';
import type { Chain, Fit, Repair, Size } from '@core/record/model';
import { rackWheel } from '@core/testing/repairDraft';

import { InRepair } from '../../testing/InRepair';
import { ChainSheet } from './ChainSheet';
import { FitCard } from './FitCard';
import { IsoLimits } from './IsoLimits';
import { OwnClearance } from './OwnClearance';

const mockPut = jest.fn();
jest.mock('../../api/useRepair', () => ({ useChangeRepair: () => ({ put: mockPut }) }));
beforeEach(() => mockPut.mockReset());

const press = (name: string | RegExp) => fireEvent.click(screen.getByRole('button', { name }));
const choose = (name: string | RegExp) => fireEvent.click(screen.getByRole('radio', { name }));
const type = (label: string | RegExp, value: string) =>
  fireEvent.change(screen.getByLabelText(label), { target: { value } });
const bore = rackWheel().fits[0]!;

describe('the card of a fit', () => {
  const show = (repair: Repair = rackWheel()) => {
    const entry = evaluateRepair(repair).fits.get('bore')!;
    render(
      <InRepair repair={repair}>
        <FitCard {...entry} />
      </InRepair>,
    );
  };

  test('shows the trail, the chance, and what the largest doubt is', () => {
    show();
    expect(screen.getByLabelText('Trail of Bore on the axle').textContent).toContain('6.32');
    const chance = screen.getByRole('group', { name: 'Chance of Bore on the axle' });
    expect(chance.textContent).toMatch(/^60 %chance that it turns freely on the first make/);
    expect(chance.textContent).toContain('Clearance on the diameter: −0.01 to +0.37 mm');
  });

  test('another class takes the place of a typed clearance and of ISO limits', () => {
    const repair = rackWheel();
    repair.fits[0] = { ...bore, ownClearanceMm: 0.3 };
    show(repair);
    // The axle of 6.02 and the corrected holes of 0.12 leave this of the working size of 6.32.
    const turns = screen.getByRole('radio', { name: 'Turns, +0.18 mm' });
    expect(turns.getAttribute('aria-checked')).toBe('false');
    choose(/^Snug/);
    expect(mockPut).toHaveBeenCalledWith('fit', {
      ...bore,
      fitClass: 'snug',
      ownClearanceMm: null,
      iso: null,
    });
  });

  test('may have to serve several: each with its chance, and a new size for one still to be measured', () => {
    const repair = rackWheel();
    repair.fits[0] = { ...bore, alsoSizeIds: ['f'] };
    show(repair);
    const list = screen.getByRole('list', { name: 'What Bore on the axle must fit' });
    expect(
      within(list)
        .getAllByRole('listitem')
        .map((one) => one.textContent),
    ).toEqual(['B  Axle it runs on6.02 mm, 1 %', 'F  Axle, length22.41 mm, 1 %']);
    // Nobody can serve an axle and its length.
    expect(within(list).getByRole('alert').textContent).toMatch(
      /^No single size fits them all: they differ by 16\.39 mm/,
    );
    press('Leave B out of Bore on the axle');
    expect(mockPut).toHaveBeenLastCalledWith(
      'fit',
      { ...bore, counterpartSizeId: 'f', alsoSizeIds: [] },
      expect.any(String),
    );
    press('It must fit another one too');
    press(/^One that is still to be measured/);
    const size = (mockPut.mock.calls.find(([kind]) => kind === 'size') as [string, Size])[1];
    expect(size).toMatchObject({ tag: 'G', name: 'Axle it runs on, another (G)', of: 'counterpart' });
    expect(mockPut).toHaveBeenLastCalledWith(
      'fit',
      { ...bore, alsoSizeIds: ['f', size.id] },
      expect.any(String),
    );
  });

  test('names the size that has to be taken first', () => {
    const repair = rackWheel();
    repair.readings = repair.readings.filter(({ sizeId }) => sizeId !== 'b');
    show(repair);
    expect(screen.getByText(/^Take size B \(Axle it runs on\) first/)).toBeTruthy();
    expect(screen.queryByRole('group', { name: /^Chance/ })).toBeNull();
  });

  test('is deleted, to be undone', () => {
    show();
    press('Delete this fit');
    expect(mockPut).toHaveBeenCalledWith(
      'fit',
      { ...bore, removed: true },
      expect.stringContaining('deleted'),
    );
  });
});

describe('a clearance typed by hand', () => {
  const change = jest.fn();
  const show = (fit: Partial<Fit> = {}) => {
    change.mockReset();
    render(<OwnClearance fit={{ ...bore, ...fit }} onChange={change} />);
  };

  test('is on the diameter unless it is said to be per side, and tells the other', () => {
    show();
    press('Type the clearance yourself');
    type(/^Clearance on the diameter/, '0.3');
    expect(screen.getByText('That is +0.15 mm per side.')).toBeTruthy();
    choose('Per side');
    expect(screen.getByText('That is +0.60 mm on the diameter.')).toBeTruthy();
    press('Use this clearance');
    expect(change).toHaveBeenCalledWith(0.6);
  });

  test('may be a sum, and below zero for a press', () => {
    show();
    press('Type the clearance yourself');
    type(/^Clearance on the diameter/, '-0.1/2');
    press('Use this clearance');
    expect(change).toHaveBeenCalledWith(-0.05);
  });

  test.each([
    ['wide', '“wide”'],
    ['30', 'between'],
  ])('%j is told, and nothing is changed', (typed, sentence) => {
    show();
    press('Type the clearance yourself');
    type(/^Clearance on the diameter/, typed);
    press('Use this clearance');
    expect(screen.getByRole('alert').textContent).toContain(sentence);
    expect(change).not.toHaveBeenCalled();
  });

  test('in a recess there is one side only', () => {
    show({ feature: 'recess', ownClearanceMm: 0.2 });
    expect(screen.queryByRole('radio', { name: 'Per side' })).toBeNull();
    press('Use the class');
    expect(change).toHaveBeenCalledWith(null);
  });
});

describe('ISO limits', () => {
  const change = jest.fn();
  const show = (fit: Partial<Fit> = {}) => {
    change.mockReset();
    render(<IsoLimits fit={{ ...bore, ...fit }} nominalMm={25} onChange={change} />);
  };

  test('the usual pairs stand with their clearances at this size', () => {
    show();
    press('Use ISO limits, such as H7/g6');
    // H7 is 0 to +21, g6 is −20 to −7: 7 to 41 µm.
    expect(screen.getByText('+7 to +41 µm')).toBeTruthy();
    press(/^H7\/p6/);
    expect(change).toHaveBeenCalledWith({ hole: 'H7', shaft: 'p6' });
  });

  test('are shown in micrometres and as sizes', () => {
    show({ iso: { hole: 'H7', shaft: 'g6' } });
    const limits = screen.getByRole('group', { name: 'ISO limits' });
    expect(limits.textContent).toContain('Hole H7: 0 to +21 µm, 25.000 to 25.021 mm');
    expect(limits.textContent).toContain('Shaft g6: −20 to −7 µm, 24.980 to 24.993 mm');
  });

  test.each([
    ['h7', 'g6', 'not a hole’s'],
    ['H7', 'G6', 'not a shaft’s'],
    ['H77', 'g6', 'not a hole’s'],
  ])('%s/%s is refused', (hole, shaft, sentence) => {
    show();
    press('Use ISO limits, such as H7/g6');
    type('Hole', hole);
    type('Shaft', shaft);
    press('Use these');
    expect(screen.getByRole('alert').textContent).toContain(sentence);
    expect(change).not.toHaveBeenCalled();
  });
});

describe('a chain', () => {
  const chain: Chain = {
    id: 'c',
    version: 1,
    name: 'Wheel and washers',
    links: [{ id: '1', value: { from: 'size', id: 'c' }, times: 1, sign: 1, plusMinusMm: null }],
    fromMm: null,
    toMm: null,
    removed: false,
  };
  const show = () => {
    const repair: Repair = { ...rackWheel(), chains: [chain] };
    render(
      <InRepair repair={repair}>
        <ChainSheet chain={chain} onClose={() => {}} />
      </InRepair>,
    );
  };
  const sent = () => (mockPut.mock.calls.at(-1) as [string, Chain])[1];

  test('takes a number with its doubt', () => {
    show();
    type('Length', '2 * 0.8');
    type('Plus or minus', '0.05');
    press('Add this link');
    expect(sent().links[1]).toMatchObject({
      value: { from: 'number', mm: 1.6 },
      plusMinusMm: 0.05,
      sign: 1,
      times: 1,
    });
  });

  test('a doubt below zero is told', () => {
    show();
    type('Length', '2');
    type('Plus or minus', '-1');
    press('Add this link');
    expect(screen.getByRole('alert').textContent).toContain('can’t be below zero');
    expect(mockPut).not.toHaveBeenCalled();
  });

  test('links are repeated, taken away instead of added, and taken out', () => {
    show();
    press('More');
    expect(sent().links[0]).toMatchObject({ times: 2 });
    fireEvent.click(
      within(screen.getByRole('radiogroup', { name: /^Added or taken away/ })).getByRole('radio', {
        name: 'Taken away',
      }),
    );
    expect(sent().links[0]).toMatchObject({ sign: -1 });
    press(/^Take C .* out$/);
    expect(sent().links).toEqual([]);
  });

  test('limits the wrong way round are told', () => {
    show();
    type('Smallest', '9');
    type('Largest', '8');
    press('Keep');
    expect(screen.getByRole('alert').textContent).toContain('Swap the two');
    type('Smallest', '7,9');
    press('Keep');
    expect(sent()).toMatchObject({ fromMm: 7.9, toMm: 8 });
  });
});
