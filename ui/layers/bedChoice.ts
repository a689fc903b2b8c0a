import { NAME_LIMIT, type Body } from '@core/record/model';
import type { BedPlace, RequestedSpare } from '@core/making/printing';
import { ownValue } from '@core/foundations/own';

/** What a person chose to make in one job. */
export interface BedChoice {
  /** By the spare's id; of the leading one it is 1 where nothing is said, of others none. */
  pieces: Readonly<Record<string, number>>;
  /** Where each piece was put, by the spare's id; null while they are packed. */
  at: Readonly<Record<string, readonly BedPlace[]>> | null;
}

export const ONE_ALONE: BedChoice = { pieces: {}, at: null };

/** The leading spare and those that are made with it. */
export function onBedOf(leading: Body, spares: readonly Body[], { pieces, at }: BedChoice): RequestedSpare[] {
  const others = spares.filter(({ id }) => id !== leading.id && (ownValue(pieces, id) ?? 0) > 0);
  return [leading, ...others].map((body) => {
    // Whose page it is lies there once at least.
    const count = Math.max(1, ownValue(pieces, body.id) ?? 1);
    const put = at?.[body.id];
    return { body, pieces: count, ...(put?.length === count ? { at: [...put] } : {}) };
  });
}

/** "Wheel", "Wheel, 3 pieces", "Wheel, 3 pieces and Hub" */
export function namesOnBed(onBed: readonly RequestedSpare[]): string {
  const names = onBed.map(({ body, pieces }) =>
    pieces === 1 ? body.name : `${body.name}, ${pieces} pieces`,
  );
  return names.join(' and ').slice(0, NAME_LIMIT);
}
