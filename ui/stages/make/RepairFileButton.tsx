import { useState } from 'react';
import { Text, View } from 'react-native';

import { fileStem } from '@core/making/formats';
import { writeRepairFile, type RepairFileContent } from '@core/record/model';

import { photoAddress } from '../../api/photos';
import { scanAddress } from '../../api/scans';
import { fetchBase64 } from '../../api/sendFile';
import { useNotices } from '../../api/notices';
import { useRepairContext } from '../../inRepair/useRepairContext';
import { Button } from '../../shared/Button';
import { saveFile } from '../../shared/saveFile';

/** Saves the repair with all readings, fits, recipes, revisions, photos and scans. Without these two it needs no server. */
export function RepairFileButton() {
  const { repair, numbers } = useRepairContext();
  const { say } = useNotices();
  const [busy, setBusy] = useState(false);
  const save = async () => {
    setBusy(true);
    const photos = await fetched(repair.photos, photoAddress);
    const scans = await fetched(repair.scans, scanAddress);
    const content: RepairFileContent = {
      repair,
      workshop: numbers.workshop,
      photoFiles: photos.files,
      scanFiles: scans.files,
    };
    saveFile({
      name: `${fileStem(repair.head.name)}.json`,
      mime: 'application/json',
      bytes: new TextEncoder().encode(writeRepairFile(content, new Date().toISOString())),
    });
    setBusy(false);
    const missing = [
      photos.missing > 0 ? counted(photos.missing, 'photo') : '',
      scans.missing > 0 ? counted(scans.missing, 'scan') : '',
    ].filter(Boolean);
    if (missing.length > 0) {
      say({
        tone: 'wrong',
        text: `The file is saved without ${missing.join(' and ')} that could not be fetched. Save it again when the server is back.`,
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

const counted = (count: number, word: string) => `${count} ${word}${count === 1 ? '' : 's'}`;

/** The files of rows that are not deleted, and how many of them could not be fetched. */
async function fetched(
  rows: readonly { file: string; removed: boolean }[],
  addressOf: (file: string) => string,
) {
  const names = [...new Set(rows.filter(({ removed }) => !removed).map(({ file }) => file))];
  const all = await Promise.all(
    names.map(async (file) => ({ file, base64: await fetchBase64(addressOf(file)).catch(() => null) })),
  );
  const files = all.flatMap(({ file, base64 }) => (base64 === null ? [] : [{ file, base64 }]));
  return { files, missing: names.length - files.length };
}
