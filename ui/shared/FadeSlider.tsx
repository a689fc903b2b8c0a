import { createElement } from 'react';
import { Text, View } from 'react-native';

import { colours } from '../theme/colours';

/** From one thing to another that lies over it, 0 to 100. */
export function FadeSlider({
  from,
  to,
  label,
  value,
  onChange,
}: {
  from: string;
  to: string;
  /** For whom can't see it. */
  label: string;
  value: number;
  onChange(value: number): void;
}) {
  return (
    <View className="flex-row items-center gap-3">
      <Text className="font-label text-[14px] text-muted">{from}</Text>
      <View className="h-11 flex-1 justify-center">
        {createElement('input', {
          type: 'range',
          min: 0,
          max: 100,
          step: 5,
          value,
          'aria-label': label,
          onChange: (event: { target: { value: string } }) => onChange(Number(event.target.value)),
          style: { width: '100%', height: 44, margin: 0, accentColor: colours.green.DEFAULT },
        })}
      </View>
      <Text className="font-label text-[14px] text-muted">{to}</Text>
    </View>
  );
}
