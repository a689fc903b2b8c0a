import { OTHER_THREADS } from './otherThreads';
import { INCH_MM, type StandardThing } from './thing';

/** A screw thread as it is measured. Lengths in mm. */
export interface Thread {
  name: string;
  source: string;
  /** Nominal major diameter. */
  majorMm: number;
  pitchMm: number;
  /** Which standard its limits are of. */
  form: 'metric' | 'unified' | 'pipe';
  /** How common it is: 1 for what every shop has, less for finer and rarer ones. */
  common: number;
}

/** Coarse metric threads: nominal diameter and pitch, ISO 261:1998 and ISO 262. */
const COARSE: readonly [number, number][] = [
  [1.6, 0.35],
  [2, 0.4],
  [2.5, 0.45],
  [3, 0.5],
  [3.5, 0.6],
  [4, 0.7],
  [5, 0.8],
  [6, 1],
  [7, 1],
  [8, 1.25],
  [10, 1.5],
  [12, 1.75],
  [14, 2],
  [16, 2],
  [18, 2.5],
  [20, 2.5],
  [22, 2.5],
  [24, 3],
  [27, 3],
  [30, 3.5],
  [33, 3.5],
  [36, 4],
  [39, 4],
  [42, 4.5],
  [48, 5],
  [56, 5.5],
  [64, 6],
];

/**
 * Fine metric threads of ISO 262, and of ISO 261 those that are common on tubes, lamps and taps (M10x1, M12x1, M16x1, M22x1, M24x1,
 * M28x1) and on spark plugs (M14x1.25).
 */
const FINE: readonly [number, number][] = [
  [8, 1],
  [10, 1.25],
  [10, 1],
  [12, 1.5],
  [12, 1.25],
  [12, 1],
  [14, 1.5],
  [14, 1.25],
  [16, 1.5],
  [16, 1],
  [18, 1.5],
  [20, 2],
  [20, 1.5],
  [22, 1.5],
  [22, 1],
  [24, 2],
  [24, 1],
  [27, 2],
  [28, 1],
  [30, 2],
  [33, 2],
  [36, 3],
  [39, 3],
];

/** Metric threads of cable glands and conduit, pitch 1.5: IEC 60423:2007, table 1. */
const GLANDS: readonly number[] = [25, 32, 40, 50, 63];

/** Unified threads, ASME B1.1-2003: name, major diameter in inches, threads per inch, coarse and fine. */
const UNIFIED: readonly [string, number, number, number][] = [
  ['No. 2', 0.086, 56, 64],
  ['No. 4', 0.112, 40, 48],
  ['No. 5', 0.125, 40, 44],
  ['No. 6', 0.138, 32, 40],
  ['No. 8', 0.164, 32, 36],
  ['No. 10', 0.19, 24, 32],
  ['No. 12', 0.216, 24, 28],
  ['1/4', 0.25, 20, 28],
  ['5/16', 0.3125, 18, 24],
  ['3/8', 0.375, 16, 24],
  ['7/16', 0.4375, 14, 20],
  ['1/2', 0.5, 13, 20],
  ['9/16', 0.5625, 12, 18],
  ['5/8', 0.625, 11, 18],
  ['3/4', 0.75, 10, 16],
  ['7/8', 0.875, 9, 14],
  ['1', 1, 8, 12],
];

/** Pipe threads with parallel sides, ISO 228-1:2000: name, major diameter in mm, threads per inch. */
const PIPE: readonly [string, number, number][] = [
  ['1/16', 7.723, 28],
  ['1/8', 9.728, 28],
  ['1/4', 13.157, 19],
  ['3/8', 16.662, 19],
  ['1/2', 20.955, 14],
  ['5/8', 22.911, 14],
  ['3/4', 26.441, 14],
  ['7/8', 30.201, 14],
  ['1', 33.249, 11],
  ['1 1/4', 41.91, 11],
  ['1 1/2', 47.803, 11],
  ['2', 59.614, 11],
];

export const THREADS: readonly Thread[] = [
  ...COARSE.map(([majorMm, pitchMm]) => ({
    name: `M${majorMm}`,
    source: 'ISO 262, table 1; ISO 965-2, tables 2 and 4',
    form: 'metric' as const,
    majorMm,
    pitchMm,
    common: 1,
  })),
  ...FINE.map(([majorMm, pitchMm]) => ({
    name: `M${majorMm} × ${pitchMm}`,
    source: 'ISO 261, table 2; ISO 965-1, clause 13',
    form: 'metric' as const,
    majorMm,
    pitchMm,
    common: 0.35,
  })),
  ...GLANDS.map((majorMm) => ({
    name: `M${majorMm} × 1.5`,
    source: 'IEC 60423, table 1',
    form: 'metric' as const,
    majorMm,
    pitchMm: 1.5,
    common: 0.2,
  })),
  ...UNIFIED.flatMap(([name, inches, coarse, fine]) => [
    {
      name: `${name}-${coarse} UNC`,
      source: 'ASME B1.1, table 2',
      form: 'unified' as const,
      majorMm: inches * INCH_MM,
      pitchMm: INCH_MM / coarse,
      common: 0.5,
    },
    {
      name: `${name}-${fine} UNF`,
      source: 'ASME B1.1, table 2',
      form: 'unified' as const,
      majorMm: inches * INCH_MM,
      pitchMm: INCH_MM / fine,
      common: 0.3,
    },
  ]),
  ...PIPE.map(([name, majorMm, perInch]) => ({
    name: `G ${name}`,
    source: 'ISO 228-1, table 1',
    form: 'pipe' as const,
    majorMm,
    pitchMm: INCH_MM / perInch,
    common: 0.5,
  })),
];

