import type { ChangedFault, WhereOnPart } from '@core/foundations/fault';
import { degrees } from '@core/shaping/sentence';

import { faceWords } from '../lookedFor';
import { mm } from '../amounts';
import { named, type Sentences } from './sentences';

/** One sentence or two for each: what is wrong, by which rule, and the way out. */
export const CHANGED: Sentences<ChangedFault> = {
  'body.gone': () => 'The body that this step uses is no longer there. Choose another, or bring it back.',
  'body.notBuilt': ({ name }) => `${name} is not built yet. Fix its recipe first.`,
  'body.itself': () => 'A body can’t be combined with itself. Choose another.',
  'body.circle': ({ names }) =>
    `These bodies depend on each other in a circle: ${[...names, names[0]].join(' needs ')}. Remove one from the recipe of the other.`,
  'body.noFits': ({ name }) =>
    `No size of ${name} has a fit. Add a fit for one of them, or use the same clearance all round.`,
  'body.severalFits': ({ name, tag }) =>
    `Size ${tag} of ${name} has more than one fit. Delete one, or use the same clearance all round.`,
  'body.noWayIn': ({ name }) =>
    `There is no way in for ${name} from that side: a round face of it bulges past its own edge. Choose another side, or cut the opening yourself.`,
  'offset.none': () => 'None of these faces is left. Choose other faces, or put this step earlier.',
  'offset.noneMates': () =>
    'No step before this one takes a number from a fit, so there are no mating faces. Choose the faces of a step.',
  'offset.otherForm': ({ face }) =>
    `Flat faces, cylinders, cones and balls can be moved by themselves, and ${faceWords(face)} is none of them. Change the step that makes it, or move all faces.`,
  'offset.pastMiddle': ({ face }) =>
    `This moves ${faceWords(face)} past its own middle, so that nothing is left of it. Move it less.`,
  'split.noGap': () =>
    'Two halves that touch are one piece in a file. Set a gap between them, or keep only one half.',
  'draft.closes': ({ mostAngle, mostMm }) =>
    `Leaning so far, its sides meet before they reach their height. At this height they can lean by up to about ${degrees(mostAngle)}; at this angle it can be about ${mm(mostMm)} high.`,
  'draft.easedRim': () =>
    'A gear with an eased rim has upright sides. Make the rim sharp, or its sides upright.',
  'draft.nothing': () => 'None of these sides can lean: they are gone, or not upright. Choose another step.',
  'split.missesBody': ({ at }) => `A cut at ${mm(at.mm)} misses the part. Choose a place within it.`,
  'split.pegsDoNotFit': ({ diameter }) =>
    `Pegs with a ${named(diameter)} do not fit on the cut. Make them thinner, shorter or closer together.`,
  'split.atOutside': () =>
    'The part is wholly on one side of this face, so it splits nothing. Choose a face inside it, or a place.',
  'split.tiesDoNotFit': ({ breadth }) =>
    `Slots with a ${named(breadth)} do not fit on the cut. Make them narrower, thinner or closer together.`,
  'mirror.notPossible': ({ place }) =>
    `Step ${place} works on the whole part, so it can’t be mirrored on its own. Choose steps that add, cut, round or ease.`,
  'mirror.fills': ({ place }) =>
    `The mirror image of the whole part fills what step ${place} has cut. Mirror only the steps that are to be on both sides, or mirror before that step.`,
  'pattern.notPossible': () =>
    'A step that works on edges or on the whole part can’t be repeated. Choose one that adds or cuts something.',
  'shell.wallTooThick': ({ wall, limitMm }) =>
    `The ${named(wall)} leaves nothing inside: it must be less than ${mm(limitMm)} here. Make it thinner.`,
  'shell.nothingToOpen': ({ open }) =>
    `There is no level face ${OPEN_PLACES[open]} to open. Choose another side, or hollow it earlier.`,
  'chamfer.tooLarge': ({ size, verb, mostMm, at }) =>
    `There is no room to ${verb.toLowerCase()} these edges by ${mm(size.mm)}, ${whereWords(at)}. ${
      mostMm === null ? 'Make it smaller' : `About ${mm(mostMm)} goes: make it no larger`
    }, or choose other edges.`,
};

const OPEN_PLACES: Record<string, string> = {
  top: 'at the top',
  bottom: 'at the bottom',
  both: 'at either end',
};

function whereWords(at: WhereOnPart): string {
  if (at === 'tipsOfTeeth') return 'at the tips of its teeth';
  const [first, second] = at.map(faceWords);
  return `where ${first} meets ${second}`;
}
