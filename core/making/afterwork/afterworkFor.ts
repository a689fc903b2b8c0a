import { Afterwork } from '@core/foundations/fields';
import { fitsOfBody, type EvaluatedRepair } from '@core/fitting/fit';
import {
  USUAL_PRINT_SETUP,
  type Body,
  type FinishedWork,
  type Process,
  type RepairState,
} from '@core/record/model';
import { filamentIn, machineIn, resinIn } from '@core/record/workshop';

/** Something that is to be done once a spare is made. */
export interface AfterworkTask {
  what: Afterwork;
  minutes: number;
  /** It goes by itself: nobody's hands are in it. */
  waits: boolean;
  /** Of one fit, and the size that is to come out, mm. */
  fit?: { id: string; name: string; toMm: number };
  /** How much of its size the machine's correction has allowed for, as a share. */
  shrinks?: number;
}

/** A bed loses about so much a minute, and lets go at about this, °C: guidance. */
const COOLS_A_MINUTE = 2.5;
const LETS_GO_C = 35;
/** Estimates of work by hand. */
const MINUTES: Record<Exclude<Afterwork, 'cool' | 'drip' | 'wash' | 'cure'>, number> = {
  takeOff: 1,
  supports: 5,
  foot: 2,
  edges: 2,
  ream: 3,
  nut: 1,
  glue: 5,
};
/** A hole that goes as wished on fewer makes than this is better made to size. */
const LIKELY = 0.8;

/** What is worth doing to a spare after it is made on the machine and of the material of a repair, in the order of the bench. @param numbers of that very state. */
export function afterworkFor(body: Body, state: RepairState, numbers: EvaluatedRepair): AfterworkTask[] {
  const { machineId, materialId } = state.head;
  const { workshop } = numbers;
  const { process, shrinkage } = machineIn(workshop, machineId);
  const laying = body.laying ?? USUAL_PRINT_SETUP;
  const byHand = (what: keyof typeof MINUTES): AfterworkTask => ({
    what,
    minutes: MINUTES[what],
    waits: false,
  });
  const tasks: AfterworkTask[] = [];
  if (process === 'printing') {
    const bedC = filamentIn(workshop, materialId)?.bedC ?? 60;
    tasks.push({ what: 'cool', minutes: Math.max(2, (bedC - LETS_GO_C) / COOLS_A_MINUTE), waits: true });
    if (laying.foot === 'brim' || laying.foot === 'ears') tasks.push(byHand('foot'));
  }
  const resin = process === 'resin' ? resinIn(workshop, materialId) : null;
  if (resin) {
    const { dripMinutes, washMinutes, cureMinutes } = resin;
    const shrinks = Math.max(shrinkage?.x ?? 0, shrinkage?.y ?? 0, shrinkage?.z ?? 0);
    tasks.push({ what: 'drip', minutes: dripMinutes, waits: true });
    tasks.push({ what: 'wash', minutes: washMinutes, waits: true });
    tasks.push({ what: 'cure', minutes: cureMinutes, waits: true, ...(shrinks > 0 ? { shrinks } : {}) });
  }
  if (process !== 'machining' && process !== 'sheet') tasks.push(byHand('takeOff'));
  if ((process === 'printing' || resin) && laying.support !== 'none') tasks.push(byHand('supports'));
  tasks.push(byHand('edges'));
  for (const fit of reamed(body, state, numbers, process)) tasks.push({ ...byHand('ream'), fit });
  const steps = body.steps.filter(({ off }) => !off);
  if (steps.some((step) => step.kind === 'hole' && step.head?.kind === 'nut')) tasks.push(byHand('nut'));
  if (steps.some((step) => step.kind === 'split' && step.keep === 'both')) tasks.push(byHand('glue'));
  const order = Afterwork.options;
  return tasks.sort((a, b) => order.indexOf(a.what) - order.indexOf(b.what));
}

/** Round holes whose size the machine alone hits too rarely, with the size that was wanted of them. */
function reamed(
  body: Body,
  state: RepairState,
  { fits }: EvaluatedRepair,
  process: Process,
): NonNullable<AfterworkTask['fit']>[] {
  if (process !== 'printing' && process !== 'resin') return [];
  const own = fitsOfBody(body.id, state);
  return [...fits.values()].flatMap(({ fit, worked, chance }) => {
    if (!own.has(fit.id) || fit.feature !== 'bore' || !worked.ok || !chance || chance.probability >= LIKELY) {
      return [];
    }
    // What the machine's correction adds makes no part of what is wanted.
    const correction = worked.trail.entries.find(({ kind }) => kind === 'correction')?.value ?? 0;
    return [{ id: fit.id, name: fit.name, toMm: worked.trail.working - correction }];
  });
}

/** Whether a task was ticked off. */
export const isFinished = (finished: readonly FinishedWork[], { what, fit }: AfterworkTask): boolean =>
  finished.some((one) => one.what === what && one.fitId === fit?.id);
