import { cylinder, type TaggedSolid } from '@core/shaping/kernel';
import { effectOf, type SettledStepOf, type Value } from '@core/record/model';
import { type Annotation, type CentreLine, faceTag, type Placement } from '@core/shaping/part';

import { reach } from './reach';
import type { StepInput } from './stepKind';

type Round = SettledStepOf<'disc' | 'peg'>;

/** The cylinder that a step adds or takes away, `height` mm. @param wall the part that its side plays. */
export function roundTool(
  step: Round,
  { diameter, height }: { diameter: number; height: number },
  { kernel, stand }: StepInput,
  wall: string,
): TaggedSolid {
  const { from, to } = reach(stand, effectOf(step), height);
  return cylinder(
    kernel,
    { x: stand.at[0], y: stand.at[1], z: from, radius: diameter / 2, height: to - from },
    (role) => faceTag(step.id, role === 'wall' ? wall : role),
  );
}

/** Its sizes in the picture. @param field the one that says how high it is. */
export function drawnRound<Step extends Round>(
  step: Step,
  field: Step extends SettledStepOf<'disc'> ? 'width' : 'height',
  { diameter, height }: { diameter: number; height: number },
  stand: Placement,
): { annotations: Annotation[]; centreLines: CentreLine[] } {
  const [x, y] = stand.at;
  const radius = diameter / 2;
  const { low, high } = visibleReach(step, height, stand);
  return {
    annotations: [
      {
        stepId: step.id,
        field: 'diameter',
        value: step.diameter,
        mm: diameter,
        form: 'span',
        spans: [
          { from: [x - radius, y, high], to: [x + radius, y, high], out: [0, radius, 0] },
          { from: [x - radius, y, high], to: [x + radius, y, high], out: [0, 0, 1] },
          { from: [x, y - radius, high], to: [x, y + radius, high], out: [0, 0, 1] },
          { from: [x - radius, y, high], to: [x + radius, y, high], out: [0, -1, 0] },
        ],
        points: [],
      },
      {
        stepId: step.id,
        field,
        value: (step as unknown as Record<string, Value>)[field]!,
        mm: height,
        form: 'span',
        spans: [
          { from: [x + radius, y, low], to: [x + radius, y, high], out: [1, 0, 0] },
          { from: [x, y + radius, low], to: [x, y + radius, high], out: [0, 1, 0] },
        ],
        points: [],
      },
    ],
    centreLines: [{ from: [x, y, low], to: [x, y, high], radius }],
  };
}

/** From where to where a step of a height is drawn: a cut begins at its face, not at the overrun past it. */
export function visibleReach(
  step: SettledStepOf<'disc' | 'peg' | 'plate'>,
  height: number,
  stand: Placement,
): { low: number; high: number } {
  const { from, to } = reach({ ...stand, past: 0 }, effectOf(step), height);
  return { low: from, high: to };
}
