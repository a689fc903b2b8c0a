import { router } from 'expo-router';

import { readRepairFile, REPAIR_FILE_LIMIT_BYTES } from '@core/record/model';
import { sentenceOf } from '@core/reporting/wording';

import { useNotices } from '../api/notices';
import { useOpenRepairFile } from '../api/useRepairs';
import { FileButton } from '../shared/FileButton';

/** Opens a repair file as a new repair. The file is checked here first, so that a mistake is told at once. */
export function OpenRepairFile() {
  const open = useOpenRepairFile();
  const { say } = useNotices();

  const onChosen = async (file: File) => {
    if (file.size > REPAIR_FILE_LIMIT_BYTES) {
      say({
        tone: 'wrong',
        text: sentenceOf({ code: 'file.tooBig', bytes: file.size, limitBytes: REPAIR_FILE_LIMIT_BYTES }),
      });
      return;
    }
    const text = await file.text();
    const repair = readRepairFile(text);
    if (!repair.ok) {
      say({ tone: 'wrong', text: sentenceOf(repair.fault) });
      return;
    }
    open.mutate(JSON.parse(text), {
      onSuccess: ({ id }) => router.push(`/repair/${id}/sizes`),
      onError: (error) => say({ tone: 'wrong', text: error.message }),
    });
  };
  return (
    <FileButton
      label="Open a repair file"
      name="Repair file"
      accept=".json,application/json"
      busy={open.isPending}
      onChosen={(file) => void onChosen(file)}
    />
  );
}
