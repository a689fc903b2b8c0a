import { circle, fromTop, onGround, onTop, rectangle, step } from '@core/shaping/starters';

import { part, type Part } from './part';
import { band, disc, easedRim, rounded, roundedOff, roundedRim, segment, slot, sunk } from './volumes';

const { PI, sqrt } = Math;

/** Parts that begin with a plate or an outline. */
export const PLATES: readonly Part[] = [
  part(
    'Shelf bracket',
    {
      foot: 40,
      broad: 24,
      thick: 4,
      wall: 36,
      rib: 16,
      ribThick: 3,
      corner: 4,
      hole: 4.5,
      head: 8,
      edge: 7,
      slotLong: 12,
      slotBroad: 4.5,
      ease: 0.5,
    },
    ({ of, by }) => [
      step('foot', 'plate', {
        length: of('foot'),
        breadth: of('broad'),
        thickness: of('thick'),
        cornerRadius: of('corner'),
      }),
      step('wall', 'extrude', {
        ...onTop,
        outline: rectangle(of('thick'), by('broad - 2 * corner')),
        height: of('wall'),
        x: by('-foot / 2 + thick / 2'),
      }),
      step('rib', 'wedge', {
        effect: 'add',
        on: { face: { tag: 'foot:top', near: [0, 0, 4] } },
        x: by('-foot / 2 + thick + rib / 2'),
        y: 0,
        xFrom: 'axle',
        yFrom: 'axle',
        turn: 0,
        length: of('rib'),
        breadth: of('ribThick'),
        low: of('rib'),
        high: 0,
      }),
      step('hole', 'hole', {
        diameter: of('hole'),
        depth: 'through',
        head: { kind: 'sink', diameter: of('head'), angle: PI / 2 },
        on: { face: { tag: 'foot:top', near: [10, 8, 4] } },
        x: by('foot / 2 - edge'),
        y: by('broad / 2 - edge'),
        xFrom: 'axle',
        yFrom: 'axle',
      }),
      step('other', 'mirror', { of: ['hole'], across: 'frontBack', keep: 'both' }),
      step('slot', 'extrude', {
        effect: 'cut',
        on: 'left',
        x: 0,
        y: by('thick + wall * 2 / 3'),
        turn: 0,
        outline: { shape: 'slot', length: of('slotLong'), breadth: of('slotBroad') },
        height: by('thick + 1'),
      }),
      step('rim', 'chamfer', { size: of('ease'), where: { edges: 'rims', of: 'foot', end: 'bottom' } }),
      step('top', 'fillet', {
        size: by('corner / 2'),
        where: { edges: 'picked', picks: [{ tags: ['wall:front', 'wall:top'], near: [-18, -8, 40] }] },
      }),
    ],
    (n) => {
      const high = n.wall;
      return (
        rounded(n.foot, n.broad, n.corner) * n.thick +
        n.thick * (n.broad - 2 * n.corner) * high +
        (n.rib ** 2 / 2) * n.ribThick -
        2 * (disc(n.hole) * n.thick + sunk(n.head, n.hole)) -
        slot(n.slotLong, n.slotBroad) * n.thick -
        easedRim(roundedRim(n.foot, n.broad, n.corner), n.ease) -
        (1 - PI / 4) * (n.corner / 2) ** 2 * n.thick
      );
    },
    (n) =>
      (n.head - n.hole) / 2 < n.thick &&
      n.slotLong < n.broad - 2 * n.corner - 1 &&
      n.rib < n.wall * 0.6 &&
      n.foot / 2 - n.edge - n.head / 2 > -n.foot / 2 + n.thick + n.rib &&
      n.ease < n.corner &&
      n.edge > n.head / 2 + n.ease &&
      n.broad / 2 - n.edge > n.head / 2 &&
      n.rib < (n.wall * 2) / 3 - n.slotBroad &&
      n.broad / 2 - n.edge - n.head / 2 > n.ribThick / 2 - 6,
  ),
  part(
    'Lever arm',
    {
      apart: 50,
      big: 24,
      small: 14,
      thick: 6,
      boss: 16,
      bossHigh: 4,
      bore: 8.2,
      pin: 5,
      pocketLong: 22,
      pocketBroad: 5,
      floor: 2,
      ease: 0.5,
      pocketAt: 26,
    },
    ({ of, by }) => [
      step('arm', 'extrude', {
        ...onGround,
        outline: {
          shape: 'hull',
          circles: [
            { x: 0, y: 0, diameter: of('big') },
            { x: of('apart'), y: 0, diameter: of('small') },
          ],
        },
        height: of('thick'),
      }),
      step('boss', 'extrude', { ...onTop, outline: circle(of('boss')), height: of('bossHigh') }),
      step('bore', 'hole', { diameter: of('bore'), depth: 'through', on: 'top', x: 0, y: 0 }),
      step('pin', 'hole', {
        diameter: of('pin'),
        depth: 'through',
        on: { face: { tag: 'arm:top', near: [40, 0, 6] } },
        x: of('apart'),
        y: 0,
        xFrom: 'axle',
        yFrom: 'axle',
      }),
      step('pocket', 'extrude', {
        ...fromTop,
        on: { face: { tag: 'arm:top', near: [40, 0, 6] } },
        x: of('pocketAt'),
        xFrom: 'axle',
        yFrom: 'axle',
        outline: { shape: 'slot', length: of('pocketLong'), breadth: of('pocketBroad') },
        height: of('floor'),
        floor: true,
      }),
      step('rim', 'chamfer', { size: of('ease'), where: { edges: 'rims', of: 'arm', end: 'bottom' } }),
      step('lip', 'fillet', { size: of('ease'), where: { edges: 'rims', of: 'boss', end: 'top' } }),
      step('mouth', 'chamfer', {
        size: by('ease'),
        where: { edges: 'picked', picks: [{ tags: ['pin:wall', 'arm:bottom'], near: [50, 2.5, 0] }] },
      }),
    ],
    (n) => {
      const [r, s] = [n.big / 2, n.small / 2];
      const lean = Math.asin((r - s) / n.apart);
      const rim = 2 * sqrt(n.apart ** 2 - (r - s) ** 2) + r * (PI + 2 * lean) + s * (PI - 2 * lean);
      return (
        band(n.big, n.small, n.apart) * n.thick +
        disc(n.boss) * n.bossHigh -
        disc(n.bore) * (n.thick + n.bossHigh) -
        disc(n.pin) * n.thick -
        slot(n.pocketLong, n.pocketBroad) * (n.thick - n.floor) -
        easedRim(rim, n.ease) -
        roundedOff(PI * n.boss, n.ease) -
        PI * n.ease ** 2 * (n.pin / 2 + n.ease / 3)
      );
    },
    (n) =>
      n.boss < n.big &&
      n.bore + 2 * n.ease < n.boss &&
      n.pin + 2 * n.ease < n.small - 1 &&
      n.pocketAt - n.pocketLong / 2 > n.boss / 2 &&
      n.pocketAt + n.pocketLong / 2 < n.apart - n.pin / 2 - n.ease &&
      n.small > n.pocketBroad &&
      n.floor < n.thick &&
      n.floor > n.ease &&
      n.apart > n.big,
  ),
  part(
    'Grip of arcs',
    {
      long: 70,
      broad: 22,
      bulge: 6,
      endBulge: 5,
      thick: 12,
      hole: 6,
      seat: 10,
      seatDeep: 5,
      at: 22,
      pocket: 20,
      pocketBroad: 8,
      pocketDeep: 4,
      soft: 2,
    },
    ({ of, by }) => [
      step('grip', 'extrude', {
        ...onGround,
        outline: {
          shape: 'points',
          between: 'straight',
          points: [
            { x: by('-long / 2'), y: by('-broad / 2') },
            { x: 0, y: by('-broad / 2 - bulge'), via: true },
            { x: by('long / 2'), y: by('-broad / 2') },
            { x: by('long / 2 + endBulge'), y: 0, via: true },
            { x: by('long / 2'), y: by('broad / 2') },
            { x: 0, y: by('broad / 2 + bulge'), via: true },
            { x: by('-long / 2'), y: by('broad / 2') },
            { x: by('-long / 2 - endBulge'), y: 0, via: true },
          ],
        },
        height: of('thick'),
      }),
      step('hole', 'hole', {
        diameter: of('hole'),
        depth: 'through',
        head: { kind: 'seat', diameter: of('seat'), depth: of('seatDeep') },
        on: 'top',
        x: of('at'),
        y: 0,
      }),
      step('other', 'mirror', { of: ['hole'], across: 'sides', keep: 'both' }),
      step('pocket', 'extrude', {
        ...fromTop,
        outline: rectangle(of('pocket'), of('pocketBroad'), by('soft / 2')),
        height: of('pocketDeep'),
      }),
      step('pin', 'hole', { diameter: by('hole / 2'), depth: by('thick / 2'), on: 'bottom', x: 0, y: 0 }),
      step('pin2', 'hole', {
        diameter: by('hole / 2'),
        depth: by('thick / 2'),
        on: 'bottom',
        x: 0,
        y: by('hole'),
      }),
      step('pin3', 'mirror', { of: ['pin2'], across: 'frontBack', keep: 'both' }),
      step('peg', 'peg', {
        diameter: by('hole / 2'),
        height: by('thick / 4'),
        on: 'top',
        x: 0,
        y: by('broad / 3'),
      }),
    ],
    (n) =>
      (n.long * n.broad + 2 * segment(n.long, n.bulge) + 2 * segment(n.broad, n.endBulge)) * n.thick -
      2 * (disc(n.hole) * n.thick + (disc(n.seat) - disc(n.hole)) * n.seatDeep) -
      rounded(n.pocket, n.pocketBroad, n.soft / 2) * n.pocketDeep -
      3 * disc(n.hole / 2) * (n.thick / 2) +
      disc(n.hole / 2) * (n.thick / 4),
    (n) =>
      n.at - n.seat / 2 > n.pocket / 2 &&
      n.seatDeep < n.thick &&
      n.pocketDeep < n.thick / 2 &&
      n.at + n.seat / 2 < n.long / 2 &&
      n.endBulge < n.broad / 2 &&
      n.seat > n.hole + 0.3 &&
      n.seat < n.broad &&
      n.at / 2 + n.hole / 4 < n.at - n.hole / 2 &&
      n.pocketBroad < n.broad &&
      n.broad / 3 - n.hole / 4 > n.pocketBroad / 2,
  ),
  part(
    'Box for a switch',
    {
      long: 60,
      broad: 40,
      high: 22,
      wall: 2,
      post: 7,
      screw: 2.8,
      screwDeep: 12,
      cable: 6,
      rim: 1,
      foot: 12,
      footThick: 3,
      footHole: 4,
      corner: 3,
    },
    ({ of, by }) => [
      step('block', 'plate', {
        length: of('long'),
        breadth: of('broad'),
        thickness: of('high'),
        cornerRadius: of('corner'),
      }),
      step('room', 'shell', { wall: of('wall'), open: 'top' }),
      step('post', 'extrude', {
        ...onGround,
        lift: of('wall'),
        outline: circle(of('post')),
        height: by('high - wall'),
        x: by('long / 2 - wall - post'),
        y: by('broad / 2 - wall - post'),
      }),
      step('screw', 'hole', {
        diameter: of('screw'),
        depth: of('screwDeep'),
        on: { face: { tag: 'post:top', near: [21, 11, 22] } },
        x: 0,
        y: 0,
      }),
      step('left', 'mirror', { of: ['post', 'screw'], across: 'sides', keep: 'both' }),
      step('front', 'mirror', { of: ['post', 'screw'], across: 'frontBack', keep: 'both' }),
      step('cable', 'hole', {
        diameter: of('cable'),
        depth: by('wall'),
        on: 'front',
        x: 0,
        y: by('high / 2'),
      }),
      step('foot', 'plate', {
        effect: 'add',
        on: 'bottom',
        x: by('long / 2 + foot / 2'),
        y: 0,
        length: of('foot'),
        breadth: by('broad / 2'),
        thickness: of('footThick'),
        cornerRadius: 0,
      }),
      step('footHole', 'hole', {
        diameter: of('footHole'),
        depth: 'through',
        on: { face: { tag: 'foot:top', near: [36, 0, 3] } },
        x: 0,
        y: 0,
      }),
    ],
    (n) => {
      const inner = rounded(n.long - 2 * n.wall, n.broad - 2 * n.wall, n.corner - n.wall);
      const deep = n.high - n.wall;
      return (
        rounded(n.long, n.broad, n.corner) * n.high -
        inner * deep +
        3 * disc(n.post) * deep -
        3 * disc(n.screw) * n.screwDeep -
        disc(n.cable) * n.wall +
        (n.foot * n.broad * n.footThick) / 2 -
        disc(n.footHole) * n.footThick
      );
    },
    (n) =>
      n.corner > n.wall + 0.1 &&
      n.screw < n.post &&
      n.screwDeep < n.high - n.wall &&
      n.post < n.broad / 4 &&
      n.cable / 2 < n.high / 2 - n.wall &&
      n.long > 4 * n.post &&
      n.footHole < n.foot - 1,
  ),
];
