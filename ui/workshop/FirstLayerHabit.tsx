import { Text, View } from 'react-native';

import { firstLayerLearned, printerThatLearned } from '@core/fitting/learn';
import type { LayerPrinter, Machine, MaterialFamily, Trial, Workshop } from '@core/record/model';
import { elephantFeetOf } from '@core/fitting/trial';

import type { useChangeWorkshop } from '../api/useWorkshop';
import { useShow } from '../preferences/useShow';
import { Button } from '../shared/Button';
import { GroupHeading } from '../shared/Heading';
import { FAMILY_WORDS } from './words';

/** How far a printer's first layer spreads: as it is taken back now, as trials found it, and the way from one to the other. */
export function FirstLayerHabit({
  machine,
  printer,
  family,
  trials,
  workshop,
  onSave,
}: {
  machine: Machine;
  printer: LayerPrinter;
  family: MaterialFamily;
  /** Those that count for this machine and family. */
  trials: readonly Trial[];
  workshop: Workshop;
  onSave: ReturnType<typeof useChangeWorkshop>;
}) {
  const show = useShow();
  const spreads = elephantFeetOf(trials, workshop);
  const learned = firstLayerLearned(printer, machine, spreads);
  const taken = printer.learnedSpreads?.find((one) => one.family === family);
  const now = taken?.mm ?? printer.firstLayerSpreadMm;
  const isTaken = learned !== null && taken !== undefined && Math.abs(learned.mm - taken.mm) < 1e-9;
  const save = (next: typeof learned, text: string) =>
    onSave('layerPrinter', printerThatLearned(printer, family, next), text);
  return (
    <View className="gap-2" role="group" aria-label="First layer">
      <GroupHeading>First layer</GroupHeading>
      <Text className="font-sans text-[15px] leading-[22px] text-ink">
        {`Elephant foot: ${show.length(now)} per side.`}
        {learned === null
          ? ' To learn it, measure a size above the first layer and at it, under Trial.'
          : learned.count === 0
            ? ' What was measured at the first layer is an outlier: measure another print.'
            : ` By ${learned.count} measured at the first layer it is ${show.length(learned.mm)} ± ${show.uncertainty(learned.plusMinusMm)}${
                learned.odd.length > 0 ? `; ${learned.odd.length} more are outliers and hardly count` : ''
              }.`}
      </Text>
      {learned === null || learned.count === 0 ? null : isTaken ? (
        <Text role="status" className="font-medium text-[15px] text-moss">
          Layers use what was learned.
        </Text>
      ) : (
        <Button
          label="Use what was learned of the first layer"
          onPress={() =>
            save(
              learned,
              `The first layer on ${machine.name} is shrunk by ${show.length(learned.mm)} per side.`,
            )
          }
        />
      )}
      {taken ? (
        <Button
          tone="quiet"
          label="Forget what was learned of the first layer"
          onPress={() =>
            save(
              null,
              `First layers of ${machine.name} with ${FAMILY_WORDS[family]} use its own figures again.`,
            )
          }
        />
      ) : null}
    </View>
  );
}
