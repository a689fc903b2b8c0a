import type { Brief } from '@core/foundations/fields';

/** What the brief warns of, most serious first. `stop` says that it should not be home-made. */
export interface BriefCaution {
  code: 'mains' | 'brakes' | 'gas' | 'lifting' | 'children' | 'food' | 'spring' | 'charge' | 'glass';
  stop: boolean;
  /** While taking apart, before anything is measured. */
  apart: boolean;
}

/** What not to make at home, and what to mind: the spare itself first, then the taking apart. */
export function briefCautions({ dangers, insides, surroundings }: Brief): BriefCaution[] {
  const made = dangers.map((code): BriefCaution => ({ code, stop: code !== 'children', apart: false }));
  const food: BriefCaution[] = surroundings.includes('food')
    ? [{ code: 'food', stop: false, apart: false }]
    : [];
  const apart = insides.map((code): BriefCaution => ({ code, stop: false, apart: true }));
  return [...made.sort((a, b) => Number(b.stop) - Number(a.stop)), ...food, ...apart];
}

/** Whether a bought one is the honest answer: what a home-made one takes in money and days is taken as these. */
export function isBetterBought({ bought: { cost, days } }: Brief): boolean {
  return cost !== null && days !== null && cost <= CHEAP && days <= SOON_DAYS;
}

/** A spare that costs no more than a few tries' plastic, and is there before they are made. */
const CHEAP = 5;
const SOON_DAYS = 3;

/** What the break says about what to better in the next one. */
export type Betterment = 'tougher' | 'slides' | 'lock' | 'thicker' | 'material' | 'keep';

const BETTER: Record<Brief['breaks'][number], Betterment> = {
  brittle: 'tougher',
  worn: 'slides',
  noLock: 'lock',
  tooThin: 'thicker',
  wrongMaterial: 'material',
  lost: 'keep',
};

export const betterments = ({ breaks }: Brief): Betterment[] => [
  ...new Set(breaks.map((one) => BETTER[one])),
];
