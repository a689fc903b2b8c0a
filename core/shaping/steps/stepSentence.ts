import { placeOf, type SideNames, type Step, type StepKind } from '@core/record/model';
import {
  finerOptions,
  stepsBefore,
  withSideNames,
  type NamedBody,
  type NamedLayout,
  type Option,
  type SentencePart,
} from '@core/shaping/sentence';

import { firstValues, type StepContext } from './firstValues';
import { firstOf, kindOf } from './kinds';

/** What a sentence may name besides other steps. */
export interface SentenceNames {
  /** Layouts that a step may be laid out by. */
  layouts?: readonly NamedLayout[];
  /** Other bodies that a step may use. */
  bodies?: readonly NamedBody[];
  /** What the sides of its body are called where it is used. */
  sides?: SideNames | undefined;
}

/** A step as a sentence that reads aloud. */
export function stepSentence(
  step: Step,
  recipe: readonly Step[],
  { layouts = [], bodies = [], sides = {} }: SentenceNames = {},
): SentencePart[] {
  const steps = stepsBefore(step, recipe).map((earlier) => ({
    step: earlier,
    place: recipe.indexOf(earlier) + 1,
  }));
  return kindOf(step)
    .sentence(step, { recipe, steps, layouts, bodies })
    .map((part) => withSideNames(part, sides));
}

/** What could be added to a step and mostly is not: heads, leaning sides, a lift, a tilt. */
export function moreOptions(step: Step): Option[] {
  const place = placeOf(step);
  return [...(kindOf(step).more?.(step) ?? []), ...(place ? finerOptions(place) : [])];
}

/**
 * A step of a kind, with numbers guessed from sizes that no step uses yet: by the words in their names first,
 * then in the order of their tags. What cannot be guessed gets a plain number. Every guess can be changed.
 */
export const newStep = (kind: StepKind, context: StepContext, id: string): Step =>
  firstOf(kind, firstValues(context, id));
