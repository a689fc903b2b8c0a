import { BENCH_CALIPER_ID, type Instrument, type Workshop } from '@core/record/model';
import { RAD_PER_DEGREE } from '@core/foundations/quantity';

const row = { version: 1, removed: false } as const;

/**
 * The instruments of a new workshop. Permissible errors: calipers as makers of 0.01 mm digital calipers state
 * them after ISO 13385-1:2019 (maximum permissible error of indication); micrometer after ISO 3611:2010 for
 * 0 to 25 mm; rule and tape after EC class II of the measures of length (0.3 + 0.2 L mm, L in metres rounded up).
 */
export const INSTRUMENTS: readonly Instrument[] = [
  {
    ...row,
    id: BENCH_CALIPER_ID,
    name: 'Bench caliper',
    kind: 'caliper',
    quantity: 'length',
    shows: 'mm',
    resolution: 0.01,
    reach: 200,
    permissibleErrors: [
      { upTo: 100, plusMinus: 0.02 },
      { upTo: 200, plusMinus: 0.03 },
    ],
    repeatability: 0.015,
  },
  {
    ...row,
    id: 'caliper-300',
    name: 'Long caliper',
    kind: 'caliper',
    quantity: 'length',
    shows: 'mm',
    resolution: 0.01,
    reach: 300,
    permissibleErrors: [
      { upTo: 100, plusMinus: 0.02 },
      { upTo: 200, plusMinus: 0.03 },
      { upTo: 300, plusMinus: 0.04 },
    ],
    repeatability: 0.02,
  },
  {
    ...row,
    // Read by a vernier of twentieths (ISO 13385-1:2019).
    id: 'vernier-caliper',
    name: 'Vernier caliper',
    kind: 'caliper',
    quantity: 'length',
    shows: 'mm',
    resolution: 0.05,
    reach: 150,
    permissibleErrors: [{ upTo: 150, plusMinus: 0.05 }],
    repeatability: 0.025,
  },
  {
    ...row,
    // Half a thousandth on its display, a thousandth of error (ASME B89.1.14).
    id: 'inch-caliper',
    name: 'Inch caliper',
    kind: 'caliper',
    quantity: 'length',
    shows: 'in',
    resolution: 0.0127,
    reach: 152.4,
    permissibleErrors: [{ upTo: 152.4, plusMinus: 0.0254 }],
    repeatability: 0.015,
  },
  {
    ...row,
    id: 'micrometer-25',
    name: 'Micrometer 0 to 25',
    kind: 'micrometer',
    quantity: 'length',
    shows: 'mm',
    resolution: 0.001,
    reach: 25,
    permissibleErrors: [{ upTo: 25, plusMinus: 0.004 }],
    repeatability: 0.002,
  },
  {
    ...row,
    id: 'steel-rule',
    name: 'Steel rule',
    kind: 'rule',
    quantity: 'length',
    shows: 'mm',
    resolution: 0.5,
    reach: 300,
    permissibleErrors: [{ upTo: 300, plusMinus: 0.5 }],
    repeatability: 0.25,
  },
  {
    ...row,
    id: 'tape',
    name: 'Tape',
    kind: 'tape',
    quantity: 'length',
    shows: 'mm',
    resolution: 1,
    reach: 5000,
    permissibleErrors: [
      { upTo: 1000, plusMinus: 0.5 },
      { upTo: 2000, plusMinus: 0.7 },
      { upTo: 5000, plusMinus: 1.3 },
    ],
    repeatability: 0.6,
  },
  {
    ...row,
    // Leaves of a twentieth, each within a few thousandths of its number (DIN 2275, table 2).
    id: 'feeler-gauge',
    name: 'Feeler gauge',
    kind: 'gauge',
    quantity: 'length',
    shows: 'mm',
    resolution: 0.05,
    reach: 2,
    permissibleErrors: [
      { upTo: 0.3, plusMinus: 0.005 },
      { upTo: 2, plusMinus: 0.011 },
    ],
    repeatability: 0.01,
  },
  {
    ...row,
    // Pins in steps of a tenth, the largest that goes in (DIN 2269, class 2: ± 0.002).
    id: 'gauge-pins',
    name: 'Gauge pins',
    kind: 'gauge',
    quantity: 'length',
    shows: 'mm',
    resolution: 0.1,
    reach: 20,
    permissibleErrors: [{ upTo: 20, plusMinus: 0.002 }],
    repeatability: 0.005,
  },
  {
    ...row,
    // Read as the pitch of the leaf that goes in; leaves of neighbouring pitches are a twentieth apart or more.
    id: 'thread-gauge',
    name: 'Thread gauge, pitch',
    kind: 'gauge',
    quantity: 'length',
    shows: 'mm',
    resolution: 0.01,
    reach: 7,
    permissibleErrors: [{ upTo: 7, plusMinus: 0.01 }],
    repeatability: 0.005,
  },
  {
    ...row,
    id: 'protractor',
    name: 'Protractor',
    kind: 'protractor',
    quantity: 'angle',
    shows: 'deg',
    resolution: RAD_PER_DEGREE,
    reach: 180 * RAD_PER_DEGREE,
    permissibleErrors: [{ upTo: 180 * RAD_PER_DEGREE, plusMinus: 0.5 * RAD_PER_DEGREE }],
    repeatability: 0.3 * RAD_PER_DEGREE,
  },
];

/** The instrument of that id, or the bench caliper if nobody knows it any more. */
export function instrumentIn(workshop: Workshop, id: string): Instrument {
  return workshop.instruments.find((instrument) => instrument.id === id) ?? INSTRUMENTS[0]!;
}

/** Permissible error of a reading, plus or minus, in the instrument's units. */
export function permissibleError(instrument: Instrument, reading: number): number {
  const band = instrument.permissibleErrors.find(({ upTo }) => reading <= upTo);
  return (band ?? instrument.permissibleErrors.at(-1)!).plusMinus;
}

/**
 * Of the variance of an instrument's error, the share that is at least the same in all that it measures with the same jaws: how its zero was set, and
 * what its faces are worn by. Leaves and pins have an error each of their own.
 */
export const leastShared = ({ kind }: Instrument): number => (kind === 'gauge' ? 0 : 0.25);
