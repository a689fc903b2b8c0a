import { numberValue, type Body, type Step } from '@core/model';

import type { Caution } from './cautions';

/** A way to mend what a caution tells: in words, and the recipe afterwards. */
export interface Mend {
  word: string;
  steps: Step[];
}

/** Turned over it must have less than this share in the air to be worth it. */
const WORTH_TURNING = 0.7;

const tenth = (mm: number) => Math.ceil(10 * mm) / 10;

/** Ways to mend a caution by changing the recipe; none where only the person can tell what is wanted. */
export function mendsOf(caution: Caution, { steps }: Pick<Body, 'steps'>, newId: () => string): Mend[] {
  const placeOf = (id: string) => steps.findIndex((step) => step.id === id) + 1;
  const changed = (id: string, patch: object): Step[] =>
    steps.map((step) => (step.id === id ? ({ ...step, ...patch } as Step) : step));
  switch (caution.code) {
    case 'root.sharp': {
      const { of, on, radiusMm } = caution;
      const round: Step = {
        id: newId(),
        kind: 'round',
        size: numberValue(radiusMm),
        where: { edges: 'between', of: on, and: of },
      };
      // Right after the later of the two, so that what comes after does not cut the corner first.
      const after = Math.max(placeOf(of), placeOf(on));
      return [
        {
          word: `Round this corner by ${radiusMm} mm`,
          steps: [...steps.slice(0, after), round, ...steps.slice(after)],
        },
      ];
    }
    case 'tongue.strained': {
      const [length, thickness] = [tenth(caution.lengthMm), Math.floor(10 * caution.thicknessMm) / 10];
      return [
        {
          word: `Make the tongue ${length} mm long`,
          steps: changed(caution.stepId, { length: numberValue(length) }),
        },
        ...(thickness >= 0.8
          ? [
              {
                word: `Make the tongue ${thickness} mm thick`,
                steps: changed(caution.stepId, { thickness: numberValue(thickness) }),
              },
            ]
          : []),
      ];
    }
    case 'slope.unsupported': {
      if (caution.turnedMm2 > WORTH_TURNING * caution.areaMm2) return [];
      const turned: Step = {
        id: newId(),
        kind: 'move',
        dx: numberValue(0),
        dy: numberValue(0),
        dz: numberValue(0),
        axis: 'x',
        turn: Math.PI,
        scale: 1,
      };
      return [{ word: 'Turn the part over', steps: [...steps, turned] }];
    }
    case 'bodies.overlap': {
      const room: Step = {
        id: newId(),
        kind: 'body',
        of: caution.otherId,
        effect: 'cut',
        grow: numberValue(0.2),
        wayIn: 'none',
      };
      return [{ word: `Make room for ${caution.other}, 0.2 mm all round`, steps: [...steps, room] }];
    }
    default:
      return [];
  }
}
