import { Text } from 'react-native';

import { sentenceOf } from '@core/reporting/wording';
import type { Body } from '@core/record/model';

import { useBuiltDraft } from '../inRepair/draft';
import { useSolidView } from '../inRepair/useSolidView';
import { useBenchStatus } from '../solid/useSolid';

/** What the part in view is while something is tried: as it would be, still being built, or what would fail. */
export function DraftState({ body, stepId }: { body: Body | null; stepId: string }) {
  return body ? <OfDraft body={body} stepId={stepId} /> : null;
}

function OfDraft({ body, stepId }: { body: Body; stepId: string }) {
  const built = useBuiltDraft();
  const solid = useSolidView();
  const status = useBenchStatus();
  // What went wrong with the builder itself is said over the part.
  if (status.kind === 'failed' || status.kind === 'broken') return null;
  const isShown = built !== null && JSON.stringify(built) === JSON.stringify(body);
  const failed = solid.bodies
    .find(({ bodyId }) => bodyId === body.id)
    ?.steps.find((step) => step.state === 'failed');
  if (!isShown || failed?.state !== 'failed') {
    return (
      <Text role="status" className="font-label text-[13.5px] text-muted">
        {isShown ? 'The part is shown with this number. It is not kept yet.' : 'The part follows…'}
      </Text>
    );
  }
  const place = body.steps.findIndex(({ id }) => id === failed.stepId) + 1;
  return (
    <Text role="status" className="font-medium text-[14px] leading-5 text-rust">
      {failed.stepId === stepId ? '' : `Step ${place} would fail. `}
      {sentenceOf(failed.fault)}
    </Text>
  );
}
