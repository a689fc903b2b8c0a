import { type StepSolid, line, turnedSolid, acrossAnnotation, middleCross } from '@core/shaping/forming';

/** Ball. Its face: wall. */
export const solid: StepSolid<'sphere'> = {
  tool(step, lengths, input) {
    const radius = lengths.diameter.mm / 2;
    const middle = input.stand.level + lengths.up.mm;
    return turnedSolid(
      step,
      [
        {
          kind: 'arc',
          from: [0, middle - radius],
          via: [radius, middle],
          to: [0, middle + radius],
          role: 'wall',
        },
        line([0, middle + radius], [0, middle - radius], 'axis'),
      ],
      input,
    );
  },
  annotate(step, lengths, { stand }) {
    const middle = stand.level + lengths.up.mm;
    const [x, y] = stand.at;
    return {
      annotations: [
        acrossAnnotation(step.id, 'diameter', step.diameter, lengths.diameter.mm, [x, y, middle]),
      ],
      centreLines: middleCross([x, y, middle], lengths.diameter.mm / 2),
    };
  },
};
