import type { AddedFault } from '@core/foundations/fault';
import { degrees } from '@core/shaping/sentence';

import { lengthWords } from '../lengthNames';
import { mm } from '../amounts';
import { named, quoted, type Sentences } from './sentences';

/** One sentence or two for each: what is wrong, by which rule, and the way out. */
export const ADDED: Sentences<AddedFault> = {
  'hole.widerThanBody': ({ bore, bodyMm }) =>
    `The ${named(bore)} is as wide as the part or wider (${mm(bodyMm)}). Make the part wider or the ${lengthWords(bore.what)} smaller.`,
  'hole.missesBody': ({ bore }) => `The ${named(bore)} misses the part. Move it nearer to the middle.`,
  'hole.deeperThanBody': ({ depth, bodyMm }) =>
    `The ${named(depth)} reaches the other side of the part (${mm(bodyMm)} away). Make it less deep, or let it go right through.`,
  'hole.headTooNarrow': ({ head, holeMm }) =>
    `The ${named(head)} is not wider than its hole (${mm(holeMm)}). Make it wider, or take it away.`,
  'hole.headTooDeep': ({ headMm, roomMm }) =>
    `The head goes ${mm(headMm)} deep, and there are ${mm(roomMm)} for it. Make it less deep, or the hole deeper.`,
  'pick.notFlat': () => 'This face is not flat. Choose a flat one.',
  'groove.widerThanRim': ({ width, rimMm }) =>
    `The ${named(width)} is as wide as the rim or wider (${mm(rimMm)}). Make the groove narrower or the wheel wider.`,
  'groove.offRim': ({ up, limitMm }) =>
    `The groove is ${mm(up.mm)} off the middle of the rim and runs out of it. It can be at most ${mm(limitMm)} off.`,
  'groove.deeperThanRadius': ({ depth, radiusMm }) =>
    `The ${named(depth)} reaches the middle of the wheel (${mm(radiusMm)}). Make it less deep.`,
  'wedge.flat': () => 'Both ends are nearly zero high, which leaves nothing. Make one of them higher.',
  'revolve.crossesAxis': ({ away, overMm }) =>
    `The outline reaches ${mm(overMm)} past the axis it turns about. Make the ${named(away)} larger, or the outline smaller.`,
  'sweep.endingOnClosed': () =>
    'A closed run comes back to its own beginning, so its section can’t become another. Take the other section away, or leave the path open.',
  'sweep.tooFewPoints': () => 'A closed path needs three points. Add one, or let it stay open.',
  'sweep.bendTooTight': ({ bend, halfMm }) =>
    `The ${named(bend)} must be more than the outline reaches from its path (${mm(halfMm)}). Make it larger, or 0 for sharp corners.`,
  'sweep.bentTooMuch': ({ halfMm, roomMm }) =>
    `The outline reaches ${mm(halfMm)} from its path, which bends so sharply that there is room for ${mm(roomMm)}. Make the outline smaller, or the path gentler.`,
  'sweep.legTooShort': ({ bend }) =>
    `The legs of this path are too short for the ${named(bend)}. Make the bend smaller, or move the points apart.`,
  'sweep.comesBackTurned': ({ turn }) =>
    `The path is not flat, so the outline comes round turned by ${degrees(turn)} and does not meet itself. Use a circle for the outline, a smooth path, or move a point until the path is flat.`,
  'thread.unknown': ({ size }) => `${quoted(size)} is not in the tables of threads. Choose one that is.`,
  'thread.tooShort': ({ length, pitchMm }) =>
    `The ${named(length)} is shorter than one turn of the thread (${mm(pitchMm)}). Make it longer.`,
  'thread.playTooLarge': ({ play, depthMm }) =>
    `The ${named(play)} is more than the thread can give and still hold (${mm(depthMm)}). Make it smaller.`,
  'thread.tooLong': ({ length, limitMm }) =>
    `The ${named(length)} has more turns than are modelled (up to ${mm(limitMm)} of this one). Make it shorter, or make it plain, to be cut by hand.`,
  'text.empty': () => 'There are no letters yet. Type some.',
  'text.noFont': () => 'The letters’ font has not arrived yet. Reload the page.',
  'text.notInFont': ({ letters }) => `The font has no ${quoted(letters)}. Use other letters.`,
  'tongue.bumpTooLong': ({ bump, lengthMm }) =>
    `The ${named(bump)} does not fit on a tongue of ${mm(lengthMm)}. Make the bump smaller, or the tongue longer.`,
  'extrude.nothingToGoThrough': () =>
    'There is nothing yet to go right through. Give it a height, or put a step before it.',
  'extrude.upToBehind': () =>
    'The face it should go up to is behind its start or beside its path. Choose another face, or give it a height.',
  'apart.touches': () =>
    'It touches what is there, so it can’t be a piece of its own. Move it away, or let it be joined.',
  'extrude.missesBody': () => 'It is wholly outside the part. Check its place to the right and to the back.',
  'stations.notRising': ({ place, at }) =>
    `Station ${place} (${mm(at.mm)}) is not above the one before it. Put the stations in order, from the bottom up.`,
  'cone.isNone': ({ across }) =>
    `Both ends are ${mm(across.mm)} across, which makes no cone. Raise a circle instead, or change one end.`,
  'torus.tooThick': ({ thick, acrossMm }) =>
    `The ${named(thick)} fills the whole ring (${mm(acrossMm)} across). Make it thinner.`,
  'plate.cornerTooRound': ({ radius, limitMm }) =>
    `The ${named(radius)} must be from zero to less than half the narrow side (${mm(limitMm)}). Make it smaller.`,
  'floor.notLevel': () =>
    'This is not cut straight down or up, so its floor has no single height above the ground. Say how deep it is instead.',
  'floor.outside': ({ floor, placeMm, down }) =>
    `The ${named(floor)} above the ground is not ${down ? 'below' : 'above'} where the cut begins (${mm(placeMm)}). Make it ${down ? 'lower' : 'higher'}.`,
};
