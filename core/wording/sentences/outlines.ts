import { numberValue, type OutlineShape, type OutlineShapeName, type StepOf, type Value } from '@core/model';
import { RAD_PER_DEGREE } from '@core/quantity';

import { chip, choice, words, type Option, type SentencePart } from './parts';
import { levelChoice } from './places';

const OUTLINE_NAMES: Record<OutlineShapeName, string> = {
  circle: 'a circle',
  ellipse: 'an ellipse',
  rectangle: 'a rectangle',
  slot: 'a slot',
  polygon: 'a polygon',
};

/** The same measures in another shape, as far as it has them. */
function outlineAs(shape: OutlineShapeName, now: OutlineShape): OutlineShape {
  const main = now.shape === 'circle' ? now.diameter : now.shape === 'polygon' ? now.across : now.length;
  const breadth = 'breadth' in now ? now.breadth : main;
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
  }
}

const POLYGON_SIDES = [3, 4, 5, 6, 8, 12];

export function outlineParts(outline: OutlineShape): SentencePart[] {
  const names = Object.entries(OUTLINE_NAMES) as [OutlineShapeName, string][];
  const shape = choice(
    'the outline',
    ({ patch }) => (patch.outline as OutlineShape).shape === outline.shape,
    names.map(([name, word]) => ({
      word,
      patch: { outline: name === outline.shape ? outline : outlineAs(name, outline) },
    })),
  );
  const number = (key: string, what: string, value: Value) => chip(`outline.${key}`, what, value);
  switch (outline.shape) {
    case 'circle':
      return [shape, words(' '), number('diameter', 'across', outline.diameter), words(' across')];
    case 'ellipse':
    case 'slot':
      return [
        shape,
        words(' '),
        number('length', 'length', outline.length),
        words(' long, '),
        number('breadth', 'breadth', outline.breadth),
        words(' broad'),
      ];
    case 'rectangle':
      return [
        shape,
        words(' '),
        number('length', 'length', outline.length),
        words(' long, '),
        number('breadth', 'breadth', outline.breadth),
        words(' broad, corners rounded '),
        number('cornerRadius', 'corner radius', outline.cornerRadius),
      ];
    case 'polygon':
      return [
        shape,
        words(' of '),
        choice(
          'the number of sides',
          ({ patch }) => (patch.outline as { sides: number }).sides === outline.sides,
          [...new Set([...POLYGON_SIDES, outline.sides])].map((sides) => ({
            word: `${sides} sides`,
            patch: { outline: { ...outline, sides } },
          })),
        ),
        words(', '),
        number('across', 'across', outline.across),
        words(' '),
        choice(
          'over what it is measured',
          ({ patch }) => (patch.outline as { by: string }).by === outline.by,
          [
            { word: 'over flats', patch: { outline: { ...outline, by: 'flats' } } },
            { word: 'over corners', patch: { outline: { ...outline, by: 'corners' } } },
          ],
        ),
      ];
  }
}

const TURNS = [0, 15, 30, 45, 60, 90];

/** How far an outline is turned; a circle looks the same. */
export function turnParts(step: StepOf<'raise'>): SentencePart[] {
  if (step.outline.shape === 'circle') return [];
  const degrees = Math.round((step.turn / RAD_PER_DEGREE) * 100) / 100;
  const turns = [...TURNS.filter((usual) => usual !== degrees), degrees].sort((a, b) => a - b);
  return [
    words(', '),
    choice(
      'how far it is turned',
      ({ patch }) => patch.turn === step.turn,
      turns.map((turn) => ({
        word: turn === 0 ? 'square on' : `turned ${turn}°`,
        // The angle that holds stays as it is, whatever it is rounded to in words.
        patch: { turn: turn === degrees ? step.turn : turn * RAD_PER_DEGREE },
      })),
    ),
  ];
}

export function heightParts(step: StepOf<'raise'>): SentencePart[] {
  const through = step.height === 'through';
  const deep = step.effect === 'add' ? 'high' : 'deep';
  const measured: Option = {
    word: deep,
    patch: { height: step.height === 'through' ? numberValue(5) : step.height },
  };
  const right: Option = { word: 'right through', patch: { height: 'through' } };
  // Only what is taken away can go right through.
  if (step.effect === 'add' && step.height !== 'through') {
    return [words(', '), chip('height', 'height', step.height), words(` ${deep}, `), levelChoice(step)];
  }
  const way = choice('how far it goes', (option) => (option === right) === through, [right, measured]);
  return step.height === 'through'
    ? [words(', '), way]
    : [words(', '), chip('height', 'height', step.height), words(' '), way, words(', '), levelChoice(step)];
}
