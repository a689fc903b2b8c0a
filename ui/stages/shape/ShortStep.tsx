import { Pressable, Text } from 'react-native';

import type { Body, Step } from '@core/record/model';
import { spokenSentence } from '@core/shaping/sentence';
import { stepSentence } from '@core/shaping/steps';

import { useRepairContext } from '../../inRepair/useRepairContext';
import { useShownNumber } from '../../inRepair/useShownNumber';

/** A step on one line, as much of it as there is room for; a tap takes it in hand, which shows it whole. */
export function ShortStep({
  body,
  step,
  index,
  onPress,
}: {
  body: Body;
  step: Step;
  index: number;
  onPress(): void;
}) {
  const { repair, numbers } = useRepairContext();
  const shown = useShownNumber(numbers);
  const layouts = [...numbers.layouts.values()].map(({ layout }) => layout);
  const bodies = repair.bodies.filter(({ id, removed }) => !removed && id !== body.id);
  const sentence = spokenSentence(
    stepSentence(step, body.steps, { layouts, bodies, sides: body.sides }),
    shown,
  );
  return (
    <Pressable
      role="button"
      accessibilityLabel={`Step ${index + 1}: ${sentence}${step.off ? ', switched off' : ''}`}
      onPress={onPress}
      className="min-h-[44px] w-full justify-center border-b border-line pr-3 active:bg-green-soft"
    >
      <Text numberOfLines={1} className={`font-sans text-[16px] text-ink ${step.off ? 'opacity-60' : ''}`}>
        {sentence}
      </Text>
    </Pressable>
  );
}
