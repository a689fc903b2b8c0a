import { no, ok, type Result, type StepFault } from '@core/foundations/fault';
import {
  boundingBox,
  compoundOf,
  broughtInto,
  boolean,
  scoped,
  TaggedSolid,
  partsOf,
} from '@core/shaping/kernel';
import { isWorld, faceTag, type FaceTag } from '@core/shaping/part';
import type { StepInput } from '@core/shaping/forming';

/** A piece begins at its place if it comes this near to it, mm. */
const THERE_MM = 1e-5;

/**
 * What of a long prism reaches from its place to a face that is not flat: through air for what is added, through the part
 * for what is taken away. Takes over `prism`, which begins at the level of the stand.
 *
 * @param way 1 upwards, -1 downwards, along the stand.
 * @param target the tag of the face. The piece has to end there, and not at something in between.
 */
export function upToCurved(
  stepId: string,
  prism: TaggedSolid,
  { way, goesIn, target }: { way: 1 | -1; goesIn: boolean; target: FaceTag },
  { kernel, before, stand }: StepInput,
): Result<TaggedSolid, StepFault> {
  const there = isWorld(stand.frame) ? before!.copied() : broughtInto(stand.frame, before!);
  const met = goesIn ? boolean('common', there, prism) : boolean('cut', prism, there);
  there.dispose();
  prism.dispose();
  const end = faceTag(stepId, way > 0 ? 'top' : 'bottom');
  const pieces = piecesOf(met);
  met.dispose();
  const [kept, others] = [[] as TaggedSolid[], [] as TaggedSolid[]];
  for (const piece of pieces) {
    const box = boundingBox(kernel, piece.shape);
    const begins = Math.abs((way > 0 ? box[2] : box[5]) - stand.level) < THERE_MM;
    (begins && piece.facesTagged(target).length > 0 ? kept : others).push(piece);
  }
  for (const piece of others) piece.dispose();
  if (kept.length === 0) return no({ code: 'extrude.upToBehind' });
  const own = (tag: FaceTag) => tag.startsWith(`${stepId}:`);
  return ok(
    compoundOf(
      kernel,
      kept.map((piece) => piece.retagged((tag) => (own(tag) ? tag : end))),
    ),
  );
}

/** Each solid of a shape by itself. */
function piecesOf(solid: TaggedSolid): TaggedSolid[] {
  const { kernel } = solid;
  return scoped((scope) => {
    const all = solid.originMap();
    return partsOf(kernel, scope, solid.shape, 'TopAbs_SOLID').map((shape) => {
      const faces = partsOf(kernel, scope, shape, 'TopAbs_FACE').map((face) => ({
        face: scope.release(face),
        origins: all.get(face)!,
      }));
      return new TaggedSolid(kernel, scope.release(shape), faces);
    });
  });
}
