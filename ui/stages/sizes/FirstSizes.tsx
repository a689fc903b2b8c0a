import { View } from 'react-native';

import { sizesToTake } from '@core/measuring/brief';
import { NO_BRIEF } from '@core/foundations/fields';
import { newSize, nextLetter } from '@core/record/model';
import { SIZE_REASONS } from '@core/reporting/wording';

import { newId } from '../../api/newId';
import { useChangeRepair } from '../../api/useRepair';
import { openSize } from '../../inRepair/opened';
import { useRepairContext } from '../../inRepair/useRepairContext';
import { ChoiceRow } from '../../shared/ChoiceRow';
import { GroupHeading } from '../../shared/Heading';

/** What is worth measuring first, from the brief: a tap adds it and opens the pad. */
export function FirstSizes() {
  const { repair } = useRepairContext();
  const { put } = useChangeRepair(repair);
  return (
    <View className="gap-1.5">
      <GroupHeading>Worth taking first</GroupHeading>
      {sizesToTake(repair.head.brief ?? NO_BRIEF).map(({ name, of, jaw, why }) => (
        <ChoiceRow
          key={name}
          title={name}
          note={SIZE_REASONS[why]}
          onPress={() => {
            const tag = nextLetter(repair.sizes.map((size) => size.tag));
            const size = newSize({ id: newId(), tag, name, of, jaw });
            put('size', size, `Size ${tag}, ${name}, is there.`);
            openSize(size.id);
          }}
        />
      ))}
    </View>
  );
}
