import { router } from 'expo-router';
import { createElement, useRef } from 'react';
import { View } from 'react-native';

import { readRepairFile, REPAIR_FILE_LIMIT_BYTES } from '@core/model';
import { sentenceOf } from '@core/wording';

import { useNotices } from '../api/notices';
import { useOpenRepairFile } from '../api/useRepairs';
import { Button } from '../shared/Button';

/** Opens a repair file as a new repair. The file is checked here first, so that a mistake is told at once. */
export function OpenRepairFile() {
  const input = useRef<HTMLInputElement>(null);
  const open = useOpenRepairFile();
  const { say } = useNotices();

  const onChosen = async (file: File | undefined) => {
    if (!file) return;
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
    <View>
      <Button label="Open a repair file" busy={open.isPending} onPress={() => input.current?.click()} />
      {createElement('input', {
        ref: input,
        type: 'file',
        accept: '.json,application/json',
        'aria-label': 'Repair file',
        style: { display: 'none' },
        onChange: (event: React.ChangeEvent<HTMLInputElement>) => {
          void onChosen(event.target.files?.[0]);
          // So that the same file can be chosen again after it was mended.
          event.target.value = '';
        },
      })}
    </View>
  );
}
