import { no, ok, type NamedLength } from '@core/foundations/fault';
import { faceTag, stepOfTag, toWorld, wayToWorld } from '@core/shaping/part';
import { drafted, type StepSolid, type StepNumbers } from '@core/shaping/forming';

/** Sides of an earlier step leaned in. Faces keep their names. */
export const solid: StepSolid<'draft'> = {
  bound: 'dresses',
  build(step, _lengths, { before, earlier }) {
    if (!before) return no({ code: 'step.firstMustAdd', verb: 'Lean' });
    const of = earlier.get(step.of);
    if (!of) return no({ code: 'step.pickLost', lookingFor: { is: 'stepWhoseSidesLean' } });
    const { frame, level } = of.stand;
    // Held at its own bottom or top: added ones begin at their place, cuts reach down from it.
    const ends = risesBy(of)?.mm ?? 0;
    const goesDown = of.cuts && !of.stand.up;
    const low = goesDown ? level - ends : level;
    const high = goesDown ? level : level + ends;
    const heldAt = toWorld(frame, [0, 0, step.held === 'bottom' ? low : high]);
    const up = wayToWorld(frame, [0, 0, 1]);
    const caps = [faceTag(step.of, 'top'), faceTag(step.of, 'bottom')];
    const leaned = drafted(before, (tag) => stepOfTag(tag) === step.of && !caps.includes(tag), {
      direction: up,
      angle: step.angle,
      heldAt,
    });
    return leaned ? ok(leaned) : no({ code: 'draft.nothing' });
  },
};

/** How far a step rises from its place, or goes down from it. */
function risesBy({ lengths }: StepNumbers): NamedLength | undefined {
  if ('height' in lengths) return lengths.height;
  if ('thickness' in lengths) return lengths.thickness;
  return 'width' in lengths ? lengths.width : undefined;
}
