import type { OutlineConstraint, OutlineDimension } from '@core/foundations/fields';
import type { Freedom, Reach, StudiedDrawing } from '@core/shaping/drawn';

import type { AreasFault, CutFault, DrawnProblem } from '@core/shaping/drawnEdits';

import { mm } from './amounts';

/** What a relation is called. */
export const RELATION_WORDS: Record<OutlineConstraint['kind'], string> = {
  coincident: 'At one place',
  level: 'Level',
  upright: 'Upright',
  onCurve: 'On the curve',
  midpoint: 'Halfway',
  parallel: 'Parallel',
  square: 'Square',
  collinear: 'In line',
  equal: 'Equal',
  tangent: 'Tangent',
  concentric: 'Concentric',
  symmetric: 'Mirrored',
  turned: 'Repeated round',
  fixed: 'Fixed',
};

/** Why a curve of a drawing can't be cut or made longer there. */
export const CUT_FAULT_SENTENCES: Record<CutFault, string> = {
  notPlain: 'Lines, arcs and circles alone can be cut.',
  nothingCrosses: 'Nothing crosses it there. Pick it and delete it instead.',
  nothingBeyond: 'There is nothing beyond that end that it could reach.',
  noEnds: 'A circle has no end. Trim it between two curves that cross it.',
  atItsEnd: 'It ends there.',
  follows: 'It follows the part. Make it part of the outline and use Areas, or let it go first.',
};

/** Why areas of a drawing can't be its outline together. */
export const AREAS_FAULT_SENTENCES: Record<AreasFault, string> = {
  touchInPoint:
    'Two of these areas touch in a point alone. Take what lies between them too, or leave one out.',
  apart: 'These areas do not hang together. Leave one out, and cut or raise it in a step of its own.',
};

/** What a dimension is called. */
export const DIMENSION_WORDS: Record<OutlineDimension['kind'], string> = {
  distance: 'Length',
  along: 'Distance',
  fromLine: 'Distance from the line',
  across: 'Diameter across the centre line',
  radius: 'Radius',
  diameter: 'Diameter',
  rise: 'Rise of the arc',
  angle: 'Angle',
};

/** A dimension in words; one along an axis says which. */
export const dimensionWord = (dimension: OutlineDimension | { kind: 'along'; axis: 'x' | 'y' }): string =>
  dimension.kind === 'along'
    ? dimension.axis === 'x'
      ? 'Distance across'
      : 'Distance up'
    : DIMENSION_WORDS[dimension.kind];

const ways = (count: number) => (count === 1 ? '1 way' : `${count} ways`);

/** How an outline can still move, in a sentence or two. */
export function freedomSentence({ waysLeft, asWhole }: Pick<Freedom, 'waysLeft' | 'asWhole'>): string {
  if (waysLeft === 0) return 'Nothing can move any more.';
  const formWays = waysLeft - asWhole;
  if (formWays === 0)
    return 'Its form is settled. It can still move as a whole: fix a point, and make a line level.';
  const form = `Its form can still change in ${ways(formWays)}.`;
  return asWhole === 0 ? form : `${form} It can move as a whole, too.`;
}

/** How far a point with one way left goes along it and back. @param way of length 1. */
export function reachSentence(
  way: readonly [number, number],
  [along, back]: readonly [Reach, Reach],
): string {
  if (along.kind === 'round') return 'It can move all the way round.';
  const [x, y] = way;
  const words =
    Math.abs(x) >= Math.abs(y) ? (['to the right', 'to the left'] as const) : (['up', 'down'] as const);
  const isForward = Math.abs(x) >= Math.abs(y) ? x > 0 : y > 0;
  const [first, second] = isForward ? [along, back] : [back, along];
  const far = ({ kind }: Reach) => kind === 'far';
  if (far(first) && far(second)) return `It can move ${words.join(' and ')} as far as you like.`;
  const part = (reach: Reach, word: string) =>
    reach.kind === 'stops' ? `${mm(reach.mm)} ${word}` : `${word} as far as you like`;
  return `It can move ${part(first, words[0])} and ${part(second, words[1])}.`;
}

/** Of a relation or a size that lets the drawing move as much as before, and so says nothing new. */
export const oneTooManySentence = (word: string): string =>
  `${word} says nothing new: what the drawing holds already makes it so.`;

/** What is wrong with a drawing, most important first; nothing if all is well. @param named what a relation or a dimension is called. */
export function drawingFaults(
  { conflict, disagreeing, residuals, misused }: StudiedDrawing,
  named: (id: string) => string,
): string[] {
  const faults: string[] = [];
  if (conflict.length > 0)
    faults.push(
      `These can’t all hold: ${conflict.map(named).join(', ')}. Let a size only report, or take one of them away.`,
    );
  const worst = [...residuals]
    .filter(({ id }) => disagreeing.includes(id))
    .sort((a, b) => b.standardised - a.standardised)[0];
  if (worst)
    faults.push(
      `${named(worst.id)} does not agree with the other measured sizes: by ${mm(Math.abs(worst.adjustedMm - worst.takenMm))}, which is more than its doubt. Take it again.`,
    );
  for (const id of misused.keys())
    faults.push(`${named(id)} can’t be used here. Take it away, or put back what it names.`);
  return faults;
}

/** What keeps drawn curves from being an outline, at the place that is marked. */
export function drawnProblemSentence(problem: DrawnProblem): string {
  switch (problem.kind) {
    case 'noLength':
      return 'A curve has no length where the ring is.';
    case 'doubled':
      return 'Two curves lie on each other where the ring is.';
    case 'gap':
      return `Two ends do not quite meet where the ring is: ${mm(problem.gapMm)} apart.`;
    case 'open':
      return problem.count === 1
        ? 'The outline is open where the ring is.'
        : `The outline is open at ${problem.count} ends, one of them where the ring is.`;
    case 'fork':
      return 'More than two curves meet where the ring is. An outline goes round once.';
    case 'crossing':
      return 'Two curves cross where the ring is.';
  }
}

/** How a drawn outline stands: what is wrong, or else what is left free. */
export const drawingSentence = (drawing: StudiedDrawing, named: (id: string) => string): string =>
  drawingFaults(drawing, named)[0] ?? freedomSentence(drawing.freedom);
