import { useState } from 'react';
import { Text, View } from 'react-native';

import { newestRevision } from '@core/reporting/revision';

import { useNotices } from '../../api/notices';
import { useFreeze } from '../../revisions/useFreeze';
import { useRepairContext } from '../../inRepair/useRepairContext';
import { useBenchStatus } from '../../solid/useSolid';
import { Button } from '../../shared/Button';
import { Field } from '../../shared/Field';
import { GroupHeading } from '../../shared/Heading';

/** Freezes the repair as it stands, so that what was made can always be found again. */
export function FreezeRevision() {
  const { repair } = useRepairContext();
  const { letter, freezeNow } = useFreeze();
  const { say } = useNotices();
  const [note, setNote] = useState('');
  const newest = newestRevision(repair);
  const { kind } = useBenchStatus();
  const building = kind === 'building' || kind === 'loading';

  const freezeIt = () => {
    freezeNow(note);
    setNote('');
    say({ tone: 'plain', text: `Revision ${letter} is frozen.` });
  };
  return (
    <View className="gap-2">
      <GroupHeading>{newest ? `Newest revision: ${newest.letter}` : 'No revision yet'}</GroupHeading>
      <Field
        label={
          newest
            ? `What changed since ${repair.head.standsOn ?? newest.letter}, and why?`
            : 'A note, if you like'
        }
        maxLength={200}
        value={note}
        onChangeText={setNote}
      />
      <Button tone="primary" label={`Freeze revision ${letter}`} disabled={building} onPress={freezeIt} />
      <Text className="font-label text-[13.5px] leading-5 text-muted">
        A revision keeps every number as it is now. You can go on changing things and compare later.
      </Text>
    </View>
  );
}
