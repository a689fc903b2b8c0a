import type { OutlineFault } from '@core/foundations/fault';
import { showNumber } from '@core/foundations/quantity';

import { mm } from '../amounts';
import { named, quoted, type Sentences } from './sentences';

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
  'gear.noRoot': ({ teeth }) =>
    `With ${teeth} teeth and this shift nothing is left under the teeth. Take more teeth or more shift.`,
  'gear.pointed': ({ teeth }) =>
    `With ${teeth} teeth and these numbers the teeth come to a point before their tip. Take less shift or less backlash.`,
  'gear.noGap': ({ teeth }) =>
    `With ${teeth} teeth and these numbers there is no gap between the teeth. Take less shift.`,
};
