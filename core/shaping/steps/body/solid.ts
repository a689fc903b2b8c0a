import { no, ok } from '@core/foundations/fault';
import { boundingBox } from '@core/shaping/kernel';
import { OUTWARD } from '@core/foundations/fields';
import { plainOf } from '@core/record/model';
import { faceTag } from '@core/shaping/part';
import { grown, type StepSolid, withWayOut } from '@core/shaping/forming';
import { isNothing } from '@core/foundations/tolerance';

/** Another body as a tool. Faces: those of the body, under this step's name, as `step-role`. */
export const solid: StepSolid<'body'> = {
  tool(step, { grow }, { kernel, box, bodyOf }) {
    const other = bodyOf(step.of, step.byFits);
    if (!other.ok) return other;
    const { solid, name } = other.value;
    const retag = (tag: string) => faceTag(step.id, plainOf(tag));
    const larger = isNothing(grow.mm) ? solid.copied() : grown(solid, grow.mm);
    if (step.wayIn === 'none') return ok(larger.retagged(retag));
    const own = boundingBox(kernel, larger.shape);
    const whole = [0, 1, 2].map(
      (axis) => Math.max(own[axis + 3]!, box?.[axis + 3] ?? 0) - Math.min(own[axis]!, box?.[axis] ?? 0),
    );
    const out = withWayOut(larger, OUTWARD[step.wayIn], Math.max(...whole) + 1);
    larger.dispose();
    return out ? ok(out.retagged(retag)) : no({ code: 'body.noWayIn', name });
  },
};
