import { createElement, useEffect, useMemo, useRef, useState } from 'react';
import { View } from 'react-native';

import { showExactly, type LengthUnit } from '@core/foundations/quantity';
import type { Body } from '@core/record/model';

import { useBuiltDraft, withDraft } from '../../inRepair/draft';
import { useRepairContext } from '../../inRepair/useRepairContext';
import { follow } from '../../part/followed';
import { useShow } from '../../preferences/useShow';
import { colours } from '../../theme/colours';
import type { Morph } from '../../solid/protocol';
import { workbench } from '../../solid/useSolid';
import { slideOf } from './nudges';

/** A number stays for so long before its range is built, ms. */
const SETTLED_MS = 300;

/**
 * Moves a number with the thumb; the part goes with it in the same frame, between exact builds of where it is and where it goes, until it is
 * built at the number itself.
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
  const { repair, numbers } = useRepairContext();
  const show = useShow();
  const [middle, setMiddle] = useState(mm);
  const { low, high, step } = useMemo(() => slideOf(middle, unit), [middle, unit]);
  // Typed out of its range: it begins anew from there. What is typed again of one of its ends may be off by its last digit.
  if (mm < low - step / 2 || mm > high + step / 2) setMiddle(mm);
  const [found, setFound] = useState<{ range: string; morph: Morph | null } | null>(null);
  const bodyId = bodyAt(middle).id;
  const range = `${bodyId} ${low} ${middle} ${high}`;
  const morph = found?.range === range ? found.morph : null;
  /** The range whose ends were asked for last: once, however the number goes through it meanwhile. */
  const asked = useRef<string | null>(null);
  const cameFrom = useRef<HTMLElement | null>(null);
  const built = useBuiltDraft();
  const isBuilt = built !== null && draft !== null && JSON.stringify(built) === JSON.stringify(draft);
  // What a person waits for is built first; a number that is still typed has no range yet.
  const isSettled = draft === null || isBuilt;
  useEffect(() => {
    if (!isSettled || asked.current === range) return;
    const timer = setTimeout(() => {
      asked.current = range;
      const take = (ends: Morph | null) => {
        if (asked.current === range) setFound({ range, morph: ends });
      };
      const from = (at: number) => ({ state: withDraft(repair, bodyAt(at)), workshop: numbers.workshop });
      workbench.ask.morph(bodyId, from(middle), from(low), from(high)).then(
        take,
        // Without it the part follows once it is built; what is wrong with the builder is said over the part.
        () => take(null),
      );
    }, SETTLED_MS);
    return () => clearTimeout(timer);
    // eslint-disable-next-line react-hooks/exhaustive-deps -- the range decides; all else stays while the sheet is open
  }, [range, isSettled]);
  useEffect(() => () => follow(null), [range]);
  useEffect(() => {
    // Back where it was kept, there is nothing to be built.
    if (isBuilt || draft === null) follow(null);
  }, [isBuilt, draft]);
  const slide = (to: number) => {
    if (morph)
      follow({
        bodyId,
        morph,
        share: to < middle ? (to - middle) / (middle - low) : (to - middle) / (high - middle),
      });
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
