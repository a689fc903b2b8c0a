import { no } from '@core/foundations/fault';
import { type StepSolid, turnedSolid, acrossAnnotation, middleCross } from '@core/shaping/forming';

/** Ring of round section. Its face: wall. */
export const solid: StepSolid<'torus'> = {
  tool(step, lengths, input) {
    const [across, thick] = [lengths.across, lengths.thick];
    if (thick.mm >= across.mm) return no({ code: 'torus.tooThick', thick, acrossMm: across.mm });
    const middle = input.stand.level + lengths.up.mm;
    return turnedSolid(
      step,
      [{ kind: 'circle', middle: [across.mm / 2, middle], radius: thick.mm / 2, role: 'wall' }],
      input,
    );
  },
  annotate(step, lengths, { stand }) {
    const middle = stand.level + lengths.up.mm;
    const [x, y] = stand.at;
    return {
      annotations: [acrossAnnotation(step.id, 'across', step.across, lengths.across.mm, [x, y, middle])],
      centreLines: middleCross([x, y, middle], lengths.across.mm / 2),
    };
  },
};
