import { testPieceOf } from '@core/fitting/fit';
import type { Body, Fit, RepairState } from '@core/record/model';

/**
 * What a test piece is marked with, the fullest first: the repair by its initials, the revision by its letter, the fit by the tag of its counterpart's
 * size; without the repair where there is less room.
 */
export function marksOf(
  { head, sizes }: Pick<RepairState, 'head' | 'sizes'>,
  fit: Pick<Fit, 'counterpartSizeId'>,
  letter: string,
): string[] {
  const tag = sizes.find(({ id }) => id === fit.counterpartSizeId)?.tag ?? '';
  const initials = head.name
    .split(/[^\p{L}\p{N}]+/u)
    .filter(Boolean)
    .slice(0, 2)
    .map((word) => [...word.toUpperCase()][0]!)
    .join('');
  // Letters that a font for marks may lack are left out.
  const plain = /^[A-Z0-9]+$/.test(initials) ? [`${initials} ${letter} ${tag}`.trim()] : [];
  return [...plain, `${letter} ${tag}`.trim()];
}

/** Test pieces whose marks name another revision, as they are to be marked for the one with this letter. */
export function remarked(state: RepairState, before: readonly string[], letter: string): Body[] {
  return state.bodies.flatMap((body): Body[] => {
    const piece = body.removed ? null : testPieceOf(body, state.fits);
    const fit = piece && state.fits.find(({ id }) => id === piece.fitId);
    const mark = body.steps[2];
    if (!fit || mark?.kind !== 'text') return [];
    const next = marksOf(state, fit, letter);
    for (const other of before) {
      const place = marksOf(state, fit, other).indexOf(mark.text);
      // What somebody lettered otherwise stays.
      if (place >= 0 && next[place] !== mark.text) {
        return [
          {
            ...body,
            steps: body.steps.map((step) => (step === mark ? { ...mark, text: next[place]! } : step)),
          },
        ];
      }
    }
    return [];
  });
}
