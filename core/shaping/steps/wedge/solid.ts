import { no, ok } from '@core/foundations/fault';
import { prismOf } from '@core/shaping/kernel';
import { cornerLoop, type Point } from '@core/shaping/outline';
import type { Vec3 } from '@core/foundations/vectors';
import { faceTag } from '@core/shaping/part';
import { type StepSolid, pointIn, uprightSection } from '@core/shaping/forming';
import { ownValue } from '@core/foundations/own';

/** Heights below this are an edge, mm. */
const EDGE_BELOW_MM = 1e-6;

/** A block with a sloping top. Faces: bottom, slope, left, right, front, back. */
export const solid: StepSolid<'wedge'> = {
  tool(step, lengths, { kernel, stand }) {
    const [left, right] = [lengths.low, lengths.high];
    for (const end of [left, right]) {
      if (end.mm < 0) return no({ code: 'value.outOfRange', length: end, minMm: 0, maxMm: 1000 });
    }
    if (left.mm + right.mm < 0.1) return no({ code: 'wedge.flat' });
    const x = lengths.length.mm / 2;
    const corners: { at: Point; role: string }[] = [
      { at: [-x, 0], role: 'ground' },
      { at: [x, 0], role: 'right' },
      { at: [x, right.mm], role: 'slope' },
      { at: [-x, left.mm], role: 'left' },
    ];
    const kept = corners.filter(
      ({ role }) =>
        !(role === 'right' && right.mm < EDGE_BELOW_MM) && !(role === 'left' && left.mm < EDGE_BELOW_MM),
    );
    const loop = cornerLoop(kept);
    const { plane, direction } = uprightSection(step.turn, stand, lengths.breadth.mm);
    // What a prism calls its bottom and top are here the front and the back; its underside is the ground.
    const roles: Record<string, string> = { bottom: 'front', top: 'back', ground: 'bottom' };
    return ok(
      prismOf(kernel, loop, plane, direction, (role) => faceTag(step.id, ownValue(roles, role) ?? role)),
    );
  },
  annotate: (step, lengths, { stand }) => {
    const at = pointIn(step.turn, stand);
    const [x, y] = [lengths.length.mm / 2, lengths.breadth.mm / 2];
    const span = (field: 'length' | 'breadth' | 'low' | 'high', from: Vec3, to: Vec3, out: Vec3) => ({
      stepId: step.id,
      field,
      value: step[field],
      mm: lengths[field].mm,
      form: 'span' as const,
      spans: [{ from, to, out }],
      points: [],
    });
    return {
      annotations: [
        span('length', at([-x, -y, 0]), at([x, -y, 0]), [0, -1, 0]),
        span('breadth', at([x, -y, 0]), at([x, y, 0]), [1, 0, 0]),
        span('low', at([-x, -y, 0]), at([-x, -y, lengths.low.mm]), [-1, 0, 0]),
        span('high', at([x, -y, 0]), at([x, -y, lengths.high.mm]), [1, 0, 0]),
      ].filter(({ mm }) => mm > EDGE_BELOW_MM),
      centreLines: [],
    };
  },
};
