import { evaluateRepair } from '@core/fitting/fit';
import type { Body, DrawnFigure, Step, StepKind } from '@core/record/model';
import type { ChoiceFigure } from '@core/shaping/sentence';
import type { Kernel } from '@core/shaping/kernel';
import type { Font } from '@core/shaping/text';

import { figureState } from './figureState';
import { drawPicture } from './picture';
import { RepairBuilder } from './repairBuilder';
import { CHOICE_EXAMPLES } from './choiceExamples';
import type { StepExample } from './exampleSteps';
import { STEP_EXAMPLES } from './stepExamples';

/** What is nearer to an edge than this is on it, mm; its curves are drawn by chords. */
const ON_EDGE_MM = 0.06;

/**
 * Draws what a kind of step does: its example, and which edges the step made.
 *
 * @param font for letters; without one those can't be drawn.
 */
export const stepFigure = (kernel: Kernel, kind: StepKind, font?: Font): DrawnFigure =>
  exampleFigure(kernel, kind, STEP_EXAMPLES[kind], font);

/** Draws what a choice does, by its example. */
export const choiceFigure = (kernel: Kernel, of: ChoiceFigure): DrawnFigure =>
  exampleFigure(kernel, of, CHOICE_EXAMPLES[of]);

function exampleFigure(
  kernel: Kernel,
  name: string,
  { before, step, other, cut = [] }: StepExample,
  font?: Font,
): DrawnFigure {
  const beside = other ? [bodyOf('other', other, 'counterpart')] : [];
  const drawn = (steps: readonly Step[]) => {
    const state = figureState(name, { bodies: [bodyOf('part', steps, 'spare'), ...beside] });
    const builder = new RepairBuilder(kernel, font);
    try {
      const built = builder.build(state.bodies, evaluateRepair(state)).get('part')!;
      const failed = built.steps.find((one) => one.state === 'failed');
      if (!built.solid || failed)
        throw new Error(`The example of ${name} is not built: ${JSON.stringify(failed)}`);
      return drawPicture(built.solid, name);
    } finally {
      builder.dispose();
    }
  };
  const after = drawn([...before, step, ...cut]);
  const was = before.length === 0 ? [] : drawn([...before, ...cut]).edges;
  const made = after.edges.flatMap((edge, index) => (was.some((one) => liesOn(edge, one)) ? [] : [index]));
  // Where everything is new, nothing stands out; what was there before is drawn thin.
  const isAllNew = made.length === after.edges.length;
  return { ...after, made: isAllNew ? [] : made, ghost: isAllNew ? was : [] };
}

const bodyOf = (id: string, steps: readonly Step[], role: Body['role']): Body => ({
  id,
  version: 1,
  name: id,
  role,
  steps: [...steps],
  removed: false,
});

/** Whether the middle of an edge is on another. */
function liesOn(edge: readonly number[], other: readonly number[]): boolean {
  const half = 2 * Math.floor(edge.length / 4);
  const [x, y] =
    edge.length === 4
      ? [(edge[0]! + edge[2]!) / 2, (edge[1]! + edge[3]!) / 2]
      : [edge[half]!, edge[half + 1]!];
  for (let at = 0; at + 3 < other.length; at += 2) {
    const [ax, ay, bx, by] = [other[at]!, other[at + 1]!, other[at + 2]!, other[at + 3]!];
    const [dx, dy] = [bx - ax, by - ay];
    const along = ((x - ax) * dx + (y - ay) * dy) / (dx * dx + dy * dy || 1);
    const share = Math.min(1, Math.max(0, along));
    if (Math.hypot(x - ax - share * dx, y - ay - share * dy) < ON_EDGE_MM) return true;
  }
  return false;
}
