import { useEffect, useRef, useState } from 'react';
import { Text, View } from 'react-native';

import type { Body, Scan } from '@core/record/model';

import { Unreachable } from '../api/client';
import { newId } from '../api/newId';
import { useNotices } from '../api/notices';
import { sendScan } from '../api/scans';
import { useChangeRepair } from '../api/useRepair';
import { useRepairContext } from '../inRepair/useRepairContext';
import { Button } from '../shared/Button';
import { Wrong } from '../shared/Field';
import { Busy } from './Busy';
import type { FoundState, AlignedAs, useFound } from './useFound';

/** Keeps the scan with the repair where it is aligned; or, of one that is kept, where it is aligned now. */
export function KeepScan({
  body,
  laid,
  as,
  keepable,
  onKept,
}: {
  body: Body;
  laid: FoundState & { kind: 'laid' };
  as: AlignedAs;
  keepable: ReturnType<typeof useFound>['keepable'];
  onKept(scan: Scan, as: AlignedAs): void;
}) {
  const { repair } = useRepairContext();
  const { put } = useChangeRepair(repair);
  const { say } = useNotices();
  const sending = useRef<AbortController | null>(null);
  const [share, setShare] = useState<number | null>(null);
  const [wrong, setWrong] = useState<string>();
  useEffect(() => () => sending.current?.abort(), []);
  const { file } = laid;
  const keep = async () => {
    setWrong(undefined);
    setShare(0);
    const controller = new AbortController();
    sending.current = controller;
    try {
      const { bytes, place } = await keepable(as);
      const sent = file.kept ?? (await sendScan(bytes, setShare, controller.signal));
      const scan: Scan = {
        ...(file.kept ?? { id: newId(), version: 0, name: nameOf(file.name), removed: false }),
        bodyId: body.id,
        file: sent.file,
        triangles: sent.triangles,
        place,
      };
      put('scan', scan);
      onKept(scan, as);
    } catch (error) {
      if (controller.signal.aborted) say({ tone: 'plain', text: 'The scan was not kept.' });
      else if (error instanceof Unreachable)
        setWrong(
          'The server can’t be reached. The scan stays on this screen: keep it again when the server is back.',
        );
      else setWrong((error as Error).message);
    } finally {
      setShare(null);
    }
  };
  if (share !== null) {
    return (
      <Busy
        words={`Keeping ${file.name}: ${(100 * share).toFixed(0)} %`}
        onStop={() => sending.current?.abort()}
      />
    );
  }
  if (laid.keptAs?.way === as.way && laid.keptAs.byAll === as.byAll)
    return <Text className="font-label text-[14px] text-muted">Saved with the repair in this position.</Text>;
  return (
    <View className="items-start gap-2">
      {wrong ? <Wrong text={wrong} /> : null}
      <Button
        label={file.kept ? 'Keep it in this position' : 'Keep the scan with the repair'}
        onPress={() => void keep()}
      />
    </View>
  );
}

/** A file’s name without what it ends in, as long as a name may be. */
const nameOf = (file: string) =>
  file
    .replace(/\.[^.]{1,5}$/, '')
    .slice(0, 60)
    .trim() || 'Scan';
