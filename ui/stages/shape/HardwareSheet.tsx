import { useState } from 'react';
import { View } from 'react-native';

import { patchForHardware } from '@core/shaping/recipe';
import { HARDWARE_HOLES, type HardwareHole } from '@core/foundations/standards';

import { useShow } from '../../preferences/useShow';
import { ChoiceRow } from '../../shared/ChoiceRow';
import { Field } from '../../shared/Field';
import { Sheet } from '../../shared/Sheet';

/** More than these are found by typing. */
const MOST_SHOWN = 40;

/** Makes a hole the one for a screw, a nut or a bearing of the tables. */
export function HardwareSheet({
  onTake,
  onClose,
}: {
  onTake(patch: Record<string, unknown>, name: string): void;
  onClose(): void;
}) {
  const show = useShow();
  const [search, setSearch] = useState('');
  const words = search.toLowerCase().split(/\s+/).filter(Boolean);
  const found = HARDWARE_HOLES.filter(({ name }) => words.every((word) => name.toLowerCase().includes(word)));
  const sizes = ({ diameterMm, head }: HardwareHole) => {
    const hole = `hole ${show.number(diameterMm)}`;
    if (head.kind === 'none') return hole;
    const across = head.kind === 'nut' ? head.acrossMm : head.diameterMm;
    return `${hole}, head ${show.number(across)}`;
  };
  return (
    <Sheet title="What goes in the hole?" onClose={onClose}>
      <Field
        label="Find: M4, nut, countersunk, bearing 8"
        value={search}
        onChangeText={setSearch}
        autoCorrect={false}
      />
      <View className="gap-1.5">
        {found.slice(0, MOST_SHOWN).map((hole) => (
          <ChoiceRow
            key={hole.name}
            title={hole.name}
            note={`${sizes(hole)}; ${hole.source}`}
            onPress={() => onTake(patchForHardware(hole), hole.name)}
          />
        ))}
      </View>
    </Sheet>
  );
}
