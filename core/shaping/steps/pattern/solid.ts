import { no, ok, type Result, type StepFault } from '@core/foundations/fault';
import { booleanWithAll, copiesAt, type TaggedSolid } from '@core/shaping/kernel';
import { repeatedBy, type SettledStepOf } from '@core/record/model';
import type { Point } from '@core/shaping/outline';
import type { Vec3 } from '@core/foundations/vectors';
import {
  type CentreLine,
  toWorld,
  copyOfTag,
  copyRole,
  faceTag,
  roleOf,
  stepOfTag,
} from '@core/shaping/part';
import type { StepInput, StepNumbers, StepSolid } from '@core/shaping/forming';

import type { LengthsOf } from '../kinds';

/** Where one copy goes: turned about the axle line, then moved. */
interface Copy {
  turn: number;
  by: Vec3;
}

/** Points nearer than this to where the step stands already get no copy, mm. */
const SAME_PLACE_MM = 0.005;

/** What some steps made, again at other places. Faces: as those of the steps, under this step's name, each copy with a number. */
export const solid: StepSolid<'pattern'> = {
  bound(step, earlier) {
    const cuts = repeatedBy(step).map((id) => earlier.get(id)?.cuts === true);
    if (cuts.some((one) => one !== cuts[0])) return 'dresses';
    return cuts[0] ? 'cuts' : 'adds';
  },
  merges: true,
  restsOn: repeatedBy,
  build(step, lengths, input) {
    const { before, earlier } = input;
    const repeated = repeatedBy(step);
    if (repeated.some((id) => !earlier.has(id))) {
      return no({ code: 'step.pickLost', lookingFor: { is: 'stepItRepeats' } });
    }
    if (!before) return no({ code: 'step.firstMustAdd', verb: 'Repeat' });
    const inOrder = [...earlier.values()].filter((of) => repeated.includes(of.step.id));
    const places = copiesOf(step, lengths, earlier.get(repeated[0]!)!);
    if (places.length === 0) return no({ code: 'step.changesNothing' });
    let now = before;
    let missing = 0;
    for (const [index, of] of inOrder.entries()) {
      const next = repeatedStep(of, { first: 2 + index * places.length, places }, now, step.id, input);
      if (now !== before) now.dispose();
      if (!next.ok) return next;
      now = next.value.solid;
      missing += next.value.missing;
    }
    if (missing > 0) input.note({ code: 'copies.miss', missing, of: inOrder.length * places.length });
    return ok(now);
  },
  annotate(step, lengths, { earlier }) {
    const first = earlier.get(repeatedBy(step)[0]!);
    if (!first) return { annotations: [], centreLines: [] };
    const copies = copiesOf(step, lengths, first);
    return {
      annotations: [],
      centreLines: repeatedBy(step).flatMap((id) => {
        const of = earlier.get(id);
        return of ? centreLinesOf(of, copies) : [];
      }),
    };
  },
};

/** What one step made or took away, at all places; and how many copies of it leave nothing on the part. */
function repeatedStep(
  of: StepNumbers,
  { first, places }: { first: number; places: readonly Copy[] },
  now: TaggedSolid,
  id: string,
  input: StepInput,
): Result<{ solid: TaggedSolid; missing: number }, StepFault> {
  const made = input.toolOf(of);
  if (!made) return no({ code: 'pattern.notPossible' });
  if (!made.ok) return made;
  const tool = made.value;
  const copies = copiesAt(tool, places, (tag, place) => faceTag(id, copyRole(roleOf(tag), place + first)));
  tool.dispose();
  try {
    const solid = booleanWithAll(of.cuts ? 'cut' : 'fuse', now, copies, !of.cuts && input.merge);
    const left = new Set(
      [...solid.allTags()].filter((tag) => stepOfTag(tag) === id && copyOfTag(tag) >= first).map(copyOfTag),
    );
    const missing = copies.length - left.size;
    return ok({ solid, missing: missing < copies.length ? missing : 0 });
  } finally {
    for (const copy of copies) copy.dispose();
  }
}

