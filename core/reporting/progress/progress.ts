import { evaluateSizes } from '@core/fitting/fit';
import type { Lack, NextThing, Repair, RepairState, Stage, Trial, Workshop } from '@core/record/model';
import { newestRevision } from '@core/reporting/revision';

/** How far a repair is, and what comes next. */
export interface Progress {
  /** The stage that the next thing to do belongs to. */
  stage: Stage;
  next: NextThing;
  /** What each stage still lacks; null when nothing is missing. */
  missing: Record<Stage, Lack | null>;
}

/** Works out the progress of a repair from what is in it. */
export function progressOf(repair: Repair, evaluated = evaluateSizes(repair)): Progress {
  const sizes = [...evaluated.values()];
  // Nothing has to be taken for a size that is worked out from others.
  const wanted = sizes.filter(({ size, result }) => result.status === 'wanted' && size.kind !== 'derived');
  const counterparts = sizes.filter(({ size }) => size.of === 'counterpart');
  const fitted = new Set(
    repair.fits
      .filter((fit) => !fit.removed)
      .flatMap((fit) => [fit.counterpartSizeId, ...(fit.alsoSizeIds ?? [])]),
  );
  const unfitted = counterparts.filter(({ size }) => !fitted.has(size.id));
  const spares = repair.bodies.filter((body) => !body.removed && body.role === 'spare');
  const trials = repair.trials.filter((trial) => !trial.removed);
  const stepCount = spares.reduce((sum, body) => sum + body.steps.length, 0);
  const newest = newestRevision(repair);

  const missing: Progress['missing'] = {
    brief: repair.head.whatBroke.trim() === '' ? 'whatBroke' : null,
    sizes: sizes.length === 0 ? 'sizes' : wanted.length > 0 ? { toTake: wanted.length } : null,
    // One counterpart size with a fit is enough: others, such as its length, may only be there to draw it.
    fits: counterparts.length > 0 && unfitted.length === counterparts.length ? 'fit' : null,
    shape: stepCount === 0 ? 'steps' : null,
    make: newest ? null : 'revision',
    trial: trials.length > 0 ? null : 'trial',
  };
  const next = (stage: Stage, thing: NextThing): Progress => ({ stage, next: thing, missing });
  if (sizes.length === 0) return next('sizes', { do: 'sayWhatToMeasure' });
  if (wanted.length > 0) {
    const taken = sizes.length - wanted.length;
    return next('sizes', { do: 'takeSizes', taken, of: sizes.length });
  }
  if (missing.fits) return next('fits', { do: 'chooseFit' });
  if (missing.shape) return next('shape', { do: 'startRecipe' });
  if (!newest) return next('make', { do: 'freezeFirst' });
  const { letter } = newest;
  if (hasChangedSince(repair, newest.state)) return next('make', { do: 'freezeChanges', letter });
  const tried = trials.filter((trial) => trial.letter === letter);
  if (tried.length === 0) return next('make', { do: 'makeFrozen', letter });
  return next('trial', { do: fitsAll(tried) ? 'nothingItFits' : 'takeNextNumbers', letter });
}

/** Whether the newest trial says of every fit that was judged that it is right. */
function fitsAll(trials: readonly Trial[]): boolean {
  const judged = trials.at(-1)!.results.filter(({ verdict }) => verdict !== null);
  return judged.length > 0 && judged.every(({ verdict }) => verdict === 'right');
}

/** The letter of the newest revision, if the repair still stands as it was frozen; else null: what is made now has no revision. */
export function frozenLetter(repair: Repair, workshop: Workshop): string | null {
  const newest = newestRevision(repair);
  if (
    !newest ||
    hasChangedSince(repair, newest.state) ||
    repair.head.machineId !== newest.state.head.machineId
  )
    return null;
  // A machine that has learned since makes other sizes of the same repair; what the workshop has besides matters nothing.
  const stands = (then: readonly Versioned[], now: readonly Versioned[]) =>
    then.every(({ id, version }) => now.some((row) => row.id === id && row.version === version));
  const { machines, fitTables, instruments } = newest.workshop;
  const same =
    stands(
      machines.filter(({ id }) => id === repair.head.machineId),
      workshop.machines,
    ) &&
    stands(fitTables, workshop.fitTables) &&
    stands(instruments, workshop.instruments);
  return same ? newest.letter : null;
}

interface Versioned {
  id: string;
  version: number;
}

/** Whether anything that a revision freezes, the head apart, is different from then. */
function hasChangedSince(repair: Repair, frozen: RepairState): boolean {
  const key = ({ sizes, readings, layouts, fits, chains, bodies }: RepairState) =>
    JSON.stringify(
      [sizes, readings, layouts, fits, chains, bodies].map((rows) =>
        rows.map((row) => [row.id, row.version]),
      ),
    );
  return key(repair) !== key(frozen) || repair.head.materialId !== frozen.head.materialId;
}
