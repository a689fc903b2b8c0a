import { z } from 'zod';

import { line } from './ids';

/** Why it broke, as far as the break shows it. */
export const BREAKS = ['brittle', 'worn', 'noLock', 'tooThin', 'wrongMaterial', 'lost'] as const;
export type Break = (typeof BREAKS)[number];

/** What the part must withstand where it lives. */
export const SURROUNDINGS = ['sun', 'water', 'food', 'cold'] as const;
export type Surrounding = (typeof SURROUNDINGS)[number];

export const HEATS = ['room', 'warm', 'hot', 'boiling'] as const;
export type Heat = (typeof HEATS)[number];

export const LOADS = ['none', 'light', 'steady', 'knocks'] as const;
export type Load = (typeof LOADS)[number];

/** How long a load acts: now and then, again and again, or for months without a break. */
export const LASTINGS = ['once', 'repeated', 'lasting'] as const;
export type Lasting = (typeof LASTINGS)[number];

export const MOVEMENTS = ['still', 'rubs', 'springs'] as const;
export type Movement = (typeof MOVEMENTS)[number];

/** What makes a home-made spare a matter of care, or out of the question. */
export const DANGERS = ['mains', 'brakes', 'gas', 'lifting', 'children'] as const;
export type Danger = (typeof DANGERS)[number];

/** What may hurt while the broken thing is taken apart. */
export const INSIDES = ['spring', 'charge', 'glass'] as const;
export type Inside = (typeof INSIDES)[number];

/** What is known of the break and of the place where the part lives; every part of it may be left out. */
export const Brief = z.strictObject({
  breaks: z.array(z.enum(BREAKS)).max(BREAKS.length),
  surroundings: z.array(z.enum(SURROUNDINGS)).max(SURROUNDINGS.length),
  heat: z.enum(HEATS).nullable(),
  load: z.enum(LOADS).nullable(),
  movement: z.enum(MOVEMENTS).nullable(),
  dangers: z.array(z.enum(DANGERS)).max(DANGERS.length),
  insides: z.array(z.enum(INSIDES)).max(INSIDES.length),
  /** Answers about the old material, by clue. */
  clues: z.record(z.string().max(20), z.string().max(20)),
  /** What a bought one costs, in the workshop's money, and how many days it takes. */
  bought: z.strictObject({
    cost: z.number().min(0).max(1e6).nullable(),
    days: z.number().min(0).max(1000).nullable(),
  }),
  /** What must stay as it was, and what may be better. */
  keep: line(300),
  better: line(300),
});
export type Brief = z.infer<typeof Brief>;

export const NO_BRIEF: Brief = {
  breaks: [],
  surroundings: [],
  heat: null,
  load: null,
  movement: null,
  dangers: [],
  insides: [],
  clues: {},
  bought: { cost: null, days: null },
  keep: '',
  better: '',
};
