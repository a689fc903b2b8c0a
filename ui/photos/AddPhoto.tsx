import { createElement, useEffect, useRef, useState } from 'react';
import { Text, View } from 'react-native';

import { newId } from '../api/newId';
import { useNotices } from '../api/notices';
import { Refused, Unreachable } from '../api/client';
import { sendPhoto } from '../api/photos';
import { useChangeRepair } from '../api/useRepair';
import { useRepairContext } from '../inRepair/useRepairContext';
import { Button } from '../shared/Button';
import { Wrong } from '../shared/Field';

/** Takes a photo with the camera or from a file, and shows how far it is on its way. */
export function AddPhoto({ onAdded }: { onAdded(id: string): void }) {
  const { repair } = useRepairContext();
  const { put } = useChangeRepair(repair);
  const { say } = useNotices();
  const camera = useRef<HTMLInputElement>(null);
  const file = useRef<HTMLInputElement>(null);
  const sending = useRef<AbortController | null>(null);
  const [share, setShare] = useState<number | null>(null);
  const [wrong, setWrong] = useState<string>();
  /** A picture from the camera may be nowhere else: it stays here until it was sent. */
  const [unsent, setUnsent] = useState<File | null>(null);
  useEffect(() => () => sending.current?.abort(), []);

  const send = async (picture: File | undefined) => {
    if (!picture) return;
    setWrong(undefined);
    setUnsent(picture);
    setShare(0);
    const controller = new AbortController();
    sending.current = controller;
    try {
      const kept = await sendPhoto(picture, setShare, controller.signal);
      const id = newId();
      const count = repair.photos.filter(({ removed }) => !removed).length;
      put('photo', {
        id,
        version: 0,
        name: `Photo ${count + 1}`,
        ...kept,
        tags: [],
        removed: false,
      });
      setUnsent(null);
      onAdded(id);
    } catch (error) {
      if (controller.signal.aborted) say({ tone: 'plain', text: 'The photo was not sent.' });
      else if (error instanceof Unreachable) {
        setWrong(
          'The server can’t be reached. The photo waits on this screen: stay here, and send it again when the server is back.',
        );
      } else {
        // What the server refuses it refuses again.
        if (error instanceof Refused) setUnsent(null);
        setWrong((error as Error).message);
      }
    } finally {
      setShare(null);
    }
  };
  const input = (ref: React.RefObject<HTMLInputElement | null>, label: string, capture: boolean) =>
    createElement('input', {
      ref,
      type: 'file',
      accept: 'image/jpeg,image/png,image/webp,image/avif,image/tiff',
      ...(capture ? { capture: 'environment' } : {}),
      'aria-label': label,
      style: { display: 'none' },
      onChange: (event: React.ChangeEvent<HTMLInputElement>) => {
        void send(event.target.files?.[0]);
        // So that the same file can be chosen again.
        event.target.value = '';
      },
    });
  return (
    <View className="gap-2">
      {share === null ? (
        <View className="flex-row gap-2">
          <Button
            className="flex-1"
            tone="primary"
            label="Take a photo"
            onPress={() => camera.current?.click()}
          />
          <Button className="flex-1" label="From a file" onPress={() => file.current?.click()} />
        </View>
      ) : (
        <View role="status" className="flex-row items-center gap-3 rounded border border-line bg-card p-2">
          <View className="h-2 flex-1 rounded-sm bg-bench">
            <View className="h-2 rounded-sm bg-green" style={{ width: `${Math.round(share * 100)}%` }} />
          </View>
          <Text className="font-label text-[14px] tabular-nums text-ink">
            {share < 1 ? `${Math.round(share * 100)} % sent` : 'Being worked over…'}
          </Text>
          <Button label="Stop" onPress={() => sending.current?.abort()} />
        </View>
      )}
      {wrong ? <Wrong text={wrong} /> : null}
      {unsent && share === null ? (
        <Button label={`Send “${unsent.name}” again`} onPress={() => void send(unsent)} />
      ) : null}
      {input(camera, 'Photo from the camera', true)}
      {input(file, 'Photo from a file', false)}
    </View>
  );
}
