import type { StepFault } from '@core/foundations/fault';
import type { Body } from '@core/record/model';
import type { StepOutcome } from '@core/shaping/part';

import type { BodyFigures } from './figures';

/** Something about a built body that its maker should know before making it. */
export type Finding =
  | { code: 'body.empty' }
  | { code: 'body.notClosed' }
  | { code: 'body.severalPieces'; pieces: number }
  | { code: 'body.stepFailed'; stepId: string; fault: StepFault };

/**
 * All findings of a body, worst first. An empty list means that it can be made.
 *
 * @param body if it is split and both halves kept, several pieces are what is wanted.
 */
export function findingsOf(
  figures: BodyFigures | null,
  steps: readonly StepOutcome[],
  body?: Pick<Body, 'steps'>,
): Finding[] {
  const failed = steps.flatMap((step): Finding[] =>
    step.state === 'failed' ? [{ code: 'body.stepFailed', stepId: step.stepId, fault: step.fault }] : [],
  );
  if (!figures) return failed.length > 0 ? failed : [{ code: 'body.empty' }];
  const findings = failed;
  if (!figures.closed) findings.push({ code: 'body.notClosed' });
  const isSplit = body?.steps.some((step) => step.kind === 'split' && step.keep === 'both' && !step.off);
  if (figures.pieces > 1 && !isSplit) findings.push({ code: 'body.severalPieces', pieces: figures.pieces });
  return findings;
}
