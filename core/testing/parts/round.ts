import { circle, fromTop, onGround, onTop, rectangle, step } from '@core/starters';

import { part, type Part } from './part';
import {
  disc,
  easedMouth,
  easedRim,
  frustum,
  gearArea,
  hexagon,
  integral,
  lens,
  roundedOff,
  sunk,
} from './volumes';

const { PI } = Math;

/** Parts that are turned, for the most part. */
export const ROUND_PARTS: readonly Part[] = [
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
      step('disc', 'turn', { diameter: of('rim'), width: of('width') }),
      step('groove', 'groove', { rimOf: 'disc', width: of('grooveWidth'), depth: of('grooveDepth') }),
      step('hub', 'peg', { diameter: of('hub'), height: of('hubHeight'), on: 'top', x: 0, y: 0 }),
      step('bore', 'drill', { diameter: of('bore'), depth: 'through', on: 'top', x: 0, y: 0 }),
      step('spoke', 'drill', {
        diameter: of('spoke'),
        depth: 'through',
        on: { face: { tag: 'disc:top', near: [20, 0, 12] } },
        x: of('spokesAt'),
        y: 0,
      }),
      step('spokes', 'repeat', { of: 'spoke', pattern: { by: 'round', count: of('spokeCount') } }),
      step('rims', 'ease', { size: of('ease'), where: { edges: 'rims', of: 'disc' } }),
      step('mouth', 'ease', { size: by('ease / 2'), where: { edges: 'mouths', of: 'bore' } }),
      step('lip', 'round', { size: of('ease'), where: { edges: 'rims', of: 'hub', end: 'top' } }),
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
      step('can', 'turn', { diameter: of('across'), width: of('high') }),
      step('room', 'hollow', { wall: of('wall'), open: 'bottom' }),
      step('soft', 'round', { size: of('soft'), where: { edges: 'rims', of: 'can', end: 'top' } }),
      step('vent', 'drill', { diameter: of('vent'), depth: 'through', on: 'top', x: by('across / 4'), y: 0 }),
      step('vents', 'repeat', { of: 'vent', pattern: { by: 'round', count: of('ventCount') } }),
      step('foot', 'peg', {
        diameter: of('foot'),
        height: of('footHigh'),
        on: 'top',
        x: 0,
        y: 0,
        lift: by('-wall - footHigh'),
      }),
      step('pin', 'peg', { diameter: of('rib'), height: of('ribHigh'), on: 'top', x: 0, y: 0 }),
      step('tip', 'round', { size: by('rib / 4'), where: { edges: 'rims', of: 'pin', end: 'top' } }),
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
      step('head', 'raise', {
        ...onGround,
        outline: { shape: 'polygon', sides: 6, by: 'flats', across: of('flats') },
        height: of('headHigh'),
      }),
      step('collar', 'raise', { ...onTop, outline: circle(of('collar')), height: of('collarHigh') }),
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
      step('bore', 'drill', { diameter: of('bore'), depth: of('boreDeep'), on: 'top', x: 0, y: 0 }),
      step('mouth', 'ease', { size: of('ease'), where: { edges: 'mouths', of: 'bore' } }),
      step('dimple', 'drill', { diameter: of('dimple'), depth: of('dimpleDeep'), on: 'bottom', x: 0, y: 0 }),
      step('corners', 'round', { size: of('ease'), where: { edges: 'upright', of: 'head' } }),
      step('rim', 'ease', { size: of('ease'), where: { edges: 'rims', of: 'collar', end: 'top' } }),
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
      step('gear', 'raise', {
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
      step('bore', 'drill', { diameter: of('bore'), depth: 'through', on: 'top', x: 0, y: 0 }),
      step('key', 'raise', {
        ...fromTop,
        outline: rectangle(of('keyBroad'), by('bore / 2 + keyHigh')),
        height: 'through',
        y: by('(bore / 2 + keyHigh) / 2'),
      }),
      step('light', 'drill', {
        diameter: of('light'),
        depth: 'through',
        on: { face: { tag: 'gear:top', near: [15, 0, 8] } },
        x: of('lightAt'),
        y: 0,
        xFrom: 'axle',
        yFrom: 'axle',
      }),
      step('lights', 'repeat', { of: 'light', pattern: { by: 'round', count: of('lightCount') } }),
      step('lip', 'round', { size: of('soft'), where: { edges: 'rims', of: 'hub', end: 'top' } }),
      step('mouth', 'ease', {
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
        step(`barb${index}`, 'spin', {
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
      step('collar', 'raise', { ...onGround, outline: circle(of('collar')), height: of('collarLong') }),
      step('open', 'drill', { diameter: of('wideBore'), depth: of('collarLong'), on: 'bottom', x: 0, y: 0 }),
      step('lip', 'ease', { size: 0.5, where: { edges: 'rims', of: 'collar' } }),
      step('in', 'ease', { size: 0.4, where: { edges: 'mouths', of: 'open' } }),
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
      step('disc', 'turn', { diameter: of('across'), width: of('broad') }),
      step('vee', 'spin', {
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
      step('bore', 'drill', { diameter: of('bore'), depth: 'through', on: 'top', x: 0, y: 0 }),
      step('hole', 'drill', {
        diameter: of('hole'),
        depth: 'through',
        on: 'top',
        x: by('(hub / 2 + across / 2 - grooveDeep) / 2'),
        y: 0,
      }),
      step('holes', 'repeat', { of: 'hole', pattern: { by: 'round', count: of('holeCount') } }),
      step('rims', 'ease', { size: of('ease'), where: { edges: 'rims', of: 'disc' } }),
      step('mouths', 'ease', { size: of('ease'), where: { edges: 'mouths', of: 'bore' } }),
      step('lip', 'round', { size: of('ease'), where: { edges: 'rims', of: 'hub', end: 'top' } }),
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
      step('lower', 'turn', { diameter: of('flange'), width: of('flangeThick') }),
      step('core', 'peg', { diameter: of('core'), height: of('coreHigh'), on: 'top', x: 0, y: 0 }),
      step('upper', 'peg', { diameter: of('flange'), height: of('flangeThick'), on: 'top', x: 0, y: 0 }),
      step('bore', 'drill', { diameter: of('bore'), depth: 'through', on: 'top', x: 0, y: 0 }),
      step('window', 'drill', {
        diameter: of('window'),
        depth: 'through',
        on: 'top',
        x: of('windowAt'),
        y: 0,
      }),
      step('windows', 'repeat', { of: 'window', pattern: { by: 'round', count: of('windowCount') } }),
      step('notch', 'drill', {
        diameter: of('notch'),
        depth: of('flangeThick'),
        on: 'top',
        x: 0,
        y: by('-flange / 2'),
      }),
      step('mouths', 'ease', { size: of('ease'), where: { edges: 'mouths', of: 'bore' } }),
      step('low', 'round', {
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
      step('foot', 'turn', { diameter: of('foot'), width: of('footThick') }),
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
      step('ball', 'ball', { effect: 'add', on: 'top', x: 0, y: 0, diameter: of('ball'), up: 0 }),
      step('flat', 'raise', {
        effect: 'cut',
        on: 'top',
        x: 0,
        y: 0,
        turn: 0,
        outline: rectangle(40, 40),
        height: by('ball / 8'),
      }),
      step('screw', 'drill', {
        diameter: of('screw'),
        depth: 'through',
        on: { face: { tag: 'foot:top', near: [8, 0, 5] } },
        x: of('screwAt'),
        y: 0,
        xFrom: 'axle',
        yFrom: 'axle',
      }),
      step('screws', 'repeat', { of: 'screw', pattern: { by: 'round', count: of('screwCount') } }),
      step('under', 'drill', {
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
      step('base', 'raise', {
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
      step('drain', 'drill', { diameter: of('drain'), depth: by('floor'), on: 'bottom', x: 0, y: 0 }),
      step('drain2', 'drill', {
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
      step('tip', 'round', { size: 0.5, where: { edges: 'rims', of: 'stud', end: 'top' } }),
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
