import { createElement, useMemo, useRef, useState } from 'react';
import { View } from 'react-native';

import { showExactly, type LengthUnit } from '@core/foundations/quantity';
import type { Body } from '@core/record/model';

import { useFollowedNumber } from '../inRepair/useFollowedNumber';
import { useShow } from '../preferences/useShow';
import { colours } from '../theme/colours';
import { slideOf } from '../shared/nudges';

/** A number stays for so long before its range is built, ms. */
const SETTLED_MS = 300;

/**
 * Moves a number with the thumb; the part goes with it.
 *
 * @param mm where the number is now; where it stands when the slider comes is the middle of its range.
 * @param bodyAt the body as it is at a number.
 */
export function NumberSlider({
  mm,
  unit,
  bodyAt,
  draft,
  onSlide,
}: {
  mm: number;
  unit: LengthUnit;
  bodyAt(mm: number): Body;
  draft: Body | null;
  onSlide(mm: number): void;
}) {
  const show = useShow();
  const [middle, setMiddle] = useState(mm);
  const { low, high, step } = useMemo(() => slideOf(middle, unit), [middle, unit]);
  // Typed out of its range: it begins anew from there. What is typed again of one of its ends may be off by its last digit.
  if (mm < low - step / 2 || mm > high + step / 2) setMiddle(mm);
  const { moveTo } = useFollowedNumber({ range: { low, middle, high }, bodyAt, draft, waitMs: SETTLED_MS });
  const cameFrom = useRef<HTMLElement | null>(null);
  const slide = (to: number) => {
    moveTo(to);
    onSlide(to);
  };
  return (
    <View className="h-11 justify-center px-1">
      {/* The platform's own slider: it has touch, mouse and keys already. */}
      {createElement('input', {
        type: 'range',
        min: low,
        max: high,
        step: 'any',
        value: mm,
        'aria-label': 'Slide the number',
        'aria-valuetext': showExactly(mm, 'length', show.unit),
        onChange: (event: { target: { value: string } }) => {
          const at = Number(event.target.value);
          // Whole steps from where it was, so that its middle can be found again; its ends are its ends.
          const stopped = middle + Math.round((at - middle) / step) * step;
          slide(Math.min(Math.max(stopped, low), high));
        },
        onFocus: ({ relatedTarget }: { relatedTarget: unknown }) => {
          cameFrom.current = relatedTarget instanceof HTMLElement ? relatedTarget : null;
        },
        // The field keeps the keys; from a keyboard the slider keeps its own.
        onPointerUp: () => cameFrom.current?.focus(),
        style: { width: '100%', height: 44, margin: 0, accentColor: colours.green.DEFAULT },
      })}
    </View>
  );
}
