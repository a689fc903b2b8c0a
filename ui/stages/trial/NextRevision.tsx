import { Text, View } from 'react-native';

import type { Trial } from '@core/record/model';

import { useNotices } from '../../api/notices';
import { useRepairContext } from '../../inRepair/useRepairContext';
import { useFreeze } from '../../revisions/useFreeze';
import { Button } from '../../shared/Button';
import { GroupHeading } from '../../shared/Heading';
import { useBenchStatus } from '../../solid/useSolid';

/** Freezes what the trial changed, in one tap; its reasons write themselves. */
export function NextRevision({ trial }: { trial: Trial }) {
  const { repair } = useRepairContext();
  const { letter, freezeNow } = useFreeze();
  const { say } = useNotices();
  const { kind } = useBenchStatus();
  const building = kind === 'building' || kind === 'loading';
  const judged = trial.results.filter(({ verdict }) => verdict !== null);
  const allRight = judged.length > 0 && judged.every(({ verdict }) => verdict === 'right');
  const isFrozen = trial.taken.length > 0 && repair.revisions.some(({ note }) => note === noteOf(trial));
  if (trial.taken.length === 0) {
    return allRight ? (
      <Text role="status" className="font-medium text-[16px] leading-6 text-moss">
        {`It is right${trial.letter ? `: revision ${trial.letter} can be made again as it is` : ''}.`}
      </Text>
    ) : null;
  }
  const freezeIt = () => {
    freezeNow(noteOf(trial));
    say({ tone: 'plain', text: `Revision ${letter} is frozen, with its reasons.` });
  };
  return (
    <View className="gap-2">
      <GroupHeading>Changed because of this trial</GroupHeading>
      {trial.taken.map((reason) => (
        <Text key={reason} className="font-sans text-[15px] leading-6 tabular-nums text-ink">
          {reason}
        </Text>
      ))}
      {isFrozen ? null : (
        <Button tone="primary" label={`Freeze revision ${letter}`} disabled={building} onPress={freezeIt} />
      )}
    </View>
  );
}

const noteOf = ({ name, taken }: Trial): string => `After ${name}: ${taken.join('; ')}`.slice(0, 200);