/** Limits of a diameter, mm. */
interface Diameter {
  from: number;
  to: number;
}

/** Tolerances of pipe threads by their turns per inch, mm: outside over the crests, inside between them (ISO 228-1:2000, table 1). */
const PIPE_TOLERANCES: Readonly<Record<number, readonly [outside: number, inside: number]>> = {
  28: [0.214, 0.282],
  19: [0.25, 0.445],
  14: [0.284, 0.541],
  11: [0.36, 0.64],
};
const pipeTolerances = (pitchMm: number) => PIPE_TOLERANCES[Math.round(INCH_MM / pitchMm)]!;
/** Between the crests of a pipe thread: two heights of 0.640327 P off the major diameter (ISO 228-1, clause 4). */
const PIPE_DEPTHS = 1.280654;
/** Between the crests of a thread of 60°: five eighths of its sharp height on both sides (ISO 68-1; ASME B1.1). */
const METRIC_DEPTHS = 1.082532;

/**
 * What an outside thread measures over its crests, mm. Metric, medium class (6g): upper limit es = −(15 + 11 P) µm,
 * tolerance 180 P^(2/3) − 3.15 / √P µm (ISO 965-1:2013, clauses 5 and 13). Unified, class 2A: within a caliper's display
 * of the same. Pipe: from the size down by its tolerance, with nothing above.
 */
export function externalMajorMm({ majorMm, pitchMm, form }: Thread): Diameter {
  if (form === 'pipe') return { from: majorMm - pipeTolerances(pitchMm)[0], to: majorMm };
  const upper = majorMm - (15 + 11 * pitchMm) / 1000;
  const tolerance = (180 * Math.cbrt(pitchMm ** 2) - 3.15 / Math.sqrt(pitchMm)) / 1000;
  return { from: upper - tolerance, to: upper };
}

/**
 * What an inside thread measures between its crests, mm. Metric, medium class (6H): D1 = D − 1.0825 P (ISO 724), with
 * a tolerance above it of 230 P^0.7 µm, or 433 P − 190 P^1.22 below 1 mm of pitch (ISO 965-1, clause 13).
 */
export function internalMinorMm(thread: Thread): Diameter {
  const { majorMm, pitchMm, form } = thread;
  if (form === 'pipe') {
    const least = majorMm - PIPE_DEPTHS * pitchMm;
    return { from: least, to: least + pipeTolerances(pitchMm)[1] };
  }
  const minor = majorMm - METRIC_DEPTHS * pitchMm;
  if (form === 'unified') return { from: minor, to: minor + unifiedMinorTolerance(majorMm, pitchMm) };
  const micrometres = pitchMm >= 1 ? 230 * pitchMm ** 0.7 : 433 * pitchMm - 190 * pitchMm ** 1.22;
  return { from: minor, to: minor + micrometres / 1000 };
}

/**
 * Tolerance of the minor diameter of class 2B, mm (ASME B1.1-2003, clause 5.8.2; in inches): 0.25 P − 0.4 P² from 1/4 up;
 * below that 0.05 ∛P² + 0.03 P / D − 0.002, no less than the former and no more than 0.394 P.
 */
function unifiedMinorTolerance(majorMm: number, pitchMm: number): number {
  const [major, pitch] = [majorMm / INCH_MM, pitchMm / INCH_MM];
  const plain = 0.25 * pitch - 0.4 * pitch ** 2;
  if (major >= 0.25) return plain * INCH_MM;
  const small = 0.05 * Math.cbrt(pitch ** 2) + (0.03 * pitch) / major - 0.002;
  return Math.min(Math.max(small, plain), 0.394 * pitch) * INCH_MM;
}

/** Threads as standard things: over the crests of a screw, between those of a nut. */
export function threadThings(): StandardThing[] {
  const own = THREADS.map((thread) => ({
    ...thread,
    outside: externalMajorMm(thread),
    inside: internalMinorMm(thread),
  }));
  const others = OTHER_THREADS.map((thread) => ({
    ...thread,
    outside: { from: thread.outside[0], to: thread.outside[1] },
    inside: thread.inside && { from: thread.inside[0], to: thread.inside[1] },
  }));
  return [...own, ...others].flatMap(({ name, source, majorMm, pitchMm, common, outside, inside }) => {
    const shared = { source, common, pitchMm, form: 'thread' as const, nominalMm: majorMm };
    return [
      {
        ...shared,
        name: `Thread ${name}`,
        fromMm: outside.from,
        toMm: outside.to,
        side: 'outside' as const,
        across: 'over the crests' as const,
      },
      ...(inside
        ? [
            {
              ...shared,
              name: `Nut thread ${name}`,
              fromMm: inside.from,
              toMm: inside.to,
              side: 'inside' as const,
              across: 'between the crests' as const,
            },
          ]
        : []),
    ];
  });
}
