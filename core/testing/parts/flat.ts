import { circle, fromTop, onGround, onTop, rectangle, step } from '@core/starters';

import { part, type Part } from './part';
import {
  band,
  disc,
  easedRim,
  easedSharp,
  hexagon,
  rounded,
  roundedOff,
  roundedRim,
  segment,
  slot,
  sunk,
} from './volumes';

const { PI, sqrt } = Math;

/** Parts that begin with something flat, or a block. */
export const FLAT_PARTS: readonly Part[] = [
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
      step('wall', 'raise', {
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
      step('hole', 'drill', {
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
      step('slot', 'raise', {
        effect: 'cut',
        on: 'left',
        x: 0,
        y: by('thick + wall * 2 / 3'),
        turn: 0,
        outline: { shape: 'slot', length: of('slotLong'), breadth: of('slotBroad') },
        height: by('thick + 1'),
      }),
      step('rim', 'ease', { size: of('ease'), where: { edges: 'rims', of: 'foot', end: 'bottom' } }),
      step('top', 'round', {
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
      step('arm', 'raise', {
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
      step('boss', 'raise', { ...onTop, outline: circle(of('boss')), height: of('bossHigh') }),
      step('bore', 'drill', { diameter: of('bore'), depth: 'through', on: 'top', x: 0, y: 0 }),
      step('pin', 'drill', {
        diameter: of('pin'),
        depth: 'through',
        on: { face: { tag: 'arm:top', near: [40, 0, 6] } },
        x: of('apart'),
        y: 0,
        xFrom: 'axle',
        yFrom: 'axle',
      }),
      step('pocket', 'raise', {
        ...fromTop,
        on: { face: { tag: 'arm:top', near: [40, 0, 6] } },
        x: of('pocketAt'),
        xFrom: 'axle',
        yFrom: 'axle',
        outline: { shape: 'slot', length: of('pocketLong'), breadth: of('pocketBroad') },
        height: of('floor'),
        floor: true,
      }),
      step('rim', 'ease', { size: of('ease'), where: { edges: 'rims', of: 'arm', end: 'bottom' } }),
      step('lip', 'round', { size: of('ease'), where: { edges: 'rims', of: 'boss', end: 'top' } }),
      step('mouth', 'ease', {
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
      step('grip', 'raise', {
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
      step('hole', 'drill', {
        diameter: of('hole'),
        depth: 'through',
        head: { kind: 'seat', diameter: of('seat'), depth: of('seatDeep') },
        on: 'top',
        x: of('at'),
        y: 0,
      }),
      step('other', 'mirror', { of: ['hole'], across: 'sides', keep: 'both' }),
      step('pocket', 'raise', {
        ...fromTop,
        outline: rectangle(of('pocket'), of('pocketBroad'), by('soft / 2')),
        height: of('pocketDeep'),
      }),
      step('pin', 'drill', { diameter: by('hole / 2'), depth: by('thick / 2'), on: 'bottom', x: 0, y: 0 }),
      step('pin2', 'drill', {
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
      step('room', 'hollow', { wall: of('wall'), open: 'top' }),
      step('post', 'raise', {
        ...onGround,
        lift: of('wall'),
        outline: circle(of('post')),
        height: by('high - wall'),
        x: by('long / 2 - wall - post'),
        y: by('broad / 2 - wall - post'),
      }),
      step('screw', 'drill', {
        diameter: of('screw'),
        depth: of('screwDeep'),
        on: { face: { tag: 'post:top', near: [21, 11, 22] } },
        x: 0,
        y: 0,
      }),
      step('left', 'mirror', { of: ['post', 'screw'], across: 'sides', keep: 'both' }),
      step('front', 'mirror', { of: ['post', 'screw'], across: 'frontBack', keep: 'both' }),
      step('cable', 'drill', {
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
      step('footHole', 'drill', {
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
  part(
    'Lid of the box',
    {
      long: 64,
      broad: 44,
      thick: 2.5,
      lip: 3,
      lipThick: 1.6,
      inset: 2.2,
      hole: 3.2,
      edge: 7,
      knob: 10,
      knobHigh: 6,
      dimple: 5,
      ease: 0.6,
      corner: 4,
    },
    ({ of, by }) => [
      step('plate', 'plate', {
        length: of('long'),
        breadth: of('broad'),
        thickness: of('thick'),
        cornerRadius: of('corner'),
      }),
      step('lip', 'raise', {
        ...onTop,
        outline: rectangle(by('long - 2 * inset'), by('broad - 2 * inset')),
        height: of('lip'),
      }),
      step('inside', 'raise', {
        ...fromTop,
        outline: rectangle(by('long - 2 * inset - 2 * lipThick'), by('broad - 2 * inset - 2 * lipThick')),
        height: of('lip'),
      }),
      step('hole', 'drill', {
        diameter: of('hole'),
        depth: 'through',
        on: { face: { tag: 'inside:bottom', near: [0, 0, 2.5] } },
        x: by('long / 2 - inset - lipThick - edge'),
        y: by('broad / 2 - inset - lipThick - edge'),
        xFrom: 'axle',
        yFrom: 'axle',
      }),
      step('holes', 'repeat', {
        of: 'hole',
        pattern: {
          by: 'grid',
          count: 2,
          rows: 2,
          dx: by('-2 * (long / 2 - inset - lipThick - edge)'),
          dy: by('-2 * (broad / 2 - inset - lipThick - edge)'),
        },
      }),
      step('knob', 'peg', {
        diameter: of('knob'),
        height: of('knobHigh'),
        on: { face: { tag: 'inside:bottom', near: [0, 0, 2.5] } },
        x: 0,
        y: 0,
        xFrom: 'axle',
        yFrom: 'axle',
      }),
      step('soft', 'round', { size: of('ease'), where: { edges: 'rims', of: 'knob', end: 'top' } }),
      step('rim', 'ease', { size: of('ease'), where: { edges: 'rims', of: 'plate', end: 'bottom' } }),
      step('dimple', 'drill', {
        diameter: of('dimple'),
        depth: by('knobHigh / 2'),
        on: { face: { tag: 'knob:top', near: [0, 0, 8] } },
        x: 0,
        y: 0,
      }),
    ],
    (n) => {
      const [l, b] = [n.long - 2 * n.inset, n.broad - 2 * n.inset];
      return (
        rounded(n.long, n.broad, n.corner) * n.thick +
        (l * b - (l - 2 * n.lipThick) * (b - 2 * n.lipThick)) * n.lip -
        4 * disc(n.hole) * n.thick +
        disc(n.knob) * n.knobHigh -
        roundedOff(PI * n.knob, n.ease) -
        easedRim(roundedRim(n.long, n.broad, n.corner), n.ease) -
        (disc(n.dimple) * n.knobHigh) / 2
      );
    },
    // The corners of the lip lie within the rounded ones of the plate.
    (n) =>
      n.edge > n.hole / 2 &&
      n.dimple + 2 * n.ease < n.knob &&
      n.ease < n.corner &&
      n.inset > (1 - 1 / sqrt(2)) * n.corner &&
      n.broad / 2 - n.inset - n.lipThick - n.edge > n.knob / 2 + n.hole / 2 - 8 &&
      Math.hypot(n.long / 2 - n.inset - n.lipThick - n.edge, n.broad / 2 - n.inset - n.lipThick - n.edge) >
        (n.knob + n.hole) / 2,
  ),
  part(
    'Tool holder',
    {
      long: 90,
      broad: 26,
      thick: 5,
      hole: 8,
      apart: 20,
      holeCount: 4,
      back: 24,
      backThick: 4,
      tongue: 18,
      tongueThick: 2,
      tongueBroad: 6,
      barb: 1.2,
      screw: 4.2,
      screwAt: 34,
    },
    ({ of, by }) => [
      step('plate', 'plate', {
        length: of('long'),
        breadth: of('broad'),
        thickness: of('thick'),
        cornerRadius: 0,
      }),
      step('hole', 'drill', {
        diameter: of('hole'),
        depth: 'through',
        on: 'top',
        x: by('-apart * (holeCount - 1) / 2'),
        y: by('-broad / 6'),
      }),
      step('holes', 'repeat', {
        of: 'hole',
        pattern: { by: 'row', count: of('holeCount'), dx: of('apart'), dy: 0 },
      }),
      step('back', 'raise', {
        ...onTop,
        outline: rectangle(of('long'), of('backThick')),
        y: by('broad / 2 - backThick / 2'),
        height: of('back'),
      }),
      step('tongue', 'tongue', {
        effect: 'add',
        on: { face: { tag: 'plate:top', near: [0, -8, 5] } },
        x: 0,
        y: by('-broad / 6'),
        xFrom: 'axle',
        yFrom: 'axle',
        turn: PI / 2,
        length: of('tongue'),
        breadth: of('tongueBroad'),
        thickness: of('tongueThick'),
        bump: of('barb'),
        play: 0,
      }),
      step('tongue2', 'repeat', {
        of: 'tongue',
        pattern: {
          by: 'points',
          points: [
            { x: of('apart'), y: by('-broad / 6') },
            { x: by('-apart'), y: by('-broad / 6') },
          ],
        },
      }),
      step('screw', 'drill', {
        diameter: of('screw'),
        depth: of('backThick'),
        on: 'back',
        x: of('screwAt'),
        y: by('thick + back / 2'),
      }),
      step('screw2', 'mirror', { of: ['screw'], across: 'sides', keep: 'both' }),
      step('edge', 'ease', {
        size: 0.6,
        where: { edges: 'picked', picks: [{ tags: ['back:top', 'back:back'], near: [0, 13, 29] }] },
      }),
    ],
    (n) => {
      const tongue = (n.tongue * n.tongueThick + n.barb ** 2) * n.tongueBroad;
      return (
        n.long * n.broad * n.thick -
        n.holeCount * disc(n.hole) * n.thick +
        n.long * n.backThick * n.back +
        3 * tongue -
        2 * disc(n.screw) * n.backThick -
        (0.6 ** 2 / 2) * n.long
      );
    },
    (n) =>
      n.holeCount % 2 === 0 &&
      n.apart - n.hole > 2 * n.tongueBroad - n.apart + 8 &&
      n.apart / 2 > (n.hole + n.tongueBroad) / 2 &&
      (n.holeCount - 1) * n.apart + n.hole < n.long &&
      n.tongueThick + n.barb < n.broad / 4 &&
      n.screwAt + n.screw / 2 < n.long / 2 &&
      n.screw < n.back - 2 &&
      n.broad / 6 + n.hole / 2 < n.broad / 2 &&
      n.tongue > 3 * n.barb &&
      n.broad / 2 - n.backThick > -n.broad / 6 + n.hole / 2,
  ),
  part(
    'Drawer handle',
    { apart: 64, rise: 24, rod: 9, bend: 12, foot: 16, footThick: 4, screw: 3.3, screwDeep: 9, ease: 0.6 },
    ({ of, by }) => [
      step('bow', 'run', {
        effect: 'add',
        on: 'bottom',
        x: by('-apart / 2'),
        y: 0,
        outline: circle(of('rod')),
        bend: of('bend'),
        along: 'straight',
        closed: false,
        path: [
          { x: 0, y: 0, up: 0 },
          { x: 0, y: 0, up: of('rise') },
          { x: of('apart'), y: 0, up: of('rise') },
          { x: of('apart'), y: 0, up: 0 },
        ],
      }),
      step('foot', 'peg', {
        diameter: of('foot'),
        height: of('footThick'),
        on: 'bottom',
        x: by('-apart / 2'),
        y: 0,
        effect: 'add',
      }),
      step('other', 'mirror', { of: ['foot'], across: 'sides', keep: 'both' }),
      step('screw', 'drill', {
        diameter: of('screw'),
        depth: of('screwDeep'),
        on: 'bottom',
        x: by('-apart / 2'),
        y: 0,
      }),
      step('screws', 'mirror', { of: ['screw'], across: 'sides', keep: 'both' }),
      step('rim', 'ease', { size: of('ease'), where: { edges: 'rims', of: 'foot', end: 'top' } }),
      step('mouth', 'ease', { size: by('ease / 2'), where: { edges: 'mouths', of: 'screw' } }),
      step('soft', 'round', { size: by('ease / 2'), where: { edges: 'rims', of: 'foot', end: 'bottom' } }),
    ],
    (n) => {
      // Pappus: the middle line of the rod; each bend takes (2 − π / 2) of its radius off.
      const line = 2 * n.rise + n.apart - 2 * (2 - PI / 2) * n.bend;
      const foot =
        (disc(n.foot) - disc(n.rod)) * n.footThick -
        easedRim(PI * n.foot, n.ease) -
        roundedOff(PI * n.foot, n.ease / 2);
      return (
        disc(n.rod) * line +
        2 * foot -
        2 * disc(n.screw) * n.screwDeep -
        2 * PI * (n.ease / 2) ** 2 * (n.screw / 2 + n.ease / 6)
      );
    },
    (n) =>
      n.bend > n.rod / 2 + 0.1 &&
      n.rise - n.bend > n.footThick &&
      n.screwDeep < n.rise - n.bend &&
      n.apart > 2 * n.bend &&
      n.foot > n.rod + 2 * n.ease + 0.5,
  ),
  part(
    'Tapered foot',
    {
      long: 34,
      broad: 28,
      high: 20,
      leanAngle: 0.09,
      seat: 12,
      seatDeep: 6,
      hole: 5,
      nut: 8,
      nutDeep: 4,
      groove: 3,
      grooveDeep: 1,
      soft: 2,
    },
    ({ of, by }) => [
      step('block', 'raise', {
        ...onGround,
        outline: rectangle(of('long'), of('broad')),
        height: of('high'),
        taper: of('leanAngle'),
      }),
      step('hole', 'drill', {
        diameter: of('hole'),
        depth: 'through',
        head: { kind: 'seat', diameter: of('seat'), depth: of('seatDeep') },
        on: 'top',
        x: 0,
        y: 0,
      }),
      step('nut', 'raise', {
        effect: 'cut',
        on: 'bottom',
        x: 0,
        y: 0,
        turn: 0,
        outline: { shape: 'polygon', sides: 6, by: 'flats', across: of('nut') },
        height: of('nutDeep'),
      }),
      step('groove', 'raise', {
        effect: 'cut',
        on: 'bottom',
        x: by('long / 3'),
        y: 0,
        turn: 0,
        outline: rectangle(of('groove'), by('broad / 2')),
        height: of('grooveDeep'),
      }),
      step('groove2', 'mirror', { of: ['groove'], across: 'sides', keep: 'both' }),
      step('pad', 'peg', {
        diameter: of('groove'),
        height: by('high / 4'),
        on: 'top',
        x: 0,
        y: by('broad / 3'),
      }),
      step('vent', 'drill', {
        diameter: by('groove / 2'),
        depth: by('high / 4'),
        on: 'bottom',
        x: 0,
        y: by('broad / 3'),
      }),
      step('vent2', 'mirror', { of: ['vent'], across: 'frontBack', keep: 'both' }),
      step('mouth', 'ease', {
        size: 0.3,
        where: { edges: 'picked', picks: [{ tags: ['hole:head', 'block:top'], near: [6, 0, 20] }] },
      }),
    ],
    (n) => {
      const off = 2 * n.high * Math.tan(n.leanAngle);
      const [a, b] = [n.long - off, n.broad - off];
      // The sides lean evenly: areas are no squares of one length, so the prismoid formula with its middle.
      const middle = (n.long - off / 2) * (n.broad - off / 2);
      const body = (n.high / 6) * (n.long * n.broad + 4 * middle + a * b);
      return (
        body -
        disc(n.hole) * (n.high - n.seatDeep) -
        disc(n.seat) * n.seatDeep -
        (hexagon(n.nut) - disc(n.hole)) * n.nutDeep -
        2 * ((n.groove * n.broad) / 2) * n.grooveDeep -
        2 * disc(n.groove / 2) * (n.high / 4) +
        disc(n.groove) * (n.high / 4) -
        PI * 0.09 * (n.seat / 2 + 0.1)
      );
    },
    (n) =>
      n.nut > n.hole &&
      n.seatDeep + n.nutDeep < n.high - 0.5 &&
      n.long / 3 - n.groove / 2 > (n.nut / 2) * 1.16 &&
      n.broad / 3 - n.groove / 2 > (n.nut / 2) * 1.16 &&
      n.broad - 2 * n.high * Math.tan(n.leanAngle) > n.seat + 2 &&
      n.seat > n.hole + 0.3 &&
      n.broad / 3 - n.groove / 4 > n.seat / 2 - 4 &&
      n.high / 4 < n.high - n.seatDeep &&
      n.groove / 2 + n.long / 3 < n.long / 2 &&
      n.broad / 3 - n.groove / 2 - (n.high / 2) * Math.tan(n.leanAngle) > 0 &&
      n.broad / 3 + n.groove / 2 < n.broad / 2 - (n.high / 2) * Math.tan(n.leanAngle),
  ),
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
      step('hole', 'drill', {
        diameter: of('hole'),
        depth: 'through',
        head: { kind: 'sink', diameter: of('head'), angle: PI / 2 },
        on: 'top',
        x: of('edge'),
        y: of('edge'),
        xFrom: 'low',
        yFrom: 'low',
      }),
      step('holes', 'repeat', {
        of: 'hole',
        pattern: { by: 'row', count: 3, dx: by('(long - 2 * edge) / 2'), dy: 0 },
      }),
      step('knuckle', 'raise', {
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
      step('pin', 'raise', {
        effect: 'cut',
        on: 'left',
        x: by('broad / 2 + knuckle / 2 - 1'),
        y: by('knuckle / 2'),
        turn: 0,
        outline: circle(of('pin')),
        height: 'through',
      }),
      step('lug', 'raise', {
        ...onGround,
        on: { face: { tag: 'leaf:top', near: [0, 0, 3] } },
        x: 0,
        y: 0,
        xFrom: 'axle',
        yFrom: 'axle',
        outline: rectangle(of('lug'), of('lug')),
        height: of('lugHigh'),
      }),
      step('rim', 'ease', { size: of('ease'), where: { edges: 'rims', of: 'lug', end: 'top' } }),
    ],
    (n) => {
      const r = n.knuckle / 2;
      // A knuckle's round lies in the leaf by what is left of its middle line: x from broad / 2 − 1 on, z up to thick.
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
      step('block', 'raise', {
        ...onGround,
        outline: rectangle(of('long'), of('broad')),
        height: of('high'),
      }),
      step('pipe', 'raise', {
        effect: 'cut',
        on: 'front',
        x: 0,
        y: of('high'),
        turn: 0,
        outline: circle(of('pipe')),
        height: 'through',
      }),
      step('screw', 'drill', {
        diameter: of('screw'),
        depth: 'through',
        on: { face: { tag: 'block:top', near: [25, 0, 22] } },
        x: of('at'),
        y: 0,
        xFrom: 'axle',
        yFrom: 'axle',
      }),
      step('seat', 'drill', { diameter: of('head'), depth: of('headDeep'), on: 'bottom', x: of('at'), y: 0 }),
      step('other', 'mirror', { of: ['screw', 'seat'], across: 'sides', keep: 'both' }),
      step('groove', 'raise', {
        effect: 'cut',
        on: 'bottom',
        x: 0,
        y: 0,
        turn: 0,
        outline: rectangle(of('groove'), by('broad + 2')),
        height: of('grooveDeep'),
      }),
      step('low', 'split', { axis: 'z', at: by('high - gap'), keep: 'low', gap: 0 }),
      step('edges', 'round', {
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
      step('slot', 'raise', {
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
      step('eye', 'ring', {
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
      step('dimple', 'drill', {
        diameter: by('slotBroad / 2'),
        depth: by('low / 2'),
        on: 'bottom',
        x: by('long / 2 - slotBroad'),
        y: by('broad / 4'),
      }),
      step('dimples', 'mirror', { of: ['dimple'], across: 'frontBack', keep: 'both' }),
      step('tip', 'ease', { size: by('bump / 2'), where: { edges: 'rims', of: 'peg', end: 'top' } }),
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
