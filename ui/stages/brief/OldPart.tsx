import { useState } from 'react';
import { Text, View } from 'react-native';

import { CLUES, oldMaterial } from '@core/measuring/brief';
import type { Brief } from '@core/foundations/fields';
import { oldMaterialSentence } from '@core/reporting/wording';
import { ownValue } from '@core/foundations/own';

import { Button } from '../../shared/Button';
import { GroupHeading } from '../../shared/Heading';
import { Switch } from '../../shared/Switch';

/** Clues to what the old part is made of: each with how to try it, and together with how surely they say it. */
export function OldPart({ brief, onChange }: { brief: Brief; onChange(fields: Partial<Brief>): void }) {
  const answered = Object.keys(brief.clues).length;
  const [open, setOpen] = useState(answered > 0);
  const without = (clue: string) =>
    Object.fromEntries(Object.entries(brief.clues).filter(([id]) => id !== clue));
  return (
    <View className="gap-2">
      <GroupHeading>What is the old part made of?</GroupHeading>
      <Text role="status" className="font-sans text-[16px] leading-6 text-ink">
        {oldMaterialSentence(oldMaterial(brief.clues), answered)}
      </Text>
      {open ? (
        CLUES.map(({ id, question, how, answers }) => (
          <View key={id} className="gap-1">
            <Text className="font-medium text-[15.5px] text-ink">{question}</Text>
            {how ? <Text className="font-label text-[13.5px] leading-5 text-muted">{how}</Text> : null}
            <Switch
              label={question}
              options={answers}
              value={ownValue(brief.clues, id) ?? null}
              // Tapped again, it is not answered any more.
              onChange={(answer) =>
                onChange({
                  clues:
                    ownValue(brief.clues, id) === answer ? without(id) : { ...brief.clues, [id]: answer },
                })
              }
            />
          </View>
        ))
      ) : (
        <View className="items-start">
          <Button label="Try some clues" onPress={() => setOpen(true)} />
        </View>
      )}
    </View>
  );
}
