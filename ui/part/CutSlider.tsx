import ScanEye from 'lucide-react-native/icons/scan-eye';
import { createElement } from 'react';
import { Pressable, Text, View } from 'react-native';

import { showLength } from '@core/foundations/quantity';

import { IconButton } from '../shared/Button';
import { colours } from '../theme/colours';
import type { CutOpen } from './useCutOpen';

/** Moves the plane at which the part is cut open, and tells the area of the cut; a tap on that asks how strong it is there. */
export function CutSlider({ cut, onFace, onStrength }: { cut: CutOpen; onFace(): void; onStrength(): void }) {
  if (!cut.plane) return null;
  const { min, max } = cut.range;
  // Square to an axis it is a coordinate; otherwise counted from the middle of the part.
  const sign = Math.min(...cut.plane.towards) < -0.999 ? -1 : 1;
  const shown = showLength(cut.isSquare ? sign * cut.plane.at : cut.plane.at - (min + max) / 2);
  return (
    <View className="absolute inset-x-0 bottom-12 flex-row items-center gap-2 px-3">
      <Text className="w-[72px] font-number text-[14px] tabular-nums text-ink">{shown}</Text>
      {/* The platform's own slider: it has touch, mouse and keys already. */}
      {createElement('input', {
        type: 'range',
        min,
        max,
        step: (max - min) / 200,
        value: cut.plane.at,
        'aria-label': 'Where it is cut open',
        'aria-valuetext': shown,
        onChange: (event: { target: { value: string } }) => cut.moveTo(Number(event.target.value)),
        style: { flex: 1, height: 44, minWidth: 0, accentColor: colours.green.DEFAULT },
      })}
      {cut.areaMm2 === null ? (
        <View className="w-[88px]" />
      ) : (
        <Pressable
          role="button"
          accessibilityLabel={`${cut.areaMm2.toFixed(1)} mm² cut. How strong is it here?`}
          onPress={onStrength}
          className="min-h-[44px] w-[88px] items-end justify-center rounded active:bg-green-soft"
        >
          <Text className="font-label text-[13px] tabular-nums text-muted">
            {`${cut.areaMm2.toFixed(1)} mm² cut`}
          </Text>
          <Text className="font-medium text-[13px] text-green">How strong?</Text>
        </Pressable>
      )}
      <IconButton label="Cut perpendicular to the view" onPress={onFace}>
        <ScanEye size={20} color={colours.ink} />
      </IconButton>
    </View>
  );
}
