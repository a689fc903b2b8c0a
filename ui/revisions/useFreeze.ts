import { nextLetter } from '@core/record/model';
import { remarked } from '@core/shaping/recipe';
import { freeze } from '@core/reporting/revision';

import { newId } from '../api/newId';
import { useChangeRepair } from '../api/useRepair';
import { useRepairContext } from '../inRepair/useRepairContext';
import { useSolidView } from '../inRepair/useSolidView';
import { currentFigures } from './currentFigures';

/** Freezes the repair as it stands, under the next letter, with a note of why. */
export function useFreeze() {
  const { repair, numbers } = useRepairContext();
  const solid = useSolidView();
  const { put } = useChangeRepair(repair);
  const letter = nextLetter(repair.revisions.map((revision) => revision.letter));
  const freezeNow = (note: string) => {
    // Test pieces bear the letter of the revision that they are made from.
    const marked = remarked(repair, [letter, ...repair.revisions.map((revision) => revision.letter)], letter);
    for (const body of marked) put('body', body);
    // What was put has the next version by then: the repair stands as it is frozen.
    const bodies = repair.bodies.map((body) => {
      const next = marked.find(({ id }) => id === body.id);
      return next ? { ...next, version: next.version + 1 } : body;
    });
    put(
      'revision',
      freeze(
        { ...repair, bodies },
        {
          id: newId(),
          note: note.trim().slice(0, NOTE_LIMIT),
          frozenAt: new Date().toISOString(),
          workshop: numbers.workshop,
          figures: currentFigures(repair, solid),
        },
      ),
    );
    // What goes on from here goes on from this one.
    const { standsOn, ...head } = repair.head;
    if (standsOn !== undefined) put('head', head);
  };
  return { letter, freezeNow };
}

const NOTE_LIMIT = 200;
