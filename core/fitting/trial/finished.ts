import type { FinishedWork, Trial, TrialResult } from '@core/record/model';

/** Why a hole that was reamed first teaches no machine. */
const REAMED_FIRST = 'it was reamed before it was measured';

/**
 * A trial with a piece of what comes after the making ticked off, or on again. A hole that is reamed before anything was measured is no
 * longer what the machine made: that is kept with it, so that it counts once, as what was done and not as a habit.
 */
export function withFinished(trial: Trial, work: FinishedWork, isDone: boolean): Trial {
  const others = (trial.finished ?? []).filter(
    ({ what, fitId }) => !(what === work.what && fitId === work.fitId),
  );
  const results = trial.results.map((result) =>
    work.what === 'ream' && result.fitId === work.fitId ? reamed(result, isDone) : result,
  );
  return { ...trial, results, finished: isDone ? [...others, work] : others };
}

function reamed(result: TrialResult, isDone: boolean): TrialResult {
  if (isDone) {
    const done = result.done.length > 0 ? result.done : [{ what: 'reamed' as const, mm: null }];
    const isFirst = result.made.length === 0 && result.leftOut === undefined;
    return { ...result, done, ...(isFirst ? { leftOut: REAMED_FIRST } : {}) };
  }
  const { leftOut, ...rest } = result;
  const done = result.done.filter(({ what, mm }) => !(what === 'reamed' && mm === null));
  return { ...rest, done, ...(leftOut === undefined || leftOut === REAMED_FIRST ? {} : { leftOut }) };
}
