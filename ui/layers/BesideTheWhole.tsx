import { sliceRequestOf } from '@core/making/printing';
import { useState } from 'react';
import { Text } from 'react-native';

import type { Body } from '@core/record/model';
import { besideWholeSentence, sentenceOf } from '@core/reporting/wording';

import { useRepairContext } from '../inRepair/useRepairContext';
import { Button } from '../shared/Button';
import { workbench } from '../solid/useSolid';
import { layerWorker } from './layerWorker';
import type { ComparedReply } from './protocol';

/** What a test piece takes beside the spare that it is cut from; worked out when it is asked for. */
export function BesideTheWhole({ whole, figures }: { whole: Body; figures: ComparedReply['figures'] }) {
  const { repair, numbers } = useRepairContext();
  const [busy, setBusy] = useState(false);
  const [said, setSaid] = useState<string | null>(null);
  const work = async () => {
    const mesh = await workbench.ask.layerMesh(whole.id);
    if (!mesh.ok) return sentenceOf(mesh.fault);
    const worker = layerWorker();
    await worker.lend(whole.id, mesh.value);
    const reply = await worker.compare(
      sliceRequestOf([{ body: whole, pieces: 1 }], repair.head, numbers.workshop),
    );
    if (!reply) return 'Another part was sliced meanwhile. Compare again.';
    return reply.ok ? besideWholeSentence(whole.name, reply.value.figures, figures) : sentenceOf(reply.fault);
  };
  const ask = () => {
    setBusy(true);
    void work()
      .catch(() => 'The whole part could not be sliced. Check it under Shape, then compare again.')
      .then(setSaid)
      .finally(() => setBusy(false));
  };
  return (
    <>
      <Button label={`Compare with the whole ${whole.name}`} busy={busy} onPress={ask} />
      {said === null ? null : (
        <Text role="status" className="font-sans text-[16px] leading-6 text-ink">
          {said}
        </Text>
      )}
    </>
  );
}
