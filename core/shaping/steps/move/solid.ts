import { no, ok } from '@core/foundations/fault';
import { placedAnew } from '@core/shaping/kernel';
import { type Vec3, rotated } from '@core/foundations/vectors';
import { type StepSolid, stretched } from '@core/shaping/forming';

/** All that is there, moved, turned and scaled. Faces keep their names. */
export const solid: StepSolid<'move'> = {
  bound: 'dresses',
  build(step, { dx, dy, dz }, { before }) {
    if (!before) return no({ code: 'step.firstMustAdd', verb: 'Move' });
    const { scale, axis, turn } = step;
    const rest = { axis, turn, by: [dx.mm, dy.mm, dz.mm] as Vec3 };
    if (typeof scale === 'number') return ok(placedAnew(before, { scale, ...rest }));
    const uneven = stretched(before, [scale.x, scale.y, scale.z]);
    const moved = placedAnew(uneven, { scale: 1, ...rest });
    uneven.dispose();
    return ok(moved);
  },
  carries({ scale, axis, turn }, { dx, dy, dz }) {
    const by = typeof scale === 'number' ? { x: scale, y: scale, z: scale } : scale;
    const [cos, sin] = [Math.cos(turn), Math.sin(turn)];
    const about: Vec3 = [axis === 'x' ? 1 : 0, axis === 'y' ? 1 : 0, axis === 'z' ? 1 : 0];
    const way = (x: number, y: number, z: number) => rotated([x, y, z], about, cos, sin);
    return {
      origin: [dx.mm, dy.mm, dz.mm],
      x: way(by.x, 0, 0),
      y: way(0, by.y, 0),
      z: way(0, 0, by.z),
    };
  },
};
