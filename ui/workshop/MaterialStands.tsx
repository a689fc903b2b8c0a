import { Text, View } from 'react-native';

import { RESISTANCES, type Grade, type Resistance } from '@core/foundations/fields';
import type { Material } from '@core/record/model';
import { resistancesOf } from '@core/record/workshop';

import { GroupHeading } from '../shared/Heading';
import { Switch } from '../shared/Switch';

const WORDS: Record<Resistance, string> = {
  sun: 'In the sun',
  water: 'In water',
  food: 'Touching food',
  cold: 'In frost',
  knocks: 'Knocks',
  rubs: 'Rubbing',
  steady: 'Steady load',
  strings: 'Stringing',
  lifts: 'Warping',
};
const GRADES: readonly { id: Grade; word: string }[] = [
  { id: 'suited', word: 'Well' },
  { id: 'withCare', word: 'With care' },
  { id: 'unsuited', word: 'Badly' },
];

/** How a material stands what a brief may ask of it, and how it behaves as it is printed: one of three words each. */
export function MaterialStands({
  material,
  value,
  onChange,
}: {
  material: Pick<Material, 'id' | 'family'>;
  /** What was said of it; for the rest what is known of its kind stands there. */
  value: Material['stands'];
  onChange(value: NonNullable<Material['stands']>): void;
}) {
  const stands = resistancesOf({ ...material, ...(value ? { stands: value } : {}) });
  return (
    <View className="gap-3">
      <GroupHeading>How it copes</GroupHeading>
      {RESISTANCES.map((one) => (
        <View key={one} className="gap-1">
          <Text className="font-label text-[14px] text-muted">{WORDS[one]}</Text>
          <Switch<Grade>
            label={WORDS[one]}
            options={GRADES}
            value={stands[one]}
            onChange={(grade) => onChange({ ...value, [one]: grade })}
          />
        </View>
      ))}
    </View>
  );
}
