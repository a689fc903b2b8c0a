import {
  factsOfKind,
  numberValue,
  type OutlineShape,
  type OutlineShapeName,
  type Step,
  type Value,
  type PlainNumber,
} from '@core/record/model';
import { ownValue } from '@core/foundations/own';
import { drawnFromHull, drawnFromPoints } from '@core/shaping/drawnEdits';

import {
  added,
  angle,
  chip,
  choice,
  plainNumber,
  setting,
  words,
  type ChoiceFigure,
  type Option,
  type SentencePart,
} from './parts';
import type { SentenceSources } from './context';

/** Outlines that any other can be turned into: all but those that are taken from elsewhere. */
type PlainShape = Exclude<OutlineShapeName, 'layoutHull' | 'offset'>;

const OUTLINE_NAMES: Record<PlainShape, string> = {
  circle: 'a circle',
  ellipse: 'an ellipse',
  rectangle: 'a rectangle',
  slot: 'a slot',
  polygon: 'a polygon',
  sector: 'a part of a ring',
  hull: 'a band round circles',
  points: 'an outline of points',
  drawn: 'an outline drawn by hand',
  gear: 'a toothed gear',
  rack: 'a toothed rack',
};
const OUTLINE_FIGURES: Record<PlainShape, ChoiceFigure> = {
  circle: 'outlineCircle',
  ellipse: 'outlineEllipse',
  rectangle: 'outlineRectangle',
  slot: 'outlineSlot',
  polygon: 'outlinePolygon',
  sector: 'outlineSector',
  hull: 'outlineHull',
  points: 'outlinePoints',
  drawn: 'outlineDrawn',
  gear: 'outlineGear',
  rack: 'outlineRack',
};

/** The main measure of an outline, to carry over into another. */
function mainOf(now: OutlineShape): Value {
  switch (now.shape) {
    case 'circle':
      return now.diameter;
    case 'polygon':
      return now.across;
    case 'sector':
      return now.outer;
    case 'hull':
      return now.circles[0]!.diameter;
    case 'gear':
    case 'rack':
    case 'points':
    case 'offset':
    case 'drawn':
      return numberValue(20);
    case 'layoutHull':
      return now.diameter;
    default:
      return now.length;
  }
}

const DEGREE = Math.PI / 180;

/** A drawing of nothing but a point to begin from, which stays where the step is put. */
export const emptyDrawing = (): Extract<OutlineShape, { shape: 'drawn' }> => ({
  shape: 'drawn',
  points: [{ id: 'O', x: numberValue(0), y: numberValue(0) }],
  curves: [],
  relations: [{ kind: 'fixed', id: 'r1', point: 'O' }],
});

/** The same measures in another shape, as far as it has them. */
export function outlineAs(shape: PlainShape, now: OutlineShape): OutlineShape {
  const main = mainOf(now);
  const breadth = 'breadth' in now ? now.breadth : main;
  const teeth = { pressure: 20 * DEGREE, module: numberValue(1), backlash: numberValue(0.1) };
  switch (shape) {
    case 'circle':
      return { shape, diameter: main };
    case 'ellipse':
      return { shape, length: main, breadth };
    case 'rectangle':
      return { shape, length: main, breadth, cornerRadius: numberValue(0) };
    case 'slot':
      return { shape, length: main, breadth: 'breadth' in now ? now.breadth : numberValue(5) };
    case 'polygon':
      return { shape, sides: 6, by: 'flats', across: main };
    case 'sector':
      return { shape, inner: numberValue(10), outer: main, angle: 90 * DEGREE };
    case 'hull': {
      const circle = (x: number) => ({ x: numberValue(x), y: numberValue(0), diameter: numberValue(10) });
      return { shape, circles: [circle(0), circle(20)] };
    }
    case 'points': {
      const point = (x: number, y: number) => ({ x: numberValue(x), y: numberValue(y) });
      return {
        shape,
        points: [point(-10, -5), point(10, -5), point(10, 5), point(-10, 5)],
        between: 'straight',
      };
    }
    case 'drawn':
      if (now.shape === 'hull') return drawnFromHull(now);
      return now.shape === 'points' ? drawnFromPoints(now) : emptyDrawing();
    case 'gear':
      return { shape, teeth: 20, shift: 0, side: 'outside', ...teeth };
    case 'rack':
      return { shape, teeth: 8, body: numberValue(5), ...teeth };
  }
}

const POLYGON_SIDES = [3, 4, 5, 6, 8, 12];

const NO_SOURCES: SentenceSources = { steps: [], layouts: [], bodies: [] };

const hasOutline = ({ kind }: Step) => factsOfKind(kind).outlined === true;

