import { useState } from 'react';
import { Text, View } from 'react-native';

import type { Machine, Trial } from '@core/record/model';
import type { Judged, Proposal } from '@core/fitting/trial';
import {
  causeSentence,
  clearanceSentence,
  CONTRADICTION_SENTENCES,
  proposalReason,
  proposalSentence,
  savingSentence,
} from '@core/reporting/numberWords';

import { useChangeRepair } from '../../api/useRepair';
import { useChangeWorkshop } from '../../api/useWorkshop';
import { useRepairContext } from '../../inRepair/useRepairContext';
import { useShow } from '../../preferences/useShow';
import { Button } from '../../shared/Button';
import { EffectsSheet } from './EffectsSheet';

/** What a trial says of a fit: the clearance, the likely cause, the next numbers, and how this one can be saved. */
export function Meaning({ judged, tag, trial }: { judged: Judged; tag: string | null; trial: Trial }) {
  const { repair, numbers } = useRepairContext();
  const { put } = useChangeRepair(repair);
  const putWorkshop = useChangeWorkshop(numbers.workshop);
  const show = useShow();
  const [shown, setShown] = useState<Machine | null>(null);
  const { result } = judged;
  const clearance = clearanceSentence(judged, show);
  const cause = causeSentence(judged, tag);
  const take = (proposal: Proposal) => {
    if (proposal.kind === 'correction') {
      putWorkshop('machine', proposal.machine, `${proposal.machine.name} has learned. Working sizes follow.`);
    } else if (proposal.kind === 'feel') {
      putWorkshop('fitTable', proposal.table, 'What you mean by it is kept, for all such fits.');
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
      {judged.contradiction ? (
        <Text role="alert" className="font-medium text-[15px] leading-[22px] text-rust">
          {CONTRADICTION_SENTENCES[judged.contradiction]}
        </Text>
      ) : cause ? (
        <Sentence text={cause} />
      ) : null}
      {judged.proposals.map((proposal) => (
        <View key={proposal.kind} className="gap-2 rounded border border-plum bg-plum-soft p-3">
          <Sentence text={proposalSentence(proposal, result.fitName, tag, show)} />
          <View className="flex-row flex-wrap gap-2">
            <Button label="Take it" name={`Take it: ${proposal.kind}`} onPress={() => take(proposal)} />
            {proposal.kind === 'correction' ? (
              <Button label="What else changes" onPress={() => setShown(proposal.machine)} />
            ) : null}
          </View>
        </View>
      ))}
      {saving ? <Sentence text={savingSentence(saving, show)} /> : null}
      {shown ? <EffectsSheet machine={shown} onClose={() => setShown(null)} /> : null}
    </View>
  );
}

const Sentence = ({ text }: { text: string }) => (
  <Text className="font-sans text-[15px] leading-[22px] tabular-nums text-ink">{text}</Text>
);
