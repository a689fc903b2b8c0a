import { circle, onGround, rectangle, step } from '@core/shaping/starters';

import { part, type Part } from './part';
import { disc, easedMouth, easedRim, frustum, integral, lens, roundedOff, sunk } from './volumes';

const { PI } = Math;

/** Tubes, spools, levers and cups. */
export const TUBES: readonly Part[] = [
  part(
    'Hose reducer',
    {
      wide: 25,
      narrow: 16,
      wideLong: 20,
      slope: 12,
      narrowLong: 18,
      wideBore: 20,
      narrowBore: 11,
      barb: 1.2,
      barbLong: 4,
      collar: 32,
      collarLong: 3,
    },
    ({ of, by }) => [
      step('outside', 'stations', {
        effect: 'add',
        on: 'bottom',
        x: 0,
        y: 0,
        between: 'straight',
        rows: [
          { at: 0, diameter: of('wide') },
          { at: of('wideLong'), diameter: of('wide') },
          { at: by('wideLong + slope'), diameter: of('narrow') },
          { at: by('wideLong + slope + narrowLong'), diameter: of('narrow') },
        ],
      }),
      step('inside', 'stations', {
        effect: 'cut',
        on: 'bottom',
        x: 0,
        y: 0,
        between: 'straight',
        rows: [
          { at: 0, diameter: of('wideBore') },
          { at: of('wideLong'), diameter: of('wideBore') },
          { at: by('wideLong + slope'), diameter: of('narrowBore') },
          { at: by('wideLong + slope + narrowLong'), diameter: of('narrowBore') },
        ],
      }),
      ...[1, 2, 3].map((index) =>
        step(`barb${index}`, 'revolve', {
          effect: 'add',
          on: 'bottom',
          x: 0,
          y: 0,
          turn: 0,
          angle: 2 * PI,
          away: by('narrow / 2'),
          up: by(`wideLong + slope + narrowLong - ${index} * (barbLong + 1)`),
          outline: {
            shape: 'points',
            between: 'straight',
            points: [
              { x: -0.5, y: 0 },
              { x: of('barb'), y: 0 },
              { x: 0, y: of('barbLong') },
              { x: -0.5, y: of('barbLong') },
            ],
          },
        }),
      ),
      step('collar', 'extrude', { ...onGround, outline: circle(of('collar')), height: of('collarLong') }),
      step('open', 'hole', { diameter: of('wideBore'), depth: of('collarLong'), on: 'bottom', x: 0, y: 0 }),
      step('lip', 'chamfer', { size: 0.5, where: { edges: 'rims', of: 'collar' } }),
      step('in', 'chamfer', { size: 0.4, where: { edges: 'mouths', of: 'open' } }),
    ],
    (n) => {
      const cone = (a: number, b: number) => frustum(disc(a), disc(b), n.slope);
      // Pappus: the triangle of a barb, its middle a third of the way out.
      const barb = 2 * PI * (n.narrow / 2 + n.barb / 3) * ((n.barb * n.barbLong) / 2);
      return (
        disc(n.wide) * n.wideLong +
        cone(n.wide, n.narrow) +
        disc(n.narrow) * n.narrowLong -
        disc(n.wideBore) * n.wideLong -
        cone(n.wideBore, n.narrowBore) -
        disc(n.narrowBore) * n.narrowLong +
        3 * barb +
        (disc(n.collar) - disc(n.wide)) * n.collarLong -
        2 * easedRim(PI * n.collar, 0.5) -
        easedMouth(n.wideBore, 0.4)
      );
    },
    (n) =>
      n.wideBore < n.wide - 1.5 &&
      n.narrowBore < n.narrow - 1.5 &&
      n.wideLong > n.collarLong &&
      n.narrowLong > 3 * (n.barbLong + 1) &&
      n.wide > n.narrow &&
      n.collar > n.wide + 1.5,
  ),
  part(
    'Belt pulley',
    {
      across: 40,
      broad: 14,
      grooveTop: 8,
      grooveDeep: 5,
      hub: 18,
      hubLong: 6,
      bore: 8,
      screw: 3.2,
      hole: 5,
      holeCount: 5,
      ease: 0.5,
    },
    ({ of, by }) => [
      step('disc', 'disc', { diameter: of('across'), width: of('broad') }),
      step('vee', 'revolve', {
        effect: 'cut',
        on: 'bottom',
        x: 0,
        y: 0,
        turn: 0,
        angle: 2 * PI,
        away: by('across / 2'),
        up: by('broad / 2'),
        outline: {
          shape: 'points',
          between: 'straight',
          points: [
            { x: by('-grooveDeep'), y: -1 },
            { x: 0, y: by('-grooveTop / 2') },
            { x: 3, y: by('-grooveTop / 2') },
            { x: 3, y: by('grooveTop / 2') },
            { x: 0, y: by('grooveTop / 2') },
            { x: by('-grooveDeep'), y: 1 },
          ],
        },
      }),
      step('hub', 'peg', { diameter: of('hub'), height: of('hubLong'), on: 'top', x: 0, y: 0 }),
      step('bore', 'hole', { diameter: of('bore'), depth: 'through', on: 'top', x: 0, y: 0 }),
      step('hole', 'hole', {
        diameter: of('hole'),
        depth: 'through',
        on: 'top',
        x: by('(hub / 2 + across / 2 - grooveDeep) / 2'),
        y: 0,
      }),
      step('holes', 'pattern', { of: 'hole', pattern: { by: 'round', count: of('holeCount') } }),
      step('rims', 'chamfer', { size: of('ease'), where: { edges: 'rims', of: 'disc' } }),
      step('mouths', 'chamfer', { size: of('ease'), where: { edges: 'mouths', of: 'bore' } }),
      step('lip', 'fillet', { size: of('ease'), where: { edges: 'rims', of: 'hub', end: 'top' } }),
    ],
    (n) => {
      // A trapezoid whose middle lies so far from the axis; Pappus.
      const [a, b, h] = [n.grooveTop, 2, n.grooveDeep];
      const deep = (h / 3) * ((a + 2 * b) / (a + b));
      const vee = 2 * PI * (n.across / 2 - deep) * ((h * (a + b)) / 2);
      return (
        disc(n.across) * n.broad -
        vee +
        disc(n.hub) * n.hubLong -
        disc(n.bore) * (n.broad + n.hubLong) -
        n.holeCount * disc(n.hole) * n.broad -
        2 * easedRim(PI * n.across, n.ease) -
        2 * easedMouth(n.bore, n.ease) -
        roundedOff(PI * n.hub, n.ease)
      );
    },
    (n) =>
      n.grooveTop < n.broad - 2.5 * n.ease &&
      n.across / 2 - n.grooveDeep - n.hub / 2 > n.hole + 0.5 &&
      n.bore + 2 * n.ease < n.hub - 2 * n.ease,
  ),
  part(
    'Cord spool',
    {
      flange: 40,
      flangeThick: 2,
      core: 16,
      coreHigh: 18,
      bore: 6,
      window: 6,
      windowAt: 13,
      windowCount: 4,
      ease: 0.5,
      notch: 3,
    },
    ({ of, by }) => [
      step('lower', 'disc', { diameter: of('flange'), width: of('flangeThick') }),
      step('core', 'peg', { diameter: of('core'), height: of('coreHigh'), on: 'top', x: 0, y: 0 }),
      step('upper', 'peg', { diameter: of('flange'), height: of('flangeThick'), on: 'top', x: 0, y: 0 }),
      step('bore', 'hole', { diameter: of('bore'), depth: 'through', on: 'top', x: 0, y: 0 }),
      step('window', 'hole', {
        diameter: of('window'),
        depth: 'through',
        on: 'top',
        x: of('windowAt'),
        y: 0,
      }),
      step('windows', 'pattern', { of: 'window', pattern: { by: 'round', count: of('windowCount') } }),
      step('notch', 'hole', {
        diameter: of('notch'),
        depth: of('flangeThick'),
        on: 'top',
        x: 0,
        y: by('-flange / 2'),
      }),
      step('mouths', 'chamfer', { size: of('ease'), where: { edges: 'mouths', of: 'bore' } }),
      step('low', 'fillet', {
        size: of('ease'),
        where: { edges: 'picked', picks: [{ tags: ['lower:bottom', 'lower:rim'], near: [20, 0, 0] }] },
      }),
    ],
    (n) =>
      2 * disc(n.flange) * n.flangeThick +
      disc(n.core) * n.coreHigh -
      disc(n.bore) * (n.coreHigh + 2 * n.flangeThick) -
      2 * n.windowCount * disc(n.window) * n.flangeThick -
      lens(n.flange, n.notch, n.flange / 2) * n.flangeThick -
      2 * easedMouth(n.bore, n.ease) -
      roundedOff(PI * n.flange, n.ease),
    (n) =>
      n.windowAt - n.window / 2 > n.core / 2 &&
      n.windowAt + n.window / 2 < n.flange / 2 - n.notch / 2 - n.ease,
  ),
  part(
    'Ball lever',
    {
      ball: 14,
      rod: 6,
      rodLong: 30,
      foot: 18,
      footThick: 5,
      cone: 9,
      coneHigh: 6,
      screw: 3.4,
      screwHead: 6.4,
      screwAt: 6.8,
      screwCount: 3,
    },
    ({ of, by }) => [
      step('foot', 'disc', { diameter: of('foot'), width: of('footThick') }),
      step('cone', 'cone', {
        effect: 'add',
        on: 'top',
        x: 0,
        y: 0,
        lower: of('cone'),
        upper: of('rod'),
        height: of('coneHigh'),
      }),
      step('rod', 'peg', { diameter: of('rod'), height: of('rodLong'), on: 'top', x: 0, y: 0 }),
      step('ball', 'sphere', { effect: 'add', on: 'top', x: 0, y: 0, diameter: of('ball'), up: 0 }),
      step('flat', 'extrude', {
        effect: 'cut',
        on: 'top',
        x: 0,
        y: 0,
        turn: 0,
        outline: rectangle(40, 40),
        height: by('ball / 8'),
      }),
      step('screw', 'hole', {
        diameter: of('screw'),
        depth: 'through',
        on: { face: { tag: 'foot:top', near: [8, 0, 5] } },
        x: of('screwAt'),
        y: 0,
        xFrom: 'axle',
        yFrom: 'axle',
      }),
      step('screws', 'pattern', { of: 'screw', pattern: { by: 'round', count: of('screwCount') } }),
      step('under', 'hole', {
        diameter: of('rod'),
        depth: by('footThick / 2'),
        on: 'bottom',
        x: 0,
        y: 0,
        head: { kind: 'sink', diameter: by('rod + 1'), angle: PI / 2 },
      }),
    ],
    (n) => {
      const [big, small] = [n.ball / 2, n.rod / 2];
      // Within the ball the rod's round end lies as high as its middle: a cylinder and a cap of the ball.
      const deep = Math.sqrt(big ** 2 - small ** 2);
      const cap = big - deep;
      const within = PI * small ** 2 * deep + (PI * cap ** 2 * (3 * big - cap)) / 3;
      const off = n.ball / 8;
      return (
        disc(n.foot) * n.footThick +
        frustum(disc(n.cone), disc(n.rod), n.coneHigh) +
        disc(n.rod) * n.rodLong +
        (4 / 3) * PI * big ** 3 -
        within -
        (PI * off ** 2 * (3 * big - off)) / 3 -
        n.screwCount * disc(n.screw) * n.footThick -
        disc(n.rod) * (n.footThick / 2) -
        sunk(n.rod + 1, n.rod)
      );
    },
    (n) =>
      n.ball > n.rod + 1 &&
      n.screwAt - n.screw / 2 > n.cone / 2 &&
      n.screwAt + n.screw / 2 < n.foot / 2 &&
      n.rodLong > n.ball &&
      n.screwAt - n.screw / 2 > n.rod / 2 + 0.5,
  ),
  part(
    'Oval cup',
    {
      long: 60,
      broad: 40,
      topLong: 70,
      topBroad: 48,
      high: 50,
      wall: 2,
      floor: 3,
      bandThick: 2,
      bandHigh: 4,
      drain: 4,
    },
    ({ of, by }) => [
      step('cup', 'stations', {
        effect: 'add',
        on: 'bottom',
        x: 0,
        y: 0,
        section: 'oval',
        between: 'straight',
        rows: [
          { at: 0, diameter: of('long'), depth: of('broad') },
          { at: of('high'), diameter: of('topLong'), depth: of('topBroad') },
        ],
      }),
      step('room', 'stations', {
        effect: 'cut',
        on: 'bottom',
        x: 0,
        y: 0,
        lift: of('floor'),
        section: 'oval',
        between: 'straight',
        rows: [
          { at: 0, diameter: by('long - 2 * wall'), depth: by('broad - 2 * wall') },
          {
            at: by('high - floor + 1'),
            diameter: by('topLong - 2 * wall'),
            depth: by('topBroad - 2 * wall'),
          },
        ],
      }),
      step('base', 'extrude', {
        effect: 'add',
        on: 'bottom',
        x: 0,
        y: 0,
        turn: 0,
        outline: {
          shape: 'ellipse',
          length: by('long + 2 * bandThick'),
          breadth: by('broad + 2 * bandThick'),
        },
        height: by('floor / 2'),
      }),
      step('drain', 'hole', { diameter: of('drain'), depth: by('floor'), on: 'bottom', x: 0, y: 0 }),
      step('drain2', 'hole', {
        diameter: of('drain'),
        depth: by('floor'),
        on: 'bottom',
        x: by('long / 4'),
        y: 0,
      }),
      step('drain3', 'mirror', { of: ['drain2'], across: 'sides', keep: 'both' }),
      step('stud', 'peg', {
        diameter: of('bandHigh'),
        height: of('bandThick'),
        on: 'bottom',
        x: by('-long / 8'),
        y: 0,
        lift: of('floor'),
      }),
      step('tip', 'fillet', { size: 0.5, where: { edges: 'rims', of: 'stud', end: 'top' } }),
    ],
    (n) => {
      // Both half axes grow evenly with the height: integrated by Simpson, exact for a quadratic.
      const oval = (a: number, b: number, a1: number, b1: number, from: number, to: number, long: number) =>
        integral((z) => (PI / 4) * (a + ((a1 - a) * z) / long) * (b + ((b1 - b) * z) / long), from, to, 2);
      const { long, broad, topLong, topBroad, high, wall, floor } = n;
      const room = high - floor + 1;
      const half = floor / 2;
      const base = (PI / 4) * (long + 2 * n.bandThick) * (broad + 2 * n.bandThick) * half;
      return (
        oval(long, broad, topLong, topBroad, 0, high, high) -
        oval(
          long - 2 * wall,
          broad - 2 * wall,
          topLong - 2 * wall,
          topBroad - 2 * wall,
          0,
          high - floor,
          room,
        ) +
        base -
        oval(long, broad, topLong, topBroad, 0, half, high) -
        3 * disc(n.drain) * floor +
        disc(n.bandHigh) * n.bandThick -
        roundedOff(PI * n.bandHigh, 0.5)
      );
    },
    (n) =>
      n.long / 4 > n.drain &&
      n.long / 8 > (n.drain + n.bandHigh) / 2 &&
      (n.topLong * (n.floor / 2)) / n.high < n.long &&
      ((n.topLong - n.long) * (n.floor / 2)) / n.high < 2 * n.bandThick &&
      ((n.topBroad - n.broad) * (n.floor / 2)) / n.high < 2 * n.bandThick &&
      n.topLong > n.long * 0.75 &&
      Math.abs(n.topLong - n.long) < n.high &&
      Math.abs(n.topBroad - n.broad) < n.high &&
      n.broad > 3 * n.wall,
  ),
];
