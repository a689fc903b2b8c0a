import { ok, type NamedLength, type Result, type StepFault } from '@core/fault';
import { effectOf, type SettledStep, type StepKind } from '@core/model';

import { boundingBox } from '../check';
import { broughtTo, placedAnew } from '../moved';
import { stretched } from '../uneven/stretched';
import type { StepInput, StepType } from '../stepKind';
import type { TaggedSolid } from '../tagged';
import { blend } from './blend';
import { body } from './body';
import { bump } from './bump';
import { drill } from './drill';
import { ease, round } from './dress';
import { faces } from './faces';
import { groove } from './groove';
import { hollow } from './hollow';
import { move } from './move';
import { peg } from './peg';
import { plate } from './plate';
import { applied } from './effect';
import { raise } from './raise';
import { mirror } from './mirror';
import { repeat } from './repeat';
import { ball, cone, ring } from './rounds';
import { run } from './run';
import { spin } from './spin';
import { split } from './split';
import { stations } from './stations';
import { taper } from './taper';
import { text } from './text';
import { thread } from './thread';
import { tongue } from './tongue';
import { turn } from './turn';
import { wedge } from './wedge';

const STEP_TYPES: { [K in StepKind]: StepType<K> } = {
  turn,
  plate,
  peg,
  raise,
  wedge,
  spin,
  blend,
  run,
  thread,
  text,
  tongue,
  bump,
  body,
  faces,
  taper,
  move,
  split,
  cone,
  ball,
  ring,
  groove,
  drill,
  stations,
  repeat,
  mirror,
  hollow,
  ease,
  round,
};

/** What is known about the kind of a step. */
export function stepTypeOf<K extends StepKind>(kind: K): StepType<K> {
  return STEP_TYPES[kind] as unknown as StepType<K>;
}

/** What a step is called when there is nothing yet for it to work on. */
const VERBS: Partial<Record<StepKind, string>> = { drill: 'Drill', groove: 'Cut', peg: 'Raise' };

/** What a step makes, at its place; null for one that works on what is there. */
export function placedTool(
  step: SettledStep,
  lengths: Record<string, NamedLength>,
  input: StepInput,
): Result<TaggedSolid, StepFault> | null {
  const type = stepTypeOf(step.kind);
  if (!type.tool) return null;
  const made = type.tool(step as never, lengths, input);
  return made.ok ? ok(broughtTo(input.stand, widened(made.value, input))) : made;
}

/** A tool that is a hair wider or narrower, about its own middle. Takes it over. */
function widened(tool: TaggedSolid, { kernel, hair }: StepInput): TaggedSolid {
  if (hair === 0) return tool;
  const [x0, y0, , x1, y1] = boundingBox(kernel, tool.shape);
  const [x, y] = [(x0 + x1) / 2, (y0 + y1) / 2];
  const moved = (solid: TaggedSolid, sign: 1 | -1) => {
    const there = placedAnew(solid, { scale: 1, axis: 'z', turn: 0, by: [sign * x, sign * y, 0] });
    solid.dispose();
    return there;
  };
  const atOrigin = moved(tool, -1);
  const wider = stretched(atOrigin, [1 + (2 * hair) / (x1 - x0), 1 + (2 * hair) / (y1 - y0), 1]);
  atOrigin.dispose();
  return moved(wider, 1);
}

/** The solid after a step. */
export function buildStep(
  step: SettledStep,
  lengths: Record<string, NamedLength>,
  input: StepInput,
): Result<TaggedSolid, StepFault> {
  const tool = placedTool(step, lengths, input);
  if (!tool) return stepTypeOf(step.kind).build!(step as never, lengths, input);
  return tool.ok
    ? applied(effectOf(step), input.before, tool.value, VERBS[step.kind] ?? 'Cut out', input.merge)
    : tool;
}
