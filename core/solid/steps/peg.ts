import { no, ok } from '@core/fault';

import { cylinder } from '../operations';
import { resolveAll, resolveLength } from '../resolve';
import { placeNumbers } from '../stand';
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
      ...placeNumbers(step, numbers),
    }),
  tool(step, { diameter, height }, { kernel, before, stand }) {
    if (!before) return no({ code: 'step.firstMustAdd', verb: 'Raise' });
    const added = cylinder(
      kernel,
      { x: stand.at[0], y: stand.at[1], z: stand.level, radius: diameter!.mm / 2, height: height!.mm },
      (role) => faceTag(step.id, role),
    );
    return ok(added);
  },
  annotate(step, { diameter, height }, { stand: { at, level } }) {
    const [x, y] = at;
    const radius = diameter!.mm / 2;
    const [low, high] = [level, level + height!.mm];
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
              from: [x - radius, y, high],
              to: [x + radius, y, high],
              out: [0, 0, 1],
            },
            {
              from: [x, y - radius, high],
              to: [x, y + radius, high],
              out: [0, 0, 1],
            },
            {
              from: [x - radius, y, high],
              to: [x + radius, y, high],
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
            { from: [x + radius, y, low], to: [x + radius, y, high], out: [1, 0, 0] },
            { from: [x, y + radius, low], to: [x, y + radius, high], out: [0, 1, 0] },
          ],
          points: [],
        },
      ],
      centreLines: [{ from: [x, y, low], to: [x, y, high], radius }],
    };
  },
};
