import { useState } from 'react';
import { Text, View } from 'react-native';

import type { Trial } from '@core/record/model';
import { GAUGE_STEPS_MM } from '@core/shaping/recipe';
import { askedOf, type TrialSetting } from '@core/fitting/trial';
import { featureWords } from '@core/reporting/wording';

import { useShow } from '../../preferences/useShow';
import { Button } from '../../shared/Button';
import { Field } from '../../shared/Field';
import { GroupHeading, Heading } from '../../shared/Heading';
import { Switch } from '../../shared/Switch';
import { ClearanceRule } from './ClearanceRule';
import { FeelRow } from './FeelRow';
import { FirstLayerNote } from './FirstLayerNote';
import { Meaning } from './Meaning';
import { MeasureSheet } from './MeasureSheet';
import { Misplaced } from './Misplaced';
import { Remedies } from './Remedies';
import { useResult } from './useResult';

/** One fit of a trial: how it went, what it measures, what that means, and the next number. */
export function ResultCard({
  trial,
  index,
  setting,
}: {
  trial: Trial;
  index: number;
  setting: TrialSetting;
}) {
  const show = useShow();
  const [measuring, setMeasuring] = useState(false);
  const [note, setNote] = useState<string | null>(null);
  const { result, judged, tag, made, isRow, practice, change, leaveOut, move } = useResult(
    trial,
    index,
    setting,
  );
  return (
    <View className="gap-3 rounded-lg border border-line bg-card p-4">
      <View>
        <Heading>{result.fitName}</Heading>
        <Text className="font-label text-[13.5px] tabular-nums text-muted">
          {result.ofSize
            ? `A critical size${tag ? `, ${tag}` : ''}. In the model ${show.length(askedOf(result))}.`
            : `${featureWords(result.feature).phrase}${tag ? `: ${tag}` : ''}. In the model ${show.length(askedOf(result))}.`}
        </Text>
      </View>
      {isRow ? (
        <View className="gap-1.5">
          <GroupHeading>Which place felt right?</GroupHeading>
          <Switch
            label={`Which place felt right: ${result.fitName}`}
            options={GAUGE_STEPS_MM.map((mm) => ({
              id: mm.toFixed(1),
              word: mm === 0 ? '0' : show.signed(mm),
              spoken:
                mm === 0 ? 'the middle' : `${Math.abs(mm).toFixed(1)} mm ${mm > 0 ? 'looser' : 'tighter'}`,
            }))}
            value={result.looserMm === null ? null : result.looserMm.toFixed(1)}
            // Another place has another size.
            onChange={(id) => change({ looserMm: Number(id), made: [] })}
          />
        </View>
      ) : result.ofSize ? null : (
        <FeelRow name={result.fitName} value={result.verdict} onChange={(verdict) => change({ verdict })} />
      )}
      {made === null || result.ofSize ? null : <ClearanceRule judged={judged} />}
      <View className="flex-row items-center gap-3">
        <Button
          label={made === null ? 'Measure what came out' : 'Measure again'}
          name={`${made === null ? 'Measure what came out' : 'Measure again'}: ${result.fitName}`}
          disabled={isRow && result.looserMm === null}
          onPress={() => setMeasuring(true)}
        />
        {made === null ? null : (
          <Text className="flex-1 font-number text-[20px] tabular-nums text-brass">
            {show.number(made)}
            <Text className="font-label text-[13.5px] text-muted">
              {`  of ${result.made.length} ${result.made.length === 1 ? 'reading' : 'readings'}`}
            </Text>
          </Text>
        )}
      </View>
      <FirstLayerNote result={result} />
      <Meaning judged={judged} tag={tag} trial={trial} />
      {isRow ? null : <Misplaced trial={trial} result={result} onChange={move} />}
      <Remedies result={result} onChange={change} />
      <Field
        label="A note"
        maxLength={200}
        value={note ?? result.note}
        onChangeText={setNote}
        onBlur={() => {
          if (note !== null && note !== result.note) change({ note });
          setNote(null);
        }}
      />
      {made === null && result.looserMm === null ? null : (
        <View className="items-start gap-1">
          {result.leftOut === undefined ? null : (
            <Text className="font-medium text-[15px] leading-6 text-rust">
              {`Nothing is learned from this one: ${result.leftOut}.`}
            </Text>
          )}
          <Button
            tone="quiet"
            label={result.leftOut === undefined ? 'Do not learn from this one' : 'Learn from this one again'}
            name={`${result.leftOut === undefined ? 'Do not learn from' : 'Learn again from'} ${result.fitName}`}
            onPress={leaveOut}
          />
        </View>
      )}
      {measuring ? (
        <MeasureSheet
          result={result}
          practice={practice}
          onChange={change}
          onClose={() => setMeasuring(false)}
        />
      ) : null}
    </View>
  );
}
