import { useState } from 'react';
import { Text, View } from 'react-native';

import { fileStem } from '@core/formats';
import { writeRepairFile, type Photo, type RepairFileContent } from '@core/model';

import { fetchPhoto } from '../../api/photos';
import { useNotices } from '../../api/notices';
import { useRepairContext } from '../../inRepair/useRepairContext';
import { Button } from '../../shared/Button';
import { saveFile } from '../../shared/saveFile';

/** Saves the repair with all readings, fits, recipes, revisions and photos. Without photos it needs no server. */
export function RepairFileButton() {
  const { repair, numbers } = useRepairContext();
  const { say } = useNotices();
  const [busy, setBusy] = useState(false);
  const save = async () => {
    setBusy(true);
    const { photoFiles, missing } = await picturesOf(repair.photos);
    const content: RepairFileContent = { repair, workshop: numbers.workshop, photoFiles };
    saveFile({
      name: `${fileStem(repair.head.name)}.json`,
      mime: 'application/json',
      bytes: new TextEncoder().encode(writeRepairFile(content, new Date().toISOString())),
    });
    setBusy(false);
    if (missing > 0) {
      say({
        tone: 'wrong',
        text: `The file is saved without ${missing} ${missing === 1 ? 'photo' : 'photos'} that could not be fetched. Save it again when the server is back.`,
      });
    }
  };
  return (
    <View className="gap-1.5">
      <Button label="Save the repair file" busy={busy} onPress={() => void save()} />
      <Text className="font-label text-[13.5px] leading-5 text-muted">
        Everything about this repair in one open file. It can be opened again as a new repair.
      </Text>
    </View>
  );
}

async function picturesOf(photos: readonly Photo[]) {
  const files = [...new Set(photos.filter(({ removed }) => !removed).map(({ file }) => file))];
  const fetched = await Promise.all(
    files.map(async (file) => ({ file, base64: await fetchPhoto(file).catch(() => null) })),
  );
  const photoFiles = fetched.flatMap(({ file, base64 }) => (base64 === null ? [] : [{ file, base64 }]));
  return { photoFiles, missing: files.length - photoFiles.length };
}
