import { Text, View } from 'react-native';

import { counterpartOf, featureOf, isRound, type EvaluatedFit, type FitChance } from '@core/fitting/fit';
import type { BedDirection } from '@core/record/model';
import { gaugeRow, hasGaugeRow } from '@core/shaping/recipe';
import { chanceWords, sentenceOf } from '@core/reporting/wording';
import {
  atBestSentence,
  doubtSentence,
  widenedSentence,
  wishWords,
  workingSizeName,
} from '@core/reporting/numberWords';
import { featureWords } from '@core/reporting/wording';
import { machineIn } from '@core/record/workshop';

import { newId } from '../../api/newId';
import { useNotices } from '../../api/notices';
import { useChangeRepair } from '../../api/useRepair';
import { useRepairContext } from '../../inRepair/useRepairContext';
import { useShow } from '../../preferences/useShow';
import { Button } from '../../shared/Button';
import { Wrong } from '../../shared/Field';
import { GroupHeading, Heading } from '../../shared/Heading';
import { Switch } from '../../shared/Switch';
import { TrailTable } from '../../shared/TrailTable';
import { FitBandsFigure } from './FitBandsFigure';
import { FitClassChoice } from './FitClassChoice';
import { IsoLimits } from './IsoLimits';
import { Mates } from './Mates';
import { OwnClearance } from './OwnClearance';
import { TestPiece } from './TestPiece';

/** One fit: how freely, the two bands to scale, the trail of the working size, and the chance that it goes. */
export function FitCard({ fit, worked, chance }: EvaluatedFit) {
  const { repair, numbers } = useRepairContext();
  const { put } = useChangeRepair(repair);
  const feature = featureOf(fit.feature);
  const { phrase, noun } = featureWords(fit.feature);
  const size = numbers.sizes.get(fit.counterpartSizeId)?.size;
  return (
    <View className="gap-3 rounded-lg border border-line bg-card p-4">
      <View>
        <Heading>{fit.name}</Heading>
        <Text className="font-label text-[13.5px] text-muted">
          {`${phrase}: ${size?.tag ?? '?'} ${size?.name ?? ''}`}
        </Text>
      </View>
      {chance ? <FitBandsFigure chance={chance} noun={noun} inside={feature.inside} /> : null}
      <View className="gap-1.5">
        <GroupHeading>{feature.inside ? 'How should it go on?' : 'How should it go in?'}</GroupHeading>
        <FitClassChoice
          fit={fit}
          diameterMm={worked.ok ? counterpartOf(worked.trail) : null}
          onChange={(fitClass) => put('fit', { ...fit, fitClass, ownClearanceMm: null, iso: null })}
        />
      </View>
      {worked.ok ? (
        <>
          <TrailTable trail={worked.trail} resultName={workingSizeName(fit)} />
          {chance ? <ChanceWords fit={fit} chance={chance} tag={worked.trail.tag} /> : null}
        </>
      ) : worked.fault ? (
        <Wrong text={sentenceOf(worked.fault)} />
      ) : (
        <Text className="font-medium text-[15px] leading-6 text-rust">
          {`Take size ${worked.tag} (${worked.name}) first; the working size follows from it.`}
        </Text>
      )}
      <Mates fit={fit} chance={chance} />
      <OwnClearance
        key={`${fit.ownClearanceMm}`}
        fit={fit}
        onChange={(ownClearanceMm) => put('fit', { ...fit, ownClearanceMm, iso: null })}
      />
      <IsoLimits
        fit={fit}
        nominalMm={worked.ok ? counterpartOf(worked.trail) : null}
        onChange={(iso) => put('fit', { ...fit, iso, ownClearanceMm: null })}
      />
      <OnBed fit={fit} />
      {worked.ok ? <TestPiece fit={fit} /> : null}
      {worked.ok && hasGaugeRow(fit) ? (
        <GaugeRow fit={fit} workingMm={worked.trail.working} tag={worked.trail.tag} />
      ) : null}
      <View className="items-start">
        <Button
          tone="quiet"
          label="Delete this fit"
          onPress={() => put('fit', { ...fit, removed: true }, `Fit “${fit.name}” deleted.`)}
        />
      </View>
    </View>
  );
}

