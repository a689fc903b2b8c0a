import { numberValue, type Repair, type Step, type StepOf } from '@core/record/model';
import { roundTo } from '@core/foundations/quantity';

import type { Caution } from './cautions';
import { changedBy } from './changedValue';
import type { StepMend } from './mendWall';

type NearEdge = Extract<Caution, { code: 'hole.nearEdge' }>;

/** Where a number of a place runs backwards. */
const FROM_FAR = ['high', 'highFlush'];

/** An upright hole moved away from the edge that it is too near to; null where its place follows something else. */
export function movedIn(
  { mm, leastMm, hole, where }: NearEdge,
  step: StepOf<'hole'>,
  repair: Pick<Repair, 'sizes'>,
): StepMend | null {
  const [at] = where?.points ?? [];
  const isLevel = (step.on ?? 'top') === 'top' || step.on === 'bottom';
  if (!hole || !at || !isLevel || step.tilt !== undefined) return null;
  const direction = [at[0] - hole.middle[0], at[1] - hole.middle[1]] as const;
  const length = Math.hypot(...direction);
  const by = Math.ceil(10 * (leastMm - mm)) / 10;
  const along = (axis: 'x' | 'y', part: number) => {
    const from = axis === 'x' ? step.xFrom : step.yFrom;
    const back = typeof from === 'string' && FROM_FAR.includes(from) ? -1 : 1;
    const change = (-back * by * part) / length;
    // Less than a hundredth is not said.
    return Math.abs(change) < 0.005 ? step[axis] : changedBy(step[axis], change, repair);
  };
  const [x, y] = [along('x', direction[0]), along('y', direction[1])];
  return x && y ? { act: { does: 'moveHoleIn', mm: by }, stepId: step.id, patch: { x, y } } : null;
}

/** A boss is so much thicker than it has to be, mm: its rim and its hole are drawn with flats. */
const SPARE_MM = 0.25;

/** A boss round an upright hole, as high as the hole is deep, to stand before the hole in the recipe. */
export function bossRound(
  { leastMm, hole }: NearEdge,
  step: StepOf<'hole'>,
  id: string,
  repair: Pick<Repair, 'sizes'>,
): Step | null {
  const diameter =
    changedBy(step.diameter, 2 * (leastMm + SPARE_MM), repair) ?? numberValue(Math.ceil(4 * leastMm));
  if (!hole || typeof step.on === 'object') return null;
  const hundredth = (mm: number) => numberValue(roundTo(mm, 0.01));
  return {
    id,
    kind: 'extrude',
    effect: 'add',
    outline: { shape: 'circle', diameter },
    turn: 0,
    height: hundredth(hole.high - hole.low),
    on: 'bottom',
    x: step.x,
    y: step.y,
    ...(step.xFrom ? { xFrom: step.xFrom } : {}),
    ...(step.yFrom ? { yFrom: step.yFrom } : {}),
    ...(Math.abs(hole.low) < 0.005 ? {} : { lift: hundredth(hole.low) }),
  };
}
