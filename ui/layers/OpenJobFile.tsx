import { router } from 'expo-router';
import { useState } from 'react';

import { useNotices } from '../api/notices';
import { FileButton } from '../shared/FileButton';
import { useOpenedJob } from './openedJob';

/** Longest file that is read: a job of a week has some 100 MB. */
const MOST_MB = 200;

/** Looks at the layers of a job's file that was kept: of this repair or of any other, also one that was not made here. */
export function OpenJobFile({ repairId }: { repairId: string }) {
  const { say } = useNotices();
  const [reading, setReading] = useState(false);
  const read = async (file: File) => {
    if (file.size > MOST_MB * 1e6) {
      say({
        tone: 'wrong',
        text: `${file.name} has ${(file.size / 1e6).toFixed(0)} MB; up to ${MOST_MB} MB can be read. Cut it into several, or look at a smaller one.`,
      });
      return;
    }
    setReading(true);
    try {
      useOpenedJob.getState().open({ name: file.name, text: await file.text() });
      router.push(`/repair/${repairId}/job-file`);
    } catch {
      say({
        tone: 'wrong',
        text: `${file.name} can’t be read from this device. Choose it again, or a copy of it.`,
      });
    } finally {
      setReading(false);
    }
  };
  return (
    <FileButton
      label="Open a G-code file"
      name="Job file"
      accept=".gcode,.gco,.g,.nc,text/plain"
      busy={reading}
      onChosen={(file) => void read(file)}
    />
  );
}
