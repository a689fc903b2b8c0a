import { no, ok, type NamedLength, type Result, type StepFault } from '@core/fault';
import { takesAway, type SettledStep } from '@core/model';
import { toWorld, type Stand } from '@core/part';

/** Ways that are upright within this, as the cosine's distance from 1. */
const UPRIGHT = 1e-9;

/** Whether a step says how high its floor lies, and not how deep it is. */
const hasFloor = (step: SettledStep): step is Extract<SettledStep, { floor?: true | undefined }> =>
  'floor' in step && step.floor === true;

/**
 * The numbers of a step whose depth is told by its floor: `floor`, how high that lies above the ground, and in place of it the depth
 * from where the step stands. Those of any other step are as they were.
 */
export function withDepthOfFloor<Lengths extends Readonly<Record<string, NamedLength>>>(
  step: SettledStep,
  lengths: Lengths,
  stand: Stand,
): Result<Lengths, StepFault> {
  const field = step.kind === 'drill' ? 'depth' : 'height';
  const floor = lengths[field];
  const cuts = step.kind === 'drill' || ('effect' in step && takesAway(step.effect ?? 'add'));
  if (!hasFloor(step) || !floor) return ok(lengths);
  const { frame, level, up } = stand;
  // Half to each side of its place it has two ends, and neither is a floor.
  const isSplit = 'bothWays' in step && step.bothWays === true;
  if (!cuts || isSplit || 1 - Math.abs(frame.z[2]) > UPRIGHT) return no({ code: 'floor.notLevel' });
  const [, , placeMm] = toWorld(frame, [0, 0, level]);
  // Cuts go down along the frame, or up from under the part.
  const down = up === frame.z[2] < 0;
  const mm = down ? placeMm - floor.mm : floor.mm - placeMm;
  if (mm <= 0) return no({ code: 'floor.outside', floor, placeMm, down });
  return ok({ ...lengths, floor, [field]: { ...floor, what: 'depth', mm } });
}
