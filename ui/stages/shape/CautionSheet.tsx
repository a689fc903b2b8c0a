import { Text, View } from 'react-native';

import { mendsOf, stepsConcerned, type Caution } from '@core/checking/inspect';
import type { Body } from '@core/record/model';
import { cautionSentence, mendWords } from '@core/reporting/wording';

import { newId } from '../../api/newId';
import { useChangeRepair } from '../../api/useRepair';
import { useRepairContext } from '../../inRepair/useRepairContext';
import { usePartTool } from '../../part/partTool';
import { Button } from '../../shared/Button';
import { Sheet } from '../../shared/Sheet';
import { StepSentence } from './StepSentence';

/** Each thing that is worth a look: in words, on the part, with what would mend it, and the steps that it is about. */
export function CautionSheet({
  body,
  cautions,
  onClose,
}: {
  body: Body;
  cautions: readonly Caution[];
  onClose(): void;
}) {
  const { repair } = useRepairContext();
  const { put } = useChangeRepair(repair);
  const { pointAt } = usePartTool();
  const placeOf = placeIn(body);
  return (
    <Sheet title="Worth a look" onClose={onClose}>
      {cautions.map((caution, index) => {
        const words = cautionSentence(caution, placeOf);
        const { where } = caution;
        return (
          <View
            key={`${caution.code}-${index}`}
            role="group"
            aria-label={`Finding ${index + 1}`}
            className="gap-2 border-b border-line pb-3"
          >
            <Text className="font-sans text-[16px] leading-6 text-ink">{words}</Text>
            <View className="flex-row flex-wrap gap-2">
              {where ? (
                <Button
                  label="Show it on the part"
                  onPress={() => {
                    pointAt({ bodyId: body.id, where, words });
                    onClose();
                  }}
                />
              ) : null}
              {mendsOf(caution, body, newId, repair).map(({ act, steps }, way) => {
                const word = mendWords(act);
                return (
                  <Button
                    key={word}
                    tone={index === 0 && way === 0 ? 'primary' : 'plain'}
                    label={word}
                    onPress={() => {
                      put('body', { ...body, steps }, `${word}: done.`);
                      onClose();
                    }}
                  />
                );
              })}
            </View>
            {stepsConcerned(caution, body.steps).map((step) => (
              <View key={step.id} className="flex-row">
                <Text className="w-7 pt-3 font-number text-[14px] text-muted">{placeOf(step.id)}</Text>
                <View className="min-w-0 flex-1">
                  <StepSentence
                    body={body}
                    step={step}
                    index={body.steps.indexOf(step)}
                    outcome={undefined}
                  />
                </View>
              </View>
            ))}
          </View>
        );
      })}
      {cautions.length === 0 ? (
        <Text className="font-sans text-[16px] leading-6 text-ink">Nothing is left to look at.</Text>
      ) : null}
    </Sheet>
  );
}

/** A step's place in a body's recipe, from 1. */
export const placeIn = (body: Pick<Body, 'steps'>) => (id: string) => {
  const index = body.steps.findIndex((step) => step.id === id);
  return index < 0 ? undefined : index + 1;
};
