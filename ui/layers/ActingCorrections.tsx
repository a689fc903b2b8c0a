import { Text, View } from 'react-native';

import { correctionsActing } from '@core/fitting/fit';
import type { Body } from '@core/record/model';
import { actingSentence } from '@core/reporting/wording';
import { layerPrinterFor, machineIn, resinPrinterIn, materialIn } from '@core/record/workshop';

import { useRepairContext } from '../inRepair/useRepairContext';
import { useShow } from '../preferences/useShow';
import { GroupHeading } from '../shared/Heading';

/** What the machine's habits change of this spare, each once and with where it acts. */
export function ActingCorrections({ body }: { body: Body }) {
  const { repair, numbers } = useRepairContext();
  const show = useShow();
  const { id } = machineIn(numbers.workshop, repair.head.machineId);
  const { family } = materialIn(numbers.workshop, repair.head.materialId);
  const printer = layerPrinterFor(numbers.workshop, id, family) ?? resinPrinterIn(numbers.workshop, id);
  const spreadMm = printer?.firstLayerSpreadMm ?? 0;
  const acting = correctionsActing(body.id, repair, numbers, spreadMm);
  return (
    <View className="gap-1.5">
      <GroupHeading>What is corrected for this machine</GroupHeading>
      {acting.length === 0 ? (
        <Text className="font-sans text-[15px] leading-[22px] text-ink">
          Nothing: it is made as it is modelled.
        </Text>
      ) : (
        <View role="list" aria-label="Corrections that act" className="gap-1">
          {acting.map((correction) => {
            const sentence = actingSentence(correction, show);
            return (
              <View key={sentence} role="listitem">
                <Text className="font-sans text-[15px] leading-[22px] tabular-nums text-ink">{sentence}</Text>
              </View>
            );
          })}
        </View>
      )}
    </View>
  );
}
