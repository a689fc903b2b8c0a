import { fireEvent, render, screen } from '@testing-library/react';

import { evaluateRepair } from '@core/fitting/fit';
import type { Body } from '@core/record/model';
import type { BedPlace, PartPlacement } from '@core/making/printing';
import { block } from '@core/testing/pieces';
import { rackWheel, RepairDraft } from '@core/testing/repairDraft';

import { askedOfBed, askedSizes, trialOfBed } from '../jobs/askedSizes';
import { namesOnBed, onBedOf, ONE_ALONE } from './bedChoice';
import { BedWithin } from './BedPlan';

const { repair } = new RepairDraft('x')
  .body('foot', 'Foot', [block(20, 10, 5)] as never)
  .body('cap', 'Cap', [block(10, 10, 5)] as never);
const [foot, cap] = repair.bodies as [Body, Body];

describe('what is chosen for the bed', () => {
  test('the spare whose page it is lies there once at least, others when they are asked for', () => {
    const counts = (leading: Body, choice = ONE_ALONE) =>
      onBedOf(leading, [foot, cap], choice).map(({ body, pieces }) => [body.id, pieces]);
    expect(counts(foot)).toEqual([['foot', 1]]);
    expect(counts(cap, { pieces: { foot: 2 }, at: null })).toEqual([
      ['cap', 1],
      ['foot', 2],
    ]);
    expect(counts(foot, { pieces: { foot: 0, cap: 0 }, at: null })).toEqual([['foot', 1]]);
  });

  test('places of another number of pieces are none', () => {
    const at = { foot: [[0, 0]] as BedPlace[] };
    expect(onBedOf(foot, [foot], { pieces: {}, at })[0]!.at).toEqual([[0, 0]]);
    expect(onBedOf(foot, [foot], { pieces: { foot: 2 }, at })[0]).not.toHaveProperty('at');
  });

  test('the job is called by all that it makes', () => {
    expect(namesOnBed(onBedOf(foot, [foot, cap], { pieces: { cap: 3 }, at: null }))).toBe(
      'Foot and Cap, 3 pieces',
    );
  });
});

test('a job asks for the sizes of all spares on its bed, each once', () => {
  const wheel = rackWheel();
  const numbers = evaluateRepair(wheel);
  const [body] = wheel.bodies;
  const second = { ...body!, id: 'second', steps: [] };
  const alone = askedSizes(body!, wheel, numbers);
  expect(alone.length).toBeGreaterThan(0);
  const two = { ...wheel, bodies: [body!, second] };
  const asked = askedOfBed([body!, second], two, numbers);
  expect(asked.filter(({ foot }) => !foot)).toEqual(alone);
  // And across its edge on the bed, with what is taken back of the first layer: a bore is printed wider there.
  const [bore] = alone;
  expect(asked.filter(({ foot }) => foot)).toMatchObject([
    { id: `${bore!.id}:foot`, jaw: 'inside', mm: expect.closeTo(bore!.mm + 2 * 0.1, 6) as number },
  ]);
  expect(trialOfBed([body!, second], two, numbers).of).toBe('part');
  expect(trialOfBed([body!, body!], wheel, numbers)).toEqual(trialOfBed([body!], wheel, numbers));
});

describe('the bed from above', () => {
  const hull: BedPlace[] = [
    [-10, -5],
    [10, -5],
    [10, 5],
    [-10, 5],
  ];
  const placement = (...at: BedPlace[]): PartPlacement => ({ name: 'Foot', hull, foot: [hull], at });
  const moves: unknown[] = [];
  test('arrow keys move a piece, with shift by less, and never off the bed', () => {
    render(
      <BedWithin
        widthPx={300}
        bedMm={[200, 180]}
        placements={[placement([0, 0], [88, 30])]}
        onMove={(...move) => moves.push(move)}
      />,
    );
    const first = screen.getByRole('button', { name: /^Foot, piece 1, at 0\.0 and 0\.0 mm/ });
    fireEvent.keyDown(first, { key: 'ArrowLeft' });
    fireEvent.keyDown(first, { key: 'ArrowUp', shiftKey: true });
    fireEvent.keyDown(screen.getByRole('button', { name: /^Foot, piece 2/ }), { key: 'ArrowRight' });
    expect(moves).toEqual([
      [0, 0, [-5, 0]],
      [0, 0, [0, 1]],
      [0, 1, [90, 30]],
    ]);
  });
});
