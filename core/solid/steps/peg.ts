import { no, ok } from '@core/fault';

import { cylinder } from '../operations';
import { resolveAll, resolveLength, resolvePosition } from '../resolve';
import type { StepType } from '../stepKind';
import { faceTag } from '../tagged';

/** Peg on top of what is there. Faces: wall, top (its bottom merges with what it stands on). */
export const peg: StepType<'peg'> = {
  kind: 'peg',
  effect: 'adds',
  resolve: (step, numbers) =>
    resolveAll({
      diameter: resolveLength(step.diameter, 'diameter', numbers),
      height: resolveLength(step.height, 'height', numbers),
      x: resolvePosition(step.x, 'place to the right', numbers),
      y: resolvePosition(step.y, 'place to the back', numbers),
    }),
  tool(step, { diameter, height, x, y }, { kernel, box }) {
    if (!box) return no({ code: 'step.firstMustAdd', verb: 'Raise' });
    const added = cylinder(
      kernel,
      { x: x!.mm, y: y!.mm, z: box[5], radius: diameter!.mm / 2, height: height!.mm },
      (role) => faceTag(step.id, role),
    );
    return ok(added);
  },
  annotate(step, { diameter, height, x, y }, { box }) {
    const radius = diameter!.mm / 2;
    const [low, high] = [box?.[5] ?? 0, (box?.[5] ?? 0) + height!.mm];
    return {
      annotations: [
        {
          stepId: step.id,
          field: 'diameter',
          value: step.diameter,
          mm: diameter!.mm,
          form: 'span',
          spans: [
            {
              from: [x!.mm - radius, y!.mm, high],
              to: [x!.mm + radius, y!.mm, high],
              out: [0, 0, 1],
            },
            {
              from: [x!.mm, y!.mm - radius, high],
              to: [x!.mm, y!.mm + radius, high],
              out: [0, 0, 1],
            },
            {
              from: [x!.mm - radius, y!.mm, high],
              to: [x!.mm + radius, y!.mm, high],
              out: [0, -1, 0],
            },
          ],
          points: [],
        },
        {
          stepId: step.id,
          field: 'height',
          value: step.height,
          mm: height!.mm,
          form: 'span',
          spans: [
            { from: [x!.mm + radius, y!.mm, low], to: [x!.mm + radius, y!.mm, high], out: [1, 0, 0] },
            { from: [x!.mm, y!.mm + radius, low], to: [x!.mm, y!.mm + radius, high], out: [0, 1, 0] },
          ],
          points: [],
        },
      ],
      centreLines: [{ from: [x!.mm, y!.mm, low], to: [x!.mm, y!.mm, high], radius }],
    };
  },
};
