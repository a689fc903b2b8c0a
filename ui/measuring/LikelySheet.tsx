import { useState } from 'react';
import { Text, View } from 'react-native';

import { isKnown, uncertaintyOf, type KnownResult, type SizeResult } from '@core/measuring/measure';
import type { Size } from '@core/record/model';
import { doubtOf, FORMS, likelyStandards, type Form, type LikelyThing } from '@core/foundations/standards';

import { useChangeRepair } from '../api/useRepair';
import { useRepairContext } from '../inRepair/useRepairContext';
import { useShow } from '../preferences/useShow';
import { Button } from '../shared/Button';
import { ChoiceRow } from '../shared/ChoiceRow';
import { GroupHeading } from '../shared/Heading';
import { Sheet } from '../shared/Sheet';
import { Switch } from '../shared/Switch';

/** What is known of a thing beside its size. */
interface Seen {
  form?: Form | null;
  pitchMm?: number | null;
}

/** Standard things that a size may be, most likely first; none for what no table knows. */
export function likelyOf(
  size: Size,
  result: SizeResult,
  { form = null, pitchMm = null }: Seen = {},
): LikelyThing[] {
  const uncertainty = uncertaintyOf(result);
  // What was stated is known to be what it is.
  if (size.quantity !== 'length' || !isKnown(result) || result.status === 'given' || !uncertainty) return [];
  if (size.jaw === 'depth' || size.jaw === 'step') return [];
  return likelyStandards({
    mm: result.value,
    standardMm: uncertainty.standard,
    side: size.jaw,
    form,
    pitchMm,
  });
}

const FORM_WORDS: Record<Form, string> = {
  round: 'Smooth round',
  thread: 'Thread',
  flats: 'Flats',
  groove: 'Groove or slot',
};

/** Less likely than this by itself, a thing is not offered before its form is told. */
export const WORTH_OFFERING = 0.4;

/** Asks what a thing is to the eye, offers the standard things that agree, and shows what would change before one is taken. */
export function LikelySheet({ size, result, onClose }: { size: Size; result: SizeResult; onClose(): void }) {
  const { numbers } = useRepairContext();
  const show = useShow();
  const [form, setForm] = useState<Form | null>(null);
  const [chosen, setChosen] = useState<LikelyThing | null>(null);
  // A pitch that was measured tells threads apart.
  const pitch = [...numbers.sizes.values()].find(
    (other) => /pitch/i.test(other.size.name) && isKnown(other.result) && other.size.of === size.of,
  );
  const pitchMm = pitch && isKnown(pitch.result) ? pitch.result.value : null;
  const all = likelyOf(size, result, { form, pitchMm });
  const likely =
    form === null && pitchMm === null ? all.filter(({ probability }) => probability >= WORTH_OFFERING) : all;
  if (chosen && isKnown(result)) {
    return (
      <Confirm size={size} result={result} thing={chosen} onBack={() => setChosen(null)} onClose={onClose} />
    );
  }
  return (
    <Sheet title={`What might ${size.tag} be?`} onClose={onClose}>
      <Text className="font-sans text-[16px] leading-6 text-ink">What does it look like?</Text>
      <Switch<Form>
        label="What it looks like"
        options={FORMS.map((id) => ({ id, word: FORM_WORDS[id] }))}
        value={form}
        onChange={setForm}
      />
      {likely.length === 0 ? (
        <Text className="font-sans text-[16px] leading-6 text-ink">
          {form === null && all.length > 0
            ? 'The size is not enough: several standard sizes are close. Choose what it looks like.'
            : 'No standard size matches. Threads, bearings, bolts, pins, rings, pipes, bars and drilled holes were checked.'}
        </Text>
      ) : (
        <>
          <GroupHeading>
            {pitch ? `With pitch ${pitch.size.tag}, most likely first` : 'Most likely first'}
          </GroupHeading>
          <View className="gap-1.5">
            {likely.map((thing) => (
              <ChoiceRow
                key={thing.name}
                title={thing.name}
                note={`${thing.source} · ${limitWords(thing, show)}`}
                number={`${Math.max(1, Math.round(thing.probability * 100))} %`}
                onPress={() => setChosen(thing)}
              />
            ))}
          </View>
        </>
      )}
    </Sheet>
  );
}

/** "6.65 to 6.91 mm between the crests". */
function limitWords({ fromMm, toMm, across }: LikelyThing, show: ReturnType<typeof useShow>): string {
  return `${show.number(fromMm)} to ${show.length(toMm)}${across ? ` ${across}` : ''}`;
}

/**
 * What would become of the size. A thread is called by another diameter than the one that was measured: then the
 * reading stays, with its doubt, and the standard's number is only taken if that is meant.
 */
function Confirm({
  size,
  result,
  thing,
  onBack,
  onClose,
}: {
  size: Size;
  result: KnownResult;
  thing: LikelyThing;
  onBack(): void;
  onClose(): void;
}) {
  const { repair } = useRepairContext();
  const { put } = useChangeRepair(repair);
  const show = useShow();
  const source = `${thing.name}, ${thing.source}: ${limitWords(thing, show)}`.slice(0, 200);
  const keep = () => {
    put('size', { ...size, source }, `${size.tag} stays as measured, and is noted as ${thing.name}.`);
    onClose();
  };
  const take = () => {
    put(
      'size',
      {
        ...size,
        kind: 'stated',
        given: Number(thing.nominalMm.toFixed(4)),
        givenPlusMinus: Number(doubtOf(thing).toFixed(4)),
        source,
      },
      `${size.tag} is now ${thing.name}. Its readings are kept.`,
    );
    onClose();
  };
  const change = thing.nominalMm - result.value;
  const isOther =
    thing.across !== undefined || thing.nominalMm < thing.fromMm || thing.nominalMm > thing.toMm;
  // What is more likely something else is not pressed on anybody.
  const keeps = isOther || thing.probability < 0.5;
  const keepLabel = `Keep ${show.length(result.value)}, and note what it is`;
  const takeLabel = `Use ${show.length(thing.nominalMm)} instead (${show.signed(change)})`;
  return (
    <Sheet title={thing.name} onClose={onClose}>
      <Text className="font-sans text-[16px] leading-6 text-ink">
        {`New ones measure ${limitWords(thing, show)}; ${size.tag} measures ${show.number(result.value)}.`}
        {` Used, it is known to ± ${show.number(doubtOf(thing))}, as its limits say.`}
        {isOther
          ? ` The standard calls it ${show.length(thing.nominalMm)}, which is not the diameter that you measured.`
          : ''}
      </Text>
      <Button tone={keeps ? 'primary' : 'plain'} label={keepLabel} onPress={keep} />
      <Button tone={keeps ? 'plain' : 'primary'} label={takeLabel} onPress={take} />
      <Button tone="quiet" label="Something else" onPress={onBack} />
    </Sheet>
  );
}
