import { Text, View } from 'react-native';

import { fileStem } from '@core/formats';
import { writeRepairFile } from '@core/model';

import { useRepairContext } from '../../frame/useRepairContext';
import { Button } from '../../shared/Button';
import { saveFile } from './saveFile';

/** Saves the repair with all readings, fits, recipes and revisions. Works without the server. */
export function RepairFileButton() {
  const { repair } = useRepairContext();
  const save = () =>
    saveFile({
      name: `${fileStem(repair.head.name)}.json`,
      mime: 'application/json',
      bytes: new TextEncoder().encode(writeRepairFile(repair, new Date().toISOString())),
    });
  return (
    <View className="gap-1.5">
      <Button label="Save the repair file" onPress={save} />
      <Text className="font-label text-[13.5px] leading-5 text-muted">
        Everything about this repair in one open file. It can be opened again as a new repair.
      </Text>
    </View>
  );
}
