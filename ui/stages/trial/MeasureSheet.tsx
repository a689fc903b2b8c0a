import { useState } from 'react';
import { Text, View } from 'react-native';

import { featureOf } from '@core/fitting/fit';
import type { TrialResult } from '@core/record/model';
import { askedOf, isFarOff, wantedOf } from '@core/fitting/trial';
import { instrumentIn } from '@core/record/workshop';

import { useRepairContext } from '../../inRepair/useRepairContext';
import { firstLayerId } from '../../jobs/askedSizes';
import { InstrumentSheet } from '../../measuring/InstrumentSheet';
import { Pad } from '../../measuring/Pad';
import { PracticeCaliper } from '../../measuring/PracticeCaliper';
import { usePreferences } from '../../preferences/usePreferences';
import { useShow } from '../../preferences/useShow';
import { Button } from '../../shared/Button';
import { Sheet } from '../../shared/Sheet';
import { Switch } from '../../shared/Switch';

type Where = 'above' | 'foot';
const WHERE: readonly { id: Where; word: string }[] = [
  { id: 'above', word: 'Above the first layer' },
  { id: 'foot', word: 'At the first layer' },
];

/** Readings of what came out, on the same pad as those of the broken piece. */
export function MeasureSheet({
  result,
  practice,
  onChange,
  onClose,
}: {
  result: TrialResult;
  /** What the practice caliper is held to at first. */
  practice: string | null;
  onChange(fields: Pick<TrialResult, 'made'> | Pick<TrialResult, 'foot'>): void;
  onClose(): void;
}) {
  const { numbers } = useRepairContext();
  const preferences = usePreferences();
  const show = useShow();
  const [choosing, setChoosing] = useState(false);
  const [asked, setAsked] = useState<TrialResult['made'][number] | null>(null);
  const instrument = instrumentIn(numbers.workshop, preferences.instruments.length);
  const [where, setWhere] = useState<Where>('above');
  const { foot } = result;
  const isFoot = where === 'foot' && foot !== undefined;
  const made = isFoot ? foot.made : result.made;
  const keep = (readings: TrialResult['made']) =>
    onChange(isFoot ? { foot: { ...foot, made: readings } } : { made: readings });
  const take = (mm: number, typed: string) => {
    const reading = { typed, mm, instrumentId: instrument.id };
    if (isFarOff(result, mm)) setAsked(reading);
    else keep([...made, reading]);
  };
  return (
    <Sheet title={result.fitName} onClose={onClose}>
      <Text className="font-sans text-[16px] leading-6 text-ink">
        {`In the model it is ${show.length(askedOf(result))}; it should have come out at ${show.length(wantedOf(result))}.`}
      </Text>
      {foot ? (
        <View className="gap-1.5">
          <Switch<Where>
            label="Where it is measured"
            options={WHERE}
            value={where}
            onChange={(next) => {
              setAsked(null);
              setWhere(next);
            }}
          />
          <Text className="font-label text-[14px] leading-5 text-muted">
            {isFoot
              ? 'Across the edge that was on the bed. Compared with the size above, this gives the elephant foot.'
              : 'Clear of the edge that was on the bed, which comes out wider.'}
          </Text>
        </View>
      ) : null}
      {made.length > 0 ? (
        <View role="list" aria-label="Readings of what came out" className="flex-row flex-wrap gap-2">
          {made.map(({ mm }, index) => (
            <Button
              key={index}
              label={`${show.number(mm)}  ×`}
              name={`Take out reading ${show.number(mm)}`}
              onPress={() => keep(made.filter((_, other) => other !== index))}
            />
          ))}
        </View>
      ) : null}
      {asked ? (
        <View role="alert" className="gap-2">
          <Text className="font-medium text-[15px] leading-6 text-rust">
            {`${show.length(asked.mm)} is far from ${show.length(wantedOf(result))}. Is that what it measures?`}
          </Text>
          <View className="flex-row gap-2">
            <Button
              label="Yes, take it"
              onPress={() => {
                keep([...made, asked]);
                setAsked(null);
              }}
            />
            <Button label="No, leave it" onPress={() => setAsked(null)} />
          </View>
        </View>
      ) : null}
      <View className="-mx-4">
        {preferences.practiceCaliper ? (
          <PracticeCaliper key={where} first={practice && isFoot ? firstLayerId(practice) : practice} />
        ) : null}
        <Pad
          instrument={instrument}
          start=""
          action={`Take reading ${made.length + 1}`}
          onTake={take}
          onInstrument={() => setChoosing(true)}
        />
      </View>
      {made.length > 0 ? <Button tone="quiet" label="Done" onPress={onClose} /> : null}
      {choosing ? (
        <InstrumentSheet
          quantity="length"
          jaw={featureOf(result.feature).inside ? 'inside' : 'outside'}
          onClose={() => setChoosing(false)}
        />
      ) : null}
    </Sheet>
  );
}
