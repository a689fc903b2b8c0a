import { numberValue, Step } from '@core/record/model';
import { spokenSentence } from '@core/shaping/sentence';
import { stepSentence } from '@core/shaping/steps';
import { outlineOf, plain } from '@core/testing/pieces';

const at = { on: 'top', x: numberValue(0), y: numberValue(0) };
const circle = (diameter: number) => outlineOf('circle', { diameter });
const base = Step.parse({ id: 'base', kind: 'disc', diameter: numberValue(30), width: numberValue(10) });

function say(step: object): string {
  const parsed = Step.parse({ id: 'it', ...step });
  const sentence = stepSentence(parsed, [base, parsed], { bodies: [{ id: 'bolt', name: 'Bolt' }] });
  return spokenSentence(sentence, (value) => (value.from === 'number' ? String(value.mm) : '?'));
}

test.each([
  [
    { kind: 'wedge', effect: 'add', ...at, ...plain({ length: 20, breadth: 10, low: 0, high: 5 }), turn: 0 },
    'Set a wedge 20 long, 10 wide, 0 high on the left and 5 on the right, turned 0°, on the top, on the axle line',
  ],
  [
    {
      kind: 'revolve',
      effect: 'cut',
      ...at,
      outline: circle(4),
      ...plain({ away: 12, up: 3 }),
      angle: Math.PI,
      turn: 0,
    },
    'Cut out a circle 4 across, its middle 12 from an upright axis and 3 up, by 180° from 0°, down from the top, on the axle line',
  ],
  [
    { kind: 'disc', ...plain({ diameter: 20, width: 6 }) },
    'Turn a wheel 20 across, 6 wide, round the axle line',
  ],
  [
    { kind: 'disc', effect: 'cut', on: 'top', ...plain({ diameter: 20, width: 6, x: 4, y: 0 }) },
    'Cut out a wheel 20 across, 6 wide, down from the top, 4 right and 0 back, aside of the axle line',
  ],
  [
    {
      kind: 'plate',
      on: 'right',
      turn: Math.PI / 6,
      ...plain({ length: 20, breadth: 9, thickness: 3, cornerRadius: 1, x: 0, y: 5, lift: 2 }),
    },
    'Lay a plate 20 long, 9 wide, 3 thick, corners rounded 1, turned 30°, on the right, 0 back and 5 up, aside of the axle line, lifted 2',
  ],
  [
    { kind: 'peg', effect: 'cut', ...plain({ diameter: 5, height: 4, x: 0, y: 0 }) },
    'Cut out a peg 5 across, 4 deep down from the top, on the axle line',
  ],
  [
    { kind: 'groove', rimOf: 'base', ...plain({ width: 3, depth: 2, up: 1 }) },
    'Cut a groove 3 wide, 2 deep, 1 above the middle of the rim',
  ],
  [
    {
      kind: 'loft',
      effect: 'add',
      ...at,
      sections: [
        { outline: circle(20), ...plain({ at: 0, x: 0, y: 0 }), turn: 0 },
        { outline: circle(8), ...plain({ at: 30, x: 4, y: 0 }), turn: 0 },
      ],
      between: 'straight',
    },
    'Blend from a circle 20 across at 0 to a circle 8 across at 30, 4 right and 0 back; 2 outlines, straight between, on the top, on the axle line',
  ],
  [
    {
      kind: 'sweep',
      effect: 'add',
      ...at,
      outline: circle(5),
      path: [plain({ x: 0, y: 0, up: 0 }), plain({ x: 9, y: 0, up: 9 })],
      ...plain({ bend: 6 }),
      along: 'straight',
      closed: false,
    },
    'Run a circle 5 across along a path of 2 points, straight, bends rounded 6, open at its ends, the same all along, on the top, on the axle line',
  ],
  [
    {
      kind: 'thread',
      ...at,
      side: 'inside',
      size: 'M8',
      length: 'through',
      ...plain({ play: 0.1 }),
      made: 'modelled',
    },
    'Thread a hole M8 right through, play 0.1, its turns modelled, down from the top, on the axle line',
  ],
  [
    {
      kind: 'thread',
      ...at,
      side: 'outside',
      size: 'G 1/4',
      ...plain({ length: 12, play: 0 }),
      made: 'drawn',
    },
    'Thread a rod G 1/4, 12 long, play 0, plain, to be cut by hand, on the top, on the axle line',
  ],
  [
    { kind: 'text', effect: 'add', ...at, text: 'REV B', ...plain({ height: 5, depth: 0.6 }), turn: 0 },
    'Letter it with “REV B”, capitals 5 high, 0.6 raised, turned 0°, on the top, on the axle line',
  ],
  [
    { kind: 'bump', effect: 'add', ...at, ...plain({ breadth: 6, bump: 0.8, play: 0.2 }), turn: 0 },
    'Set a bump that snaps in, 6 wide and 0.8 out, turned 0°, on the top, on the axle line',
  ],
  [
    {
      kind: 'bump',
      effect: 'cut',
      ...at,
      ...plain({ breadth: 6, bump: 0.8, play: 0.2 }),
      turn: 0,
      undercut: Math.PI / 12,
    },
    'Cut out the recess for a bump 6 wide and 0.8 out, leaning back 15°, play 0.2, turned 0°, down from the top, on the axle line',
  ],
  [
    {
      kind: 'tongue',
      effect: 'cut',
      ...at,
      ...plain({ length: 15, breadth: 6, thickness: 1.5, bump: 0.8, play: 0.2 }),
      turn: 0,
    },
    'Cut out the recess for a tongue 15 long, 6 wide, 1.5 thick, its bump 0.8 out, play 0.2, turned 0°, down from the top, on the axle line',
  ],
  [
    { kind: 'body', of: 'bolt', effect: 'cut', ...plain({ grow: 0.2 }), wayIn: 'top' },
    'Cut out the room for Bolt, 0.2 larger all round, to be put in from the top',
  ],
  [{ kind: 'body', of: 'bolt', effect: 'add', ...plain({ grow: 0 }), wayIn: 'none' }, 'Join Bolt'],
  [
    { kind: 'body', of: 'gone', effect: 'common', ...plain({ grow: 0 }), wayIn: 'none' },
    'Keep only what it shares with a missing body, 0 larger all round, no way in cleared',
  ],
  [
    { kind: 'body', of: 'bolt', effect: 'cut', byFits: true, ...plain({ grow: 0 }), wayIn: 'none' },
    'Cut out the room for Bolt, 0 larger than the fit of each face, no way in cleared',
  ],
  [
    {
      kind: 'extrude',
      effect: 'apart',
      ...at,
      outline: { shape: 'offset', of: { step: 'base' }, ...plain({ by: 2 }) },
      turn: 0,
      ...plain({ height: 5 }),
    },
    'Set apart the outline of step 1, moved out by 2, 5 high, on the top, on the axle line',
  ],
  [
    {
      kind: 'extrude',
      effect: 'add',
      ...at,
      outline: { shape: 'layoutHull', layout: 'gone', ...plain({ diameter: 9 }) },
      turn: 0,
      ...plain({ height: 5 }),
      upTo: { tag: 'base:top', near: [0, 0, 0] },
    },
    'Raise a band round a missing layout, 9 across at each, up to the face that was picked, on the top, on the axle line',
  ],
  [
    {
      kind: 'loft',
      effect: 'add',
      ...at,
      sections: [0, 10].map((up) => ({
        outline: { shape: 'circle', ...plain({ diameter: 8 }) },
        ...plain({ at: up, x: 0, y: 0 }),
        turn: 0,
        ...(up > 0 ? { tilt: Math.PI / 6, shift: 1 } : {}),
      })),
      between: 'straight',
    },
    'Blend from a circle 8 across at 0 to a circle 8 across at 10, tilted 30°, its corners 1 further on; 2 outlines, straight between, on the top, on the axle line',
  ],
  [
    {
      kind: 'split',
      axis: 'y',
      ...plain({ at: 0, gap: 8 }),
      keep: 'both',
      ties: plain({ breadth: 4, thickness: 2, apart: 30 }),
    },
    'Split it from front to back, at 0, and keep both halves, moved apart by 8, without pegs, with two slots for a strap 4 wide, 2 thick, 30 from each other',
  ],
  [{ kind: 'offset', of: 'base', ...plain({ by: -0.1 }) }, 'Move the faces of step 1 out by -0.1'],
  [
    { kind: 'draft', of: 'base', angle: Math.PI / 60, held: 'bottom' },
    'Lean the sides of step 1 in by 3°, held at the bottom',
  ],
  [
    { kind: 'move', ...plain({ dx: 1, dy: 2, dz: 3 }), axis: 'z', turn: Math.PI / 2, scale: 1 },
    'Move the whole part 1 right, 2 back, 3 up, turned 90° about the upright axis, scaled 1 times in all directions',
  ],
  [
    {
      kind: 'move',
      ...plain({ dx: 0, dy: 0, dz: 0 }),
      axis: 'z',
      turn: 0,
      scale: { x: 1.02, y: 1.02, z: 1.005 },
    },
    'Move the whole part 0 right, 0 back, 0 up, turned 0° about the upright axis, scaled each direction by its own: 1.02 to the right, 1.02 to the back and 1.005 up',
  ],
  [
    { kind: 'split', axis: 'x', ...plain({ at: 4, gap: 8 }), keep: 'low' },
    'Split it from left to right, at 4, and keep the left half',
  ],
  [
    {
      kind: 'split',
      axis: 'z',
      ...plain({ at: 4, gap: 8 }),
      keep: 'both',
      pegs: plain({ diameter: 3, length: 4, apart: 10, play: 0.1 }),
    },
    'Split it level, at a height of 4, and keep both halves, moved apart by 8, with two pegs 3 across, 4 long, 10 from each other, play 0.1',
  ],
])('%o reads aloud', (step, sentence) => expect(say(step)).toBe(sentence));

