/** A machine that makes spares, and what it is assumed to do to sizes until trials teach better. */
export interface Machine {
  id: string;
  name: string;
  /** What to add to the diameter asked of it so that the piece comes out right, mm. */
  correctionMm: { inside: number; outside: number };
  /** Where the correction comes from, for the trail. */
  learnedFrom: string;
}

/**
 * Defaults of ours for processes in a small workshop. Layer printing closes holes by a bead's overlap on the
 * inside of the curve and swells outsides a little; trials will replace these figures.
 */
export const MACHINES: readonly Machine[] = [
  {
    id: 'bench-printer',
    name: 'Bench printer',
    correctionMm: { inside: 0.05, outside: -0.03 },
    learnedFrom: 'a starting value for layer printing, no trials yet',
  },
  {
    id: 'resin-printer',
    name: 'Resin printer',
    correctionMm: { inside: 0.04, outside: -0.02 },
    learnedFrom: 'a starting value for cured resin, no trials yet',
  },
  {
    id: 'lathe-mill',
    name: 'Lathe or mill',
    correctionMm: { inside: 0, outside: 0 },
    learnedFrom: 'sizes are cut as asked',
  },
];

export const DEFAULT_MACHINE_ID = 'bench-printer';

/** The machine of that id, or the default one if nobody knows it any more. */
export function machineOf(id: string): Machine {
  return MACHINES.find((machine) => machine.id === id) ?? MACHINES[0]!;
}
