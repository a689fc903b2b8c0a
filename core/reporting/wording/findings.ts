import { weakSentence } from './strength';
import type { Caution, Finding } from '@core/checking/inspect';

import { sentenceOf } from './faults';

import { mm, percent } from './amounts';

/** A finding in words. */
export function findingSentence(finding: Finding): string {
  switch (finding.code) {
    case 'body.empty':
      return 'Nothing is built yet. Add the first step.';
    case 'body.notClosed':
      return 'The solid is not closed, so it can’t be made. Undo the last change.';
    case 'body.severalPieces':
      return `The part falls into ${finding.pieces} pieces. Make the cut smaller, or join them with another step.`;
    case 'body.stepFailed':
      return sentenceOf(finding.fault);
  }
}

/**
 * A caution in words: what it is, and what would mend it.
 *
 * @param placeOf a step's place in its recipe, from 1.
 */
export function cautionSentence(
  caution: Caution,
  placeOf: (stepId: string) => number | undefined = () => undefined,
): string {
  const step = (id: string) => {
    const place = placeOf(id);
    return place === undefined ? 'a step' : `step ${place}`;
  };
  switch (caution.code) {
    case 'hole.nearEdge':
      return `The hole of ${step(caution.stepId)} has ${mm(caution.mm)} beside it; a screw or a pin needs ${mm(caution.leastMm)}. Move it in, or put a boss round it.`;
    case 'contact.point':
      return `The part touches itself at ${caution.count === 1 ? 'a single point' : `${caution.count} single points`}, where nothing holds it together. Move the two so that they overlap or are apart.`;
    case 'face.sliver':
      return `${caution.count === 1 ? 'One face is' : `${caution.count} faces are`} only ${caution.breadthMm.toFixed(3)} mm wide: two edges almost meet. Let them meet, or move them apart.`;
    case 'root.sharp':
      return `Where ${step(caution.of)} meets ${step(caution.on)} the corner is sharp, and a load on it cracks there first. Round it by about ${mm(caution.radiusMm)}.`;
    case 'section.weak':
      return weakSentence(caution);
    case 'slope.unsupported':
      return `${caution.areaMm2.toFixed(0)} mm² overhang in this orientation. ${caution.turnedMm2 < caution.areaMm2 ? `Turned over it would be ${caution.turnedMm2.toFixed(0)} mm². ` : ''}Add a 45° slope, or print with supports.`;
    case 'wall.thin':
      return `The thinnest wall is ${mm(caution.mm)}; ${mm(caution.leastMm)} can be made in this material. Make it thicker, or the cut behind it less deep.`;
    case 'tongue.strained':
      return `The tongue is bent to a strain of ${percent(caution.strain, 1)}; its material allows ${percent(caution.limit, 1)} repeatedly. Make it ${mm(caution.lengthMm)} long, or ${mm(caution.thicknessMm)} thick.`;
    case 'copies.miss':
      return `Of the ${caution.of} copies of ${step(caution.stepId)}, ${caution.missing} ${caution.missing === 1 ? 'leaves' : 'leave'} nothing on the part: ${caution.missing === 1 ? 'it misses' : 'they miss'} it, or ${caution.missing === 1 ? 'lies' : 'lie'} within something. Make fewer, or move them.`;
    case 'edges.copiesLeft':
      return `Of ${caution.of} copies, ${caution.left} ${caution.left === 1 ? 'has' : 'have'} an edge that ${step(caution.stepId)} works on elsewhere, and not there: it was picked before these copies were made. Pick it too, or choose the edges by rule.`;
    case 'gears.collide':
      return `Its teeth and those of ${caution.other} run into each other by ${mm(caution.mm)} as they turn: ${caution.teeth} teeth in a ring of ${caution.ringTeeth}. ${
        caution.fewest === null
          ? 'Give them more backlash, or shift the teeth of both.'
          : `Such a wheel needs a ring of ${caution.fewest} teeth or more; else give them more backlash, or shift the teeth of both.`
      }`;
    case 'bodies.overlap':
      return `It overlaps ${caution.other} by ${caution.mm3.toFixed(1)} mm³. Make room for it, or move one of them.`;
    case 'fit.unlike':
      return `There are ${mm(caution.mm)} of room to ${caution.other}; the fit needs ${mm(caution.wantedMm)} on each side. ${
        caution.mm < caution.wantedMm
          ? 'Check their places, or make room for it.'
          : 'Check whether the fit’s working size is used where they meet.'
      }`;
  }
}
