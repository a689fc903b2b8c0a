import { router, useLocalSearchParams } from 'expo-router';
import { useState } from 'react';
import { Text, View } from 'react-native';

import { sentenceOf } from '@core/reporting/wording';

import { HistoryButtons } from '../../inRepair/HistoryButtons';
import { useRepairContext } from '../../inRepair/useRepairContext';
import { Button } from '../../shared/Button';
import { EmptyState } from '../../shared/EmptyState';
import { PadHost } from '../../shared/pad/PadHost';
import { OutlineEditor } from './OutlineEditor';
import { isPathField } from './naming';
import { useBehind } from './useBehind';
import { useDrawing } from './useDrawing';

/** An outline drawn by hand: curves, what they keep to each other, and sizes, until nothing moves. */
export function OutlineScreen() {
  const { repair } = useRepairContext();
  const {
    body: bodyId,
    step: stepId,
    field = 'outline',
  } = useLocalSearchParams<{
    body: string;
    step: string;
    field?: string;
  }>();
  const body = repair.bodies.find(({ id, removed }) => id === bodyId && !removed);
  const step = body?.steps.find(({ id }) => id === stepId);
  const [otherId, setOtherId] = useState<string | null>(null);
  const behind = useBehind(body?.id, step?.id, field, otherId);
  const drawing = useDrawing(body, step, field, behind?.followed);
  const back = () => router.replace(`/repair/${repair.head.id}/shape`);
  if (!body || !step || !drawing)
    return (
      <View className="p-4">
        <EmptyState
          text="This step has no drawn outline any more."
          action={{ label: 'Back to the recipe', onPress: back }}
        />
      </View>
    );
  if (drawing.unknown)
    return (
      <View className="p-4">
        <EmptyState
          text={`This drawing has no place yet. ${sentenceOf(drawing.unknown)}`}
          action={{ label: 'Back to the recipe', onPress: back }}
        />
      </View>
    );
  return (
    <PadHost>
      <View className="flex-row items-center gap-1 px-3 py-1">
        <Text role="heading" className="min-w-0 flex-1 font-semibold text-[16px] text-ink" numberOfLines={1}>
          {`${isPathField(field) ? 'Path' : 'Outline'} of step ${body.steps.indexOf(step) + 1}`}
        </Text>
        <HistoryButtons body={body} />
        <Button label="Done" tone="primary" onPress={back} />
      </View>
      <OutlineEditor
        drawing={drawing}
        body={body}
        step={step}
        field={field}
        behind={behind}
        seen={{ otherId, show: setOtherId }}
      />
    </PadHost>
  );
}
