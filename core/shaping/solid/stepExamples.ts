import type { StepKind } from '@core/record/model';

import {
  ADDED,
  BLOCK,
  MIDDLE,
  outline,
  PLATE,
  raised,
  rectangle,
  step,
  WHEEL,
  type StepExample,
} from './exampleSteps';

/** What each kind of step is drawn by, where one is chosen. Lengths in mm. */
export const STEP_EXAMPLES: Readonly<Record<StepKind, StepExample>> = {
  disc: { before: [], step: WHEEL[0]! },
  plate: {
    before: [],
    step: step('plate', { length: 46, breadth: 30, thickness: 5, cornerRadius: 6, ...MIDDLE }),
  },
  extrude: {
    before: PLATE,
    step: raised(outline('polygon', { sides: 6, by: 'flats', across: 20 }), 14, { on: 'top' }, 'raised'),
  },
  peg: { before: PLATE, step: step('peg', { diameter: 12, height: 16, x: 0, y: 0 }) },
  stations: {
    before: [],
    step: step('stations', {
      ...ADDED,
      rows: [
        { at: 0, diameter: 16 },
        { at: 14, diameter: 24 },
        { at: 30, diameter: 13 },
        { at: 40, diameter: 17 },
      ],
      between: 'smooth',
    }),
  },
  loft: {
    before: [],
    step: step('loft', {
      ...ADDED,
      sections: [
        { outline: rectangle(30, 30), at: 0, x: 0, y: 0, turn: 0 },
        { outline: outline('circle', { diameter: 14 }), at: 30, x: 0, y: 0, turn: 0 },
      ],
      between: 'straight',
    }),
  },
  sweep: {
    before: PLATE,
    step: step('sweep', {
      ...ADDED,
      outline: outline('circle', { diameter: 6 }),
      path: [
        { x: -15, y: 0, up: 0 },
        { x: -15, y: 0, up: 20 },
        { x: 15, y: 0, up: 20 },
        { x: 15, y: 0, up: 0 },
      ],
      bend: 8,
      along: 'straight',
      closed: false,
    }),
  },
  wedge: {
    before: PLATE,
    step: step('wedge', { ...ADDED, length: 30, breadth: 18, low: 2, high: 18, turn: 0 }),
  },
  cone: { before: PLATE, step: step('cone', { ...ADDED, lower: 24, upper: 8, height: 18 }) },
  sphere: { before: PLATE, step: step('sphere', { ...ADDED, diameter: 22, up: 7 }) },
  torus: { before: PLATE, step: step('torus', { ...ADDED, across: 20, thick: 6, up: 1 }) },
  revolve: {
    before: [],
    step: step('revolve', { ...ADDED, outline: rectangle(8, 14), away: 16, up: 7, angle: 4.2, turn: 0 }),
  },
  tongue: {
    before: PLATE,
    step: step('tongue', { ...ADDED, length: 22, breadth: 12, thickness: 4, bump: 4, play: 0.2, turn: 2.36 }),
  },
  bump: { before: BLOCK, step: step('bump', { ...ADDED, breadth: 18, bump: 5, play: 0.2, turn: 2.36 }) },
  text: { before: PLATE, step: step('text', { ...ADDED, text: 'A', height: 22, depth: 3, turn: 0 }) },
  hole: { before: BLOCK, step: step('hole', { diameter: 12, depth: 'through', x: 0, y: 0 }) },
  thread: {
    before: [step('disc', { diameter: 20, width: 34, ...MIDDLE }, 'rod')],
    step: step('thread', { side: 'outside', size: 'M20', length: 24, play: 0, made: 'modelled', ...MIDDLE }),
  },
  groove: { before: WHEEL, step: step('groove', { rimOf: 'wheel', width: 5, depth: 4 }) },
  body: {
    before: BLOCK,
    step: step('body', { of: 'other', effect: 'cut', grow: 0.5, wayIn: 'top' }),
    other: [raised(outline('polygon', { sides: 6, by: 'flats', across: 18 }), 20)],
  },
  pattern: {
    before: [...BLOCK, step('hole', { diameter: 6, depth: 'through', x: -13, y: 0 }, 'one')],
    step: step('pattern', { of: 'one', pattern: { by: 'row', count: 3, dx: 13, dy: 0 } }),
  },
  mirror: {
    before: [...PLATE, raised(rectangle(8, 22), 16, { on: 'top', x: -15, y: 0 }, 'post')],
    step: step('mirror', { across: 'sides', keep: 'both', of: ['post'] }),
  },
  chamfer: { before: BLOCK, step: step('chamfer', { size: 7, where: { edges: 'upright', of: 'base' } }) },
  fillet: { before: BLOCK, step: step('fillet', { size: 8, where: { edges: 'upright', of: 'base' } }) },
  shell: { before: [raised(rectangle(40, 28), 18)], step: step('shell', { wall: 3, open: 'top' }) },
  draft: {
    before: [raised(rectangle(30, 22), 24)],
    step: step('draft', { of: 'base', angle: 0.2, held: 'bottom' }),
  },
  offset: { before: BLOCK, step: step('offset', { of: 'all', by: 3 }) },
  move: {
    before: BLOCK,
    step: step('move', { dx: 0, dy: 0, dz: 0, axis: 'z', turn: 0.6, scale: 1 }),
  },
  split: { before: BLOCK, step: step('split', { axis: 'x', at: 0, keep: 'both', gap: 12 }) },
};
