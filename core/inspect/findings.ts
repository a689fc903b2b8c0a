import type { StepFault } from '@core/fault';
import type { StepOutcome } from '@core/solid';

import type { BodyFigures } from './figures';

/** Something about a built body that its maker should know before making it. */
export type Finding =
  | { code: 'body.empty' }
  | { code: 'body.notClosed' }
  | { code: 'body.severalPieces'; pieces: number }
  | { code: 'body.stepFailed'; stepId: string; fault: StepFault };

/** All findings of a body, worst first. An empty list means that it can be made. */
export function findingsOf(figures: BodyFigures | null, steps: readonly StepOutcome[]): Finding[] {
  const failed = steps.flatMap((step): Finding[] =>
    step.state === 'failed' ? [{ code: 'body.stepFailed', stepId: step.stepId, fault: step.fault }] : [],
  );
  if (!figures) return failed.length > 0 ? failed : [{ code: 'body.empty' }];
  const findings = failed;
  if (!figures.closed) findings.push({ code: 'body.notClosed' });
  if (figures.pieces > 1) findings.push({ code: 'body.severalPieces', pieces: figures.pieces });
  return findings;
}
