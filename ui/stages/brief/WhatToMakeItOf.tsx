import { useState } from 'react';
import { Text, View } from 'react-native';

import { isBetterBought, suitedMaterials, trialMaterial } from '@core/measuring/brief';
import type { Grade } from '@core/foundations/fields';
import type { Brief } from '@core/foundations/fields';
import { reasonsSentence, trialMaterialSentence } from '@core/reporting/wording';
import { materialIn, materialsIn } from '@core/record/workshop';

import { useRepairContext } from '../../inRepair/useRepairContext';

import { Button } from '../../shared/Button';
import { ChoiceRow } from '../../shared/ChoiceRow';
import { Field, Wrong } from '../../shared/Field';
import { GroupHeading } from '../../shared/Heading';

const GRADE_WORDS: Record<Grade, string> = { suited: 'suited', withCare: 'with care', unsuited: 'unsuited' };
const SHOWN = 5;
const [MOST_COST, MOST_DAYS] = [1_000_000, 1000];

/** A number that was typed; null for nothing, undefined for what is none. */
function amountIn(text: string, most: number): number | null | undefined {
  if (text.trim() === '') return null;
  const value = Number(text.trim().replace(',', '.'));
  return value >= 0 && value <= most ? value : undefined;
}

/** Materials for the spare, with reasons, and whether a bought one is the better answer. */
export function WhatToMakeItOf({
  brief,
  materialId,
  onMaterial,
  onChange,
}: {
  brief: Brief;
  materialId: string;
  onMaterial(id: string): void;
  onChange(fields: Partial<Brief>): void;
}) {
  const [all, setAll] = useState(false);
  const [bought, setBought] = useState({
    cost: brief.bought.cost === null ? '' : String(brief.bought.cost),
    days: brief.bought.days === null ? '' : String(brief.bought.days),
  });
  const [wrong, setWrong] = useState(false);
  const { workshop } = useRepairContext().numbers;
  const suited = suitedMaterials(brief, materialsIn(workshop));
  const trial = trialMaterial(materialId, brief, workshop);
  const chosen = suited.find(({ material }) => material.id === materialId);
  // The chosen one is always among those that are shown.
  const few = suited.filter((one, index) => index < SHOWN || one === chosen);
  const keep = () => {
    const [cost, days] = [amountIn(bought.cost, MOST_COST), amountIn(bought.days, MOST_DAYS)];
    const wrong = cost === undefined || days === undefined;
    setWrong(wrong);
    if (!wrong) onChange({ bought: { cost, days } });
  };
  return (
    <>
      <View className="gap-1.5">
        <GroupHeading>What to make it of</GroupHeading>
        {chosen && chosen.grade === 'unsuited' ? (
          <Text role="alert" className="font-medium text-[15px] leading-6 text-rust">
            {`${materialIn(workshop, materialId).name} is chosen and unsuited. ${reasonsSentence(chosen.reasons)}`}
          </Text>
        ) : null}
        {(all ? suited : few).map(({ material, grade, reasons }) => (
          <ChoiceRow
            key={material.id}
            title={`${material.name}, ${GRADE_WORDS[grade]}`}
            note={reasonsSentence(reasons) || undefined}
            chosen={material.id === materialId}
            onPress={() => onMaterial(material.id)}
          />
        ))}
        {trial ? (
          <Text className="font-sans text-[15px] leading-[22px] text-ink">
            {trialMaterialSentence(trial.name, materialIn(workshop, materialId).name)}
          </Text>
        ) : null}
        {all ? null : (
          <View className="items-start">
            <Button tone="quiet" label="All materials" onPress={() => setAll(true)} />
          </View>
        )}
      </View>
      <View className="gap-1.5">
        <GroupHeading>A bought one</GroupHeading>
        <View className="flex-row gap-2">
          <View className="flex-1">
            <Field
              label="Costs"
              inputMode="decimal"
              pad="plain"
              value={bought.cost}
              onChangeText={(cost) => setBought({ ...bought, cost })}
              onBlur={keep}
            />
          </View>
          <View className="flex-1">
            <Field
              label="Takes, days"
              inputMode="decimal"
              pad="plain"
              value={bought.days}
              onChangeText={(days) => setBought({ ...bought, days })}
              onBlur={keep}
            />
          </View>
        </View>
        {wrong ? (
          <Wrong
            text={`Write the cost as a number up to ${MOST_COST}, and the days as one up to ${MOST_DAYS}: 4.50. The last ones that could be read are kept.`}
          />
        ) : null}
        {isBetterBought(brief) ? (
          <Text role="status" className="font-medium text-[15px] leading-6 text-moss">
            Buy it: that is quicker than two tries, and costs little more than their plastic.
          </Text>
        ) : null}
      </View>
    </>
  );
}
