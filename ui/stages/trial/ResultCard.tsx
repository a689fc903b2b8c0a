import { useState } from 'react';
import { Text, View } from 'react-native';

import { featureOf } from '@core/fit';
import { Remedy, type Trial, type TrialResult } from '@core/model';
import { GAUGE_STEPS_MM } from '@core/recipe';
import { askedOf, judge, madeOf, type Judged, type Proposal, type TrialSetting } from '@core/trial';
import {
  causeSentence,
  clearanceSentence,
  proposalReason,
  proposalSentence,
  REMEDY_WORDS,
  savingSentence,
} from '@core/wording';

import { useChangeRepair } from '../../api/useRepair';
import { useChangeWorkshop } from '../../api/useWorkshop';
import { useRepairContext } from '../../inRepair/useRepairContext';
import { placeId } from '../../jobs/askedSizes';
import { useShow } from '../../preferences/useShow';
import { Button } from '../../shared/Button';
import { Field } from '../../shared/Field';
import { GroupHeading, Heading } from '../../shared/Heading';
import { Switch } from '../../shared/Switch';
import { ClearanceRule } from './ClearanceRule';
import { FeelRow } from './FeelRow';
import { MeasureSheet } from './MeasureSheet';

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
  const { repair, numbers } = useRepairContext();
  const { put } = useChangeRepair(repair);
  const show = useShow();
  const [measuring, setMeasuring] = useState(false);
  const [note, setNote] = useState<string | null>(null);
  const result = trial.results[index]!;
  const change = (fields: Partial<TrialResult>) =>
    put('trial', {
      ...trial,
      results: trial.results.map((one, other) => (other === index ? { ...one, ...fields } : one)),
    });
  const judged = judge(trial, result, setting);
  const sizeId = repair.fits.find(({ id }) => id === result.fitId)?.counterpartSizeId;
  const tag = (sizeId && numbers.sizes.get(sizeId)?.size.tag) ?? null;
  const made = madeOf(result);
  const isRow = trial.of === 'gaugeRow';
  const practice = trial.madePartId
    ? `${trial.madePartId}/${isRow ? placeId(result.fitId, result.looserMm ?? 0) : result.fitId}`
    : null;
  return (
    <View className="gap-3 rounded-lg border border-line bg-card p-4">
      <View>
        <Heading>{result.fitName}</Heading>
        <Text className="font-label text-[13.5px] tabular-nums text-muted">
          {`${featureOf(result.feature).phrase}${tag ? `: ${tag}` : ''}. In the model ${show.length(askedOf(result))}.`}
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
      ) : (
        <FeelRow name={result.fitName} value={result.verdict} onChange={(verdict) => change({ verdict })} />
      )}
      {made === null ? null : <ClearanceRule judged={judged} />}
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
      <Meaning judged={judged} tag={tag} trial={trial} />
      <View className="gap-1.5">
        <GroupHeading>What was done to it</GroupHeading>
        <Switch
          label={`What was done to it: ${result.fitName}`}
          options={[
            { id: 'nothing', word: 'Nothing' },
            ...Remedy.options.map((id) => ({ id, word: REMEDY_WORDS[id] })),
          ]}
          value={result.done[0]?.what ?? 'nothing'}
          onChange={(id) => change({ done: id === 'nothing' ? [] : [{ what: Remedy.parse(id), mm: null }] })}
        />
      </View>
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
      {measuring ? (
        <MeasureSheet
          result={result}
          practice={practice}
          onChange={(readings) => change({ made: readings })}
          onClose={() => setMeasuring(false)}
        />
      ) : null}
    </View>
  );
}

/** What a trial says of a fit: the clearance, the likely cause, the next numbers, and how this one can be saved. */
function Meaning({ judged, tag, trial }: { judged: Judged; tag: string | null; trial: Trial }) {
  const { repair, numbers } = useRepairContext();
  const { put } = useChangeRepair(repair);
  const putWorkshop = useChangeWorkshop(numbers.workshop);
  const show = useShow();
  const { result } = judged;
  const clearance = clearanceSentence(judged, show);
  const cause = causeSentence(judged, tag);
  const take = (proposal: Proposal) => {
    if (proposal.kind === 'correction') {
      putWorkshop('machine', proposal.machine, `${proposal.machine.name} has learned. Working sizes follow.`);
    } else {
      put('fit', proposal.fit, `${proposal.fit.name} has another clearance.`);
    }
    const reason = proposalReason(proposal, result.fitName, show).slice(0, 200);
    if (!trial.taken.includes(reason)) put('trial', { ...trial, taken: [...trial.taken, reason] });
  };
  const saving = judged.saving;
  if (!clearance && !cause && judged.proposals.length === 0 && !saving) return null;
  return (
    <View role="group" aria-label={`What it means: ${result.fitName}`} className="gap-2">
      {clearance ? <Sentence text={clearance} /> : null}
      {cause ? <Sentence text={cause} /> : null}
      {judged.proposals.map((proposal) => (
        <View key={proposal.kind} className="gap-2 rounded border border-plum bg-plum-soft p-3">
          <Sentence text={proposalSentence(proposal, result.fitName, tag, show)} />
          <View className="items-start">
            <Button label="Take it" name={`Take it: ${proposal.kind}`} onPress={() => take(proposal)} />
          </View>
        </View>
      ))}
      {saving ? <Sentence text={savingSentence(saving, show)} /> : null}
    </View>
  );
}

const Sentence = ({ text }: { text: string }) => (
  <Text className="font-sans text-[15px] leading-[22px] tabular-nums text-ink">{text}</Text>
);
