import { no, ok, type Result, type StepFault } from '@core/foundations/fault';
import { broughtTo, boolean, cylinder } from '@core/shaping/kernel';
import { drawnInWorld, type Placement, faceTag } from '@core/shaping/part';
import { type StepNumbers, type StepSolid, visibleReach } from '@core/shaping/forming';

import type { LengthsOf } from '../kinds';

/** Groove round the rim of a turned step, at the middle of its width or off it. Faces: upper, lower, floor. */
export const solid: StepSolid<'groove'> = {
  verb: 'Cut',
  tool(step, lengths, { kernel, box, earlier }) {
    if (!box) return no({ code: 'step.firstMustAdd', verb: 'Cut' });
    const there = grooveOn(earlier.get(step.rimOf), lengths);
    if (!there.ok) return there;
    const { stand, radius, low } = there.value;
    const place = { x: stand.at[0], y: stand.at[1], z: low, height: lengths.width.mm };
    const sides = { wall: 'outside', top: 'upper', bottom: 'lower' } as const;
    // Reaches past the rim, so that the cut's outer wall and the rim never coincide.
    const disc = cylinder(kernel, { ...place, radius: radius * 1.25 }, (role) =>
      faceTag(step.id, sides[role]),
    );
    const core = cylinder(kernel, { ...place, radius: radius - lengths.depth.mm }, (role) =>
      faceTag(step.id, role === 'wall' ? 'floor' : sides[role]),
    );
    const ring = boolean('cut', disc, core);
    disc.dispose();
    core.dispose();
    return ok(broughtTo(stand, ring));
  },
  annotate(step, lengths, { earlier }) {
    const there = grooveOn(earlier.get(step.rimOf), lengths);
    if (!there.ok) return { annotations: [], centreLines: [] };
    const { stand, radius, low } = there.value;
    const [[x, y], high] = [stand.at, low + lengths.width.mm];
    const floor = radius - lengths.depth.mm;
    const drawn = {
      annotations: [
        {
          stepId: step.id,
          field: 'width',
          value: step.width,
          mm: lengths.width.mm,
          form: 'span' as const,
          spans: [
            { from: at(x - floor, y, low), to: at(x - floor, y, high), out: at(-1, 0, 0) },
            { from: at(x, y - floor, low), to: at(x, y - floor, high), out: at(0, -1, 0) },
          ],
          points: [],
        },
      ],
      centreLines: [],
    };
    return drawnInWorld(drawn, stand);
  },
};

const at = (x: number, y: number, z: number): [number, number, number] => [x, y, z];

/** Where a groove lies on the rim that it is cut in: in the rim's frame, from which height up. */
function grooveOn(
  rim: StepNumbers | undefined,
  { width, depth, up }: LengthsOf<'groove'>,
): Result<{ stand: Placement; radius: number; low: number }, StepFault> {
  if (rim?.kind !== 'disc' || rim.cuts) {
    return no({ code: 'step.pickLost', lookingFor: { is: 'rimItWasCutIn' } });
  }
  const radius = rim.lengths.diameter.mm / 2;
  const rimWidth = rim.lengths.width.mm;
  const { low } = visibleReach(rim.step, rimWidth, rim.stand);
  const aside = up?.mm ?? 0;
  if (width.mm + 2 * Math.abs(aside) >= rimWidth) {
    return !up || aside === 0
      ? no({ code: 'groove.widerThanRim', width, rimMm: rimWidth })
      : no({ code: 'groove.offRim', up, limitMm: Math.max((rimWidth - width.mm) / 2, 0) });
  }
  if (depth.mm >= radius) return no({ code: 'groove.deeperThanRadius', depth, radiusMm: radius });
  // A rim that is held by its edge has been moved by its radius.
  const [x, y] = rim.stand.at.map((held, axis) => held - rim.stand.flush[axis]! * radius) as [number, number];
  const stand: Placement = { ...rim.stand, at: [x, y], flush: [0, 0] };
  return ok({ stand, radius, low: low + (rimWidth - width.mm) / 2 + aside });
}
