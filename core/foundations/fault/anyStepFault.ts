import type { LookedFor } from './lookedFor';

/** Why a solid is not sound. */
export type Unsound =
  'crossesItself' | 'notClosed' | 'runsThroughItself' | 'trianglesOpen' | 'volumeDown' | 'volumeUp';

/** What can be wrong with any step. */
export type AnyStepFault =
  | { code: 'step.firstMustAdd'; verb: string }
  /** `tag`: of the face that was picked, where it was one. */
  | { code: 'step.pickLost'; lookingFor: LookedFor; tag?: string }
  | { code: 'step.touchesAtEdge' }
  | { code: 'step.nothingLeft' }
  | { code: 'step.changesNothing' }
  | { code: 'step.notValid'; reason: Unsound }
  | { code: 'step.timedOut'; seconds: number }
  | { code: 'step.stopped' }
  | { code: 'step.kernelFailed'; message: string };
