import { useMemo } from 'react';

import { afterworkFor, isFinished, type AfterworkTask } from '@core/making/afterwork';
import { evaluateRepair, fitsOfBody } from '@core/fitting/fit';
import type { Body, Repair, Trial } from '@core/record/model';
import { isForTrial } from '@core/shaping/recipe';
import { withFinished } from '@core/fitting/trial';

import { AfterworkList } from '../../afterwork/AfterworkList';
import { useChangeRepair } from '../../api/useRepair';
import { useRepairContext } from '../../inRepair/useRepairContext';

/** What is left to do to what was made, to be ticked off at the bench. */
export function TrialAfterwork({ trial }: { trial: Trial }) {
  const { repair, numbers } = useRepairContext();
  const { put } = useChangeRepair(repair);
  const { machineId, materialId } = trial;
  // What was made where it was made, which need not be where the repair is made now.
  const made = useMemo(() => {
    const state = { ...repair, head: { ...repair.head, machineId, materialId } };
    return { state, numbers: evaluateRepair(state, numbers.workshop) };
  }, [repair, numbers.workshop, machineId, materialId]);
  const tasks = once(
    triedBodies(trial, repair).flatMap((body) => afterworkFor(body, made.state, made.numbers)),
  );
  const finished = trial.finished ?? [];
  // What was tried is past it.
  const isTried = trial.results.every(({ verdict, looserMm }) => verdict !== null || looserMm !== null);
  if (tasks.length === 0 || (isTried && trial.results.length > 0)) return null;
  return (
    <AfterworkList
      tasks={tasks}
      finished={finished}
      onTick={({ what, fit }, isDone) => {
        put('trial', withFinished(trial, { what, ...(fit ? { fitId: fit.id } : {}) }, isDone));
      }}
    />
  );
}

/** The spares that have what was tried; all of them where nothing says which it was. */
function triedBodies({ results }: Trial, repair: Repair): Body[] {
  const spares = repair.bodies.filter(
    (body) => !body.removed && body.role === 'spare' && !isForTrial(body, repair.fits),
  );
  const tried = new Set(results.map(({ fitId }) => fitId));
  const found = spares.filter((body) => [...fitsOfBody(body.id, repair)].some((id) => tried.has(id)));
  return found.length > 0 ? found : spares;
}

/** Several spares of one bed cool once. */
const once = (tasks: readonly AfterworkTask[]): AfterworkTask[] =>
  tasks.filter(
    (task, index) =>
      !tasks
        .slice(0, index)
        .some((other) =>
          isFinished([{ what: other.what, ...(other.fit ? { fitId: other.fit.id } : {}) }], task),
        ),
  );
