import type { Use } from '@core/fitting/fit';

/** Where a number is used: "size B", "Wheel, step 3". */
export const usedWords = (use: Use): string =>
  use.kind === 'size'
    ? `size ${use.tag}`
    : use.kind === 'step'
      ? `${use.name}, step ${use.place}`
      : `${use.kind} ${use.name}`;
