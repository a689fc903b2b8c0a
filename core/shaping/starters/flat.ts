import { inMate, inside, onMate, outside, stepped, type Starter } from './starter';
import { fromTop, onGround, onTop, rectangle, step } from './steps';

const DEGREE = Math.PI / 180;

/** Spares made of plates, bars and boxes. */
export const FLAT_STARTERS: readonly Starter[] = [
  {
    id: 'link',
    name: 'Link bar with two holes',
    what: 'ties two pins together',
    asks: [
      onMate('pin', 'Pins, diameter', 6, { feature: 'bore', fitClass: 'turns', name: 'Holes on the pins' }),
      inside('apart', 'Holes, middle to middle', 60),
      outside('broad', 'Bar, width', 14),
      outside('thick', 'Bar, thickness', 4),
    ],
    bodies: [
      {
        key: 'link',
        name: 'Link bar',
        role: 'spare',
        steps: ({ size, sum, fit }) => [
          step('bar', 'extrude', {
            ...onGround,
            outline: {
              shape: 'hull',
              circles: [
                { x: 0, y: 0, diameter: size('broad') },
                { x: size('apart'), y: 0, diameter: size('broad') },
              ],
            },
            height: size('thick'),
          }),
          step('near', 'hole', { diameter: fit('pin'), depth: 'through', x: 0, y: 0 }),
          step('far', 'hole', { diameter: fit('pin'), depth: 'through', x: sum('{apart}'), y: 0 }),
          step('edges', 'chamfer', { size: 0.5, where: { edges: 'rims', of: 'bar' } }),
        ],
      },
    ],
  },
  {
    id: 'clip',
    name: 'Clip for a tube',
    what: 'grips a round tube from the side',
    asks: [
      onMate('tube', 'Tube, diameter', 16, { feature: 'recess', fitClass: 'snug', name: 'Clip on the tube' }),
      outside('wall', 'Clip, wall', 2.4),
      outside('broad', 'Clip, width', 12),
      outside('foot', 'Foot, length', 34),
      onMate('screw', 'Screw, diameter', 4, {
        feature: 'bore',
        fitClass: 'loose',
        name: 'Holes for the screws',
      }),
    ],
    bodies: [
      {
        key: 'clip',
        name: 'Clip',
        role: 'spare',
        steps: ({ size, sum, fit }) => [
          step('ring', 'extrude', {
            ...onGround,
            outline: {
              shape: 'sector',
              inner: fit('tube'),
              outer: sum('{tube} + 2 * {wall}'),
              angle: 250 * DEGREE,
            },
            turn: -90 * DEGREE,
            height: size('broad'),
          }),
          step('foot', 'extrude', {
            ...onGround,
            y: sum('0 - {tube} / 2 - {wall} * 1.3'),
            outline: rectangle(size('foot'), size('wall')),
            height: size('broad'),
          }),
          step('screw', 'hole', {
            diameter: fit('screw'),
            depth: 'through',
            on: 'front',
            x: sum('{foot} / 2 - {screw}'),
            y: sum('{broad} / 2'),
          }),
          step('other', 'hole', {
            diameter: fit('screw'),
            depth: 'through',
            on: 'front',
            x: sum('{screw} - {foot} / 2'),
            y: sum('{broad} / 2'),
          }),
        ],
      },
    ],
  },
  {
    id: 'bracket',
    name: 'Bracket with screw holes',
    what: 'an angle of two plates, with countersunk holes',
    asks: [
      outside('long', 'Foot, length', 40),
      outside('high', 'Back, height', 30),
      outside('broad', 'Bracket, width', 20),
      outside('thick', 'Plates, thickness', 3),
      onMate('screw', 'Screw, diameter', 4, {
        feature: 'bore',
        fitClass: 'loose',
        name: 'Holes for the screws',
      }),
      onMate('head', 'Screw head, diameter', 8, {
        feature: 'bore',
        fitClass: 'loose',
        name: 'Recesses for their heads',
      }),
    ],
    bodies: [
      {
        key: 'bracket',
        name: 'Bracket',
        role: 'spare',
        steps: ({ size, sum, fit }) => [
          step('foot', 'extrude', {
            ...onGround,
            outline: rectangle(size('long'), size('broad')),
            height: size('thick'),
          }),
          step('back', 'extrude', {
            ...onTop,
            x: 0,
            xFrom: 'lowFlush',
            outline: rectangle(size('thick'), size('broad')),
            height: sum('{high} - {thick}'),
          }),
          step('rib', 'fillet', { size: sum('{thick}'), where: { edges: 'insides' } }),
          step('footHole', 'hole', {
            diameter: fit('screw'),
            depth: 'through',
            on: { face: { tag: 'foot:top', near: [0, 0, 0] } },
            x: 0,
            y: 0,
            head: { kind: 'sink', diameter: fit('head'), angle: 90 * DEGREE },
          }),
          step('backHole', 'hole', {
            diameter: fit('screw'),
            depth: 'through',
            on: { face: { tag: 'back:right', near: [0, 0, 0] } },
            x: 0,
            y: 0,
            head: { kind: 'sink', diameter: fit('head'), angle: 90 * DEGREE },
          }),
        ],
      },
    ],
  },
  {
    id: 'hinge',
    name: 'Hinge arm',
    what: 'an arm that turns on a pin and carries another',
    asks: [
      onMate('pin', 'Pin it turns on', 5, { feature: 'bore', fitClass: 'turns', name: 'Bore on the pin' }),
      inMate('hole', 'Hole for its own pin', 6, {
        feature: 'peg',
        fitClass: 'turns',
        name: 'Pin in the hole',
      }),
      outside('apart', 'Pins, middle to middle', 45),
      outside('eye', 'Eye, outside', 14),
      outside('thick', 'Arm, thickness', 5),
      stepped('pinLong', 'Own pin, length', 8),
    ],
    bodies: [
      {
        key: 'arm',
        name: 'Hinge arm',
        role: 'spare',
        steps: ({ size, sum, fit }) => [
          step('arm', 'extrude', {
            ...onGround,
            outline: {
              shape: 'hull',
              circles: [
                { x: 0, y: 0, diameter: size('eye') },
                { x: size('apart'), y: 0, diameter: sum('{hole} + 4') },
              ],
            },
            height: size('thick'),
          }),
          step('bore', 'hole', { diameter: fit('pin'), depth: 'through', x: 0, y: 0 }),
          step('pin', 'peg', { diameter: fit('hole'), height: size('pinLong'), x: size('apart'), y: 0 }),
          step('lead', 'chamfer', {
            size: 0.5,
            where: { edges: 'picked', picks: [{ tags: ['pin:top', 'pin:wall'], near: [0, 0, 0] }] },
          }),
          step('root', 'fillet', { size: 1, where: { edges: 'between', of: 'arm', and: 'pin' } }),
        ],
      },
    ],
  },
  {
    id: 'gear',
    name: 'Spur gear',
    what: 'twenty-four teeth on a shaft with a flat',
    asks: [
      outside('tip', 'Gear, over the tips', 26),
      outside('width', 'Gear, width', 8),
      onMate('shaft', 'Shaft, diameter', 6, { feature: 'bore', fitClass: 'snug', name: 'Bore on the shaft' }),
      outside('hub', 'Hub, diameter', 12),
      stepped('hubHigh', 'Hub, height', 4),
    ],
    bodies: [
      {
        key: 'gear',
        name: 'Gear',
        role: 'spare',
        steps: ({ size, sum, fit }) => [
          step('teeth', 'extrude', {
            ...onGround,
            outline: {
              shape: 'gear',
              teeth: 24,
              module: sum('{tip} / 26'),
              pressure: 20 * DEGREE,
              shift: 0,
              backlash: 0.1,
              side: 'outside',
            },
            height: size('width'),
          }),
          step('hub', 'peg', { diameter: size('hub'), height: size('hubHigh'), x: 0, y: 0 }),
          step('bore', 'hole', { diameter: fit('shaft'), depth: 'through', x: 0, y: 0 }),
          step('mouths', 'chamfer', { size: 0.4, where: { edges: 'mouths', of: 'bore' } }),
        ],
      },
    ],
  },
  {
    id: 'corner',
    name: 'Plate with an opening',
    what: 'a cover plate with four screw holes',
    asks: [
      outside('long', 'Plate, length', 80),
      outside('broad', 'Plate, width', 60),
      outside('thick', 'Plate, thickness', 3),
      inside('openLong', 'Opening, length', 45),
      inside('openBroad', 'Opening, width', 28),
      inside('holesLong', 'Holes, middle to middle along', 68),
      inside('holesBroad', 'Holes, middle to middle across', 48),
      onMate('screw', 'Screw, diameter', 3, {
        feature: 'bore',
        fitClass: 'loose',
        name: 'Holes for the screws',
      }),
    ],
    bodies: [
      {
        key: 'plate',
        name: 'Plate',
        role: 'spare',
        steps: ({ size, sum, fit }) => [
          step('plate', 'plate', {
            length: size('long'),
            breadth: size('broad'),
            thickness: size('thick'),
            cornerRadius: 4,
          }),
          step('opening', 'extrude', {
            ...fromTop,
            outline: rectangle(size('openLong'), size('openBroad'), 2),
            height: 'through',
          }),
          step('hole', 'hole', {
            diameter: fit('screw'),
            depth: 'through',
            x: sum('0 - {holesLong} / 2'),
            y: sum('0 - {holesBroad} / 2'),
          }),
          step('holes', 'pattern', {
            of: 'hole',
            pattern: { by: 'grid', count: 2, rows: 2, dx: size('holesLong'), dy: size('holesBroad') },
          }),
          step('edges', 'chamfer', { size: 0.5, where: { edges: 'rims', of: 'plate' } }),
        ],
      },
    ],
  },
  {
    id: 'box',
    name: 'Box and lid',
    what: 'a box with an even wall, and a lid that sits in it',
    asks: [
      outside('long', 'Box, length', 60),
      outside('broad', 'Box, width', 40),
      outside('high', 'Box, height', 25),
      outside('wall', 'Box, wall', 2),
      outside('lid', 'Lid, thickness', 2),
    ],
    bodies: [
      {
        key: 'box',
        name: 'Box',
        role: 'spare',
        steps: ({ size, sum }) => [
          step('block', 'extrude', {
            ...onGround,
            outline: rectangle(size('long'), size('broad'), sum('{wall} * 2')),
            height: size('high'),
          }),
          step('inside', 'shell', { wall: size('wall'), open: 'top' }),
        ],
      },
      {
        key: 'lid',
        name: 'Lid',
        role: 'spare',
        steps: ({ size, sum }) => [
          step('top', 'extrude', {
            ...onGround,
            outline: rectangle(size('long'), size('broad'), sum('{wall} * 2')),
            height: size('lid'),
          }),
          step('rim', 'extrude', {
            ...onTop,
            outline: rectangle(
              sum('{long} - 2 * {wall} - 0.3'),
              sum('{broad} - 2 * {wall} - 0.3'),
              sum('{wall}'),
            ),
            height: 3,
          }),
          step('lead', 'chamfer', {
            size: 0.6,
            where: { edges: 'face', face: { tag: 'rim:top', near: [0, 0, 0] } },
          }),
          // Beside the box, rim up, as it is printed.
          step('aside', 'move', { dx: sum('{long} + 8'), dy: 0, dz: 0, axis: 'z', turn: 0, scale: 1 }),
        ],
      },
    ],
  },
];
