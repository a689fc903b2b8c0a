import { Text, View } from 'react-native';

import { no, type StepFault } from '@core/foundations/fault';
import { testPieceName, testPieceOf, usesOf } from '@core/fitting/fit';
import { nextLetter, type Fit } from '@core/record/model';
import { marksOf, testPiece } from '@core/shaping/recipe';
import { sentenceOf } from '@core/reporting/wording';

import { newId } from '../../api/newId';
import { useNotices } from '../../api/notices';
import { useChangeRepair } from '../../api/useRepair';
import { useRepairContext } from '../../inRepair/useRepairContext';
import { useSolidView } from '../../inRepair/useSolidView';
import { Button } from '../../shared/Button';

/** Cuts a small piece of the spare round a fit, to be made and tried before the whole. */
export function TestPiece({ fit }: { fit: Fit }) {
  const { repair } = useRepairContext();
  const solid = useSolidView();
  const { put } = useChangeRepair(repair);
  const { say } = useNotices();
  const uses = usesOf(repair, { from: 'fit', id: fit.id });
  const spare = repair.bodies.find(
    (body) =>
      body.role === 'spare' &&
      !body.removed &&
      !testPieceOf(body, []) &&
      uses.some(({ kind, id }) => kind === 'step' && id === body.id),
  );
  const isThere = repair.bodies.some(({ removed, name }) => !removed && name === testPieceName(fit));
  if (!spare || isThere) return null;
  const shown = solid.bodies.find(({ bodyId }) => bodyId === spare.id);
  // What was built before a step that fails now may lie elsewhere.
  const mesh = shown?.outOfDate ? null : (shown?.mesh ?? null);
  const cut = () => {
    const stepIds = new Set(
      uses.flatMap((use) => (use.kind === 'step' && use.id === spare.id ? [use.stepId] : [])),
    );
    const letter = nextLetter(repair.revisions.map((revision) => revision.letter));
    const made = mesh
      ? testPiece({ fit, spare, mesh, stepIds, marks: marksOf(repair, fit, letter) }, newId)
      : no<StepFault>({ code: 'testPiece.notThere' });
    if (made.ok) {
      put(
        'body',
        made.value,
        `${made.value.name}: find it with the spares, under Make, Layers and Trial. It follows the spare when that changes.${
          made.value.steps.some(({ kind }) => kind === 'text')
            ? ''
            : ' It has no level place for a mark: write on it what it is.'
        }`,
      );
    } else {
      say({ tone: 'wrong', text: sentenceOf(made.fault) });
    }
  };
  return (
    <View className="gap-1">
      <Button label="Cut a test piece" disabled={!mesh} onPress={cut} />
      <Text className="font-label text-[13.5px] leading-5 text-muted">
        {`A small piece of ${spare.name} round this fit, made first to feel how it goes.${waitWords(shown)}`}
      </Text>
    </View>
  );
}

/** Why it can't be cut yet. */
function waitWords(shown: { mesh: unknown; outOfDate: boolean } | undefined): string {
  if (shown?.outOfDate) return ' One of its steps fails: fix that under Shape first.';
  return shown?.mesh ? '' : ' It is being built.';
}
