import { no, type NamedLength, type Result, type StepFault } from '@core/fault';
import { evenedLoops, placedLoop, type Loop } from '@core/outline';

import { blended } from '../blended';
import { levelPlane, type Plane } from '../outlineFace';
import { resolveAll, resolvePosition } from '../resolve';
import { soundOrNot } from '../soundness';
import { placeNumbers } from '../stand';
import type { StepType } from '../stepKind';
import { faceTag } from '../tagged';
import { knownLoop, outlineNumbers } from './outlineNumbers';

/** From outline to outline, upwards. Faces: bottom, top, those of the lower outline of each band, and side. */
export const blend: StepType<'blend'> = {
  kind: 'blend',
  effect: 'any',
  resolve(step, numbers) {
    const lengths: Record<string, Result<NamedLength, StepFault>> = placeNumbers(step, numbers);
    for (const [index, { outline, at, x, y }] of step.sections.entries()) {
      const prefix = `sections.${index}.`;
      Object.assign(lengths, outlineNumbers(outline, numbers, `${prefix}outline.`));
      lengths[`${prefix}at`] = resolvePosition(at, `height of outline ${index + 1}`, numbers);
      lengths[`${prefix}x`] = resolvePosition(x, 'place to the right', numbers);
      lengths[`${prefix}y`] = resolvePosition(y, 'place to the back', numbers);
    }
    return resolveAll(lengths);
  },
  tool(step, lengths, { kernel, stand }) {
    const sections: { loop: Loop; plane: Plane }[] = [];
    for (const [index, { outline, turn }] of step.sections.entries()) {
      const prefix = `sections.${index}.`;
      const at = lengths[`${prefix}at`]!;
      if (index > 0 && at.mm <= lengths[`sections.${index - 1}.at`]!.mm) {
        return no({ code: 'stations.notRising', place: index + 1, at });
      }
      const loop = knownLoop(outline, lengths, `${prefix}outline.`);
      if (!loop.ok) return loop;
      const middle = [
        stand.at[0] + lengths[`${prefix}x`]!.mm,
        stand.at[1] + lengths[`${prefix}y`]!.mm,
      ] as const;
      sections.push({
        loop: placedLoop(loop.value, turn, middle),
        plane: levelPlane(stand.level + at.mm),
      });
    }
    const smooth = step.between === 'smooth' && sections.length > 2;
    // The kernel's own evening fails where round outlines lie between cornered ones.
    const even = evenedLoops(sections.map(({ loop }) => loop));
    const matched = sections.map(({ plane }, index) => ({ loop: even[index]!, plane }));
    return soundOrNot(blended(kernel, matched, smooth, (role) => faceTag(step.id, role)));
  },
  annotate(step, lengths, { stand: { at, level } }) {
    const z = (index: number) => level + lengths[`sections.${index}.at`]!.mm;
    const last = step.sections.length - 1;
    return {
      annotations: [
        {
          stepId: step.id,
          field: `sections.${last}.at`,
          value: step.sections[last]!.at,
          mm: lengths[`sections.${last}.at`]!.mm,
          form: 'span',
          spans: [{ from: [...at, level], to: [...at, z(last)], out: [1, 0, 0] }],
          points: [],
        },
      ],
      centreLines: [{ from: [...at, z(0)], to: [...at, z(last)], radius: 1 }],
    };
  },
};