test.each([
  [
    { ...outlineOf('sector', { inner: 10, outer: 20 }), angle: Math.PI / 2 },
    'a part of a ring of 90°, 10 across inside, 20 outside',
  ],
  [
    { shape: 'hull', circles: [plain({ x: 0, y: 0, diameter: 4 }), plain({ x: 9, y: 0, diameter: 4 })] },
    'a band round circles: 2 circles',
  ],
  [
    { shape: 'points', points: [0, 1, 2].map((n) => plain({ x: n, y: n * n })), between: 'smooth' },
    'an outline of points: 3 points, smooth all round',
  ],
  [
    {
      shape: 'gear',
      teeth: 24,
      pressure: Math.PI / 9,
      shift: 0.2,
      side: 'inside',
      ...plain({ module: 1, backlash: 0.1 }),
    },
    'a toothed gear with 24 teeth inside a ring, module 1, pressure angle 20°, shifted 0.2 modules, backlash 0.1',
  ],
  [
    { shape: 'rack', teeth: 8, pressure: Math.PI / 9, ...plain({ module: 1, backlash: 0, body: 5 }) },
    'a toothed rack with 8 teeth, module 1, pressure angle 20°, 5 below the teeth, backlash 0',
  ],
])('outline %o reads aloud', (outline, words) => {
  const raised = { kind: 'extrude', effect: 'add', ...at, outline, turn: 0, height: numberValue(5) };
  expect(say(raised)).toBe(`Raise ${words}, 5 high, on the top, on the axle line`);
});

