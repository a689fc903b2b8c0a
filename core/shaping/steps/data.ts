import { z } from 'zod';

import { numberValue, takesAway, type Effect, type Place, type SettledParts } from '@core/foundations/fields';

import * as disc from './disc/schema';
import * as plate from './plate/schema';
import * as extrude from './extrude/schema';
import * as peg from './peg/schema';
import * as stations from './stations/schema';
import * as loft from './loft/schema';
import * as sweep from './sweep/schema';
import * as wedge from './wedge/schema';
import * as cone from './cone/schema';
import * as sphere from './sphere/schema';
import * as torus from './torus/schema';
import * as revolve from './revolve/schema';
import * as tongue from './tongue/schema';
import * as bump from './bump/schema';
import * as text from './text/schema';
import * as hole from './hole/schema';
import * as thread from './thread/schema';
import * as groove from './groove/schema';
import * as body from './body/schema';
import * as pattern from './pattern/schema';
import * as mirror from './mirror/schema';
import * as chamfer from './chamfer/schema';
import * as fillet from './fillet/schema';
import * as shell from './shell/schema';
import * as draft from './draft/schema';
import * as offset from './offset/schema';
import * as move from './move/schema';
import * as split from './split/schema';
import type { OwnEdges, StepFacts } from './facts';

/** Every kind of step: its schema and what is known of it, in the order in which a new one is offered. */
export const STEP_DATA = {
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
};

type Data = typeof STEP_DATA;
export type StepKind = keyof Data;
export type StepOf<K extends StepKind> = { [One in K]: z.infer<Data[One]['schema']> }[K];
export type Step = StepOf<StepKind>;

const schemas = Object.values(STEP_DATA).map(({ schema }) => schema);
type Schema = Data[StepKind]['schema'];
export const Step = z.discriminatedUnion(
  'kind',
  schemas as [Schema, ...Schema[]],
) as unknown as z.ZodType<Step>;

export const STEP_KINDS = Object.keys(STEP_DATA) as StepKind[];

/** A step as it is built: every angle, count and factor as a number. */
export type SettledStep = SettledParts<Step>;
export type SettledStepOf<K extends StepKind> = Extract<SettledStep, { kind: K }>;

/** What is known of a step's kind. */
export const factsOf = <S extends Step | SettledStep>(step: S): StepFacts<S> =>
  STEP_DATA[step.kind].facts as unknown as StepFacts<S>;
export const factsOfKind = (kind: StepKind): StepFacts<Step> => STEP_DATA[kind].facts as StepFacts<Step>;
export const schemaOf = (kind: StepKind): Schema => STEP_DATA[kind].schema;

/** What a step does with the solid it makes; those that do not say add it, or have but one thing to do. */
export const effectOf = (step: Step | SettledStep): Effect =>
  ('effect' in step && step.effect) || (factsOf(step).effect?.(step) ?? 'add');

/** Whether a step takes something away, or leaves only what it has in common. */
export const stepTakesAway = (step: Step | SettledStep): boolean => takesAway(effectOf(step));

/** Where a step stands, with what it leaves unsaid: a wheel or a plate lies on the ground, on the axle line. Null for one that has no place. */
export function placeOf(step: SettledStep): Place<number> | null;
export function placeOf(step: Step): Place | null;
export function placeOf(step: Step | SettledStep): Place | null {
  if (factsOf(step).lies === 'ground') {
    const place: Partial<Place> = step as Partial<Place>;
    return {
      ...place,
      on: place.on ?? 'bottom',
      x: place.x ?? numberValue(0),
      y: place.y ?? numberValue(0),
    };
  }
  return 'x' in step && 'y' in step ? (step as Place) : null;
}

/** The edges of a step that can be rounded or eased by rule. */
export function edgesOfferedBy(step: Step): readonly OwnEdges[] {
  const { edges } = factsOf(step);
  return typeof edges === 'function' ? edges(step) : edges;
}

/** What a step made or took away can be made again at other places. */
export const canBeRepeated = ({ kind }: Step): boolean => factsOfKind(kind).makes === 'solid';
/** ... and on the other side; edges that were rounded there, too. */
export const canBeMirrored = (step: Step): boolean => canBeRepeated(step) || factsOf(step).dresses === true;
