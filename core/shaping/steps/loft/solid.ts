import { no } from '@core/foundations/fault';
import { type Plane, soundOrNot } from '@core/shaping/kernel';
import { evenedLoops, placedLoop, type Loop } from '@core/shaping/outline';
import type { Vec3 } from '@core/foundations/vectors';
import { faceTag } from '@core/shaping/part';
import { blended, type StepSolid, loopHere } from '@core/shaping/forming';

/** A plane through a point, leaned about the way to its right, radians. */
const leaningPlane = ([mx, my, mz]: Vec3, tilt: number): Plane => ({
  at: ([x, y]) => [mx + x, my + y * Math.cos(tilt), mz + y * Math.sin(tilt)],
});

/** The same loop, begun so many corners further on. */
function shifted(loop: Loop, by: number): Loop {
  const from = ((by % loop.length) + loop.length) % loop.length;
  return [...loop.slice(from), ...loop.slice(0, from)];
}

/** From outline to outline, upwards. Faces: bottom, top, those of the lower outline of each band, and side. */
export const solid: StepSolid<'loft'> = {
  tool(step, lengths, input) {
    const { kernel, stand } = input;
    const sections: { loop: Loop; plane: Plane }[] = [];
    for (const [index, { outline, turn, tilt = 0 }] of step.sections.entries()) {
      const { at, x, y, outline: numbers } = lengths.sections[index]!;
      if (index > 0 && at.mm <= lengths.sections[index - 1]!.at.mm) {
        return no({ code: 'stations.notRising', place: index + 1, at });
      }
      const loop = loopHere(outline, numbers, input);
      if (!loop.ok) return loop;
      const middle = [stand.at[0] + x.mm, stand.at[1] + y.mm] as const;
      sections.push({
        loop: placedLoop(loop.value, turn, [0, 0]),
        plane: leaningPlane([...middle, stand.level + at.mm], tilt),
      });
    }
    const smooth = step.between === 'smooth' && sections.length > 2;
    // The kernel's own evening fails where round outlines lie between cornered ones.
    const even = evenedLoops(sections.map(({ loop }) => loop));
    const matched = sections.map(({ plane }, index) => ({
      loop: shifted(even[index]!, step.sections[index]!.shift ?? 0),
      plane,
    }));
    return soundOrNot(blended(kernel, matched, smooth, (role) => faceTag(step.id, role)));
  },
  annotate(step, lengths, { stand: { at, level } }) {
    const z = (index: number) => level + lengths.sections[index]!.at.mm;
    const last = step.sections.length - 1;
    return {
      annotations: [
        {
          stepId: step.id,
          field: `sections.${last}.at`,
          value: step.sections[last]!.at,
          mm: lengths.sections[last]!.at.mm,
          form: 'span',
          spans: [{ from: [...at, level], to: [...at, z(last)], out: [1, 0, 0] }],
          points: [],
        },
      ],
      centreLines: [{ from: [...at, z(0)], to: [...at, z(last)], radius: 1 }],
    };
  },
};
