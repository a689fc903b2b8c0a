import { circle, onGround, rectangle, step } from '@core/shaping/starters';

import { part, type Part } from './part';
import { disc, easedRim, easedSharp, slot, sunk } from './volumes';

const { PI, sqrt } = Math;

/** Leaves, clamps and wedges. */
export const BLOCKS: readonly Part[] = [
  part(
    'Hinge leaf',
    {
      long: 50,
      broad: 30,
      thick: 3,
      hole: 3.6,
      head: 7,
      edge: 7,
      knuckle: 10,
      knuckleLong: 12,
      pin: 4.2,
      lug: 6,
      lugHigh: 8,
      ease: 0.4,
    },
    ({ of, by }) => [
      step('leaf', 'plate', {
        length: of('long'),
        breadth: of('broad'),
        thickness: of('thick'),
        cornerRadius: 0,
      }),
      step('hole', 'hole', {
        diameter: of('hole'),
        depth: 'through',
        head: { kind: 'sink', diameter: of('head'), angle: PI / 2 },
        on: 'top',
        x: of('edge'),
        y: of('edge'),
        xFrom: 'low',
        yFrom: 'low',
      }),
      step('holes', 'pattern', {
        of: 'hole',
        pattern: { by: 'row', count: 3, dx: by('(long - 2 * edge) / 2'), dy: 0 },
      }),
      step('knuckle', 'extrude', {
        effect: 'add',
        on: 'left',
        x: by('broad / 2 + knuckle / 2 - 1'),
        y: by('knuckle / 2'),
        turn: 0,
        outline: circle(of('knuckle')),
        height: of('knuckleLong'),
        lift: by('-knuckleLong'),
      }),
      step('knuckle2', 'mirror', { of: ['knuckle'], across: 'sides', keep: 'both' }),
      step('pin', 'extrude', {
        effect: 'cut',
        on: 'left',
        x: by('broad / 2 + knuckle / 2 - 1'),
        y: by('knuckle / 2'),
        turn: 0,
        outline: circle(of('pin')),
        height: 'through',
      }),
      step('lug', 'extrude', {
        ...onGround,
        on: { face: { tag: 'leaf:top', near: [0, 0, 3] } },
        x: 0,
        y: 0,
        xFrom: 'axle',
        yFrom: 'axle',
        outline: rectangle(of('lug'), of('lug')),
        height: of('lugHigh'),
      }),
      step('rim', 'chamfer', { size: of('ease'), where: { edges: 'rims', of: 'lug', end: 'top' } }),
    ],
    (n) => {
      const r = n.knuckle / 2;
      // A knuckle's round lies in the leaf by what is left of its middle line: x from wide / 2 − 1 on, z up to thick.
      const inLeaf = overlap(r, n.thick);
      return (
        n.long * n.broad * n.thick -
        3 * (disc(n.hole) * n.thick + sunk(n.head, n.hole)) +
        2 * n.knuckleLong * (disc(n.knuckle) - inLeaf) -
        2 * n.knuckleLong * disc(n.pin) +
        n.lug ** 2 * n.lugHigh -
        easedSharp(n.lug, n.lug, n.ease)
      );
    },
    (n) =>
      n.pin < n.knuckle - 2.4 &&
      n.edge > n.head / 2 &&
      n.long - 2 * n.edge > 2 * n.head &&
      2 * n.knuckleLong < n.long - 2 &&
      (n.head - n.hole) / 2 < n.thick &&
      n.lug / 2 < n.broad / 2 - n.edge - n.head / 2 + 0 &&
      n.knuckle / 2 > n.thick + 0.2 &&
      n.lug / 2 < n.broad / 2 - 2,
  ),
  part(
    'Pipe clamp',
    {
      long: 60,
      broad: 18,
      high: 22,
      pipe: 21.5,
      screw: 5.2,
      at: 23,
      head: 9,
      headDeep: 4,
      gap: 1,
      groove: 8,
      grooveDeep: 2,
      soft: 1,
    },
    ({ of, by }) => [
      step('block', 'extrude', {
        ...onGround,
        outline: rectangle(of('long'), of('broad')),
        height: of('high'),
      }),
      step('pipe', 'extrude', {
        effect: 'cut',
        on: 'front',
        x: 0,
        y: of('high'),
        turn: 0,
        outline: circle(of('pipe')),
        height: 'through',
      }),
      step('screw', 'hole', {
        diameter: of('screw'),
        depth: 'through',
        on: { face: { tag: 'block:top', near: [25, 0, 22] } },
        x: of('at'),
        y: 0,
        xFrom: 'axle',
        yFrom: 'axle',
      }),
      step('seat', 'hole', { diameter: of('head'), depth: of('headDeep'), on: 'bottom', x: of('at'), y: 0 }),
      step('other', 'mirror', { of: ['screw', 'seat'], across: 'sides', keep: 'both' }),
      step('groove', 'extrude', {
        effect: 'cut',
        on: 'bottom',
        x: 0,
        y: 0,
        turn: 0,
        outline: rectangle(of('groove'), by('broad + 2')),
        height: of('grooveDeep'),
      }),
      step('low', 'split', { axis: 'z', at: by('high - gap'), keep: 'low', gap: 0 }),
      step('edges', 'fillet', {
        size: of('soft'),
        where: {
          edges: 'picked',
          picks: [
            { tags: ['block:left', 'block:front'], near: [-30, -9, 10] },
            { tags: ['block:right', 'block:front'], near: [30, -9, 10] },
            { tags: ['block:left', 'block:back'], near: [-30, 9, 10] },
            { tags: ['block:right', 'block:back'], near: [30, 9, 10] },
          ],
        },
      }),
    ],
    (n) => {
      const high = n.high - n.gap;
      const r = n.pipe / 2;
      // Half of the pipe's round, less what the split takes off its top.
      const under = r ** 2 * Math.acos(n.gap / r) - n.gap * sqrt(r ** 2 - n.gap ** 2);
      return (
        n.long * n.broad * high -
        under * n.broad -
        2 * (disc(n.screw) * (high - n.headDeep) + disc(n.head) * n.headDeep) -
        n.groove * n.broad * n.grooveDeep -
        (4 - PI) * n.soft ** 2 * high
      );
    },
    (n) =>
      n.pipe / 2 < n.high - n.grooveDeep - 1 &&
      n.at - n.head / 2 > n.pipe / 2 &&
      n.at + n.head / 2 < n.long / 2 - n.soft &&
      n.head > n.screw &&
      n.head < n.broad &&
      n.at - n.head / 2 > n.groove / 2 &&
      n.headDeep < n.high - n.gap - 1,
  ),
  part(
    'Wedge stay',
    {
      long: 48,
      broad: 20,
      low: 6,
      high: 18,
      slotLong: 20,
      slotBroad: 5,
      ring: 16,
      ringThick: 4,
      peg: 5,
      pegHigh: 9,
      letter: 2,
      bump: 1.2,
    },
    ({ of, by }) => [
      step('stay', 'wedge', {
        effect: 'add',
        on: 'bottom',
        x: 0,
        y: 0,
        turn: 0,
        length: of('long'),
        breadth: of('broad'),
        low: of('low'),
        high: of('high'),
      }),
      step('slot', 'extrude', {
        effect: 'cut',
        on: 'bottom',
        x: 0,
        y: 0,
        turn: 0,
        outline: { shape: 'slot', length: of('slotLong'), breadth: of('slotBroad') },
        height: 'through',
      }),
      step('peg', 'peg', {
        diameter: of('peg'),
        height: of('pegHigh'),
        on: 'left',
        x: 0,
        y: by('low / 2'),
        effect: 'add',
      }),
      step('eye', 'torus', {
        effect: 'apart',
        on: 'bottom',
        x: by('long'),
        y: 0,
        across: of('ring'),
        thick: of('ringThick'),
        up: by('ringThick / 2'),
      }),
      step('bump', 'bump', {
        effect: 'add',
        on: 'right',
        x: 0,
        y: by('high / 2'),
        turn: 0,
        breadth: by('broad / 2'),
        bump: of('bump'),
        play: 0,
      }),
      step('dimple', 'hole', {
        diameter: by('slotBroad / 2'),
        depth: by('low / 2'),
        on: 'bottom',
        x: by('long / 2 - slotBroad'),
        y: by('broad / 4'),
      }),
      step('dimples', 'mirror', { of: ['dimple'], across: 'frontBack', keep: 'both' }),
      step('tip', 'chamfer', { size: by('bump / 2'), where: { edges: 'rims', of: 'peg', end: 'top' } }),
    ],
    (n) => {
      const { long, broad, low, high } = n;
      // The wedge over the slot has the height of its middle, which lies on the slot's own.
      return (
        long * broad * ((low + high) / 2) -
        slot(n.slotLong, n.slotBroad) * ((low + high) / 2) +
        disc(n.peg) * n.pegHigh +
        2 * PI * (n.ring / 2) * disc(n.ringThick) +
        n.bump ** 2 * (broad / 2) -
        2 * disc(n.slotBroad / 2) * (low / 2) -
        easedRim(PI * n.peg, n.bump / 2)
      );
    },
    (n) =>
      n.peg < n.low &&
      n.slotLong / 2 < n.long / 2 - 1.5 * n.slotBroad &&
      n.slotBroad < n.broad / 2 &&
      n.ring > n.ringThick + 1 &&
      n.long - n.ring / 2 - n.ringThick / 2 > n.long / 2 + n.bump + 1 &&
      n.low < n.high &&
      2 * n.bump < n.high / 2 &&
      n.broad / 4 - n.slotBroad / 4 > n.slotBroad / 2 - 3,
  ),
];

/** What a round standing on the ground, its middle a radius less 1 beyond the edge of a leaf, has in common with the leaf. */
function overlap(r: number, thick: number): number {
  // From the leaf's edge inwards by 1 at most: between the round's left and the edge, below the leaf's top.
  const pieces = 4000;
  let sum = 0;
  for (let index = 0; index < pieces; index += 1) {
    const x = -r + (index + 0.5) / pieces;
    const half = sqrt(r ** 2 - x ** 2);
    sum += Math.max(0, Math.min(thick, r + half) - (r - half)) / pieces;
  }
  return sum;
}
