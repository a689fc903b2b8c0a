import type { Caution, Finding } from '@core/inspect';
import { showNumber } from '@core/quantity';

import { sentenceOf } from './faults';

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

const mm = (value: number) => `${showNumber(value)} mm`;

/** A caution in words: what it is, and what would mend it. */
export function cautionSentence(caution: Caution): string {
  switch (caution.code) {
    case 'wall.thin':
      return `The thinnest wall is ${mm(caution.mm)}; ${mm(caution.leastMm)} can be made in this material. Make it thicker, or the cut behind it less deep.`;
    case 'tongue.strained':
      return `The tongue is bent to a strain of ${percent(caution.strain)}; its material bears ${percent(caution.limit)} again and again. Make it ${mm(caution.lengthMm)} long, or ${mm(caution.thicknessMm)} thick.`;
    case 'bodies.overlap':
      return `It overlaps ${caution.other} by ${caution.mm3.toFixed(1)} mm³. Make room for it, or move one of them.`;
    case 'fit.unlike':
      return `There are ${mm(caution.mm)} of room to ${caution.other}; the fit asks for ${mm(caution.wantedMm)} on each side. Check where they stand.`;
  }
}

const percent = (share: number) => `${(share * 100).toFixed(1)} %`;
