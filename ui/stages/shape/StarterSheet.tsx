import { useState } from 'react';

import type { Body } from '@core/record/model';
import type { Starter } from '@core/shaping/starters';

import { Sheet } from '../../shared/Sheet';
import { StarterForm } from '../../starters/StarterForm';
import { StarterTiles } from '../../starters/StarterTiles';

/** Chooses a whole recipe for a common spare, and takes the numbers that it asks for. */
export function StarterSheet({
  body,
  first = null,
  onClose,
}: {
  /** The empty body that it is put into; a new one if left out. */
  body?: Body;
  /** The one that was chosen already. */
  first?: Starter | null;
  onClose(): void;
}) {
  const [starter, setStarter] = useState(first);
  if (starter) {
    return (
      <StarterForm
        {...(body ? { into: body } : {})}
        starter={starter}
        onBack={() => setStarter(null)}
        onClose={onClose}
      />
    );
  }
  return (
    <Sheet title="Begin with a starter" onClose={onClose}>
      <StarterTiles onChoose={setStarter} />
    </Sheet>
  );
}
