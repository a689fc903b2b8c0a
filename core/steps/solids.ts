import { ok, type NamedLength, type Result, type StepFault } from '@core/fault';
import { boundingBox, broughtTo, placedAnew, type TaggedSolid } from '@core/kernel';
import { effectOf, type SettledStep, type StepKind } from '@core/model';
import { stretched, type StepInput, type StepType, applied } from '@core/shaping';

import { ball } from './ball/solid';
import { blend } from './blend/solid';
import { body } from './body/solid';
import { bump } from './bump/solid';
import { cone } from './cone/solid';
import { drill } from './drill/solid';
import { ease } from './ease/solid';
import { faces } from './faces/solid';
import { groove } from './groove/solid';
import { hollow } from './hollow/solid';
import { mirror } from './mirror/solid';
import { move } from './move/solid';
import { peg } from './peg/solid';
import { plate } from './plate/solid';
import { raise } from './raise/solid';
import { repeat } from './repeat/solid';
import { ring } from './ring/solid';
import { round } from './round/solid';
import { run } from './run/solid';
import { spin } from './spin/solid';
import { split } from './split/solid';
import { stations } from './stations/solid';
import { taper } from './taper/solid';
import { text } from './text/solid';
import { thread } from './thread/solid';
import { tongue } from './tongue/solid';
import { turn } from './turn/solid';
import { wedge } from './wedge/solid';

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
