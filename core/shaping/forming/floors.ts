import { no, ok, type NamedLength, type Result, type StepFault } from '@core/foundations/fault';
import { toWorld, type Placement } from '@core/shaping/part';
import { isParallel } from '@core/foundations/tolerance';

/**
 * How deep a cut goes from where it stands, whose floor lies at a height above the ground.
 *
 * @param cuts it takes something away, and has one end alone: of anything else there is no floor.
 */
export function depthOfFloor(
  floor: NamedLength,
  { frame, level, up }: Placement,
  cuts: boolean,
): Result<NamedLength, StepFault> {
  if (!cuts || !isParallel(frame.z[2])) return no({ code: 'floor.notLevel' });
  const [, , placeMm] = toWorld(frame, [0, 0, level]);
  // Cuts go down along the frame, or up from under the part.
  const down = up === frame.z[2] < 0;
  const mm = down ? placeMm - floor.mm : floor.mm - placeMm;
  return mm > 0 ? ok({ ...floor, what: 'depth', mm }) : no({ code: 'floor.outside', floor, placeMm, down });
}
