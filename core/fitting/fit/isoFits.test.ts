import type { Fit } from '@core/record/model';
import { limitsOf, SUGGESTED_PAIRS } from '@core/foundations/standards';
import { FIT_CLASSES } from '@core/reporting/wording';
import { FIT_TABLES } from '@core/record/workshop';

import { classClearance, clearanceOf, nominalOf } from './clearance';

const NOMINALS = [3, 6, 8, 10, 12.7, 16, 20, 22, 25.4, 30, 35, 50, 80, 120];
const TENTHS = Array.from({ length: 11 }, (_, index) => index / 10);
const machining = FIT_TABLES.find(({ process }) => process === 'machining')!;
const fitOf = (iso: Fit['iso']) => ({ iso, ownClearanceMm: null, fitClass: 'turns' }) as Fit;

describe.each(SUGGESTED_PAIRS.map((pair) => [`${pair.hole}/${pair.shaft}`, pair] as const))(
  '%s',
  (_, pair) => {
    test.each([
      ['a bore over every true shaft of it', true],
      ['a peg in every true hole of it', false],
    ])('%s is made with a clearance that the pair allows, in its middle', (_words, inside) => {
      let tried = 0;
      for (const nominal of NOMINALS) {
        const [hole, shaft] = [limitsOf(pair.hole, nominal), limitsOf(pair.shaft, nominal)];
        if (!hole || !shaft) continue;
        const [least, most] = [hole.lowerMm - shaft.upperMm, hole.upperMm - shaft.lowerMm];
        const other = inside ? shaft : hole;
        for (const share of TENTHS) {
          // A true counterpart, anywhere in its zone.
          const counterpart = nominal + other.lowerMm + share * (other.upperMm - other.lowerMm);
          const { aimMm, fromMm, toMm } = clearanceOf(fitOf(pair), machining, counterpart, inside);
          expect(aimMm).toBeGreaterThanOrEqual(least);
          expect(aimMm).toBeLessThanOrEqual(most);
          expect(Math.abs(aimMm - (least + most) / 2)).toBeLessThanOrEqual(0.0006);
          expect([fromMm, toMm]).toEqual([expect.closeTo(least, 9), expect.closeTo(most, 9)]);
          tried += 1;
        }
      }
      expect(tried).toBeGreaterThan(100);
    });
  },
);

test('H7/p6 over a true p6 shaft of 20 is pressed, as ISO 286-2 has it', () => {
  // Shaft +0.022 to +0.035, hole 0 to +0.021: from 0.035 to 0.001 of interference.
  const { aimMm, fromMm, toMm } = clearanceOf(fitOf({ hole: 'H7', shaft: 'p6' }), machining, 20.0285, true);
  expect([fromMm, toMm]).toEqual([expect.closeTo(-0.035, 9), expect.closeTo(-0.001, 9)]);
  expect(aimMm).toBeCloseTo(-0.018, 9);
});

test('the nominal size is the one in whose zone the counterpart lies, at the ends of steps too', () => {
  expect(nominalOf('p6', 30.035)).toBe(30);
  expect(nominalOf('s6', 50.06)).toBe(50);
  expect(nominalOf('c11', 19.85)).toBe(20);
  expect(nominalOf('h6', 12.7)).toBeCloseTo(12.7, 6);
  // None is round: as far off as the middle of the zone.
  expect(nominalOf('h6', 17.32)).toBeCloseTo(17.3255, 6);
});

test('a class’s own value is the middle of what is wished, in every table', () => {
  for (const table of FIT_TABLES) {
    for (const { id } of FIT_CLASSES) {
      const { aimMm, fromMm, toMm } = classClearance(table, id, 6);
      expect((fromMm + toMm) / 2).toBeCloseTo(aimMm, 9);
      expect(toMm).toBeGreaterThan(fromMm);
    }
  }
});