/** The direction of the bed along which a fit lies: printers may scale one otherwise than the other. */
function OnBed({ fit }: { fit: EvaluatedFit['fit'] }) {
  const { repair, numbers } = useRepairContext();
  const { put } = useChangeRepair(repair);
  const { process } = machineIn(numbers.workshop, repair.head.machineId);
  const isOnBed = featureOf(fit.feature).kind !== 'height' && !isRound(fit.feature);
  if (!isOnBed || (process !== 'printing' && process !== 'resin')) return null;
  const { along, ...rest } = fit;
  return (
    <View className="gap-1.5">
      <GroupHeading>Along which direction of the bed?</GroupHeading>
      <Switch<BedDirection | 'either'>
        label={`Direction on the bed: ${fit.name}`}
        options={[
          { id: 'either', word: 'Not known' },
          { id: 'x', word: 'Left to right' },
          { id: 'y', word: 'Front to back' },
        ]}
        value={along ?? 'either'}
        onChange={(direction) => put('fit', direction === 'either' ? rest : { ...fit, along: direction })}
      />
    </View>
  );
}

/** Lays out a gauge row: to find the class by feel before the spare is made. */
function GaugeRow({ fit, workingMm, tag }: { fit: EvaluatedFit['fit']; workingMm: number; tag: string }) {
  const { repair } = useRepairContext();
  const { put } = useChangeRepair(repair);
  const { say } = useNotices();
  const add = () => {
    const body = gaugeRow(fit, workingMm, tag, newId);
    if (!body) {
      say({ tone: 'wrong', text: 'This is too small for a gauge row: its tightest place would be zero.' });
      return;
    }
    put('body', body, `${body.name}: find it with the spares, under Shape and Make.`);
  };
  return (
    <View className="gap-1">
      <Button label="Make a gauge row" onPress={add} />
      <Text className="font-label text-[13.5px] leading-5 text-muted">
        A small plate with nine places from 0.3 tighter to 0.5 looser than the working size. Dots in front of
        a place count the tenths looser, dots behind it those tighter.
      </Text>
    </View>
  );
}

/** The chance large, and beside it what it is the chance of and what would raise it. */
function ChanceWords({ fit, chance, tag }: { fit: EvaluatedFit['fit']; chance: FitChance; tag: string }) {
  const show = useShow();
  const { repair, numbers } = useRepairContext();
  const { name } = machineIn(numbers.workshop, repair.head.machineId);
  const [poor, wide] = [atBestSentence(chance, name), widenedSentence(chance, name)];
  const tone =
    chance.probability >= 0.8 ? 'text-moss' : chance.probability >= 0.5 ? 'text-brass' : 'text-rust';
  return (
    <View className="gap-2" role="group" aria-label={`Chance of ${fit.name}`}>
      <View className="flex-row items-start gap-3">
        <Text className={`font-number text-[30px] leading-[34px] tabular-nums ${tone}`}>
          {chanceWords(chance.probability)}
        </Text>
        <Text className="flex-1 font-sans text-[15px] leading-[21px] text-ink">
          {`chance that it ${wishWords(fit)} on the first make. ${doubtSentence(chance, fit, tag)}`}
        </Text>
      </View>
      {wide ? <Text className="font-sans text-[15px] leading-[21px] text-rust">{wide}</Text> : null}
      {poor ? <Text className="font-sans text-[15px] leading-[21px] text-rust">{poor}</Text> : null}
      <Text className="font-label text-[13.5px] tabular-nums text-muted">
        {fit.feature === 'spacing'
          ? `Spacing off by at most ${show.signed(chance.largestMm)} ${show.word}; the play is ${show.signed(chance.wish.toMm)}.`
          : `Clearance on the diameter: ${show.signed(chance.smallestMm)} to ${show.signed(chance.largestMm)} ${show.word}; target ${show.signed(chance.wish.fromMm)} to ${show.signed(chance.wish.toMm)}.`}
      </Text>
    </View>
  );
}
