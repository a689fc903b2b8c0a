import type { StepFault } from '@core/foundations/fault';

/** How a step ended: built, failed with its fault, or waiting behind one that failed. */
export type StepOutcome =
  | { stepId: string; state: 'built'; notes?: readonly StepNote[] }
  | { stepId: string; state: 'failed'; fault: StepFault }
  | { stepId: string; state: 'waiting' }
  /** Switched off by the person; the others are built as if it were not there. */
  | { stepId: string; state: 'off' };

/** Something a step did otherwise than it says, short of failing; worth a look. */
export type StepNote =
  /** Copies of a repeat that leave nothing on the part: they miss it, or lie within something. */
  | { code: 'copies.miss'; missing: number; of: number }
  /** Copies with an edge that was picked on others, and not on them. */
  | { code: 'edges.copiesLeft'; left: number; of: number };
