import { Text, View } from 'react-native';

import {
  BREAKS,
  DANGERS,
  HEATS,
  INSIDES,
  LOADS,
  MOVEMENTS,
  SURROUNDINGS,
  type Brief,
} from '@core/foundations/fields';
import { betterments, briefCautions } from '@core/measuring/brief';
import {
  bettermentSentence,
  BREAK_WORDS,
  briefCautionSentence,
  DANGER_WORDS,
  HEAT_WORDS,
  INSIDE_WORDS,
  LOAD_WORDS,
  MOVEMENT_WORDS,
  SURROUNDING_WORDS,
} from '@core/reporting/wording';

import { GroupHeading } from '../../shared/Heading';
import { Switch } from '../../shared/Switch';
import { Toggles } from '../../shared/Toggles';

const optionsOf = <T extends string>(ids: readonly T[], words: Record<T, string>) =>
  ids.map((id) => ({ id, word: words[id] }));

/** Why it broke, where it lives, what it is near; with what follows from each at once. All of it may be skipped. */
export function WhereItLives({ brief, onChange }: { brief: Brief; onChange(fields: Partial<Brief>): void }) {
  const cautions = briefCautions(brief);
  return (
    <>
      <View className="gap-1.5">
        <GroupHeading>Why did it break?</GroupHeading>
        <Toggles
          label="Why did it break?"
          options={optionsOf(BREAKS, BREAK_WORDS)}
          value={brief.breaks}
          onChange={(breaks) => onChange({ breaks })}
        />
        {betterments(brief).map((one) => (
          <Text key={one} className="font-sans text-[15px] leading-[22px] text-ink">
            {bettermentSentence(one)}
          </Text>
        ))}
      </View>
      <View className="gap-1.5">
        <GroupHeading>Where does it live?</GroupHeading>
        <Toggles
          label="Where does it live?"
          options={optionsOf(SURROUNDINGS, SURROUNDING_WORDS)}
          value={brief.surroundings}
          onChange={(surroundings) => onChange({ surroundings })}
        />
        <Switch
          label="How hot it gets"
          options={optionsOf(HEATS, HEAT_WORDS)}
          value={brief.heat}
          onChange={(heat) => onChange({ heat })}
        />
      </View>
      <View className="gap-1.5">
        <GroupHeading>What load must it carry, and does it move?</GroupHeading>
        <Switch
          label="Load"
          options={optionsOf(LOADS, LOAD_WORDS)}
          value={brief.load}
          onChange={(load) => onChange({ load })}
        />
        <Switch
          label="Movement"
          options={optionsOf(MOVEMENTS, MOVEMENT_WORDS)}
          value={brief.movement}
          onChange={(movement) => onChange({ movement })}
        />
      </View>
      <View className="gap-1.5">
        <GroupHeading>Is it near any of these?</GroupHeading>
        <Toggles
          label="Is it near any of these?"
          options={optionsOf(DANGERS, DANGER_WORDS)}
          value={brief.dangers}
          onChange={(dangers) => onChange({ dangers })}
        />
        <View className="h-2" />
        <GroupHeading>Inside the broken device</GroupHeading>
        <Toggles
          label="Inside the broken device"
          options={optionsOf(INSIDES, INSIDE_WORDS)}
          value={brief.insides}
          onChange={(insides) => onChange({ insides })}
        />
        {cautions.map(({ code, stop }) => (
          <View
            key={code}
            role="alert"
            className={`rounded border p-3 ${stop ? 'border-rust bg-card' : 'border-rule bg-card'}`}
          >
            <Text
              className={`text-[15px] leading-[22px] ${stop ? 'font-semibold text-rust' : 'font-sans text-ink'}`}
            >
              {`${stop ? 'Stop: ' : 'Mind: '}${briefCautionSentence({ code })}`}
            </Text>
          </View>
        ))}
      </View>
    </>
  );
}
