/** What a printer makes of a size: asked + offset + scale × asked, and how it scatters. Only the printer knows. mm. */
export interface Habits {
  inside: Habit;
  outside: Habit;
  height: Habit;
  spacing: Habit;
  /** How far the first layer spreads on each side. */
  footMm: number;
  scatterMm: number;
  /** How often a job runs out of filament, or lets go of the bed. */
  runsOut: number;
  letsGo: number;
}

type Habit = readonly [offsetMm: number, scale: number];
export type FeatureKind = 'inside' | 'outside' | 'height' | 'spacing';

/** The printers of the workshop as they are in truth, with a usual stiff plastic. */
const KNOWN = new Map<string, Habits>(
  Object.entries({
    'bench-printer': {
      inside: [-0.17, -0.0006],
      outside: [0.07, -0.0006],
      height: [0.03, 0.0004],
      spacing: [0.005, -0.0007],
      footMm: 0.17,
      scatterMm: 0.016,
      runsOut: 0.03,
      letsGo: 0.04,
    },
    'quick-printer': {
      inside: [-0.15, 0.0009],
      outside: [0.05, 0.001],
      height: [-0.02, 0],
      spacing: [0, 0.001],
      footMm: 0.12,
      scatterMm: 0.028,
      runsOut: 0.03,
      letsGo: 0.08,
    },
    'wide-printer': {
      inside: [-0.26, -0.001],
      outside: [0.11, -0.0008],
      height: [0.05, 0.0006],
      spacing: [0.01, -0.0009],
      footMm: 0.24,
      scatterMm: 0.045,
      runsOut: 0.02,
      letsGo: 0.05,
    },
  }),
);

/** Softer or shrinking plastics come out otherwise on the same printer: added to its habits. */
const FAMILIES = new Map<string, readonly [insideMm: number, outsideMm: number, scale: number]>([
  ['soft', [-0.06, 0.03, 0.001]],
  ['resin', [-0.02, 0.01, -0.002]],
]);

/** The habits of a printer with a family of material. One that nobody knows has some of its own, by its name. */
export function habitsOf(machine: string, family: string): Habits {
  const own = KNOWN.get(machine) ?? drawn(machine);
  const [inside, outside, scale] = FAMILIES.get(family) ?? [0, 0, 0];
  const with_ = ([offset, by]: Habit, more: number): Habit => [offset + more, by + scale];
  return {
    ...own,
    inside: with_(own.inside, inside),
    outside: with_(own.outside, outside),
    spacing: with_(own.spacing, 0),
  };
}

/** Habits from a name: always the same for the same. */
function drawn(machine: string): Habits {
  const part = (salt: number) => {
    let sum = salt;
    for (const letter of machine) sum = (sum * 31 + letter.charCodeAt(0)) % 1009;
    return sum / 1009 - 0.5;
  };
  return {
    inside: [-0.14 + 0.16 * part(3), 0.002 * part(5)],
    outside: [0.04 + 0.1 * part(7), 0.002 * part(5)],
    height: [0.08 * part(11), 0.001 * part(13)],
    spacing: [0.03 * part(17), 0.002 * part(5)],
    footMm: 0.15 + 0.2 * part(23),
    scatterMm: 0.025 + 0.02 * part(19),
    runsOut: 0.03,
    letsGo: 0.05,
  };
}
