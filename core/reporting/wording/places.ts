import type { Ground } from '@core/record/model';
import type { NextPlace, PlaceAxis } from '@core/fitting/trial';
import { ownValue } from '@core/foundations/own';

import type { Lengths } from './lengths';

const LEVEL = { x: ['to the left', 'to the right'], y: ['to the front', 'to the back'] } as const;
const UPRIGHT = { x: ['to the left', 'to the right'], y: ['down', 'up'] } as const;
const SIDES = { x: ['to the front', 'to the back'], y: ['down', 'up'] } as const;

/** Which ways a place may be off on its ground: towards smaller and towards larger numbers. */
export function wayWords(on: Ground): Record<PlaceAxis, readonly [less: string, more: string]> {
  if (on === 'front' || on === 'back') return UPRIGHT;
  return on === 'left' || on === 'right' ? SIDES : LEVEL;
}

/** What brings a place to where it should be, a sentence for each number that it rests on. */
export function nextPlaceSentences({ maker, changed, again, elsewhere }: NextPlace, show: Lengths): string[] {
  const ways = wayWords(maker.on);
  const step = `${maker.body.name}, step ${maker.number}`;
  return [
    ...changed.map(
      ({ way, fromMm, toMm }) =>
        `${step}: its place ${ownValue(AXIS_WORDS, ways[way][1])} becomes ${show.length(toMm)} instead of ${show.length(fromMm)}.`,
    ),
    ...again.map(
      ({ way, tag, name, fromMm, toMm }) =>
        `${step}: its place ${ownValue(AXIS_WORDS, ways[way][1])} comes from ${tag} ${name}, ${show.length(fromMm)}. Measure that again: it should be about ${show.length(toMm)}.`,
    ),
    ...elsewhere.map(
      ({ way, byMm }) =>
        `${step}: its place ${ownValue(AXIS_WORDS, ways[way][1])} is worked out from others, and is off by ${show.signed(byMm)} ${show.word}. Measure again what it is worked out from.`,
    ),
  ];
}

const AXIS_WORDS: Record<string, string> = {
  'to the right': 'from left to right',
  'to the back': 'from front to back',
  up: 'in height',
};

/** How the reason of a place that was moved begins. */
export const movedPrefix = (fitName: string): string => `${fitName} moved: `;

/** Short, for the reasons of the next revision. */
export const nextPlaceReason = ({ maker, changed }: NextPlace, fitName: string, show: Lengths): string =>
  `${movedPrefix(fitName)}step ${maker.number}, ${changed
    .map(({ fromMm, toMm }) => `${show.length(toMm)} for ${show.length(fromMm)}`)
    .join(', ')}`;
