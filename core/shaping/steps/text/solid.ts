import { no, ok, type Result, type StepFault } from '@core/foundations/fault';
import { compoundOf, raisedLoop, type TaggedSolid } from '@core/shaping/kernel';
import { placedLoop } from '@core/shaping/outline';
import { faceTag } from '@core/shaping/part';
import { cutFrom, type StepSolid, reach } from '@core/shaping/forming';
import { letterFaces, missingLetters } from '@core/shaping/text';

/** Raised or sunk letters. Faces: top, bottom, and side with a number for each contour. */
export const solid: StepSolid<'text'> = {
  tool(step, lengths, { kernel, stand, font }): Result<TaggedSolid, StepFault> {
    if (step.text.trim() === '') return no({ code: 'text.empty' });
    if (!font) return no({ code: 'text.noFont' });
    const letters = missingLetters(font, step.text);
    if (letters !== '') return no({ code: 'text.notInFont', letters });
    const { from, to } = reach(stand, step.effect, lengths.depth.mm);
    const tag = (role: string) => faceTag(step.id, role);
    const solids = letterFaces(font, step.text.trim(), lengths.height.mm).map(({ outer, holes }) => {
      const raise = (loop: typeof outer, past: number) =>
        raisedLoop(
          kernel,
          placedLoop(loop, step.turn, stand.at),
          { z: from - past, height: to - from + 2 * past },
          tag,
        );
      return holes.reduce((letter, hole) => cutOut(letter, raise(hole, 1)), raise(outer, 0));
    });
    return ok(compoundOf(kernel, solids));
  },
};

function cutOut(letter: TaggedSolid, hole: TaggedSolid): TaggedSolid {
  const left = cutFrom(letter, hole);
  letter.dispose();
  return left;
}
