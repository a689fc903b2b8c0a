import { z } from 'zod';

import {
  BlendStep,
  BumpStep,
  RaiseStep,
  RunStep,
  SpinStep,
  TextStep,
  ThreadStep,
  TongueStep,
} from './formSteps';
import { Id, name } from './ids';
import {
  BallStep,
  ConeStep,
  GrooveStep,
  PegStep,
  PlateStep,
  RingStep,
  StationsStep,
  TurnStep,
  WedgeStep,
} from './plainSteps';
import {
  BodyStep,
  DrillStep,
  EaseStep,
  FacesStep,
  HollowStep,
  MirrorStep,
  MoveStep,
  RepeatStep,
  RoundStep,
  SplitStep,
  TaperStep,
} from './workSteps';

export const Step = z.discriminatedUnion('kind', [
  TurnStep,
  PlateStep,
  PegStep,
  GrooveStep,
  DrillStep,
  RaiseStep,
  WedgeStep,
  SpinStep,
  BlendStep,
  RunStep,
  ThreadStep,
  TextStep,
  TongueStep,
  BumpStep,
  BodyStep,
  FacesStep,
  TaperStep,
  MoveStep,
  SplitStep,
  ConeStep,
  BallStep,
  RingStep,
  StationsStep,
  RepeatStep,
  MirrorStep,
  HollowStep,
  EaseStep,
  RoundStep,
]);
export type Step = z.infer<typeof Step>;
export type StepKind = Step['kind'];
export type StepOf<K extends StepKind> = Extract<Step, { kind: K }>;

export const BodyRole = z.enum(['spare', 'counterpart']);
export type BodyRole = z.infer<typeof BodyRole>;

/** A solid built by a recipe. Spares are made; counterparts are what they must fit, shown as ghosts. */
export const Body = z.strictObject({
  id: Id,
  version: z.int().nonnegative(),
  name,
  role: BodyRole,
  steps: z.array(Step).max(500),
  removed: z.boolean(),
});
export type Body = z.infer<typeof Body>;
