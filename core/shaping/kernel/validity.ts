import { edgeUses } from './edgeUses';
import { FewFaces } from './fewFaces';
import type { Kernel, Shape } from './kernel';
import { scoped, type Scope } from './scope';
import { facesOf, partsOf } from './topology';

/** Whether the kernel finds nothing wrong with a face, of the parts that were looked at last. */
const SOUND = new WeakMap<Kernel, FewFaces<boolean>>();

/**
 * Whether the kernel finds nothing wrong with the solids of a shape. It takes as long over each face as over all else of a step, and a step
 * leaves most faces as they are: they are looked at one by one and only once, and how they hang together is looked at here. What that does
 * not settle (several shells in one solid, edges with more than two faces, a face that is not right by itself) the kernel says of the whole.
 * @param facesAtHand all faces of the shape, if they are known already.
 */
export function isValid(kernel: Kernel, shape: Shape, facesAtHand?: readonly Shape[]): boolean {
  return scoped((scope) => {
    const faces = facesAtHand ?? facesOf(kernel, scope, shape);
    const solids = partsOf(kernel, scope, shape, 'TopAbs_SOLID');
    if (solids.length === 0) return false;
    const isPlain =
      hasOneShellEach(kernel, scope, solids) && hangsTogether(kernel, shape, faces, solids.length);
    return (isPlain && facesAreSound(kernel, faces)) || solids.every((solid) => passes(kernel, solid));
  });
}

const hasOneShellEach = (kernel: Kernel, scope: Scope, solids: readonly Shape[]): boolean =>
  solids.every((solid) => partsOf(kernel, scope, solid, 'TopAbs_SHELL').length === 1);

/** Faces on both sides of every edge, each looking out of the same solid, and none apart from the rest. */
function hangsTogether(kernel: Kernel, shape: Shape, faces: readonly Shape[], shells: number): boolean {
  const { areOpposite, groups } = edgeUses(kernel, shape, faces);
  return areOpposite && groups === shells;
}

function facesAreSound(kernel: Kernel, faces: readonly Shape[]): boolean {
  let sound = SOUND.get(kernel);
  if (!sound) SOUND.set(kernel, (sound = new FewFaces(kernel, (face) => passes(kernel, face))));
  return sound.of(faces).every((one) => one);
}

/** The kernel's own check of a shape and of all that it is made of. */
function passes(kernel: Kernel, shape: Shape): boolean {
  return scoped((scope) => {
    const analyzer = scope.keep(new kernel.BRepCheck_Analyzer(shape, true, false, false));
    const valid = analyzer.IsValid();
    // Lets go of the shape's data, which delete alone does not (kernel-notes).
    const vertices = scope.keep(new kernel.TopExp_Explorer(shape, 'TopAbs_VERTEX', 'TopAbs_SHAPE'));
    if (vertices.More()) analyzer.Init(scope.keep(vertices.Current()), false);
    return valid;
  });
}
