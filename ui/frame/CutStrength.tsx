import { Text, View } from 'react-native';

import type { Load } from '@core/checking/strength';
import {
  bearsWords,
  enoughSentence,
  piecesSentence,
  sectionSentence,
  stressSentence,
} from '@core/reporting/wording';

import { useShow } from '../preferences/useShow';
import { Field } from '../shared/Field';
import { Switch } from '../shared/Switch';
import type { useCutStrength } from './useCutStrength';

/** What the section withstands, and why. */
export function CutStrength({
  kind,
  setKind,
  force,
  lever,
  load,
  faces,
  section,
  found,
  layers,
  service,
  material,
}: ReturnType<typeof useCutStrength>) {
  const show = useShow();
  return (
    <>
      <Switch<Load['kind']>
        label="What the load does"
        options={[
          { id: 'bent', word: 'Bends it' },
          { id: 'twisted', word: 'Twists it' },
          { id: 'pulled', word: 'Pulls it' },
        ]}
        value={kind}
        onChange={setKind}
      />
      <View className="flex-row gap-3">
        <View className="flex-1">
          <Field
            label="Load (1 kg weighs 10 N)"
            unit="N"
            inputMode="decimal"
            pad="plain"
            value={force.text}
            onChangeText={force.set}
            wrong={force.wrong}
          />
        </View>
        {kind === 'pulled' ? null : (
          <View className="flex-1">
            <Field
              label={kind === 'bent' ? 'Distance from the cut' : 'Distance from its middle'}
              unit="mm"
              inputMode="decimal"
              pad="length"
              value={lever.text}
              onChangeText={lever.set}
              wrong={lever.wrong}
            />
          </View>
        )}
      </View>
      {section ? (
        <View role="status" className="gap-2">
          {found && load ? (
            <>
              <Text
                className={`font-semibold text-[20px] ${found.thicker === null ? 'text-ink' : 'text-rust'}`}
              >
                {bearsWords({ ...found, safety: service.safety })}
              </Text>
              <Text className="font-sans text-[16px] leading-6 text-ink">
                {enoughSentence(found, layers)}
              </Text>
              <Text className="font-sans text-[16px] leading-6 text-ink">
                {stressSentence(found, load, { material: material.name, layers })}
              </Text>
            </>
          ) : null}
          {faces > 1 ? (
            <Text className="font-medium text-[15px] leading-6 text-rust">{piecesSentence(faces)}</Text>
          ) : null}
          <Text className="font-sans text-[15px] leading-6 text-muted">{sectionSentence(section, show)}</Text>
          <Text className="font-sans text-[15px] leading-6 text-muted">
            Guidance for solid sections: σ = M c / I of slender beams, twisting by Saint-Venant. Sharp
            corners, age and infill below 100 % take more off.
          </Text>
        </View>
      ) : (
        <Text role="status" className="font-sans text-[16px] leading-6 text-ink">
          The cut misses the part. Move it to where the part is, and check again.
        </Text>
      )}
    </>
  );
}
