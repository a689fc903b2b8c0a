import ChevronLeft from 'lucide-react-native/icons/chevron-left';
import ChevronRight from 'lucide-react-native/icons/chevron-right';
import { Text, View } from 'react-native';

import type { Body } from '@core/record/model';
import { menuOf } from '@core/shaping/steps';

import { Button, IconButton } from '../shared/Button';
import { colours } from '../theme/colours';
import { usePartTool } from './partTool';

/** Steps through the making of a part, from its first step to its last. */
export function StageBar({ body }: { body: Body }) {
  const { stage, setStage } = usePartTool();
  const built = body.steps.filter(({ off }) => !off);
  if (!stage) return null;
  const step = built[stage.steps - 1];
  const go = (by: number) =>
    setStage({ bodyId: body.id, steps: Math.max(1, Math.min(built.length, stage.steps + by)) });
  return (
    <View
      role="group"
      aria-label="The making of the part"
      className="absolute inset-x-2 top-2 flex-row items-center gap-1 rounded border border-line bg-card px-1 py-0.5"
    >
      <IconButton label="One step back" disabled={stage.steps <= 1} onPress={() => go(-1)}>
        <ChevronLeft size={22} color={colours.ink} />
      </IconButton>
      <Text role="status" className="min-w-0 flex-1 text-center font-medium text-[14px] text-ink">
        {`After ${stage.steps} of ${built.length}: ${step ? menuOf(step.kind).verb.toLowerCase() : ''}`}
      </Text>
      <IconButton label="One step on" disabled={stage.steps >= built.length} onPress={() => go(1)}>
        <ChevronRight size={22} color={colours.ink} />
      </IconButton>
      <Button label="Whole part" onPress={() => setStage(null)} />
    </View>
  );
}
