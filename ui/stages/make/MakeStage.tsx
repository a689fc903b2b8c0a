import { router } from 'expo-router';
import { ScrollView, Text, View } from 'react-native';

import type { Material, MaterialFamily } from '@core/record/model';
import { materialIn, materialsIn } from '@core/record/workshop';

import { useChangeRepair } from '../../api/useRepair';
import { useRepairContext } from '../../inRepair/useRepairContext';
import { OpenJobFile } from '../../layers/OpenJobFile';
import { EmptyState } from '../../shared/EmptyState';
import { GroupHeading } from '../../shared/Heading';
import { Picker } from '../../shared/Picker';
import { Switch } from '../../shared/Switch';
import { FreezeRevision } from './FreezeRevision';
import { RepairFileButton } from './RepairFileButton';
import { SpareCard } from './SpareCard';

const FAMILY_WORDS: Record<MaterialFamily, string> = {
  plastic: 'Plastics',
  soft: 'Soft plastics',
  resin: 'Resins',
  metal: 'Metals',
  wood: 'Woods',
};

/** How it is made and of what; the files that leave; the revision that is frozen first. */
export function MakeStage() {
  const { repair, numbers } = useRepairContext();
  const { put } = useChangeRepair(repair);
  const material = materialIn(numbers.workshop, repair.head.materialId);
  const known = materialsIn(numbers.workshop);
  // One that was put away stays chosen until another one is.
  const materials = known.some(({ id }) => id === material.id) ? known : [...known, material];
  const spares = repair.bodies.filter((body) => !body.removed && body.role === 'spare');
  return (
    <ScrollView contentContainerClassName="gap-5 p-4 pb-8">
      <View className="gap-1.5">
        <GroupHeading>Material</GroupHeading>
        <Picker
          label="Material"
          options={materials.map(({ id, name, family }) => ({ id, word: name, group: FAMILY_WORDS[family] }))}
          value={repair.head.materialId}
          onChange={(materialId) => put('head', { ...repair.head, materialId })}
        />
        <Text className="font-label text-[14px] leading-5 text-muted">{materialWords(material)}</Text>
      </View>
      <View className="gap-1.5">
        <GroupHeading>Machine</GroupHeading>
        <Switch
          label="Machine"
          options={numbers.workshop.machines
            .filter(({ id, removed }) => !removed || id === repair.head.machineId)
            .map(({ id, name }) => ({ id, word: name }))}
          value={repair.head.machineId}
          onChange={(machineId) =>
            put('head', { ...repair.head, machineId }, 'Working sizes follow the machine.')
          }
        />
        <Text className="font-label text-[14px] leading-5 text-muted">
          The machine’s correction goes into every working size; the trail shows it.
        </Text>
      </View>
      {spares.length === 0 ? (
        <EmptyState
          text="There is no spare to make yet. Build its shape first."
          action={{ label: 'Go to Shape', onPress: () => router.replace(`/repair/${repair.head.id}/shape`) }}
        />
      ) : (
        spares.map((body) => <SpareCard key={body.id} body={body} />)
      )}
      {spares.length > 0 ? <FreezeRevision /> : null}
      <View className="gap-1.5">
        <GroupHeading>The whole repair</GroupHeading>
        <RepairFileButton />
        <OpenJobFile repairId={repair.head.id} />
      </View>
    </ScrollView>
  );
}

/** "1.27 g/cm³, stiffness 2.1 GPa, gives at about 70 °C; shrinks 0.4 % as it cools." */
function materialWords({ density, modulusMpa, softensAtC, shrinks }: Material): string {
  const parts = [
    `${density} g/cm³`,
    `stiffness ${Number((modulusMpa / 1000).toPrecision(2))} GPa`,
    ...(softensAtC === null ? [] : [`softens at about ${softensAtC} °C`]),
    ...(shrinks === null ? [] : [`shrinks about ${Number((shrinks * 100).toFixed(1))} % as it sets`]),
  ];
  return `${parts.join(', ')}.`;
}
