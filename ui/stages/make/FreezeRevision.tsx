import { useState } from 'react';
import { Text, View } from 'react-native';

import { freeze, newestRevision } from '@core/revision';
import { nextLetter } from '@core/model';

import { newId } from '../../api/newId';
import { useNotices } from '../../api/notices';
import { useChangeRepair } from '../../api/useRepair';
import { currentFigures } from '../../revisions/currentFigures';
import { useRepairContext } from '../../inRepair/useRepairContext';
import { useBenchStatus } from '../../solid/useSolid';
import { Button } from '../../shared/Button';
import { Field } from '../../shared/Field';
import { GroupHeading } from '../../shared/Heading';

/** Freezes the repair as it stands, so that what was made can always be found again. */
export function FreezeRevision() {
  const { repair, numbers, solid } = useRepairContext();
  const { put } = useChangeRepair(repair);
  const { say } = useNotices();
  const [note, setNote] = useState('');
  const letter = nextLetter(repair.revisions.map((revision) => revision.letter));
  const newest = newestRevision(repair);
  const { kind } = useBenchStatus();
  const building = kind === 'building' || kind === 'loading';

  const freezeNow = () => {
    const frozenAt = new Date().toISOString();
    put(
      'revision',
      freeze(repair, {
        id: newId(),
        note: note.trim(),
        frozenAt,
        workshop: numbers.workshop,
        figures: currentFigures(repair, solid),
      }),
    );
    setNote('');
    say({ tone: 'plain', text: `Revision ${letter} is frozen.` });
  };
  return (
    <View className="gap-2">
      <GroupHeading>{newest ? `Newest revision: ${newest.letter}` : 'No revision yet'}</GroupHeading>
      <Field
        label={newest ? `What changed since ${newest.letter}, and why?` : 'A note, if you like'}
        maxLength={200}
        value={note}
        onChangeText={setNote}
      />
      <Button tone="primary" label={`Freeze revision ${letter}`} disabled={building} onPress={freezeNow} />
      <Text className="font-label text-[13.5px] leading-5 text-muted">
        A revision keeps every number as it is now. You can go on changing things and compare later.
      </Text>
    </View>
  );
}
