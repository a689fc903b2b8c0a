import { ok, type Result, type StepFault } from '@core/foundations/fault';
import { boundingBox, broughtTo, placedAnew, type TaggedSolid } from '@core/shaping/kernel';
import { effectOf, type SettledStep, type StepKind } from '@core/record/model';
import { applied, stretched, type StepInput, type StepSolid } from '@core/shaping/forming';

import { solid as disc } from './disc/solid';
import { solid as plate } from './plate/solid';
import { solid as extrude } from './extrude/solid';
import { solid as peg } from './peg/solid';
import { solid as stations } from './stations/solid';
import { solid as loft } from './loft/solid';
import { solid as sweep } from './sweep/solid';
import { solid as wedge } from './wedge/solid';
import { solid as cone } from './cone/solid';
import { solid as sphere } from './sphere/solid';
import { solid as torus } from './torus/solid';
import { solid as revolve } from './revolve/solid';
import { solid as tongue } from './tongue/solid';
import { solid as bump } from './bump/solid';
import { solid as text } from './text/solid';
import { solid as hole } from './hole/solid';
import { solid as thread } from './thread/solid';
import { solid as groove } from './groove/solid';
import { solid as body } from './body/solid';
import { solid as pattern } from './pattern/solid';
import { solid as mirror } from './mirror/solid';
import { solid as chamfer } from './chamfer/solid';
import { solid as fillet } from './fillet/solid';
import { solid as shell } from './shell/solid';
import { solid as draft } from './draft/solid';
import { solid as offset } from './offset/solid';
import { solid as move } from './move/solid';
import { solid as split } from './split/solid';
import type { LengthsOf } from './kinds';

const SOLIDS: { [K in StepKind]: StepSolid<K> } = {
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

/** How a step of a kind is built and drawn. */
export const solidOf = <K extends StepKind>(kind: K): StepSolid<K> => SOLIDS[kind];

/** What a step makes, at its place; null for one that works on what is there. */
export function placedTool(
  step: SettledStep,
  lengths: LengthsOf<StepKind>,
  input: StepInput,
): Result<TaggedSolid, StepFault> | null {
  const made = solidOf(step.kind).tool?.(step, lengths, input) ?? null;
  return made?.ok ? ok(broughtTo(input.stand, widened(made.value, input))) : made;
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
  lengths: LengthsOf<StepKind>,
  input: StepInput,
): Result<TaggedSolid, StepFault> {
  const { build, verb = 'Cut out' } = solidOf(step.kind);
  const tool = placedTool(step, lengths, input);
  if (!tool) return build!(step, lengths, input);
  return tool.ok ? applied(effectOf(step), input.before, tool.value, verb, input.merge) : tool;
}
