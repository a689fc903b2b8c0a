import { createElement } from 'react';
import { Text, View } from 'react-native';

import { showLength } from '@core/quantity';

import { colours } from '../theme/colours';
import type { CutOpen } from './useCutOpen';

/** Moves the plane at which the part is cut open, and tells the area of the cut. */
export function CutSlider({ cut }: { cut: CutOpen }) {
  if (!cut.plane) return null;
  const { min, max } = cut.range;
  return (
    <View className="absolute inset-x-0 bottom-12 flex-row items-center gap-3 px-4">
      <Text className="w-[84px] font-number text-[14px] tabular-nums text-ink">
        {showLength(cut.plane.at)}
      </Text>
      {/* The platform's own slider: it has touch, mouse and keys already. */}
      {createElement('input', {
        type: 'range',
        min,
        max,
        step: (max - min) / 200,
        value: cut.plane.at,
        'aria-label': 'Where it is cut open',
        'aria-valuetext': showLength(cut.plane.at),
        onChange: (event: { target: { value: string } }) => cut.moveTo(Number(event.target.value)),
        style: { flex: 1, height: 44, minWidth: 0, accentColor: colours.green.DEFAULT },
      })}
      <Text className="w-[92px] text-right font-label text-[13px] tabular-nums text-muted">
        {cut.areaMm2 === null ? '' : `${cut.areaMm2.toFixed(1)} mm² cut`}
      </Text>
    </View>
  );
}
