import { useState } from 'react';
import { Pressable, Text, View } from 'react-native';

import { cautionSentence, findingSentence } from '@core/reporting/wording';
import { materialIn } from '@core/record/workshop';

import { useRepairContext } from '../../inRepair/useRepairContext';
import { useSolidView } from '../../inRepair/useSolidView';
import type { ShownBody } from '../../solid/useSolid';
import { CautionSheet, placeIn } from './CautionSheet';
import { useBetween } from './useBetween';

/** What is found of a body: closed or not, weight, outside measures; and the main action of the stage. */
export function FindingsBar({ bodyId, action }: { bodyId: string; action: React.ReactNode }) {
  const { repair, numbers } = useRepairContext();
  const solid = useSolidView();
  const body = solid.bodies.find((other) => other.bodyId === bodyId);
  const figures = body?.figures;
  const between = useBetween(bodyId);
  const [open, setOpen] = useState(false);
  const recipe = repair.bodies.find(({ id }) => id === bodyId);
  // While a step fails, what is said of the part before it would only distract.
  const cautions = body?.outOfDate ? [] : [...between, ...(body?.cautions ?? [])];
  const [first] = cautions;
  const material = materialIn(numbers.workshop, repair.head.materialId).name;
  const problems = (body?.findings ?? []).filter(
    (finding) => finding.code !== 'body.empty' && finding.code !== 'body.stepFailed',
  );
  const sound = figures?.closed && !body?.outOfDate;
  return (
    <View className="gap-2 border-t border-line bg-paper px-4 py-2">
      {problems.map((finding) => (
        <Text key={finding.code} role="alert" className="font-medium text-[14px] text-rust">
          {findingSentence(finding)}
        </Text>
      ))}
      {first && recipe ? (
        <Pressable
          accessibilityRole="button"
          accessibilityLabel={`${cautions.length} worth a look`}
          onPress={() => setOpen(true)}
          className="min-h-[44px] flex-row items-center gap-3 rounded active:bg-green-soft"
        >
          <Text
            role="status"
            numberOfLines={2}
            className="min-w-0 flex-1 font-medium text-[13.5px] leading-5 text-brass"
          >
            {cautionSentence(first, placeIn(recipe))}
          </Text>
          <View className="min-h-[32px] min-w-[44px] items-center justify-center rounded border border-rule bg-card px-2">
            <Text className="font-number text-[14px] text-ink">{`Look${cautions.length > 1 ? ` (${cautions.length})` : ''}`}</Text>
          </View>
        </Pressable>
      ) : null}
      {open && recipe ? (
        <CautionSheet body={recipe} cautions={cautions} onClose={() => setOpen(false)} />
      ) : null}
      <View className="flex-row items-center gap-3">
        {figures ? (
          <View className="flex-1" role="group" aria-label="Findings">
            <Text className="font-number text-[15px] tabular-nums text-ink">
              <Text className={sound ? 'text-moss' : 'text-rust'}>{solidWords(body)}</Text>
              {` · ${figures.massG.toFixed(1)} g ${material}`}
            </Text>
            <Text className="font-label text-[13.5px] tabular-nums text-muted">
              {`${figures.bboxMm.map((mm) => mm.toFixed(1)).join(' × ')} mm outside`}
            </Text>
          </View>
        ) : (
          <Text className="flex-1 font-label text-[14px] text-muted">
            {solid.unchecked.some((other) => other.bodyId === bodyId)
              ? 'Not checked yet'
              : 'Nothing built yet'}
          </Text>
        )}
        {action}
      </View>
    </View>
  );
}

function solidWords({ figures, outOfDate }: ShownBody): string {
  if (!figures || outOfDate) return 'Out of date';
  if (!figures.closed) return 'Not closed';
  return `Closed, ${figures.pieces} ${figures.pieces === 1 ? 'piece' : 'pieces'}`;
}
