import type { FitTable, MaterialFamily, Process, Workshop } from '@core/record/model';

const row = { version: 1, removed: false } as const;

const table = (
  process: Process,
  family: FitTable['family'],
  [loose, turns, slides, snug, pressed]: [number, number, number, number, number],
): FitTable => ({
  ...row,
  id: `${process}-${family}`,
  process,
  family,
  clearances: { loose, turns, slides, snug, pressed },
});

/**
 * Starting clearances on the diameter at 6 mm, ours, from loosest to tightest; trials and the Workshop's own
 * numbers replace them. Layer printing needs more room than cutting, soft material presses further.
 */
export const FIT_TABLES: readonly FitTable[] = [
  table('printing', 'any', [0.4, 0.18, 0.1, 0.03, -0.06]),
  table('printing', 'soft', [0.4, 0.2, 0.06, -0.1, -0.3]),
  table('resin', 'any', [0.3, 0.14, 0.08, 0.02, -0.04]),
  table('casting', 'any', [0.5, 0.3, 0.2, 0.1, -0.05]),
  table('machining', 'any', [0.15, 0.04, 0.015, 0.005, -0.012]),
  table('machining', 'plastic', [0.25, 0.1, 0.05, 0.01, -0.05]),
  table('sheet', 'any', [0.6, 0.3, 0.2, 0.05, -0.05]),
];

/** Size at which the tables are read, mm. */
export const REFERENCE_MM = 6;

/** The clearances for a process and a family of material: its own table, else the process's, else printing's. */
export function fitTableIn(workshop: Workshop, process: Process, family: MaterialFamily): FitTable {
  const known = workshop.fitTables.filter((candidate) => candidate.process === process && !candidate.removed);
  return (
    known.find((candidate) => candidate.family === family) ??
    known.find((candidate) => candidate.family === 'any') ??
    FIT_TABLES[0]!
  );
}
