import { circle, fromTop, onGround, onTop, rectangle, step } from '@core/shaping/starters';

import { part, type Part } from './part';
import { disc, easedRim, hexagon, rounded, roundedOff, roundedRim } from './volumes';

const { PI, sqrt } = Math;

/** Parts that hold or cover something. */
export const HOLDERS: readonly Part[] = [
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
      step('lip', 'extrude', {
        ...onTop,
        outline: rectangle(by('long - 2 * inset'), by('broad - 2 * inset')),
        height: of('lip'),
      }),
      step('inside', 'extrude', {
        ...fromTop,
        outline: rectangle(by('long - 2 * inset - 2 * lipThick'), by('broad - 2 * inset - 2 * lipThick')),
        height: of('lip'),
      }),
      step('hole', 'hole', {
        diameter: of('hole'),
        depth: 'through',
        on: { face: { tag: 'inside:bottom', near: [0, 0, 2.5] } },
        x: by('long / 2 - inset - lipThick - edge'),
        y: by('broad / 2 - inset - lipThick - edge'),
        xFrom: 'axle',
        yFrom: 'axle',
      }),
      step('holes', 'pattern', {
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
      step('soft', 'fillet', { size: of('ease'), where: { edges: 'rims', of: 'knob', end: 'top' } }),
      step('rim', 'chamfer', { size: of('ease'), where: { edges: 'rims', of: 'plate', end: 'bottom' } }),
      step('dimple', 'hole', {
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
      step('hole', 'hole', {
        diameter: of('hole'),
        depth: 'through',
        on: 'top',
        x: by('-apart * (holeCount - 1) / 2'),
        y: by('-broad / 6'),
      }),
      step('holes', 'pattern', {
        of: 'hole',
        pattern: { by: 'row', count: of('holeCount'), dx: of('apart'), dy: 0 },
      }),
      step('back', 'extrude', {
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
      step('tongue2', 'pattern', {
        of: 'tongue',
        pattern: {
          by: 'points',
          points: [
            { x: of('apart'), y: by('-broad / 6') },
            { x: by('-apart'), y: by('-broad / 6') },
          ],
        },
      }),
      step('screw', 'hole', {
        diameter: of('screw'),
        depth: of('backThick'),
        on: 'back',
        x: of('screwAt'),
        y: by('thick + back / 2'),
      }),
      step('screw2', 'mirror', { of: ['screw'], across: 'sides', keep: 'both' }),
      step('edge', 'chamfer', {
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
      step('bow', 'sweep', {
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
      step('screw', 'hole', {
        diameter: of('screw'),
        depth: of('screwDeep'),
        on: 'bottom',
        x: by('-apart / 2'),
        y: 0,
      }),
      step('screws', 'mirror', { of: ['screw'], across: 'sides', keep: 'both' }),
      step('rim', 'chamfer', { size: of('ease'), where: { edges: 'rims', of: 'foot', end: 'top' } }),
      step('mouth', 'chamfer', { size: by('ease / 2'), where: { edges: 'mouths', of: 'screw' } }),
      step('soft', 'fillet', { size: by('ease / 2'), where: { edges: 'rims', of: 'foot', end: 'bottom' } }),
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
      step('block', 'extrude', {
        ...onGround,
        outline: rectangle(of('long'), of('broad')),
        height: of('high'),
        draft: of('leanAngle'),
      }),
      step('hole', 'hole', {
        diameter: of('hole'),
        depth: 'through',
        head: { kind: 'seat', diameter: of('seat'), depth: of('seatDeep') },
        on: 'top',
        x: 0,
        y: 0,
      }),
      step('nut', 'extrude', {
        effect: 'cut',
        on: 'bottom',
        x: 0,
        y: 0,
        turn: 0,
        outline: { shape: 'polygon', sides: 6, by: 'flats', across: of('nut') },
        height: of('nutDeep'),
      }),
      step('groove', 'extrude', {
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
      step('vent', 'hole', {
        diameter: by('groove / 2'),
        depth: by('high / 4'),
        on: 'bottom',
        x: 0,
        y: by('broad / 3'),
      }),
      step('vent2', 'mirror', { of: ['vent'], across: 'frontBack', keep: 'both' }),
      step('mouth', 'chamfer', {
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
];
