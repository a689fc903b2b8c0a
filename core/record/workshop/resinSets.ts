import { USUAL_PRINT_SETUP, type ResinSet, type Workshop } from '@core/record/model';

const usual = { version: 1, removed: false, pillarMm: 1, tipMm: 0.4, apartMm: 3 } as const;

/** Settings to begin with, from quick to fine; called as those for filament, so that a spare keeps its choice on either machine. */
export const RESIN_SETS: readonly ResinSet[] = [
  { ...usual, id: 'draft', name: 'Draft', layerMm: 0.1 },
  { ...usual, id: 'everyday', name: 'Everyday', layerMm: 0.05 },
  { ...usual, id: 'strong', name: 'Strong', layerMm: 0.05, pillarMm: 1.4, tipMm: 0.6, apartMm: 2.5 },
  { ...usual, id: 'fine', name: 'Fine', layerMm: 0.03, tipMm: 0.3 },
];

/** The settings of a workshop, those that were put away left out. */
export const resinSetsIn = (workshop: Workshop): readonly ResinSet[] =>
  (workshop.resinSets ?? RESIN_SETS).filter(({ removed }) => !removed);

/** The settings of that id, or those of every day. */
export function resinSetIn(workshop: Workshop, id: string | undefined): ResinSet {
  const sets = resinSetsIn(workshop);
  return (
    sets.find((one) => one.id === id) ??
    sets.find((one) => one.id === USUAL_PRINT_SETUP.settings) ??
    RESIN_SETS[1]!
  );
}
