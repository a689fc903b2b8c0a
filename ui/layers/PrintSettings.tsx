import { router } from 'expo-router';
import { Text, View } from 'react-native';

import type { SliceRequest } from '@core/making/printing';
import type { PrintSetup } from '@core/record/model';
import { layerSetsIn, resinSetsIn } from '@core/record/workshop';
import { resinSetWords, settingsWords } from '@core/reporting/wording';
import { capital } from '@core/shaping/sentence';

import { useRepairContext } from '../inRepair/useRepairContext';
import { Button } from '../shared/Button';
import { GroupHeading } from '../shared/Heading';
import { Switch } from '../shared/Switch';
import { settingOf } from './useLayers';

/** The settings that it is printed with, and what they are. */
export function PrintSettings({
  request,
  laying,
  onChange: change,
}: {
  request: SliceRequest;
  laying: PrintSetup;
  onChange(fields: Partial<PrintSetup>): void;
}) {
  const { numbers } = useRepairContext();
  const inResin = request.resin;
  const sets = (inResin ? resinSetsIn : layerSetsIn)(numbers.workshop);
  const { settings } = request.parts[0]!;
  return (
    <View className="gap-1.5">
      <GroupHeading>Print settings</GroupHeading>
      <Switch
        label="Settings"
        options={sets.map(({ id, name }) => ({ id, word: name }))}
        value={laying.settings}
        onChange={(settings) => change({ settings })}
      />
      {sets.some(({ id }) => id === laying.settings) ? null : (
        <Text role="alert" className="font-medium text-[15px] leading-6 text-rust">
          {`The print settings “${laying.settings}” are not in this Workshop, so “${settingOf(request).name}”. Choose others above.`}
        </Text>
      )}
      <Text className="font-label text-[14px] leading-5 text-muted">{`${capital(inResin ? resinSetWords(inResin.set) : settingsWords(settings, settings.lineMm))}.`}</Text>
      <Button label="Edit print settings in the Workshop" onPress={() => router.push('/workshop')} />
    </View>
  );
}
