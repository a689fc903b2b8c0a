import { inMate, inside, onMate, outside, stepped, deep, type Starter } from './starter';
import { circle, fromTop, onGround, onTop, step } from './steps';

/** Spares that are round. */
export const ROUND_STARTERS: readonly Starter[] = [
  {
    id: 'wheel',
    name: 'Wheel',
    what: 'runs on an axle, with a groove round its rim',
    asks: [
      outside('rim', 'Rim, outside', 38),
      outside('width', 'Wheel, width', 8),
      onMate('axle', 'Axle it runs on', 6, { feature: 'bore', fitClass: 'turns', name: 'Bore on the axle' }),
      inside('groove', 'Groove, width', 4),
      deep('deep', 'Groove, depth', 3),
    ],
    bodies: [
      {
        key: 'wheel',
        name: 'Wheel',
        role: 'spare',
        steps: ({ size, fit }) => [
          step('disc', 'disc', { diameter: size('rim'), width: size('width') }),
          step('groove', 'groove', { rimOf: 'disc', width: size('groove'), depth: size('deep') }),
          step('bore', 'hole', { diameter: fit('axle'), depth: 'through', x: 0, y: 0 }),
          step('mouths', 'chamfer', { size: 0.4, where: { edges: 'mouths', of: 'bore' } }),
          step('rims', 'chamfer', { size: 0.6, where: { edges: 'rims', of: 'disc' } }),
        ],
      },
    ],
  },
  {
    id: 'bush',
    name: 'Bush with a flange',
    what: 'lines a hole for a pin',
    asks: [
      inMate('hole', 'Hole it sits in', 12, { feature: 'peg', fitClass: 'snug', name: 'Bush in the hole' }),
      onMate('pin', 'Pin that turns in it', 8, {
        feature: 'bore',
        fitClass: 'turns',
        name: 'Bore on the pin',
      }),
      stepped('long', 'Bush, length under the flange', 10),
      outside('flange', 'Flange, diameter', 18),
      outside('thick', 'Flange, thickness', 2),
    ],
    bodies: [
      {
        key: 'bush',
        name: 'Bush',
        role: 'spare',
        steps: ({ size, fit }) => [
          step('flange', 'disc', { diameter: size('flange'), width: size('thick') }),
          step('sleeve', 'peg', { diameter: fit('hole'), height: size('long'), x: 0, y: 0 }),
          step('bore', 'hole', { diameter: fit('pin'), depth: 'through', x: 0, y: 0 }),
          step('lead', 'chamfer', { size: 0.5, where: { edges: 'rims', of: 'sleeve' } }),
        ],
      },
    ],
  },
  {
    id: 'knob',
    name: 'Knob with a captive bolt and a lid',
    what: 'a bolt goes in from the top and is covered',
    asks: [
      outside('across', 'Knob, diameter', 36),
      outside('high', 'Knob, height', 18),
      onMate('bolt', 'Bolt, thread diameter', 8, {
        feature: 'bore',
        fitClass: 'loose',
        name: 'Hole for the bolt',
      }),
      onMate('flats', 'Bolt head, across flats', 13, {
        feature: 'slot',
        fitClass: 'slides',
        name: 'Pocket for its head',
      }),
      onMate('head', 'Bolt head, height', 5.3, {
        feature: 'recess',
        fitClass: 'slides',
        name: 'Depth of the pocket',
      }),
      outside('lid', 'Lid, thickness', 2),
    ],
    bodies: [
      {
        key: 'bolt',
        name: 'Bolt',
        role: 'counterpart',
        steps: ({ size, sum }) => [
          step('shank', 'extrude', {
            ...onGround,
            outline: circle(size('bolt')),
            height: sum('{high} - {lid} - {head}'),
          }),
          step('head', 'extrude', {
            ...onTop,
            outline: { shape: 'polygon', sides: 6, by: 'flats', across: size('flats') },
            height: size('head'),
          }),
        ],
      },
      {
        key: 'knob',
        name: 'Knob',
        role: 'spare',
        steps: ({ size, sum, body }) => [
          step('round', 'disc', { diameter: size('across'), width: size('high') }),
          step('grip', 'extrude', {
            ...fromTop,
            x: sum('{across} / 2 + 2'),
            outline: circle(sum('{across} / 4')),
            height: 'through',
          }),
          step('grips', 'pattern', { of: 'grip', pattern: { by: 'round', count: 8 } }),
          step('room', 'body', { of: body('bolt'), effect: 'cut', grow: 0, byFits: true, wayIn: 'top' }),
          step('seat', 'extrude', {
            ...fromTop,
            outline: circle(sum('{across} * 0.7')),
            height: size('lid'),
          }),
          step('foot', 'chamfer', { size: 0.5, where: { edges: 'rims', of: 'round' } }),
        ],
      },
      {
        key: 'lid',
        name: 'Lid',
        role: 'spare',
        steps: ({ size, sum }) => [
          step('disc', 'disc', { diameter: sum('{across} * 0.7 - 0.2'), width: size('lid') }),
          step('lead', 'chamfer', { size: 0.3, where: { edges: 'rims', of: 'disc' } }),
          // Where it goes: in its seat, level with the top.
          step('there', 'move', { dx: 0, dy: 0, dz: sum('{high} - {lid}'), axis: 'z', turn: 0, scale: 1 }),
        ],
      },
    ],
  },
  {
    id: 'cap',
    name: 'Cap for a leg',
    what: 'goes over the end of a round leg',
    asks: [
      onMate('leg', 'Leg, diameter', 22, {
        feature: 'recess',
        fitClass: 'slides',
        name: 'Recess on the leg',
      }),
      deep('deep', 'How far it goes over', 20),
      outside('wall', 'Wall', 2.4),
      outside('floor', 'Floor, thickness', 3),
    ],
    bodies: [
      {
        key: 'cap',
        name: 'Cap',
        role: 'spare',
        steps: ({ size, sum, fit }) => [
          step('cup', 'extrude', {
            ...onGround,
            outline: circle(sum('{leg} + 2 * {wall}')),
            height: sum('{deep} + {floor}'),
          }),
          step('recess', 'extrude', { ...fromTop, outline: circle(fit('leg')), height: size('deep') }),
          step('foot', 'fillet', { size: 1.5, where: { edges: 'picked', picks: [rimPick('cup')] } }),
          step('lead', 'chamfer', { size: 0.6, where: { edges: 'mouths', of: 'recess' } }),
        ],
      },
    ],
  },
  {
    id: 'plug',
    name: 'Plug for a tube',
    what: 'closes the end of a round tube, with soft ribs',
    asks: [
      inMate('bore', 'Tube, inside', 20, { feature: 'peg', fitClass: 'snug', name: 'Plug in the tube' }),
      onMate('tube', 'Tube, outside', 24),
      deep('long', 'Plug, length in the tube', 16),
      outside('head', 'Head, thickness', 3),
    ],
    bodies: [
      {
        key: 'plug',
        name: 'Plug',
        role: 'spare',
        steps: ({ size, sum }) => [
          step('head', 'disc', { diameter: size('tube'), width: size('head') }),
          step('core', 'stations', {
            ...{ effect: 'add', on: 'top', x: 0, y: 0 },
            rows: [
              { at: 0, diameter: sum('fit({bore}) - 1.6') },
              { at: sum('{long} * 0.25'), diameter: sum('fit({bore}) - 1.6') },
              { at: sum('{long} * 0.35'), diameter: sum('fit({bore}) + 0.3') },
              { at: sum('{long} * 0.45'), diameter: sum('fit({bore}) - 1.6') },
              { at: sum('{long} * 0.65'), diameter: sum('fit({bore}) - 1.6') },
              { at: sum('{long} * 0.75'), diameter: sum('fit({bore}) + 0.3') },
              { at: sum('{long} * 0.85'), diameter: sum('fit({bore}) - 1.6') },
              { at: size('long'), diameter: sum('fit({bore}) - 3') },
            ],
            between: 'straight',
          }),
          step('hollow', 'hole', {
            diameter: sum('fit({bore}) - 6'),
            depth: size('long'),
            x: 0,
            y: 0,
          }),
        ],
      },
    ],
  },
  {
    id: 'reducer',
    name: 'Hose reducer',
    what: 'joins two hoses of different sizes',
    asks: [
      inMate('large', 'Wide hose, inside', 20, {
        feature: 'peg',
        fitClass: 'snug',
        name: 'End in the wide hose',
      }),
      inMate('small', 'Narrow hose, inside', 13, {
        feature: 'peg',
        fitClass: 'snug',
        name: 'End in the narrow hose',
      }),
      deep('long', 'How far a hose goes over', 22),
      outside('wall', 'Wall', 2),
    ],
    bodies: [
      {
        key: 'reducer',
        name: 'Reducer',
        role: 'spare',
        steps: ({ size, sum, fit }) => [
          step('outside', 'stations', {
            ...{ effect: 'add', on: 'bottom', x: 0, y: 0 },
            rows: [
              { at: 0, diameter: sum('fit({large}) - 0.6') },
              { at: sum('{long} * 0.3'), diameter: sum('fit({large}) + 0.8') },
              { at: sum('{long} * 0.34'), diameter: fit('large') },
              { at: size('long'), diameter: fit('large') },
              { at: sum('{long} + 3'), diameter: sum('fit({large}) + 5') },
              { at: sum('{long} + 6'), diameter: fit('small') },
              { at: sum('{long} * 1.66 + 6'), diameter: fit('small') },
              { at: sum('{long} * 1.7 + 6'), diameter: sum('fit({small}) + 0.8') },
              { at: sum('{long} * 2 + 6'), diameter: sum('fit({small}) - 0.6') },
            ],
            between: 'straight',
          }),
          step('narrow', 'hole', {
            diameter: sum('fit({small}) - 2 * {wall}'),
            depth: 'through',
            x: 0,
            y: 0,
          }),
          step('wide', 'cone', {
            ...{ effect: 'cut', on: 'bottom', x: 0, y: 0 },
            lower: sum('fit({large}) - 2 * {wall}'),
            upper: sum('fit({small}) - 2 * {wall}'),
            height: size('long'),
          }),
        ],
      },
    ],
  },
  {
    id: 'handle',
    name: 'Handle on a tang',
    what: 'a grip measured at stations along it',
    asks: [
      outside('front', 'Grip, at the front', 22),
      outside('belly', 'Grip, at its thickest', 30),
      outside('waist', 'Grip, before the end', 24),
      outside('end', 'Grip, at the end', 28),
      outside('long', 'Grip, length', 110),
      onMate('tang', 'Tang, diameter', 8, { feature: 'recess', fitClass: 'snug', name: 'Hole for the tang' }),
      onMate('tangLong', 'Tang, length', 60),
    ],
    bodies: [
      {
        key: 'handle',
        name: 'Handle',
        role: 'spare',
        steps: ({ size, sum, fit }) => [
          step('grip', 'stations', {
            ...{ effect: 'add', on: 'bottom', x: 0, y: 0 },
            rows: [
              { at: 0, diameter: size('end') },
              { at: sum('{long} * 0.15'), diameter: size('waist') },
              { at: sum('{long} * 0.55'), diameter: size('belly') },
              { at: size('long'), diameter: size('front') },
            ],
            between: 'smooth',
          }),
          step('tang', 'hole', { diameter: fit('tang'), depth: size('tangLong'), x: 0, y: 0 }),
          step('ends', 'fillet', { size: 2, where: { edges: 'rims', of: 'grip' } }),
        ],
      },
    ],
  },
];

/** The lower rim of a raised circle. */
const rimPick = (of: string) => ({ tags: [`${of}:wall`, `${of}:bottom`], near: [0, 0, 0] });
