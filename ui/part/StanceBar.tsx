import Ghost from 'lucide-react-native/icons/ghost';
import Ruler from 'lucide-react-native/icons/ruler';
import Slice from 'lucide-react-native/icons/slice';
import StepForward from 'lucide-react-native/icons/step-forward';
import { ScrollView, View } from 'react-native';

import type { SideNames } from '@core/record/model';

import { PartToggle } from './PartToggle';
import { STANCE_ORDER, stanceName, type Stance } from './stances';

/** Something that is on or off. */
interface Switched {
  on: boolean;
  onPress(): void;
}

/** At the foot of the picture: how the part stands, and what is done with it. What there is nothing for is null. */
export function StanceBar({
  stance,
  onStance,
  sides,
  short,
  ghost,
  cut,
  measure,
  making,
}: {
  stance: Stance | null;
  onStance(stance: Stance): void;
  /** What the sides of the part are called. */
  sides: SideNames | undefined;
  /** There is little room: signs instead of words. */
  short: boolean;
  ghost: Switched | null;
  cut: Switched;
  measure: Switched;
  making: Switched | null;
}) {
  return (
    <View className="absolute inset-x-0 bottom-0">
      <ScrollView
        horizontal
        showsHorizontalScrollIndicator={false}
        contentContainerClassName={`min-w-full justify-between gap-1 px-1.5 pb-1 ${short ? '' : 'lg:gap-1.5 lg:px-3 lg:pb-2'}`}
      >
        <View role="group" aria-label="Stance" className={`flex-row gap-1 ${short ? '' : 'lg:gap-1.5'}`}>
          {STANCE_ORDER.map((id) => (
            <PartToggle
              key={id}
              label={stanceName(id, sides)}
              on={stance === id}
              onPress={() => onStance(id)}
              short={short}
              kind="choice"
            />
          ))}
        </View>
        <View className={`flex-row ${short ? '' : 'lg:gap-1.5'}`}>
          {ghost ? <PartToggle label="Counterpart" Icon={Ghost} short={short} {...ghost} /> : null}
          <PartToggle label="Cut open" Icon={Slice} short={short} {...cut} />
          <PartToggle label="Measure" Icon={Ruler} short={short} {...measure} />
          {making ? <PartToggle label="Making" Icon={StepForward} short={short} {...making} /> : null}
        </View>
      </ScrollView>
    </View>
  );
}
