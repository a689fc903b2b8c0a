import { ok } from '@core/fault';

import { cylinder } from '../operations';
import { resolveAll, resolveLength } from '../resolve';
import type { StepType } from '../stepKind';
import { faceTag } from '../tagged';

/** Disc about the axle line, standing on z = 0. Faces: rim, top, bottom. */
export const turn: StepType<'turn'> = {
  kind: 'turn',
  effect: 'adds',
  resolve: (step, numbers) =>
    resolveAll({
      diameter: resolveLength(step.diameter, 'diameter', numbers),
      width: resolveLength(step.width, 'width', numbers),
    }),
  tool(step, { diameter, width }, { kernel }) {
    const disc = cylinder(kernel, { x: 0, y: 0, z: 0, radius: diameter!.mm / 2, height: width!.mm }, (role) =>
      faceTag(step.id, role === 'wall' ? 'rim' : role),
    );
    return ok(disc);
  },
  annotate(step, { diameter, width }) {
    const radius = diameter!.mm / 2;
    const height = width!.mm;
    return {
      annotations: [
        {
          stepId: step.id,
          field: 'diameter',
          value: step.diameter,
          mm: diameter!.mm,
          form: 'span',
          spans: [
            { from: [-radius, 0, height], to: [radius, 0, height], out: [0, radius, 0] },
            { from: [-radius, 0, height], to: [radius, 0, height], out: [0, 0, 1] },
            { from: [0, -radius, height], to: [0, radius, height], out: [0, 0, 1] },
          ],
          points: [],
        },
        {
          stepId: step.id,
          field: 'width',
          value: step.width,
          mm: height,
          form: 'span',
          spans: [
            { from: [radius, 0, 0], to: [radius, 0, height], out: [1, 0, 0] },
            { from: [0, radius, 0], to: [0, radius, height], out: [0, 1, 0] },
          ],
          points: [],
        },
      ],
      centreLines: [{ from: [0, 0, 0], to: [0, 0, height], radius }],
    };
  },
};
