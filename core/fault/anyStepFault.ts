/** What can be wrong with any step. */
export type AnyStepFault =
  | { code: 'step.firstMustAdd'; verb: string }
  /** `tag`: of the face that was picked, where it was one. */
  | { code: 'step.pickLost'; lookingFor: string; tag?: string }
  | { code: 'step.touchesAtEdge' }
  | { code: 'step.nothingLeft' }
  | { code: 'step.changesNothing' }
  | { code: 'step.notValid'; reason: string }
  | { code: 'step.timedOut'; seconds: number }
  | { code: 'step.stopped' }
  | { code: 'step.kernelFailed'; message: string };
