import { Text, View } from 'react-native';

import { howItLies } from '@core/measuring/brief';
import type { Brief } from '@core/foundations/fields';
import type { Body } from '@core/record/model';
import { howItLiesSentence } from '@core/reporting/wording';

import { LoadChoice } from '../../frame/LoadChoice';
import { GroupHeading } from '../../shared/Heading';

/** How the spare had better lie if it is made in layers; once there is one, which way the load pulls. Layers ranks its ways up by that. */
export function HowItLies({
  brief,
  spare,
  onSpare,
}: {
  brief: Brief;
  spare: Body | undefined;
  onSpare(body: Body): void;
}) {
  const ways = howItLies(brief);
  const isLoaded = brief.load !== null && brief.load !== 'none';
  if (ways.length === 0 && !(spare && isLoaded)) return null;
  return (
    <View className="gap-1.5">
      <GroupHeading>If it is made in layers</GroupHeading>
      {ways.map((one) => (
        <Text key={one} className="font-sans text-[15px] leading-[22px] text-ink">
          {howItLiesSentence(one)}
        </Text>
      ))}
      {spare && isLoaded ? (
        <>
          <Text className="font-label text-[13.5px] leading-5 text-muted">
            {`Which way does the load pull on ${spare.name}, as shown under Shape? Its orientations are ranked by that under Layers.`}
          </Text>
          <LoadChoice body={spare} onChange={onSpare} />
        </>
      ) : null}
    </View>
  );
}
