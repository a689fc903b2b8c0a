import { no, ok, type Result, type StepFault } from '@core/foundations/fault';
import { type Shape, booleanWithAll, type TaggedSolid } from '@core/shaping/kernel';
import { valuesIn, type Step } from '@core/record/model';
import { stepOfTag, type FaceTag, KernelRefusal } from '@core/shaping/part';
import { cornerFills, facePlate, namedFace, grown, type StepSolid } from '@core/shaping/forming';
import { isNothing } from '@core/foundations/tolerance';

/** Whether a step is made to fit: a fit gives it a number. */
const isMating = (step: Step) => valuesIn(step).some(({ from }) => from === 'fit');

/** Faces moved out or in. They keep their names. */
export const solid: StepSolid<'offset'> = {
  bound: 'dresses',
  build(step, { by }, { before, earlier }): Result<TaggedSolid, StepFault> {
    if (!before) return no({ code: 'step.firstMustAdd', verb: 'Move' });
    if (isNothing(by.mm)) return no({ code: 'step.changesNothing' });
    if (step.of === 'all') return ok(grown(before, by.mm));
    const isWanted = (id: string) => {
      const own = earlier.get(id)?.step;
      return step.of === 'mating' ? own !== undefined && isMating(own) : id === step.of;
    };
    const wanted = [...before.originMap().entries()].flatMap(([face, origins]): [Shape, FaceTag][] =>
      origins.some((tag) => isWanted(stepOfTag(tag))) ? [[face, origins[0]]] : [],
    );
    if (wanted.length === 0) return no({ code: step.of === 'mating' ? 'offset.noneMates' : 'offset.none' });
    // Each face becomes a plate as thick as the way it goes, which is then added or taken away; corners are filled.
    const plates: TaggedSolid[] = [];
    try {
      for (const [face, tag] of wanted) {
        const plate = facePlate(before.kernel, face, tag, by.mm);
        if (!plate.ok) return no({ code: plate.fault, face: namedFace(tag, earlier) });
        plates.push(plate.value);
      }
      plates.push(...cornerFills(before.kernel, before.shape, wanted, by.mm));
      return ok(booleanWithAll(by.mm > 0 ? 'fuse' : 'cut', before, plates, by.mm > 0));
    } catch (error) {
      if (error instanceof KernelRefusal) return no({ code: 'step.kernelFailed', message: error.message });
      throw error;
    } finally {
      for (const plate of plates) plate.dispose();
    }
  },
};
