import { edgesOf, type Kernel, type TaggedSolid } from '@core/shaping/kernel';
import type { Vec3 } from '@core/foundations/vectors';
import {
  type BehindOutline,
  SCREEN_QUALITY,
  toLocal,
  toWorld,
  wayToWorld,
  type Frame,
} from '@core/shaping/part';
import type { StepNumbers } from '@core/shaping/forming';

/** Segments shorter than this in the plane are edges seen from their end, mm. */
const SEEN_MM = 1e-4;

/**
 * @param before the solid that the step finds; nothing is behind the first step.
 * @returns null for a step whose outline has no place of its own, as a run between two.
 */
export function behindOutline(
  kernel: Kernel,
  before: TaggedSolid,
  numbers: StepNumbers,
): BehindOutline | null {
  const own = frameOf(numbers);
  if (!own) return null;
  const edges = edgesOf(kernel, before.shape, SCREEN_QUALITY);
  const segments: number[] = [];
  for (let at = 0; at + 6 <= edges.length; at += 6) {
    const [x1, y1] = toLocal(own.frame, [edges[at]!, edges[at + 1]!, edges[at + 2]!]);
    const [x2, y2] = toLocal(own.frame, [edges[at + 3]!, edges[at + 4]!, edges[at + 5]!]);
    if (Math.hypot(x2 - x1, y2 - y1) > SEEN_MM) segments.push(x1, y1, x2, y2);
  }
  return { segments: Float32Array.from(segments), flush: own.flush, turn: own.turn };
}

/** The ways of a step's outline in space: where it begins, to its right, and up in it. */
function frameOf({
  step,
  lengths,
  stand,
}: StepNumbers): { frame: Frame; flush: readonly [number, number]; turn: number } | null {
  const { frame, at, level } = stand;
  const ways = (origin: Vec3, x: Vec3, y: Vec3): Frame => ({
    origin: toWorld(frame, origin),
    x: wayToWorld(frame, x),
    y: wayToWorld(frame, y),
    z: frame.z,
  });
  const along = (turn: number): Vec3 => [Math.cos(turn), Math.sin(turn), 0];
  switch (step.kind) {
    case 'extrude': {
      const [x, y] = [along(step.turn), along(step.turn + Math.PI / 2)];
      return { frame: ways([...at, level], x, y), flush: stand.flush, turn: step.turn };
    }
    case 'revolve': {
      const { away, up } = lengths as Extract<StepNumbers, { kind: 'revolve' }>['lengths'];
      const out = along(step.turn);
      const middle: Vec3 = [at[0] + away.mm * out[0], at[1] + away.mm * out[1], level + up.mm];
      return { frame: ways(middle, out, [0, 0, 1]), flush: [0, 0], turn: 0 };
    }
    default:
      return null;
  }
}
