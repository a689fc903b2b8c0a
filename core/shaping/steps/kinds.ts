import type { Result, StepFault } from '@core/foundations/fault';
import type { EvaluatedRepair } from '@core/fitting/fit';
import type { SettledStep, SettledStepOf, Step, StepKind, StepOf } from '@core/record/model';
import type { Known } from '@core/shaping/part';
import type { Option, SentenceContext, SentencePart } from '@core/shaping/sentence';

import * as disc from './disc';
import * as plate from './plate';
import * as extrude from './extrude';
import * as peg from './peg';
import * as stations from './stations';
import * as loft from './loft';
import * as sweep from './sweep';
import * as wedge from './wedge';
import * as cone from './cone';
import * as sphere from './sphere';
import * as torus from './torus';
import * as revolve from './revolve';
import * as tongue from './tongue';
import * as bump from './bump';
import * as text from './text';
import * as hole from './hole';
import * as thread from './thread';
import * as groove from './groove';
import * as body from './body';
import * as pattern from './pattern';
import * as mirror from './mirror';
import * as chamfer from './chamfer';
import * as fillet from './fillet';
import * as shell from './shell';
import * as draft from './draft';
import * as offset from './offset';
import * as move from './move';
import * as split from './split';
import type { FirstValues } from './firstValues';

/** What a kind of step says of itself, and what a new one of it is. */
export interface KindOfStep<K extends StepKind> {
  /** In the list that a new step is chosen from: its verb, and what it does. */
  menu: { verb: string; what: string };
  sentence(step: StepOf<K>, context: SentenceContext): SentencePart[];
  /** What could be added to it and mostly is not. */
  more?(step: StepOf<K>): Option[];
  first(values: FirstValues): StepOf<K>;
  /** Its lengths, mm, or what is wrong with the first. */
  resolve(step: SettledStepOf<K>, numbers: EvaluatedRepair): Result<object, StepFault>;
}

const KINDS = {
  disc,
  plate,
  extrude,
  peg,
  stations,
  loft,
  sweep,
  wedge,
  cone,
  sphere,
  torus,
  revolve,
  tongue,
  bump,
  text,
  hole,
  thread,
  groove,
  body,
  pattern,
  mirror,
  chamfer,
  fillet,
  shell,
  draft,
  offset,
  move,
  split,
} satisfies { [K in StepKind]: KindOfStep<K> };

/** The lengths of a step of a kind, as its solid and its drawing take them. */
export type LengthsOf<K extends StepKind> = Known<ReturnType<(typeof KINDS)[K]['resolve']>>;

/** The kind of a step, for the step itself. */
export const kindOf = (step: Step): KindOfStep<StepKind> => KINDS[step.kind];
export const menuOf = (kind: StepKind): KindOfStep<StepKind>['menu'] => KINDS[kind].menu;

/** A step of a kind, with numbers guessed from what is there. */
export const firstOf = (kind: StepKind, values: FirstValues): Step => KINDS[kind].first(values);

/** The lengths of a step, mm, or what is wrong with the first. */
export const resolveStep = (
  step: SettledStep,
  numbers: EvaluatedRepair,
): Result<LengthsOf<StepKind>, StepFault> => kindOf(step).resolve(step, numbers);
