import { Text, View } from 'react-native';

import { DISPLAY_UNITS, type DisplayUnit } from '@core/foundations/quantity';

import { TYPE_SIZES, usePreferences, type WantedLight } from '../preferences/usePreferences';
import { Button } from '../shared/Button';
import { GroupHeading } from '../shared/Heading';
import { Switch } from '../shared/Switch';
import { Drawer } from './Drawer';

const UNIT_WORDS: Record<DisplayUnit, string> = {
  mm: 'mm',
  cm: 'cm',
  in: 'inch',
  fraction: 'inch fractions',
};

/** What one person likes, in this browser. */
export function ForYou() {
  const preferences = usePreferences();
  return (
    <Drawer name="For you">
      <View className="gap-4">
        <View className="gap-1.5">
          <GroupHeading>Lengths are shown in</GroupHeading>
          <Switch<DisplayUnit>
            label="Unit"
            options={DISPLAY_UNITS.map((id) => ({ id, word: UNIT_WORDS[id] }))}
            value={preferences.unit}
            onChange={preferences.setUnit}
          />
          <Text className="font-label text-[13.5px] text-muted">
            Only for you, in this browser. Any unit can be typed anywhere: 1 3/16 in, 3.2 cm, 38.20.
          </Text>
        </View>
        <View className="gap-1.5">
          <GroupHeading>A read-through takes of each size</GroupHeading>
          <Switch
            label="Readings of each size"
            options={['1', '2', '3', '5'].map((id) => ({ id, word: id === '1' ? '1 reading' : id }))}
            value={String(preferences.readingsEach)}
            onChange={(count) => preferences.setReadingsEach(Number(count))}
          />
        </View>
        <View className="gap-1.5">
          <GroupHeading>Practice caliper</GroupHeading>
          <Switch
            label="Practice caliper"
            options={[
              { id: 'off', word: 'Put away' },
              { id: 'on', word: 'On the bench' },
            ]}
            value={preferences.practiceCaliper ? 'on' : 'off'}
            onChange={(id) => preferences.setPracticeCaliper(id === 'on')}
          />
          <Text className="font-label text-[13.5px] text-muted">
            It types readings of a few things that lie on the practice bench, as real calipers do.
          </Text>
        </View>
        <View className="gap-1.5">
          <GroupHeading>Light on the bench</GroupHeading>
          <Switch<WantedLight>
            label="Light"
            options={[
              { id: 'bright', word: 'Bright' },
              { id: 'dim', word: 'Dim' },
              { id: 'device', word: 'As this device' },
            ]}
            value={preferences.light}
            onChange={preferences.setLight}
          />
        </View>
        <View className="gap-1.5">
          <GroupHeading>Size of letters</GroupHeading>
          <Switch
            label="Size of letters"
            options={TYPE_SIZES.map((size) => ({ id: String(size), word: `${100 * size} %` }))}
            value={String(preferences.type)}
            onChange={(id) => preferences.setType(TYPE_SIZES.find((size) => String(size) === id) ?? 1)}
          />
        </View>
        <View className="gap-1.5">
          <GroupHeading>The phone is held in the</GroupHeading>
          <Switch
            label="Hand"
            options={[
              { id: 'right', word: 'Right hand' },
              { id: 'left', word: 'Left hand' },
            ]}
            value={preferences.hand}
            onChange={preferences.setHand}
          />
        </View>
        {preferences.hintsSeen.length > 0 ? (
          <View className="items-start">
            <Button label="Show the first hints again" onPress={preferences.forgetHints} />
          </View>
        ) : null}
      </View>
    </Drawer>
  );
}
