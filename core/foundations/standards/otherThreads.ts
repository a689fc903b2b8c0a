/**
 * Threads that are met on glands, lamps, bottles and hoses and are recognised by their diameters; their forms are their own, so that they
 * are not among those that can be put on a part. Limits in mm: outside over the crests, inside between them.
 */
export interface OtherThread {
  name: string;
  source: string;
  majorMm: number;
  pitchMm: number;
  outside: readonly [from: number, to: number];
  /** Null where nobody measures an inside of it. */
  inside: readonly [from: number, to: number] | null;
  common: number;
}

const perInch = (turns: number) => 25.4 / turns;

/** Steel conduit thread of 80°: major and core diameters, turns on an inch. DIN 40430:1971, table 1. */
const CONDUIT: readonly [name: string, major: number, core: number, turns: number][] = [
  ['Pg 7', 12.5, 11.28, 20],
  ['Pg 9', 15.2, 13.86, 18],
  ['Pg 11', 18.6, 17.26, 18],
  ['Pg 13.5', 20.4, 19.06, 18],
  ['Pg 16', 22.5, 21.16, 18],
  ['Pg 21', 28.3, 26.78, 16],
  ['Pg 29', 37, 35.48, 16],
];

/** Round threads of lamp caps and holders: cap over the crests, holder between them, turns on an inch. IEC 60061-1, sheets 7004. */
const LAMP_CAPS: readonly [name: string, cap: number, holder: number, turns: number][] = [
  ['E10', 9.53, 8.59, 14],
  ['E14', 13.89, 12.37, 9],
  ['E27', 26.45, 24.36, 7],
  ['E40', 39.5, 36, 4],
];

/** Bottle finishes 400, over the thread, least and largest, and turns on an inch: the glass and plastic makers' common drawings. */
const BOTTLES: readonly [name: string, least: number, largest: number, turns: number][] = [
  ['18-400', 17.37, 17.88, 8],
  ['20-400', 19.38, 19.89, 8],
  ['22-400', 21.39, 21.89, 8],
  ['24-400', 23.37, 23.88, 8],
  ['28-400', 27.13, 27.64, 6],
  ['33-400', 31.52, 32.13, 6],
  ['38-400', 36.88, 37.49, 6],
];

export const OTHER_THREADS: readonly OtherThread[] = [
  ...CONDUIT.map(([name, major, core, turns]): OtherThread => ({
    name,
    source: 'DIN 40430, table 1',
    majorMm: major,
    pitchMm: perInch(turns),
    outside: [major - 0.2, major],
    inside: [core, core + 0.15],
    common: 0.2,
  })),
  ...LAMP_CAPS.map(([name, cap, holder, turns]): OtherThread => ({
    name: `${name}, lamp cap`,
    source: 'IEC 60061-1, sheets 7004',
    majorMm: cap,
    pitchMm: perInch(turns),
    outside: [cap - 0.25, cap],
    inside: [holder, holder + 0.25],
    common: 0.3,
  })),
  ...BOTTLES.map(([name, least, largest, turns]): OtherThread => ({
    name: `bottle ${name}`,
    source: 'GPI finish 400, table of T dimensions',
    majorMm: largest,
    pitchMm: perInch(turns),
    outside: [least, largest],
    inside: null,
    common: 0.15,
  })),
  {
    name: 'bottle 28 mm, drinks',
    source: 'neck finish PCO 1881, dimension T',
    majorMm: 27.43,
    pitchMm: 2.7,
    outside: [27.3, 27.56],
    inside: null,
    common: 0.4,
  },
  {
    name: 'garden hose 3/4-11.5',
    source: 'ASME B1.20.7, table 1',
    majorMm: 26.99,
    pitchMm: perInch(11.5),
    outside: [26.57, 26.99],
    inside: [24.33, 24.74],
    common: 0.15,
  },
];
