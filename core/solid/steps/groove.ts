import { no, ok } from '@core/fault';

import { boolean, cylinder } from '../operations';
import { resolveAll, resolveLength } from '../resolve';
import type { StepType } from '../stepKind';
import { faceTag } from '../tagged';

/** Groove round the rim of a turned step, in the middle of its width. Faces: upper, lower, floor. */
export const groove: StepType<'groove'> = {
  kind: 'groove',
  effect: 'cuts',
  resolve: (step, numbers) =>
    resolveAll({
      width: resolveLength(step.width, 'groove', numbers),
      depth: resolveLength(step.depth, 'groove depth', numbers),
    }),
  tool(step, { width, depth }, { kernel, box, earlier }) {
    if (!box) return no({ code: 'step.firstMustAdd', verb: 'Cut' });
    const rim = earlier.get(step.rimOf);
    if (rim?.kind !== 'turn') return no({ code: 'step.pickLost', lookingFor: 'the rim it was cut in' });
    const radius = rim.lengths.diameter!.mm / 2;
    const rimWidth = rim.lengths.width!.mm;
    if (width!.mm >= rimWidth) return no({ code: 'groove.widerThanRim', width: width!, rimMm: rimWidth });
    if (depth!.mm >= radius) return no({ code: 'groove.deeperThanRadius', depth: depth!, radiusMm: radius });
    const place = { x: 0, y: 0, z: (rimWidth - width!.mm) / 2, height: width!.mm };
    const sides = { wall: 'outside', top: 'upper', bottom: 'lower' } as const;
    // Reaches past the rim, so that the cut's outer wall and the rim never coincide.
    const disc = cylinder(kernel, { ...place, radius: radius * 1.25 }, (role) =>
      faceTag(step.id, sides[role]),
    );
    const core = cylinder(kernel, { ...place, radius: radius - depth!.mm }, (role) =>
      faceTag(step.id, role === 'wall' ? 'floor' : sides[role]),
    );
    const ring = boolean('cut', disc, core);
    disc.dispose();
    core.dispose();
    return ok(ring);
  },
  annotate(step, { width, depth }, { earlier }) {
    const rim = earlier.get(step.rimOf);
    if (!rim) return { annotations: [], centreLines: [] };
    const radius = rim.lengths.diameter!.mm / 2;
    const low = (rim.lengths.width!.mm - width!.mm) / 2;
    const floor = radius - depth!.mm;
    return {
      annotations: [
        {
          stepId: step.id,
          field: 'width',
          value: step.width,
          mm: width!.mm,
          form: 'span',
          spans: [
            { from: [-floor, 0, low], to: [-floor, 0, low + width!.mm], out: [-1, 0, 0] },
            { from: [0, -floor, low], to: [0, -floor, low + width!.mm], out: [0, -1, 0] },
          ],
          points: [],
        },
      ],
      centreLines: [],
    };
  },
};
