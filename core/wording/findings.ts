import type { Finding } from '@core/inspect';

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
