import { numberValue, type Body, type Repair, type Step, type StepOf } from '@core/record/model';

import { withPatch } from '@core/shaping/recipe';
import { stepOfTag } from '@core/shaping/part';

import type { Caution } from './cautions';
import type { MendAct } from './mendAct';
import { bossRound, movedIn } from './mendHole';
import { wallMends, type StepMend } from './mendWall';

/** A way to mend what a caution tells, and the recipe afterwards. */
export interface Mend {
  act: MendAct;
  steps: Step[];
}

/** Turned over it must have less than this share in the air to be worth it. */
const WORTH_TURNING = 0.7;

const tenth = (mm: number) => Math.ceil(10 * mm) / 10;

/**
 * Ways to mend a caution by changing the recipe; none where only the person can tell what is wanted.
 *
 * @param repair whose sizes the recipe's numbers follow.
 */
export function mendsOf(
  caution: Caution,
  { steps }: Pick<Body, 'steps'>,
  newId: () => string,
  repair: Pick<Repair, 'sizes'>,
): Mend[] {
  const placeOf = (id: string) => steps.findIndex((step) => step.id === id) + 1;
  const changed = (id: string, patch: object): Step[] =>
    steps.map((step) => (step.id === id ? { ...step, ...patch } : step));
  const made = ({ act, stepId, patch }: StepMend): Mend => ({
    act,
    steps: withPatch(steps, stepId, patch),
  });
  const before = (id: string, step: Step): Step[] => {
    const place = placeOf(id) - 1;
    return [...steps.slice(0, place), step, ...steps.slice(place)];
  };
  switch (caution.code) {
    case 'wall.thin': {
      const { mm, leastMm, tag, behind } = caution;
      return wallMends({ mm, leastMm, faces: [tag, behind] }, steps, repair).map(made);
    }
    case 'section.weak': {
      const { wall, thicker } = caution;
      if (!wall) return [];
      const { mm, tag, behind } = wall;
      return wallMends({ mm, leastMm: mm * thicker, faces: [tag, behind] }, steps, repair).map(made);
    }
    case 'hole.nearEdge': {
      const step = steps.find(({ id }) => id === caution.stepId);
      if (step?.kind !== 'hole') return [];
      const moved = movedIn(caution, step, repair);
      const boss = bossRound(caution, step, newId(), repair);
      return [
        ...(moved ? [made(moved)] : []),
        ...(boss ? [{ act: { does: 'putBoss' as const }, steps: before(step.id, boss) }] : []),
      ];
    }
    case 'fit.unlike': {
      if (caution.mm > caution.wantedMm) return [];
      const room: Step = { ...roomFor(caution.otherId, newId()), byFits: true, grow: numberValue(0) };
      return [{ act: { does: 'makeRoomByFits', name: caution.other }, steps: [...steps, room] }];
    }
    case 'root.sharp': {
      const { of, on, radiusMm } = caution;
      const round: Step = {
        id: newId(),
        kind: 'fillet',
        size: numberValue(radiusMm),
        where: { edges: 'between', of: on, and: of },
      };
      // Right after the later of the two, so that what comes after does not cut the corner first.
      const after = Math.max(placeOf(of), placeOf(on));
      return [
        {
          act: { does: 'roundCorner', mm: radiusMm },
          steps: [...steps.slice(0, after), round, ...steps.slice(after)],
        },
      ];
    }
    case 'tongue.strained': {
      const [length, thickness] = [tenth(caution.lengthMm), Math.floor(10 * caution.thicknessMm) / 10];
      return [
        {
          act: { does: 'lengthenTongue', mm: length },
          steps: changed(caution.stepId, { length: numberValue(length) }),
        },
        ...(thickness >= 0.8
          ? [
              {
                act: { does: 'thinTongue' as const, mm: thickness },
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
      return [{ act: { does: 'turnOver' }, steps: [...steps, turned] }];
    }
    case 'bodies.overlap': {
      const room = roomFor(caution.otherId, newId());
      return [{ act: { does: 'makeRoom', name: caution.other, mm: ROOM_MM }, steps: [...steps, room] }];
    }
    default:
      return [];
  }
}

/** Room that is made all round where nothing says how much, mm. */
const ROOM_MM = 0.2;

const roomFor = (of: string, id: string): StepOf<'body'> => ({
  id,
  kind: 'body',
  of,
  effect: 'cut',
  grow: numberValue(ROOM_MM),
  wayIn: 'none',
});

/** The steps that a caution is about, by what it names and by the faces that it lies on. */
export function stepsConcerned(caution: Caution, steps: readonly Step[]): Step[] {
  const tags = [
    ...(caution.where?.faces ?? []).map(({ tag }) => tag),
    ...('behind' in caution ? [caution.behind] : []),
    ...(caution.code === 'section.weak' && caution.wall ? [caution.wall.tag, caution.wall.behind] : []),
  ];
  const ids = new Set([
    ...tags.map(stepOfTag),
    ...('stepId' in caution ? [caution.stepId] : []),
    ...(caution.code === 'root.sharp' ? [caution.of, caution.on] : []),
  ]);
  return steps.filter(({ id }) => ids.has(id));
}
