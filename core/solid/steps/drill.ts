import { no, ok, type NamedLength, type Result, type StepFault } from '@core/fault';

import type { Box } from '../check';
import { cylinder } from '../operations';
import { resolveAll, resolveLength, resolvePosition } from '../resolve';
import type { StepType } from '../stepKind';
import { faceTag } from '../tagged';
import { OVERRUN_MM } from './place';

/** Round hole down from the top. Faces: wall, and floor of a blind hole. */
export const drill: StepType<'drill'> = {
  kind: 'drill',
  effect: 'cuts',
  resolve(step, numbers) {
    const always = {
      diameter: resolveLength(step.diameter, 'bore', numbers),
      x: resolvePosition(step.x, 'place to the right', numbers),
      y: resolvePosition(step.y, 'place to the back', numbers),
    };
    return step.depth === 'through'
      ? resolveAll(always)
      : resolveAll({ ...always, depth: resolveLength(step.depth, 'depth', numbers) });
  },
  tool(step, lengths, { kernel, box }) {
    if (!box) return no({ code: 'step.firstMustAdd', verb: 'Drill' });
    const fits = checkAgainst(box, lengths);
    if (!fits.ok) return fits;
    const { diameter, x, y, depth } = lengths;
    const top = box[5] + OVERRUN_MM;
    const bottom = depth ? box[5] - depth.mm : box[2] - OVERRUN_MM;
    const tool = cylinder(
      kernel,
      { x: x!.mm, y: y!.mm, z: bottom, radius: diameter!.mm / 2, height: top - bottom },
      (role) => faceTag(step.id, role === 'bottom' ? 'floor' : role),
    );
    return ok(tool);
  },
  annotate(step, lengths, { box }) {
    const [x, y] = [lengths.x!.mm, lengths.y!.mm];
    const radius = lengths.diameter!.mm / 2;
    const top = box?.[5] ?? 0;
    const bottom = lengths.depth ? top - lengths.depth.mm : (box?.[2] ?? 0);
    const slant = Math.SQRT1_2;
    return {
      annotations: [
        {
          stepId: step.id,
          field: 'diameter',
          value: step.diameter,
          mm: lengths.diameter!.mm,
          form: 'leader',
          spans: [],
          points: [
            { at: [x + radius * slant, y + radius * slant, top], out: [slant, slant, 0] },
            { at: [x + radius, y, top], out: [slant, 0, slant] },
            { at: [x, y + radius, top], out: [0, slant, slant] },
          ],
        },
      ],
      centreLines: [{ from: [x, y, bottom], to: [x, y, top], radius }],
    };
  },
};

/** Says no to holes that would leave nothing of the body, miss it, or come out of its bottom by mistake. */
function checkAgainst(
  box: Box,
  { diameter, x, y, depth }: Record<string, NamedLength>,
): Result<null, StepFault> {
  const radius = diameter!.mm / 2;
  const [xMin, yMin, zMin, xMax, yMax, zMax] = box;
  const narrowest = Math.min(xMax - xMin, yMax - yMin);
  if (diameter!.mm >= narrowest) {
    return no({ code: 'drill.widerThanBody', bore: diameter!, bodyMm: narrowest });
  }
  const apart =
    x!.mm - radius >= xMax || x!.mm + radius <= xMin || y!.mm - radius >= yMax || y!.mm + radius <= yMin;
  if (apart) return no({ code: 'drill.missesBody', bore: diameter! });
  if (depth && depth.mm >= zMax - zMin) {
    return no({ code: 'drill.deeperThanBody', depth, bodyMm: zMax - zMin });
  }
  return ok(null);
}
