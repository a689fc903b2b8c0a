import { no, ok, type NamedLength, type Result, type StepFault } from '@core/fault';
import { booleanWithAll, copiesAt, type TaggedSolid } from '@core/kernel';
import { repeatedBy, type SettledStepOf } from '@core/model';
import type { Point } from '@core/outline';
import {
  type CentreLine,
  type Vec3,
  toWorld,
  layoutPlaces,
  resolveAll,
  resolvePosition,
  copyOfTag,
  copyRole,
  faceTag,
  roleOf,
  stepOfTag,
} from '@core/part';
import type { StepInput, StepNumbers, StepType } from '@core/shaping';

/** Where one copy goes: turned about the axle line, then moved. */
interface Copy {
  turn: number;
  by: Vec3;
}

/** Points nearer than this to where the step stands already get no copy, mm. */
const SAME_PLACE_MM = 0.005;

/** What some steps made, again at other places. Faces: as those of the steps, under this step's name, each copy with a number. */
export const repeat: StepType<'repeat'> = {
  kind: 'repeat',
  effect: 'any',
  resolve(step, numbers) {
    const { pattern } = step;
    if (pattern.by === 'row' || pattern.by === 'grid') {
      const wanted: Record<string, Result<NamedLength, StepFault>> = {
        dx: resolvePosition(pattern.dx, 'way to the right', numbers),
        dy: resolvePosition(pattern.dy, 'way to the back', numbers),
      };
      if ('dz' in pattern && pattern.dz) wanted.dz = resolvePosition(pattern.dz, 'way up', numbers);
      return resolveAll(wanted);
    }
    if (pattern.by === 'path' || pattern.by === 'points') {
      const wanted: Record<string, Result<NamedLength, StepFault>> = {};
      for (const [index, { x, y }] of pattern.points.entries()) {
        wanted[`points.${index}.x`] = resolvePosition(x, `point ${index + 1} to the right`, numbers);
        wanted[`points.${index}.y`] = resolvePosition(y, `point ${index + 1} to the back`, numbers);
      }
      return resolveAll(wanted);
    }
    if (pattern.by === 'round') {
      const { x, y } = pattern;
      return x && y
        ? resolveAll({
            x: resolvePosition(x, 'axis to the right', numbers),
            y: resolvePosition(y, 'axis to the back', numbers),
          })
        : ok({});
    }
    return layoutPlaces(pattern.id, 'places', numbers);
  },
  build(step, lengths, input) {
    const { before, earlier } = input;
    const repeated = repeatedBy(step);
    if (repeated.some((id) => !earlier.has(id))) {
      return no({ code: 'step.pickLost', lookingFor: 'the step that it repeats' });
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
  if (!made) return no({ code: 'repeat.notPossible' });
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

function centreLinesOf(of: StepNumbers, copies: readonly Copy[]): CentreLine[] {
  const [x, y] = standsAt(of);
  const radius = (of.lengths.diameter?.mm ?? of.lengths.across?.mm ?? 0) / 2;
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

function copiesOf(
  { pattern }: SettledStepOf<'repeat'>,
  lengths: Record<string, NamedLength>,
  of: StepNumbers,
): Copy[] {
  switch (pattern.by) {
    case 'round':
      return Array.from({ length: pattern.count - 1 }, (_, index): Copy => {
        const turn = (2 * Math.PI * (index + 1)) / pattern.count;
        const [x, y] = [lengths.x?.mm ?? 0, lengths.y?.mm ?? 0];
        // About another axis than the axle line it is a turn about that, and a move.
        const [cos, sin] = [Math.cos(turn), Math.sin(turn)];
        return { turn, by: [x - cos * x + sin * y, y - sin * x - cos * y, 0] };
      });
    case 'row':
      return Array.from({ length: pattern.count - 1 }, (_, index) => ({
        turn: 0,
        by: [(index + 1) * lengths.dx!.mm, (index + 1) * lengths.dy!.mm, (index + 1) * (lengths.dz?.mm ?? 0)],
      }));
    case 'grid':
      return Array.from({ length: pattern.rows }, (_, row) =>
        Array.from({ length: pattern.count }, (__, column): Copy => ({
          turn: 0,
          by: [column * lengths.dx!.mm, row * lengths.dy!.mm, 0],
        })),
      )
        .flat()
        .slice(1);
    case 'path':
      return alongPath(
        pattern.points.map((_, index) => [
          lengths[`points.${index}.x`]!.mm,
          lengths[`points.${index}.y`]!.mm,
        ]),
        pattern.count,
      ).map(([x, y]) => ({ turn: 0, by: [x, y, 0] }));
    case 'points': {
      const [x, y] = standsAt(of);
      return pattern.points
        .map((_, index): Copy => ({
          turn: 0,
          by: [lengths[`points.${index}.x`]!.mm - x, lengths[`points.${index}.y`]!.mm - y, 0],
        }))
        .filter(({ by }) => Math.hypot(by[0], by[1]) > SAME_PLACE_MM);
    }
    case 'layout': {
      const [x, y] = standsAt(of);
      const labels = Object.keys(lengths).flatMap((key) => (key.startsWith('x') ? [key.slice(1)] : []));
      return labels
        .map((label): Copy => ({
          turn: 0,
          by: [lengths[`x${label}`]!.mm - x, lengths[`y${label}`]!.mm - y, 0],
        }))
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
