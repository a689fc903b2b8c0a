import { drawnFromCurves } from '@core/shaping/drawnEdits';
import type { Step } from '@core/record/model';
import { outlineAs, type ChoiceFigure } from '@core/shaping/sentence';

import { ADDED, MIDDLE, outline, PLATE, raised, rectangle, step, type StepExample } from './exampleSteps';

/** An outline by itself, raised a little. */
const outlined = (shape: object): StepExample => ({ before: [], step: raised(shape, 6) });

/** A block that is cut through its middle, so that what is inside is seen. */
const DEEP_BLOCK = [raised(rectangle(40, 28), 18)];
const HALVED: readonly Step[] = [step('split', { axis: 'y', at: 0, keep: 'high', gap: 0 })];
const drilled = (hole: object): StepExample => ({
  before: DEEP_BLOCK,
  step: step('hole', { diameter: 9, depth: 'through', x: 0, y: 0, ...hole }),
  cut: HALVED,
});
const nut = (more: object) =>
  drilled({ head: { kind: 'nut', sides: 6, across: 16, depth: 6, turn: 0, ...more } });

const HOLED = (x: number, y: number) => [
  ...PLATE,
  step('hole', { diameter: 5, depth: 'through', x, y }, 'one'),
];
const repeated = (x: number, y: number, pattern: object): StepExample => ({
  before: HOLED(x, y),
  step: step('pattern', { of: 'one', pattern }),
});

/** A plate with a block on it and a hole through both. */
const FOR_EDGES = [
  raised(rectangle(44, 32), 8),
  raised(rectangle(22, 18), 12, { on: 'top' }, 'post'),
  step('hole', { diameter: 8, depth: 'through', x: 0, y: 0 }, 'hole'),
];
const eased = (where: object): StepExample => ({
  before: FOR_EDGES,
  step: step('fillet', { size: 2, where }),
});

const ROWS = [
  { at: 0, diameter: 16 },
  { at: 14, diameter: 26 },
  { at: 30, diameter: 12 },
  { at: 40, diameter: 18 },
];
const between = (how: string): StepExample => ({
  before: [],
  step: step('stations', { ...ADDED, rows: ROWS, between: how }),
});

/** What each choice is drawn by. Lengths in mm. */
export const CHOICE_EXAMPLES: Readonly<Record<ChoiceFigure, StepExample>> = {
  outlineCircle: outlined(outline('circle', { diameter: 26 })),
  outlineEllipse: outlined(outline('ellipse', { length: 36, breadth: 20 })),
  outlineRectangle: outlined(rectangle(34, 22)),
  outlineSlot: outlined(outline('slot', { length: 36, breadth: 14 })),
  outlinePolygon: outlined(outline('polygon', { sides: 6, by: 'flats', across: 26 })),
  outlineSector: outlined(outline('sector', { inner: 18, outer: 36, angle: 2.4 })),
  outlineHull: outlined(
    outline('hull', {
      circles: [
        { x: -12, y: 0, diameter: 18 },
        { x: 14, y: 4, diameter: 9 },
      ],
    }),
  ),
  outlinePoints: outlined(
    outline('points', {
      points: [
        { x: -16, y: -10 },
        { x: 16, y: -10 },
        { x: 16, y: 0 },
        { x: 0, y: 2 },
        { x: -6, y: 12 },
        { x: -16, y: 8 },
      ],
      between: 'straight',
    }),
  ),
  outlineDrawn: outlined({
    ...drawnFromCurves([
      { kind: 'line', from: [-16, -9], to: [10, -9] },
      { kind: 'arc', from: [10, -9], via: [16, -2], to: [9, 4] },
      { kind: 'arc', from: [9, 4], via: [0, 3], to: [-5, 12] },
      { kind: 'line', from: [-5, 12], to: [-16, 8] },
      { kind: 'line', from: [-16, 8], to: [-16, -9] },
    ]),
  }),
  outlineGear: outlined({
    ...outlineAs('gear', { shape: 'circle', diameter: { from: 'number', mm: 20 } }),
    teeth: 14,
  }),
  outlineRack: outlined({
    ...outlineAs('rack', { shape: 'circle', diameter: { from: 'number', mm: 20 } }),
    teeth: 5,
  }),
  depthThrough: drilled({}),
  depthFlat: drilled({ depth: 11 }),
  depthPointed: drilled({ depth: 9, point: (118 * Math.PI) / 180 }),
  headSeat: drilled({ head: { kind: 'seat', diameter: 18, depth: 7 } }),
  headSink: drilled({ head: { kind: 'sink', diameter: 20, angle: Math.PI / 2 } }),
  headNut: nut({ at: 'mouth' }),
  nutFar: nut({ at: 'far' }),
  nutMouth: nut({ at: 'mouth' }),
  nutSide: nut({ at: 'side', below: 5 }),
  patternRow: repeated(-15, 0, { by: 'row', count: 4, dx: 10, dy: 0 }),
  patternGrid: repeated(-15, -9, { by: 'grid', count: 4, rows: 3, dx: 10, dy: 9 }),
  patternRoundAxle: repeated(11, 0, { by: 'round', count: 6 }),
  patternRoundPoint: repeated(16, 5, { by: 'round', count: 5, x: 9, y: 5 }),
  patternPath: repeated(-16, -9, {
    by: 'path',
    count: 5,
    points: [
      { x: 2, y: -9 },
      { x: 16, y: 8 },
    ],
  }),
  patternPoints: repeated(-14, -8, {
    by: 'points',
    points: [
      { x: 12, y: -3 },
      { x: -4, y: 9 },
    ],
  }),
  edgesUpright: eased({ edges: 'upright', of: 'post' }),
  edgesRims: eased({ edges: 'rims', of: 'base' }),
  edgesTop: eased({ edges: 'rims', of: 'post', end: 'top' }),
  edgesBottom: eased({ edges: 'rims', of: 'base', end: 'bottom' }),
  edgesMouths: eased({ edges: 'mouths', of: 'hole' }),
  edgesAll: eased({ edges: 'all', of: 'post' }),
  // Beside the post another one, so that all hollow corners are more than one step's.
  edgesInsides: {
    before: [...FOR_EDGES, raised(rectangle(6, 20), 16, { x: -17 }, 'rib')],
    step: step('fillet', { size: 1.2, where: { edges: 'insides' } }),
  },
  edgesBetween: eased({ edges: 'between', of: 'base', and: 'post' }),
  threadOutside: {
    before: [step('disc', { diameter: 20, width: 34, ...MIDDLE }, 'rod')],
    step: step('thread', { side: 'outside', size: 'M20', length: 24, play: 0, made: 'modelled', ...MIDDLE }),
  },
  threadInside: {
    before: DEEP_BLOCK,
    step: step('thread', {
      side: 'inside',
      size: 'M20',
      length: 'through',
      play: 0,
      made: 'modelled',
      ...MIDDLE,
    }),
    cut: HALVED,
  },
  betweenStraight: between('straight'),
  betweenSmooth: between('smooth'),
};
