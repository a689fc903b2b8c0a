import { Text, View } from 'react-native';

import { isPrinter, machineIn } from '@core/record/workshop';

import { useChangeRepair } from '../api/useRepair';
import { useRepairContext } from '../inRepair/useRepairContext';
import { Button } from '../shared/Button';

/** The machine of this repair prints nothing: what it is made from, and printers that would slice it. */
export function ChooseAPrinter({ onChosen = () => {} }: { onChosen?(): void }) {
  const { repair, numbers } = useRepairContext();
  const { put } = useChangeRepair(repair);
  const machine = machineIn(numbers.workshop, repair.head.machineId);
  const printers = numbers.workshop.machines.filter((one) => !one.removed && isPrinter(one));
  return (
    <View className="gap-2 rounded border border-dashed border-rule p-3">
      <Text className="font-sans text-[15px] leading-6 text-ink">
        {`${machine.name} prints no layers, so there is nothing to slice: it works from the STEP file. To print the part instead, choose a printer; working sizes follow it.`}
      </Text>
      <View className="flex-row flex-wrap gap-2">
        {printers.map(({ id, name }) => (
          <Button
            key={id}
            label={`Slice it for ${name}`}
            onPress={() => {
              put('head', { ...repair.head, machineId: id }, `It is made on ${name} now.`);
              onChosen();
            }}
          />
        ))}
      </View>
    </View>
  );
}
