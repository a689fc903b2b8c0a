import type { OutlineFault } from '@core/foundations/fault';
import { showNumber } from '@core/foundations/quantity';

import { mm } from '../amounts';
import { named, quoted, type Sentences } from './sentences';

const MISUSED = {
  gone: 'names a point or a curve that is not there any more. Open the drawing and take it away.',
  wrongCurves: 'does not go with the curves that it names. Open the drawing and take it away.',
  notOnSmooth:
    'would hold a point on a smooth curve, which can’t be done. Use a point that the curve goes through.',
  notPositive: 'has a size of zero or less. Give it a larger one.',
} as const;

/** One sentence or two for each: what is wrong, by which rule, and the way out. */
export const OUTLINE: Sentences<OutlineFault> = {
  'outline.slotTooShort': ({ length, breadthMm }) =>
    `The ${named(length)} is not more than the width of the slot (${mm(breadthMm)}). Make it longer, or take a circle.`,
  'outline.noRing': ({ inner, outerMm }) =>
    `The ${named(inner)} is not less than the outer one (${mm(outerMm)}). Make it smaller.`,
  'outline.pointsMeet': ({ place }) =>
    `Point ${place} is where the next one is. Move one of them, or take it out.`,
  'outline.crosses': () => 'This outline crosses itself. Put its points in order, going round it once.',
  'outline.open': ({ x, y }) =>
    `This outline is open at ${showNumber(x)}, ${showNumber(y)}. Start the next curve there.`,
  'path.inPieces': () =>
    'This path is in pieces. Let its curves meet end to end, or make the others construction lines.',
  'path.forks': ({ x, y }) =>
    `More than two curves of this path meet at ${showNumber(x)}, ${showNumber(y)}. Leave one of them out.`,
  'path.ellipse': () => 'A path can’t go along an ellipse. Draw it by arcs or as a smooth curve.',
  'outline.loopsAside': () =>
    'One loop of this outline must enclose all the others, and those must be apart. Move them, or make a step of each.',
  'outline.noPoint': ({ place, point }) =>
    `Curve ${place} goes through ${quoted(point)}, and there is no point of that name. Put the point back, or choose another.`,
  'outline.notLevelThere': () =>
    'The outline is in another plane than the face it is put on. Put it on a parallel face, or give it a place of its own.',
  'outline.hasHoles': () =>
    'An outline with holes can be raised or turned, but not run or blended. Use one without, and cut the hole in a step of its own.',
  'outline.notHere': () =>
    'An outline taken from a step or a face needs the part it is taken from. Put this step after it.',
  'outline.noneOfStep': ({ place }) =>
    `Step ${place} has no outline that could be taken. Choose one that raises, lays, turns or drills.`,
  'outline.offsetTooFar': ({ by }) =>
    `Nothing is left of the outline when it is moved by the ${named(by)}. Take a smaller one.`,
  'outline.arcNeedsEnds': () =>
    'An arc needs a plain point on both of its sides. Let an arc go through every other point at most.',
  'outline.arcStraight': ({ place }) =>
    `Curve ${place} is an arc whose three points are in line. Move the middle one, or draw a line there.`,
  'outline.noLength': ({ place }) =>
    `Curve ${place} has no length: its ends are at one place. Move one of them, or take the curve away.`,
  'outline.onlyHelpers': () =>
    'This outline has construction lines alone. Draw what goes round it, or make one of them part of it.',
  'outline.bandHasHoles': () =>
    'A band is drawn by one loop: there are holes in this outline. Take them away, or cut them in a step of their own.',
  'outline.followsNowhere': () =>
    'The drawing of this step follows the part, which only a raised or a turned outline can. Let go what it follows.',
  'outline.followsFlush': () =>
    'The drawing follows the part, so it can’t be placed by its own edge. Measure its place from the middle or the axle line.',
  'outline.followsOther': ({ place }) =>
    place === null
      ? 'What a point of the drawing follows is no longer seen from its end. Let it go, or follow something else.'
      : `What curve ${place} of the drawing follows has another form now. Let it go, or follow something else.`,
  'outline.nothingDrawn': () => 'Nothing is drawn yet. Open the drawing and draw the outline.',
  'outline.contradicts': ({ tags }) =>
    tags.length === 0
      ? 'Relations or sizes of this outline contradict each other. Open the drawing: it shows which, and one of them can only report.'
      : `This outline can’t hold all its sizes at once: ${tags.join(', ')}. Open the drawing and let one of them only report, or take it again.`,
  'outline.relationMisused': ({ place, why }) => `Relation ${place} of this outline ${MISUSED[why]}`,
  'gear.noRoot': ({ teeth }) =>
    `With ${teeth} teeth and this shift nothing is left under the teeth. Take more teeth or more shift.`,
  'gear.pointed': ({ teeth }) =>
    `With ${teeth} teeth and these numbers the teeth come to a point before their tip. Take less shift or less backlash.`,
  'gear.noGap': ({ teeth }) =>
    `With ${teeth} teeth and these numbers there is no gap between the teeth. Take less shift.`,
};
