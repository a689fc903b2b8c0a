import { firstHit } from '@core/shaping/boxTree';
import { numberValue, type Step } from '@core/record/model';
import type { SolidMesh } from '@core/shaping/part';

/** Heights of capitals that are tried, mm, and how wide a letter is beside that, with the room after it. */
const HEIGHTS_MM = [3, 2.5, 2];
const BROAD = 0.75;
/** How deep a screw goes in, and what has to be under it at least, mm. */
const DEEP_MM = 0.4;
const UNDER_MM = 1.2;
/** Free round it, mm. */
const FREE_MM = 0.4;
/** A ray begins so far under the face that it comes from, mm. */
const HAIR_MM = 0.01;
/** What lies level within this is one flat, mm. */
const LEVEL_MM = 0.02;
/** Places that are looked at across a mark and along it. */
const [ACROSS, ALONG] = [4, 9];

/**
 * A mark sunk into a level place of a piece, seen from above; null where none is large enough.
 *
 * @param box the piece's, from low to high along each axis, mm.
 * @param keepOff the box of the fit's place, which stays free.
 */
export function markStep(
  mesh: SolidMesh,
  box: readonly (readonly [number, number])[],
  keepOff: readonly number[],
  marks: readonly string[],
  newId: () => string,
): Step | null {
  const [[left, right], [front, back], [low, high]] = box as [Reach, Reach, Reach];
  const [fitLeft, fitFront, , fitRight, fitBack] = keepOff as [number, number, number, number, number];
  const top = Math.min(high, highestOf(mesh));
  for (const text of marks) {
    for (const height of HEIGHTS_MM) {
      const length = BROAD * height * text.length;
      const strips = [
        { x: (left + right) / 2, y: (front + fitFront) / 2, turn: 0 },
        { x: (left + right) / 2, y: (back + fitBack) / 2, turn: 0 },
        { x: (left + fitLeft) / 2, y: (front + back) / 2, turn: Math.PI / 2 },
        { x: (right + fitRight) / 2, y: (front + back) / 2, turn: Math.PI / 2 },
      ];
      for (const { x, y, turn } of strips) {
        const [dx, dy] = (turn === 0 ? [length, height] : [height, length]).map((mm) => mm / 2 + FREE_MM) as [
          number,
          number,
        ];
        const isWithin = x - dx >= left && x + dx <= right && y - dy >= front && y + dy <= back;
        const isOff = x + dx <= fitLeft || x - dx >= fitRight || y + dy <= fitFront || y - dy >= fitBack;
        const level = isWithin && isOff ? levelOf(mesh, [x, y], [dx, dy], low, top) : null;
        if (level === null) continue;
        return {
          id: newId(),
          kind: 'text',
          effect: 'cut',
          text,
          height: numberValue(height),
          depth: numberValue(DEEP_MM),
          turn,
          on: 'top',
          ...(Math.abs(level - top) < LEVEL_MM
            ? {}
            : { lift: numberValue(Number((level - top).toFixed(2))) }),
          x: numberValue(Number(x.toFixed(2))),
          y: numberValue(Number(y.toFixed(2))),
        };
      }
    }
  }
  return null;
}

type Reach = readonly [number, number];

/** The height of a level place with enough under it; null if it is not level all over. */
function levelOf(
  mesh: SolidMesh,
  [x, y]: readonly [number, number],
  [dx, dy]: readonly [number, number],
  low: number,
  top: number,
): number | null {
  let level: number | null = null;
  for (let i = 0; i < ALONG; i += 1) {
    for (let j = 0; j < ACROSS; j += 1) {
      const [along, across] =
        dx >= dy ? [i / (ALONG - 1), j / (ACROSS - 1)] : [j / (ACROSS - 1), i / (ALONG - 1)];
      const from = [x + (2 * along - 1) * dx, y + (2 * across - 1) * dy, top + 1] as const;
      const hit = firstHit(mesh, from, [0, 0, -1], top + 1 - low);
      if (!hit) return null;
      const at = top + 1 - hit.mm;
      if (level !== null && Math.abs(at - level) > LEVEL_MM) return null;
      level = at;
      const under = firstHit(mesh, [from[0], from[1], at - HAIR_MM], [0, 0, -1], UNDER_MM);
      if (under || at - low < UNDER_MM) return null;
    }
  }
  return level;
}

function highestOf({ positions }: SolidMesh): number {
  let highest = -Infinity;
  for (let at = 2; at < positions.length; at += 3) highest = Math.max(highest, positions[at]!);
  return highest;
}
