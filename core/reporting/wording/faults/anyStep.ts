import type { AnyStepFault, Unsound } from '@core/foundations/fault';

import { lookedForWords } from '../lookedFor';
import type { Sentences } from './sentences';

/** One sentence or two for each: what is wrong, by which rule, and the way out. */
export const ANY_STEP: Sentences<AnyStepFault> = {
  'step.firstMustAdd': ({ verb }) =>
    `There is nothing to ${verb.toLowerCase()} yet. Begin with Turn or Plate.`,
  'step.pickLost': ({ lookingFor }) =>
    `This step was looking for ${lookedForWords(lookingFor)} and can’t find it. Choose again what it works on.`,
  'step.nothingLeft': () => 'This step leaves nothing of the part. Make it smaller, or move it.',
  'step.changesNothing': () =>
    'This step changes nothing: it misses the part, or is all inside it. Move it or change its size.',
  'step.touchesAtEdge': () =>
    'Here the part touches itself only along an edge, which could not hold. Move it so that they overlap, or are apart.',
  'step.notValid': ({ reason }) =>
    `This step does not give a sound solid: ${UNSOUND[reason]}. Change its numbers a little.`,
  'step.timedOut': ({ seconds }) =>
    `This step took longer than ${seconds} seconds and was stopped. Change its numbers, or take it out.`,
  'step.stopped': () => 'This step was stopped before it was done. Build it again, or change its numbers.',
  'step.kernelFailed': () =>
    'This step can’t be built with these numbers. Change them a little, or put it earlier in the recipe.',
};

const UNSOUND: Record<Unsound, string> = {
  crossesItself: 'the solid crosses itself',
  notClosed: 'the solid is not closed',
  runsThroughItself: 'it runs through itself',
  trianglesOpen: 'its triangles do not close',
  volumeDown: 'the volume shrank',
  volumeUp: 'the volume grew',
};
