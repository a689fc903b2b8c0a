import { useState } from 'react';
import { Pressable, Text, View } from 'react-native';

import { cautionSentence, findingSentence } from '@core/reporting/wording';
import { materialIn } from '@core/record/workshop';

import { useBuiltDraft } from '../../inRepair/draft';
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
  // While something is tried, these are the figures of what is tried.
  const isDraft = useBuiltDraft() !== null;
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
    <View className="gap-2 border-t border-line bg-paper px-4 py-1.5">
      {problems.map((finding) => (
        <Text key={finding.code} role="alert" className="font-medium text-[14px] text-rust">
          {findingSentence(finding)}
        </Text>
      ))}
      {open && recipe ? (
        <CautionSheet body={recipe} cautions={cautions} onClose={() => setOpen(false)} />
      ) : null}
      <View className="flex-row flex-wrap items-center gap-x-3 gap-y-1.5">
        {figures ? (
          <View className="shrink grow basis-[110px]" role="group" aria-label="Findings">
            <Text className="font-number text-half-[15px] tabular-nums text-ink">
              {isDraft ? 'If kept: ' : ''}
              <Text className={sound ? 'text-moss' : 'text-rust'}>{solidWords(body)}</Text>
              {` · ${figures.massG.toFixed(1)} g ${material}`}
            </Text>
            <Text className="font-label text-half-[13.5px] tabular-nums text-muted">
              {`${figures.bboxMm.map((mm) => mm.toFixed(1)).join(' × ')} mm outside`}
            </Text>
          </View>
        ) : (
          <Text className="shrink grow basis-[110px] font-label text-[14px] text-muted">
            {solid.unchecked.some((other) => other.bodyId === bodyId)
              ? 'Not checked yet'
              : 'Nothing built yet'}
          </Text>
        )}
        {first && recipe ? (
          <Pressable
            accessibilityRole="button"
            accessibilityLabel={`${cautions.length} worth a look`}
            onPress={() => setOpen(true)}
            className="min-h-[44px] justify-center rounded border border-brass bg-brass-soft px-2.5 active:opacity-80"
          >
            <Text numberOfLines={1} className="font-semibold text-[14px] text-brass">
              {`Look${cautions.length > 1 ? ` (${cautions.length})` : ''}`}
            </Text>
            {/* Said once when it is found; shown in the sheet. */}
            <Text role="status" className="sr-only">
              {cautionSentence(first, placeIn(recipe))}
            </Text>
          </Pressable>
        ) : null}
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