test.each([
  [{ kind: 'seat', ...plain({ diameter: 8, depth: 3 }) }, 'with a round seat 8 across and 3 deep'],
  [{ kind: 'sink', ...plain({ diameter: 8 }), angle: Math.PI / 2 }, 'with a countersink 8 across, of 90°'],
  [
    { kind: 'nut', sides: 6, ...plain({ across: 7, depth: 3 }), at: 'far', turn: 0 },
    'with a pocket for a nut 7 over six flats, 3 deep at the far end, turned 0°',
  ],
  [
    { kind: 'nut', sides: 4, ...plain({ across: 7, depth: 3, below: 4 }), at: 'side', turn: Math.PI / 2 },
    'with a pocket for a nut 7 over four flats, 3 deep slid in from a side, 4 below the mouth, open towards 90°',
  ],
])('head %o reads aloud', (head, words) => {
  const drill = { kind: 'hole', ...plain({ diameter: 4, x: 0, y: 0 }), depth: 'through', head };
  expect(say(drill)).toBe(`Drill a hole 4 right through, ${words}, down from the top, on the axle line`);
});

test.each([
  [{ edges: 'insides' }, 'every hollow corner'],
  [{ edges: 'all', of: 'base' }, 'all edges of step 1'],
  [{ edges: 'between', of: 'base', and: 'gone' }, 'the edges where step 1 meets a missing step'],
  [{ edges: 'face', face: { tag: 'base:top', near: [0, 0, 0] } }, 'the edges round the face that was picked'],
  [{ edges: 'picked', picks: [{ tags: ['a:b', 'c:d'], near: [0, 0, 0] }] }, 'the edge that was picked'],
])('edges %o read aloud', (where, words) => {
  expect(say({ kind: 'fillet', ...plain({ size: 1 }), where })).toBe(`Round ${words} by 1`);
});

test('an ease that is not even says so', () => {
  const where = { edges: 'insides' };
  expect(say({ kind: 'chamfer', ...plain({ size: 1 }), where, other: plain({ length: 2 }) })).toBe(
    'Ease every hollow corner by 1 on one face, on the other 2',
  );
  expect(say({ kind: 'chamfer', ...plain({ size: 1 }), where, other: { angle: Math.PI / 6 } })).toBe(
    'Ease every hollow corner by 1 on one face, leaning 30°',
  );
});

test.each([
  [
    { by: 'grid', count: 3, rows: 2, ...plain({ dx: 5, dy: 6 }) },
    'Repeat step 1 3 to the right, 5 apart, and 2 to the back, 6 apart, in rows and columns',
  ],
  [
    { by: 'path', count: 4, points: [plain({ x: 30, y: 0 })] },
    'Repeat step 1 4 times in all, evenly along a line of points: 1 point',
  ],
])('pattern %o reads aloud', (pattern, sentence) => {
  expect(say({ kind: 'pattern', of: 'base', pattern })).toBe(sentence);
});
