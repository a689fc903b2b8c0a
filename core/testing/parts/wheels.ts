import { circle, fromTop, onGround, onTop, rectangle, step } from '@core/shaping/starters';

import { part, type Part } from './part';
import { disc, easedMouth, easedRim, gearArea, hexagon, roundedOff } from './volumes';

const { PI } = Math;

/** Wheels, caps and plugs. */
export const WHEELS: readonly Part[] = [
  part(
    'Basket wheel',
    {
      rim: 46,
      width: 12,
      grooveWidth: 4,
      grooveDepth: 3,
      hub: 16,
      hubHeight: 5,
      bore: 6.4,
      spoke: 6,
      spokesAt: 13,
      spokeCount: 6,
      ease: 0.8,
    },
    ({ of, by }) => [
      step('disc', 'disc', { diameter: of('rim'), width: of('width') }),
      step('groove', 'groove', { rimOf: 'disc', width: of('grooveWidth'), depth: of('grooveDepth') }),
      step('hub', 'peg', { diameter: of('hub'), height: of('hubHeight'), on: 'top', x: 0, y: 0 }),
      step('bore', 'hole', { diameter: of('bore'), depth: 'through', on: 'top', x: 0, y: 0 }),
      step('spoke', 'hole', {
        diameter: of('spoke'),
        depth: 'through',
        on: { face: { tag: 'disc:top', near: [20, 0, 12] } },
        x: of('spokesAt'),
        y: 0,
      }),
      step('spokes', 'pattern', { of: 'spoke', pattern: { by: 'round', count: of('spokeCount') } }),
      step('rims', 'chamfer', { size: of('ease'), where: { edges: 'rims', of: 'disc' } }),
      step('mouth', 'chamfer', { size: by('ease / 2'), where: { edges: 'mouths', of: 'bore' } }),
      step('lip', 'fillet', { size: of('ease'), where: { edges: 'rims', of: 'hub', end: 'top' } }),
    ],
    (n) =>
      disc(n.rim) * n.width -
      (disc(n.rim) - disc(n.rim - 2 * n.grooveDepth)) * n.grooveWidth +
      disc(n.hub) * n.hubHeight -
      disc(n.bore) * (n.width + n.hubHeight) -
      n.spokeCount * disc(n.spoke) * n.width -
      2 * easedRim(PI * n.rim, n.ease) -
      2 * easedMouth(n.bore, n.ease / 2) -
      roundedOff(PI * n.hub, n.ease),
    (n) =>
      n.grooveWidth < n.width - 2 * n.ease &&
      n.spokesAt - n.spoke / 2 > n.hub / 2 &&
      n.spokesAt + n.spoke / 2 < n.rim / 2 - n.grooveDepth,
  ),
  part(
    'Cap over a foot',
    {
      across: 32,
      high: 24,
      wall: 2.4,
      vent: 3,
      ventCount: 3,
      ribHigh: 2,
      rib: 2,
      soft: 1.5,
      foot: 10,
      footHigh: 3,
    },
    ({ of, by }) => [
      step('can', 'disc', { diameter: of('across'), width: of('high') }),
      step('room', 'shell', { wall: of('wall'), open: 'bottom' }),
      step('soft', 'fillet', { size: of('soft'), where: { edges: 'rims', of: 'can', end: 'top' } }),
      step('vent', 'hole', { diameter: of('vent'), depth: 'through', on: 'top', x: by('across / 4'), y: 0 }),
      step('vents', 'pattern', { of: 'vent', pattern: { by: 'round', count: of('ventCount') } }),
      step('foot', 'peg', {
        diameter: of('foot'),
        height: of('footHigh'),
        on: 'top',
        x: 0,
        y: 0,
        lift: by('-wall - footHigh'),
      }),
      step('pin', 'peg', { diameter: of('rib'), height: of('ribHigh'), on: 'top', x: 0, y: 0 }),
      step('tip', 'fillet', { size: by('rib / 4'), where: { edges: 'rims', of: 'pin', end: 'top' } }),
    ],
    (n) => {
      const inner = n.across - 2 * n.wall;
      const vents = n.ventCount * disc(n.vent) * n.wall;
      return (
        disc(n.across) * n.high -
        disc(inner) * (n.high - n.wall) -
        roundedOff(PI * n.across, n.soft) -
        vents +
        disc(n.foot) * n.footHigh +
        disc(n.rib) * n.ribHigh -
        roundedOff(PI * n.rib, n.rib / 4)
      );
    },
    (n) =>
      n.soft < n.wall &&
      n.across / 4 + n.vent / 2 < n.across / 2 - n.wall &&
      n.foot < n.across - 2 * n.wall &&
      n.across / 4 - n.vent / 2 > n.foot / 2,
  ),
  part(
    'Threaded plug',
    {
      flats: 24,
      headHigh: 8,
      collar: 27,
      collarHigh: 2,
      length: 16,
      bore: 5,
      boreDeep: 12,
      dimple: 4,
      dimpleDeep: 2.5,
      ease: 0.6,
    },
    ({ of }) => [
      step('head', 'extrude', {
        ...onGround,
        outline: { shape: 'polygon', sides: 6, by: 'flats', across: of('flats') },
        height: of('headHigh'),
      }),
      step('collar', 'extrude', { ...onTop, outline: circle(of('collar')), height: of('collarHigh') }),
      step('rod', 'thread', {
        side: 'outside',
        size: 'M16',
        length: of('length'),
        play: 0.1,
        made: 'drawn',
        on: 'top',
        x: 0,
        y: 0,
      }),
      step('bore', 'hole', { diameter: of('bore'), depth: of('boreDeep'), on: 'top', x: 0, y: 0 }),
      step('mouth', 'chamfer', { size: of('ease'), where: { edges: 'mouths', of: 'bore' } }),
      step('dimple', 'hole', { diameter: of('dimple'), depth: of('dimpleDeep'), on: 'bottom', x: 0, y: 0 }),
      step('corners', 'fillet', { size: of('ease'), where: { edges: 'upright', of: 'head' } }),
      step('rim', 'chamfer', { size: of('ease'), where: { edges: 'rims', of: 'collar', end: 'top' } }),
    ],
    (n) => {
      const rod = 16 - 0.2;
      // A corner of 120° rounded: (√3 / 3 − π / 6) r² each.
      const corners = 6 * (1 / Math.sqrt(3) - PI / 6) * n.ease ** 2;
      return (
        hexagon(n.flats) * n.headHigh +
        disc(n.collar) * n.collarHigh +
        disc(rod) * n.length -
        disc(n.bore) * n.boreDeep -
        easedMouth(n.bore, n.ease) -
        disc(n.dimple) * n.dimpleDeep -
        corners * n.headHigh -
        easedRim(PI * n.collar, n.ease)
      );
    },
    (n) => n.boreDeep < n.length + n.collarHigh && n.flats / Math.cos(PI / 6) < n.collar + 20,
  ),
  part(
    'Gear with a hub',
    {
      module: 1,
      toothCount: 45,
      thick: 8,
      hub: 20,
      hubHigh: 6,
      bore: 8,
      keyBroad: 3,
      keyHigh: 1.5,
      light: 8,
      lightAt: 14.5,
      lightCount: 6,
      soft: 1,
    },
    ({ of, by }) => [
      step('gear', 'extrude', {
        ...onGround,
        outline: {
          shape: 'gear',
          teeth: of('toothCount'),
          module: of('module'),
          pressure: PI / 9,
          shift: 0,
          backlash: 0.1,
          side: 'outside',
        },
        height: of('thick'),
      }),
      step('hub', 'peg', { diameter: of('hub'), height: of('hubHigh'), on: 'top', x: 0, y: 0 }),
      step('bore', 'hole', { diameter: of('bore'), depth: 'through', on: 'top', x: 0, y: 0 }),
      step('key', 'extrude', {
        ...fromTop,
        outline: rectangle(of('keyBroad'), by('bore / 2 + keyHigh')),
        height: 'through',
        y: by('(bore / 2 + keyHigh) / 2'),
      }),
      step('light', 'hole', {
        diameter: of('light'),
        depth: 'through',
        on: { face: { tag: 'gear:top', near: [15, 0, 8] } },
        x: of('lightAt'),
        y: 0,
        xFrom: 'axle',
        yFrom: 'axle',
      }),
      step('lights', 'pattern', { of: 'light', pattern: { by: 'round', count: of('lightCount') } }),
      step('lip', 'fillet', { size: of('soft'), where: { edges: 'rims', of: 'hub', end: 'top' } }),
      step('mouth', 'chamfer', {
        size: 0.4,
        where: { edges: 'picked', picks: [{ tags: ['bore:wall', 'gear:bottom'], near: [0, -4, 0] }] },
      }),
    ],
    (n) => {
      const high = n.thick + n.hubHigh;
      const half = n.keyBroad / 2;
      const radius = n.bore / 2;
      // What the keyway takes beside the bore: its rectangle, less what of the bore lies under it.
      const under = half * Math.sqrt(radius ** 2 - half ** 2) + radius ** 2 * Math.asin(half / radius);
      const key = n.keyBroad * (radius + n.keyHigh) - under;
      // The mouth's ease runs round all but the keyway.
      const open = 1 - (2 * Math.asin(half / radius)) / (2 * PI);
      return (
        gearArea(n.module, n.toothCount, PI / 9, 0.1) * n.thick +
        disc(n.hub) * n.hubHigh -
        disc(n.bore) * high -
        key * high -
        n.lightCount * disc(n.light) * n.thick -
        roundedOff(PI * n.hub, n.soft) -
        easedMouth(n.bore, 0.4) * open
      );
    },
    (n) =>
      n.toothCount >= 42 &&
      n.lightAt - n.light / 2 > n.hub / 2 &&
      n.lightAt + n.light / 2 < (n.module * n.toothCount) / 2 - 2 * n.module &&
      2 * PI * n.lightAt > n.lightCount * (n.light + 1),
  ),
];