/** An outline in words. @param path where it stands in its step; @param stays one that is taken from a face stays where it stands. */
export function outlineParts(
  outline: OutlineShape,
  path = 'outline',
  sources: SentenceSources = NO_SOURCES,
  stays = false,
): SentencePart[] {
  const shape = outlineChoice(outline, path, sources, stays);
  return [shape, ...outlineNumbers(outline, path)];
}

/** The outline itself, for others: of its own, or taken from elsewhere. */
function outlineChoice(
  outline: OutlineShape,
  path: string,
  sources: SentenceSources,
  stays: boolean,
): SentencePart {
  const { bodies } = sources;
  const offered = outlineOptions(outline, path, sources);
  const isNow = ({ patch }: Option) => {
    const other = ownValue(patch, path) as OutlineShape;
    if (other.shape !== outline.shape) return false;
    if (other.shape === 'layoutHull') return other.layout === (outline as typeof other).layout;
    return other.shape !== 'offset' || JSON.stringify(other) === JSON.stringify(outline);
  };
  // What it is now and could not be chosen anew: a lost source, a picked face, curves that were drawn.
  const special = outlineOption(path, specialWord(outline, bodies), outline);
  return choice('the outline', (option) => option === special || isNow(option), [
    ...(offered.some(isNow) ? [] : [special]),
    ...offered,
    {
      word: 'Take the outline of a face on the part',
      patch: {},
      pick: { field: path, picks: 'outline', stays },
      group: TAKEN,
    },
    ...bodies.map(({ id, name }) => ({
      word: `Take the outline of a face of ${name}`,
      patch: {},
      pick: { field: path, picks: 'outline' as const, body: id, stays },
      group: TAKEN,
    })),
  ]);
}

/** A group of the outlines that are offered. */
const TAKEN = 'Taken from elsewhere';

const outlineOption = (path: string, word: string, other: OutlineShape, group?: string): Option => ({
  word,
  patch: { [path]: other },
  ...(group ? { group } : {}),
});

/** Outlines that can be chosen as they are: plain ones, and those of layouts, steps and bodies. */
function outlineOptions(
  outline: OutlineShape,
  path: string,
  { steps, layouts, bodies }: SentenceSources,
): Option[] {
  const names = Object.entries(OUTLINE_NAMES) as [PlainShape, string][];
  const by = outline.shape === 'offset' ? outline.by : numberValue(0);
  const bandAcross = outline.shape === 'layoutHull' ? outline.diameter : numberValue(10);
  const as = (word: string, other: OutlineShape, group: string) => outlineOption(path, word, other, group);
  return [
    ...names.map(([name, word]) => ({
      ...as(word, name === outline.shape ? outline : outlineAs(name, outline), 'Of its own'),
      figure: OUTLINE_FIGURES[name],
    })),
    ...layouts.map(({ id, name }) =>
      as(
        `a band round the points of ${name}`,
        { shape: 'layoutHull', layout: id, diameter: bandAcross },
        TAKEN,
      ),
    ),
    ...steps
      .filter(({ step }) => hasOutline(step))
      .map(({ step, place }) =>
        as(`the outline of step ${place}`, { shape: 'offset', of: { step: step.id }, by }, TAKEN),
      ),
    ...(steps.length > 0
      ? [as('the outline of the whole part', { shape: 'offset', of: { whole: true }, by }, TAKEN)]
      : []),
    ...bodies.map(({ id, name }) =>
      as(`the outline of all of ${name}`, { shape: 'offset', of: { whole: true, body: id }, by }, TAKEN),
    ),
    ...bodies.flatMap(({ id, name, steps: own = [] }) =>
      own.flatMap((step, index) =>
        hasOutline(step)
          ? [
              as(
                `the outline of step ${index + 1} of ${name}`,
                { shape: 'offset', of: { step: step.id, body: id }, by },
                TAKEN,
              ),
            ]
          : [],
      ),
    ),
  ];
}

