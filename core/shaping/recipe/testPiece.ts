import { no, ok, type Result, type StepFault } from '@core/foundations/fault';
import { testPieceName } from '@core/fitting/fit';
import { numberValue, type Body, type Fit } from '@core/record/model';
import { stepOfTag, type Box, type SolidMesh } from '@core/shaping/part';

import { markStep } from './testPieceMark';

/** What stays round the place of the fit, mm: enough to hold, and to keep its form. */
const ROUND_MM = 4;

/** Where less than this would be cut off below or above, mm, it stays: the part has a flat there to stand on. */
const SLIVER_MM = 6;

/** Past the part the block goes on, so that no face of it lies in one of the part's, mm. */
const PAST_MM = 1;

/** A piece that takes more than this share of the part's box saves nothing. */
const MOST_SHARE = 0.8;

/**
 * A small closed piece of the real part round one fit: what a block there has in common with the spare, whose steps it follows when they change. Its place
 * stays where it was laid out.
 *
 * @param mesh the spare as it is built, whose faces tell where the fit is, mm.
 * @param stepIds the steps of the spare that go by the fit.
 * @param marks what it is marked with, the fullest first; the first for which there is room.
 */
export function testPiece(
  {
    fit,
    spare,
    mesh,
    stepIds,
    marks = [],
  }: {
    fit: Pick<Fit, 'name'>;
    spare: Body;
    mesh: SolidMesh;
    stepIds: ReadonlySet<string>;
    marks?: readonly string[];
  },
  newId: () => string,
): Result<Body, StepFault> {
  const place = boxOf(mesh, ({ tag }) => stepIds.has(stepOfTag(tag)));
  const part = boxOf(mesh, () => true);
  if (!place || !part) return no({ code: 'testPiece.notThere' });
  const box = [0, 1, 2].map((axis) => {
    const [low, high] = [part[axis]!, part[axis + 3]!];
    const sliver = axis === 2 ? SLIVER_MM : ROUND_MM;
    const from = place[axis]! - ROUND_MM;
    const to = place[axis + 3]! + ROUND_MM;
    return [
      from - low < sliver ? tenth(low - PAST_MM) : tenth(from),
      high - to < sliver ? tenth(high + PAST_MM) : tenth(to),
    ];
  }) as [number, number][];
  const share = box.reduce((whole, [from, to], axis) => {
    const [low, high] = [part[axis]!, part[axis + 3]!];
    return whole * ((Math.min(to, high) - Math.max(from, low)) / (high - low));
  }, 1);
  if (share > MOST_SHARE) return no({ code: 'testPiece.wholePart' });
  const [[left, right], [front, back], [low, high]] = box as [
    [number, number],
    [number, number],
    [number, number],
  ];
  // The block goes past the part where that ends.
  const within = box.map(([from, to], axis): [number, number] => [
    Math.max(from, part[axis]!),
    Math.min(to, part[axis + 3]!),
  ]);
  const mark = markStep(mesh, within, place, marks, newId);
  return ok({
    id: newId(),
    version: 0,
    name: testPieceName(fit),
    role: 'spare',
    removed: false,
    steps: [
      {
        id: newId(),
        kind: 'extrude',
        effect: 'add',
        on: 'bottom',
        x: numberValue(middle(left, right)),
        y: numberValue(middle(front, back)),
        ...(low === 0 ? {} : { lift: numberValue(low) }),
        turn: 0,
        outline: {
          shape: 'rectangle',
          length: numberValue(tenth(right - left)),
          breadth: numberValue(tenth(back - front)),
          cornerRadius: numberValue(0),
        },
        height: numberValue(tenth(high - low)),
      },
      { id: newId(), kind: 'body', of: spare.id, effect: 'common', grow: numberValue(0), wayIn: 'none' },
      ...(mark ? [mark] : []),
    ],
  });
}

/** The box round those faces of a mesh that are wanted; null if there are none. */
function boxOf(
  { positions, indices, faces }: SolidMesh,
  wanted: (face: SolidMesh['faces'][number]) => boolean,
): Box | null {
  const box: [number, number, number, number, number, number] = [
    Infinity,
    Infinity,
    Infinity,
    -Infinity,
    -Infinity,
    -Infinity,
  ];
  for (const { start, count } of faces.filter(wanted)) {
    for (const corner of indices.subarray(start, start + count)) {
      for (let axis = 0; axis < 3; axis += 1) {
        const mm = positions[3 * corner + axis]!;
        box[axis] = Math.min(box[axis]!, mm);
        box[axis + 3] = Math.max(box[axis + 3]!, mm);
      }
    }
  }
  return box[0] === Infinity ? null : box;
}

const middle = (from: number, to: number) => Math.round((from + to) * 10) / 20;
const tenth = (mm: number) => Math.round(mm * 10) / 10;
