import type { Step, Value } from '@core/record/model';
import { onGround, rectangle, step } from '@core/shaping/starters';

import { part, type Part } from './part';
import { disc, easedMouth, easedRim } from './volumes';

/** Shanks of bits, by the names of their sizes; each has a hole in both rows. */
const BITS = ['bit', 'second', 'third', 'fourth', 'fifth', 'sixth'] as const;
/** Shoulders of an arbor, one on the other, by the names of their sizes. */
const SHOULDERS = [
  'first',
  'second',
  'third',
  'fourth',
  'fifth',
  'sixth',
  'seventh',
  'eighth',
  'ninth',
] as const;

const sum = (numbers: readonly number[]) => numbers.reduce((whole, one) => whole + one, 0);

/** A hole for each bit in the front row and in the back one, each eased, some way apart. */
const bitHoles = (
  of: (name: (typeof BITS)[number] | 'deep' | 'ease') => Value,
  by: (text: string) => Value,
) =>
  BITS.flatMap((name, index): Step[] =>
    (['-', ''] as const).flatMap((sign, row): Step[] => {
      const id = `${name}${row + 1}`;
      return [
        step(id, 'hole', {
          diameter: of(name),
          depth: of('deep'),
          on: 'top',
          x: by(`${index - 2.5} * apart`),
          y: by(`${sign}rows / 2`),
        }),
        step(`${id}-ease`, 'chamfer', { size: of('ease'), where: { edges: 'mouths', of: id } }),
      ];
    }),
  );

/** Recipes of 20 to 40 steps. */
export const LONGER: readonly Part[] = [
  part(
    'Rack for bits',
    {
      long: 120,
      broad: 50,
      high: 24,
      corner: 6,
      apart: 16,
      rows: 24,
      deep: 15,
      ease: 0.6,
      bit: 6.6,
      second: 7.1,
      third: 7.6,
      fourth: 8.1,
      fifth: 8.6,
      sixth: 9.1,
      screw: 4.2,
      at: 54,
      pocketLong: 90,
      pocketBroad: 30,
      pocketDeep: 4,
    },
    ({ of, by }) => [
      step('block', 'extrude', {
        ...onGround,
        outline: rectangle(of('long'), of('broad')),
        height: of('high'),
      }),
      step('corners', 'fillet', { size: of('corner'), where: { edges: 'upright', of: 'block' } }),
      ...bitHoles(of, by),
      step('screw', 'hole', { diameter: of('screw'), depth: 'through', on: 'top', x: by('-at'), y: 0 }),
      step('screw2', 'mirror', { of: ['screw'], across: 'sides', keep: 'both' }),
      step('pocket', 'extrude', {
        effect: 'cut',
        on: 'bottom',
        x: 0,
        y: 0,
        turn: 0,
        outline: rectangle(of('pocketLong'), of('pocketBroad')),
        height: of('pocketDeep'),
      }),
    ],
    (n) =>
      (n.long * n.broad - (4 - Math.PI) * n.corner ** 2) * n.high -
      2 * sum(BITS.map((name) => disc(n[name]) * n.deep + easedMouth(n[name], n.ease))) -
      2 * disc(n.screw) * n.high -
      n.pocketLong * n.pocketBroad * n.pocketDeep,
    (n) =>
      n.deep + n.pocketDeep < n.high - 0.5 &&
      n.deep > 2 * n.ease &&
      Math.max(...BITS.map((name) => n[name])) + 2 * n.ease < Math.min(n.apart, n.rows) &&
      n.rows / 2 + 6 < n.broad / 2 &&
      2.5 * n.apart + 6 + 2 * n.ease < n.at - n.screw / 2 &&
      n.at + n.screw / 2 + 0.5 < n.long / 2 &&
      n.pocketLong / 2 + n.screw / 2 < n.at &&
      n.pocketBroad < n.broad - 1 &&
      2 * n.corner < n.broad &&
      n.corner < n.broad / 2 - n.screw,
  ),
  part(
    'Stepped arbor',
    {
      flange: 70,
      thick: 8,
      grooveWidth: 3,
      grooveDeep: 2,
      first: 52,
      second: 48,
      third: 44,
      fourth: 40,
      fifth: 36,
      sixth: 32,
      seventh: 28,
      eighth: 24,
      ninth: 20,
      high: 4,
      ease: 0.5,
      bore: 8.2,
      bolt: 3.4,
      bolts: 61,
      boltCount: 6,
    },
    ({ of, by }) => [
      step('flange', 'disc', { diameter: of('flange'), width: of('thick') }),
      step('groove', 'groove', { rimOf: 'flange', width: of('grooveWidth'), depth: of('grooveDeep') }),
      ...SHOULDERS.flatMap((name): Step[] => [
        step(name, 'peg', { diameter: of(name), height: of('high'), on: 'top', x: 0, y: 0 }),
        step(`${name}-ease`, 'chamfer', { size: of('ease'), where: { edges: 'rims', of: name, end: 'top' } }),
      ]),
      step('bore', 'hole', { diameter: of('bore'), depth: 'through', on: 'top', x: 0, y: 0 }),
      step('bore-ease', 'chamfer', { size: of('ease'), where: { edges: 'mouths', of: 'bore' } }),
      step('bolt', 'hole', {
        diameter: of('bolt'),
        depth: 'through',
        on: { face: { tag: 'flange:top', near: [30, 0, 8] } },
        x: by('bolts / 2'),
        y: 0,
        xFrom: 'axle',
        yFrom: 'axle',
      }),
      step('bolts', 'pattern', { of: 'bolt', pattern: { by: 'round', count: of('boltCount') } }),
    ],
    (n) =>
      disc(n.flange) * n.thick -
      (disc(n.flange) - disc(n.flange - 2 * n.grooveDeep)) * n.grooveWidth +
      sum(SHOULDERS.map((name) => disc(n[name]) * n.high - easedRim(Math.PI * n[name], n.ease))) -
      disc(n.bore) * (n.thick + 9 * n.high) -
      2 * easedMouth(n.bore, n.ease) -
      n.boltCount * disc(n.bolt) * n.thick,
    (n) => {
      const across = [n.flange, ...SHOULDERS.map((name) => n[name])];
      const falls = across.every((mm, index) => index === 0 || mm + 2 * n.ease + 0.1 < across[index - 1]!);
      return (
        falls &&
        n.bore + 4 * n.ease < n.ninth &&
        n.ease < n.high / 2 &&
        n.grooveWidth < n.thick - 1 &&
        n.bolts - n.bolt > n.first + 0.2 &&
        n.bolts + n.bolt < n.flange - 2 * n.grooveDeep - 0.2 &&
        n.boltCount * 2 * n.bolt < Math.PI * n.bolts
      );
    },
  ),
];
