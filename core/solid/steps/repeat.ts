import { no, ok, type NamedLength } from '@core/fault';
import { coordinateOf } from '@core/layout';
import type { StepOf } from '@core/model';
import type { Point } from '@core/outline';

import { boolean } from '../operations';
import { mirrored, turnedAndMoved } from '../moved';
import { resolveAll, resolvePosition } from '../resolve';
import type { StepNumbers, StepType } from '../stepKind';
import { faceTag, type TaggedSolid } from '../tagged';
import { cutFrom, joinTo } from './joinTo';

/** Where one copy goes: turned about the axle line, then moved. */
interface Copy {
  turn: number;
  by: Point;
}

/** Points nearer than this to where the step stands already get no copy, mm. */
const SAME_PLACE_MM = 0.005;

/** What a step made, again at other places. Faces: as those of the step, under this step's name. */
export const repeat: StepType<'repeat'> = {
  kind: 'repeat',
  effect: 'any',
  resolve(step, numbers) {
    const { pattern } = step;
    if (pattern.by === 'row') {
      return resolveAll({
        dx: resolvePosition(pattern.dx, 'way to the right', numbers),
        dy: resolvePosition(pattern.dy, 'way to the back', numbers),
      });
    }
    if (pattern.by === 'round') return ok({});
    const found = numbers.layouts.get(pattern.id);
    if (!found) return no({ code: 'value.layoutGone', what: 'places' });
    const lengths: Record<string, NamedLength> = {};
    for (const { id, label } of found.solved.points) {
      for (const axis of ['x', 'y'] as const) {
        const mm = coordinateOf(found, id, axis);
        if (mm === null) {
          return no({ code: 'value.pointNotPlaced', what: 'place', point: label, layout: found.layout.name });
        }
        lengths[`${axis}${label}`] = { what: `point ${label}`, tag: label, mm };
      }
    }
    return ok(lengths);
  },
  build(step, lengths, input) {
    const of = input.earlier.get(step.of);
    if (!of) return no({ code: 'step.pickLost', lookingFor: 'the step that it repeats' });
    const made = input.toolOf(of);
    if (!made) return no({ code: 'repeat.notPossible' });
    if (!made.ok) return made;
    const tool = made.value;
    const { before } = input;
    if (!before) {
      tool.dispose();
      return no({ code: 'step.firstMustAdd', verb: 'Repeat' });
    }
    const copies = copiesOf(step, lengths, of);
    let solid: TaggedSolid | null = null;
    for (const { turn, by } of copies) {
      const copy = turnedAndMoved(tool, turn, by, (tag) =>
        faceTag(step.id, tag.slice(tag.lastIndexOf(':') + 1)),
      );
      const next: TaggedSolid = of.cuts ? cutFrom(solid ?? before, copy) : joinTo(solid ?? before, copy);
      solid?.dispose();
      solid = next;
    }
    tool.dispose();
    return solid ? ok(solid) : no({ code: 'step.changesNothing' });
  },
  annotate(step, lengths, { earlier }) {
    const of = earlier.get(step.of);
    if (!of) return { annotations: [], centreLines: [] };
    const [x, y] = [of.lengths.x?.mm ?? 0, of.lengths.y?.mm ?? 0];
    const radius = (of.lengths.diameter?.mm ?? of.lengths.across?.mm ?? 0) / 2;
    const [low, high] = [of.boxBefore?.[2] ?? 0, of.boxBefore?.[5] ?? 0];
    return {
      annotations: [],
      centreLines:
        radius === 0
          ? []
          : copiesOf(step, lengths, of).map(({ turn, by }) => {
              const at = [
                x * Math.cos(turn) - y * Math.sin(turn) + by[0],
                x * Math.sin(turn) + y * Math.cos(turn) + by[1],
              ] as const;
              return { from: [at[0], at[1], low], to: [at[0], at[1], high], radius };
            }),
    };
  },
};

function copiesOf(
  { pattern }: StepOf<'repeat'>,
  lengths: Record<string, NamedLength>,
  of: StepNumbers,
): Copy[] {
  switch (pattern.by) {
    case 'round':
      return Array.from({ length: pattern.count - 1 }, (_, index) => ({
        turn: (2 * Math.PI * (index + 1)) / pattern.count,
        by: [0, 0],
      }));
    case 'row':
      return Array.from({ length: pattern.count - 1 }, (_, index) => ({
        turn: 0,
        by: [(index + 1) * lengths.dx!.mm, (index + 1) * lengths.dy!.mm],
      }));
    case 'layout': {
      const [x, y] = [of.lengths.x?.mm ?? 0, of.lengths.y?.mm ?? 0];
      const labels = Object.keys(lengths).flatMap((key) => (key.startsWith('x') ? [key.slice(1)] : []));
      return labels
        .map((label): Copy => ({ turn: 0, by: [lengths[`x${label}`]!.mm - x, lengths[`y${label}`]!.mm - y] }))
        .filter(({ by }) => Math.hypot(by[0], by[1]) > SAME_PLACE_MM);
    }
  }
}

/** What is there, mirrored: beside itself, or instead. Faces keep their names. */
export const mirror: StepType<'mirror'> = {
  kind: 'mirror',
  effect: 'dresses',
  resolve: () => ok({}),
  build(step, _lengths, { before }) {
    if (!before) return no({ code: 'step.firstMustAdd', verb: 'Mirror' });
    const other = mirrored(before, step.across);
    if (step.keep === 'other') return ok(other);
    const both = boolean('fuse', before, other, true);
    other.dispose();
    return ok(both);
  },
  annotate: () => ({ annotations: [], centreLines: [] }),
};