/** What a round step measures across, mm; 0 for any other. */
function acrossOf({ lengths }: StepNumbers): number {
  if ('diameter' in lengths) return lengths.diameter.mm;
  if ('outline' in lengths && 'diameter' in lengths.outline) return lengths.outline.diameter.mm;
  return 'across' in lengths ? lengths.across.mm : 0;
}

function centreLinesOf(of: StepNumbers, copies: readonly Copy[]): CentreLine[] {
  const [x, y] = standsAt(of);
  const radius = acrossOf(of) / 2;
  const [low, high] = [of.stand.box?.[2] ?? 0, of.stand.box?.[5] ?? 0];
  if (radius === 0) return [];
  return copies.map(({ turn, by }) => {
    const at = [
      x * Math.cos(turn) - y * Math.sin(turn) + by[0],
      x * Math.sin(turn) + y * Math.cos(turn) + by[1],
    ] as const;
    return { from: [at[0], at[1], low], to: [at[0], at[1], high], radius };
  });
}

/** Where what is repeated stands, to the right and to the back. */
const standsAt = ({ stand: { frame, at, level } }: StepNumbers) => toWorld(frame, [...at, level]);

/** @param of the first of the steps that are repeated. */
function copiesOf(
  { pattern }: SettledStepOf<'pattern'>,
  lengths: LengthsOf<'pattern'>,
  of: StepNumbers,
): Copy[] {
  const moved = (x: number, y: number, z = 0): Copy => ({ turn: 0, by: [x, y, z] });
  switch (lengths.by) {
    case 'round': {
      const { count } = pattern as Extract<typeof pattern, { by: 'round' }>;
      return Array.from({ length: count - 1 }, (_, index): Copy => {
        const turn = (2 * Math.PI * (index + 1)) / count;
        const [x, y] = [lengths.x?.mm ?? 0, lengths.y?.mm ?? 0];
        // About another axis than the axle line it is a turn about that, and a move.
        const [cos, sin] = [Math.cos(turn), Math.sin(turn)];
        return { turn, by: [x - cos * x + sin * y, y - sin * x - cos * y, 0] };
      });
    }
    case 'row': {
      const { count } = pattern as Extract<typeof pattern, { by: 'row' }>;
      const { dx, dy, dz } = lengths;
      return Array.from({ length: count - 1 }, (_, index) =>
        moved((index + 1) * dx.mm, (index + 1) * dy.mm, (index + 1) * (dz?.mm ?? 0)),
      );
    }
    case 'grid': {
      const { count, rows } = pattern as Extract<typeof pattern, { by: 'grid' }>;
      const { dx, dy } = lengths;
      return Array.from({ length: rows }, (_, row) =>
        Array.from({ length: count }, (__, column) => moved(column * dx.mm, row * dy.mm)),
      )
        .flat()
        .slice(1);
    }
    case 'path': {
      const { count } = pattern as Extract<typeof pattern, { by: 'path' }>;
      const points = lengths.points.map(({ x, y }): Point => [x.mm, y.mm]);
      return alongPath(points, count).map(([x, y]) => moved(x, y));
    }
    case 'points': {
      const [x, y] = standsAt(of);
      return lengths.points
        .map((point) => moved(point.x.mm - x, point.y.mm - y))
        .filter(({ by }) => Math.hypot(by[0], by[1]) > SAME_PLACE_MM);
    }
  }
}

/** Places evenly along a line from the origin through points, the first one left out. */
function alongPath(points: readonly Point[], count: number): Point[] {
  const corners: Point[] = [[0, 0], ...points];
  const lengths = corners
    .slice(1)
    .map(([x, y], index) => Math.hypot(x - corners[index]![0], y - corners[index]![1]));
  const whole = lengths.reduce((sum, length) => sum + length, 0);
  return Array.from({ length: count - 1 }, (_, index): Point => {
    let left = (whole * (index + 1)) / (count - 1);
    let leg = 0;
    while (leg < lengths.length - 1 && left > lengths[leg]!) {
      left -= lengths[leg]!;
      leg += 1;
    }
    const [[ax, ay], [bx, by]] = [corners[leg]!, corners[leg + 1]!];
    const share = lengths[leg] === 0 ? 0 : left / lengths[leg]!;
    return [ax + share * (bx - ax), ay + share * (by - ay)];
  });
}
