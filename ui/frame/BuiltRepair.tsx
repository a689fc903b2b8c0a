import { useMemo, type ReactNode } from 'react';

import type { Repair, Workshop } from '@core/record/model';

import { useDraft, withDraft } from '../inRepair/draft';
import { SolidContext } from '../inRepair/useSolidView';
import { useListPicture } from '../solid/useListPicture';
import { useSolid } from '../solid/useSolid';

/** Builds the bodies of a repair for the screens in it. By itself, so that a build draws anew only what shows the part. */
export function BuiltRepair({
  repair,
  workshop,
  children,
}: {
  repair: Repair;
  workshop: Workshop;
  children: ReactNode;
}) {
  const draft = useDraft(({ body }) => body);
  const shown = useMemo(() => withDraft(repair, draft), [repair, draft]);
  const isDraft = shown !== repair;
  const solid = useSolid(shown, workshop, { isKept: !isDraft });
  useListPicture(repair, solid, { isKept: !isDraft });
  return <SolidContext.Provider value={solid}>{children}</SolidContext.Provider>;
}
