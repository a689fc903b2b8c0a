import { View } from 'react-native';

import { BED_ADHESIONS, SUPPORTS } from '@core/foundations/fields';
import type { PrintSetup } from '@core/record/model';

import { DrawnChoice } from '../shared/DrawnChoice';
import { DrawnSetting } from '../shared/DrawnSetting';
import { GroupHeading } from '../shared/Heading';

const SUPPORT_WORDS = { none: 'None', bed: 'From the bed', everywhere: 'Everywhere' } as const;
const FOOT_WORDS = { none: 'None', skirt: 'Skirt', brim: 'Brim', ears: 'Mouse ears' } as const;

/** What is printed besides the part: supports, and what holds it to the bed. */
export function AroundThePart({
  laying,
  inResin,
  onChange: change,
}: {
  laying: PrintSetup;
  inResin: boolean;
  onChange(fields: Partial<PrintSetup>): void;
}) {
  return (
    <>
      <View className="gap-1.5">
        <GroupHeading>Supports</GroupHeading>
        <DrawnChoice
          label="Supports"
          options={SUPPORTS.map((id) => ({
            id,
            word: SUPPORT_WORDS[id],
            drawing: <DrawnSetting setting="supports" choice={id} />,
          }))}
          value={laying.support}
          onChange={(support) => change({ support })}
        />
      </View>
      {inResin ? null : (
        <View className="gap-1.5">
          <GroupHeading>Bed adhesion</GroupHeading>
          <DrawnChoice
            label="Bed adhesion"
            options={BED_ADHESIONS.map((id) => ({
              id,
              word: FOOT_WORDS[id],
              drawing: <DrawnSetting setting="adhesion" choice={id} />,
            }))}
            value={laying.foot}
            onChange={(foot) => change({ foot })}
          />
        </View>
      )}
    </>
  );
}