/** The numbers of an outline, in words after its name. */
function outlineNumbers(outline: OutlineShape, path: string): SentencePart[] {
  const number = (key: string, what: string, value: Value) => chip(`${path}.${key}`, what, value);
  const at = (key: string) => `${path}.${key}`;
  switch (outline.shape) {
    case 'circle':
      return [words(' '), number('diameter', 'across', outline.diameter), words(' across')];
    case 'ellipse':
    case 'slot':
    case 'rectangle':
      return [
        words(' '),
        number('length', 'length', outline.length),
        words(' long, '),
        number('breadth', 'breadth', outline.breadth),
        words(' broad'),
        ...(outline.shape === 'rectangle'
          ? [words(', corners rounded '), number('cornerRadius', 'corner radius', outline.cornerRadius)]
          : []),
      ];
    case 'polygon':
      return [
        words(' of '),
        setting(
          at('sides'),
          'the number of sides',
          outline.sides,
          [...new Set([...POLYGON_SIDES, outline.sides])].map((sides) => [sides, `${sides} sides`] as const),
        ),
        words(', '),
        number('across', 'across', outline.across),
        words(' '),
        setting(at('by'), 'what is measured', outline.by, [
          ['flats', 'across flats'],
          ['corners', 'across corners'],
        ]),
      ];
    case 'sector':
      return [
        words(' of '),
        angle(at('angle'), 'angle', outline.angle),
        words(', '),
        number('inner', 'inner diameter', outline.inner),
        words(' across inside, '),
        number('outer', 'outer diameter', outline.outer),
        words(' outside'),
      ];
    case 'hull':
      return [
        words(': '),
        {
          kind: 'rows',
          field: at('circles'),
          what: 'circle',
          text: `${outline.circles.length} circles`,
          columns: [
            { key: 'x', word: 'to the right' },
            { key: 'y', word: 'to the back' },
            { key: 'diameter', word: 'across' },
          ],
          least: 2,
        },
      ];
    case 'layoutHull':
      return [words(', '), number('diameter', 'across', outline.diameter), words(' across at each')];
    case 'offset':
      return [words(', moved out by '), number('by', 'distance out', outline.by)];
    case 'drawn':
      return [
        words(': '),
        {
          kind: 'drawing',
          field: path,
          what: 'drawing',
          text: curvesIn(outline),
        },
        ...(outline.band
          ? [
              words(', '),
              added('the band', 'as a band', 'filled', { [at('band')]: undefined }),
              words(' '),
              number('band', 'width of the band', outline.band),
              words(' wide'),
            ]
          : []),
      ];
    case 'points':
      return [
        words(': '),
        {
          kind: 'rows',
          field: at('points'),
          what: 'point',
          text: `${outline.points.length} points`,
          columns: [
            { key: 'x', word: 'to the right' },
            { key: 'y', word: 'to the back' },
          ],
          least: 3,
        },
        words(', '),
        setting(at('between'), 'what is between them', outline.between, [
          ['straight', 'straight between'],
          ['smooth', 'smooth all round'],
        ]),
      ];
    case 'gear':
      return [
        words(' with '),
        ...plainNumber(at('teeth'), 'number of teeth', outline.teeth, 'count', 'teeth'),
        words(' '),
        setting(at('side'), 'where the teeth are', outline.side, [
          ['outside', 'outside'],
          ['inside', 'inside a ring'],
        ]),
        words(', module '),
        number('module', 'module', outline.module),
        words(', pressure angle '),
        angle(at('pressure'), 'pressure angle', outline.pressure),
        words(', shifted '),
        ...plainNumber(at('shift'), 'profile shift', outline.shift, 'factor'),
        words(' modules, backlash '),
        number('backlash', 'backlash', outline.backlash),
        ...(outline.rim
          ? [
              words(', '),
              added('its rim', 'its rim eased by', 'its rim sharp', { [at('rim')]: undefined }),
              words(' '),
              number('rim', 'ease of the rim', outline.rim),
            ]
          : []),
      ];
    case 'rack':
      return [
        words(' with '),
        ...plainNumber(at('teeth'), 'number of teeth', outline.teeth, 'count', 'teeth'),
        words(', module '),
        number('module', 'module', outline.module),
        words(', pressure angle '),
        angle(at('pressure'), 'pressure angle', outline.pressure),
        words(', '),
        number('body', 'height below the teeth', outline.body),
        words(' below the teeth, backlash '),
        number('backlash', 'backlash', outline.backlash),
      ];
  }
}

function specialWord(outline: OutlineShape, bodies: SentenceSources['bodies']): string {
  switch (outline.shape) {
    case 'layoutHull':
      return 'a band round a missing layout';
    case 'offset': {
      const { body } = outline.of;
      if ('whole' in outline.of) return 'the outline of a missing body';
      if (!('face' in outline.of)) return 'the outline of a missing step';
      if (body === undefined) return 'the outline of the face that was picked';
      return `the outline of a face of ${bodies.find(({ id }) => id === body)?.name ?? 'a missing body'}`;
    }
    default:
      return OUTLINE_NAMES[outline.shape];
  }
}

/** How far something is turned in its place. */
export function turnParts(turn: PlainNumber, path = 'turn'): SentencePart[] {
  return [words(', turned '), angle(path, 'turn', turn)];
}

/** How many curves a drawing has, without construction lines. */
export function curvesIn({ curves }: Extract<OutlineShape, { shape: 'drawn' }>): string {
  const count = curves.filter(({ helper }) => !helper).length;
  if (curves.length === 0) return 'nothing drawn yet';
  return count === 1 ? '1 curve' : `${count} curves`;
}
