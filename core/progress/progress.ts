import { evaluateSizes } from '@core/fit';
import type { Repair, RepairState, Stage, Trial, Workshop } from '@core/model';
import { newestRevision } from '@core/revision';

/** How far a repair is, and what comes next. */
export interface Progress {
  /** The stage that the next thing to do belongs to. */
  stage: Stage;
  next: string;
  /** What each stage still lacks, in a word or two; empty when nothing is missing. */
  missing: Record<Stage, string>;
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

  const missing: Record<Stage, string> = {
    brief: repair.head.whatBroke.trim() === '' ? 'what broke' : '',
    sizes: sizes.length === 0 ? 'no sizes yet' : wanted.length > 0 ? `${wanted.length} to take` : '',
    // One counterpart size with a fit is enough: others, such as its length, may only be there to draw it.
    fits: counterparts.length > 0 && unfitted.length === counterparts.length ? 'no fit yet' : '',
    shape: stepCount === 0 ? 'no steps yet' : '',
    make: newest ? '' : 'no revision',
    trial: trials.length > 0 ? '' : 'not tried',
  };
  const next = (stage: Stage, text: string): Progress => ({ stage, next: text, missing });
  if (sizes.length === 0) return next('sizes', 'Say what to measure');
  if (wanted.length > 0) {
    const taken = sizes.length - wanted.length;
    return next('sizes', `${taken} of ${sizes.length} sizes taken`);
  }
  if (missing.fits) return next('fits', 'Choose how freely it goes on');
  if (missing.shape) return next('shape', 'Start the recipe');
  if (!newest) return next('make', 'Freeze revision A and make it');
  const tried = trials.filter(({ letter }) => letter === newest.letter);
  if (tried.length > 0 && !hasChangedSince(repair, newest.state)) {
    return next(
      'trial',
      `Revision ${newest.letter} is ${fitsAll(tried) ? 'right' : 'tried: take the next numbers'}`,
    );
  }
  return next(
    'make',
    hasChangedSince(repair, newest.state)
      ? `Changed since revision ${newest.letter}`
      : `Revision ${newest.letter} is frozen`,
  );
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
