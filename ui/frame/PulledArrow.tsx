import { useEffect, useRef, useState } from 'react';
import { Text, View } from 'react-native';

import { typedUnitOf } from '@core/foundations/quantity';
import { numberValue, type Body } from '@core/record/model';
import { withField } from '@core/shaping/recipe';

import { useChangeRepair } from '../api/useRepair';
import { useShownDraft } from '../inRepair/draft';
import { useFollowedNumber } from '../inRepair/useFollowedNumber';
import { useRepairContext } from '../inRepair/useRepairContext';
import type { TakenArrow } from '../part/ArrowHandles';
import { motionOfEnd, pulledMm } from '../part/arrowPull';
import type { Point } from '../part/placeLabels';
import { useShow } from '../preferences/useShow';
import { slideOf } from '../shared/nudges';

/** So much of a size may be pulled either way at once. */
const REACH = 0.5;
/** What was let go of stays as it was pulled until it is built, but no longer than this, ms. */
const MOST_WAIT_MS = 4000;
/** Less than this is a tap, px. */
const PULL_FROM_PX = 4;

/** A size of a step while its arrow is pulled: the part goes with it; what it comes to is kept when it is let go. */
export function PulledArrow({ taken, body, onEnd }: { taken: TakenArrow; body: Body; onEnd(): void }) {
  const { annotation, arrow, from, pointer } = taken;
  const { repair } = useRepairContext();
  const { put } = useChangeRepair(repair);
  const show = useShow();
  const middle = annotation.mm;
  const { low, high, step } = slideOf(middle, typedUnitOf(show.unit), REACH);
  const [mm, setMm] = useState(middle);
  const [isKept, setIsKept] = useState(false);
  // As it was when it was taken hold of, also once it is kept.
  const [before] = useState(body);
  const bodyAt = (at: number): Body => ({
    ...before,
    steps: withField(before.steps, annotation.stepId, annotation.field, numberValue(at)),
  });
  const draft = mm === middle ? null : bodyAt(mm);
  useShownDraft(draft);
  const { morph, isBuilt, moveTo } = useFollowedNumber({
    range: { low, middle, high },
    bodyAt,
    draft,
    waitMs: 0,
  });
  const pulledTo = useRef<Point>(from);
  const reach = () => {
    const share = motionOfEnd(morph, arrow, { middle, high });
    const way = pulledMm(arrow, from, pulledTo.current) / share;
    const to = Math.min(Math.max(middle + Math.round(way / step) * step, low), high);
    moveTo(to);
    setMm(to);
    return to;
  };
  const keep = () => {
    const to =
      Math.hypot(pulledTo.current.x - from.x, pulledTo.current.y - from.y) < PULL_FROM_PX ? middle : reach();
    if (to === middle) {
      onEnd();
      return;
    }
    const index = before.steps.findIndex(({ id }) => id === annotation.stepId);
    put('body', bodyAt(to), `Step ${index + 1}: ${show.length(to)} for ${show.length(middle)}.`);
    setIsKept(true);
  };
  const act = useRef({ reach, keep, onEnd });
  act.current = { reach, keep, onEnd };
  useEffect(() => {
    if (isKept) return;
    const to = (event: PointerEvent) => {
      pulledTo.current = { x: event.clientX, y: event.clientY };
    };
    const isOther = ({ pointerId }: PointerEvent) => pointerId !== pointer;
    const move = (event: PointerEvent) => {
      if (isOther(event)) return;
      to(event);
      act.current.reach();
    };
    const up = (event: PointerEvent) => {
      if (isOther(event)) return;
      to(event);
      act.current.keep();
    };
    const cancel = (event: PointerEvent) => {
      if (!isOther(event)) act.current.onEnd();
    };
    const key = ({ key: name }: KeyboardEvent) => {
      if (name === 'Escape') act.current.onEnd();
    };
    window.addEventListener('pointermove', move);
    window.addEventListener('pointerup', up);
    window.addEventListener('pointercancel', cancel);
    window.addEventListener('keydown', key);
    return () => {
      window.removeEventListener('pointermove', move);
      window.removeEventListener('pointerup', up);
      window.removeEventListener('pointercancel', cancel);
      window.removeEventListener('keydown', key);
    };
  }, [isKept, pointer]);
  // The range may come while the finger holds still.
  useEffect(() => {
    if (morph && !isKept) act.current.reach();
  }, [morph, isKept]);
  useEffect(() => {
    if (!isKept) return;
    if (isBuilt) {
      act.current.onEnd();
      return;
    }
    const timer = setTimeout(() => act.current.onEnd(), MOST_WAIT_MS);
    return () => clearTimeout(timer);
  }, [isKept, isBuilt]);
  return (
    <View className="items-center pb-1.5" role="status">
      <View className="rounded-full border-[1.5px] border-green bg-card px-3 py-1">
        <Text className="font-number text-[19px] tabular-nums text-ink">{show.length(mm)}</Text>
      </View>
    </View>
  );
}
