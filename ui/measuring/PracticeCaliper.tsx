import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Text, View } from 'react-native';
import { z } from 'zod';

import { ask } from '../api/client';
import { useNotices } from '../api/notices';
import { Button } from '../shared/Button';
import { Picker } from '../shared/Picker';

const Bench = z.object({
  objects: z.array(
    z.object({
      id: z.string(),
      name: z.string(),
      dimensions: z.array(z.object({ id: z.string(), name: z.string(), jaw: z.string() })),
    }),
  ),
});
const Shown = z.object({ shown: z.string() });

/**
 * A stand-in for calipers that type like a keyboard: its display is read on the server, and its digits and Enter
 * arrive as keys, by the same way as those of real ones.
 */
export function PracticeCaliper({
  first = null,
  named,
}: {
  /** What it is held to at first, if that lies on the bench: thing and size. */
  first?: string | null;
  /** Held to what goes by this name; to nothing if that does not lie on the bench. */
  named?: string;
}) {
  const bench = useQuery({
    queryKey: ['practice-caliper'],
    queryFn: ({ signal }) => ask('/practice-caliper', { reply: Bench, signal }),
    staleTime: Infinity,
  });
  const { say } = useNotices();
  const [chosen, setChosen] = useState<string | null>(null);
  const [busy, setBusy] = useState(false);
  const options = (bench.data?.objects ?? []).flatMap((object) =>
    object.dimensions.map((dimension) => ({
      id: `${object.id}/${dimension.id}`,
      word: dimension.name,
      group: object.name,
    })),
  );
  const wanted = options.find(({ id, word }) => (named === undefined ? id === first : word === named));
  const usual = named === undefined ? options[0] : undefined;
  const value = chosen ?? wanted?.id ?? usual?.id ?? null;
  const press = async () => {
    const [objectId, dimensionId] = value?.split('/') ?? [];
    if (!objectId || !dimensionId) return;
    setBusy(true);
    try {
      const { shown } = await ask('/practice-caliper/readings', {
        method: 'POST',
        body: { objectId, dimensionId },
        reply: Shown,
      });
      typeKeys([...shown, 'Enter']);
    } catch {
      say({
        tone: 'wrong',
        text: 'The practice caliper does not answer. Start the server, then press again.',
      });
    } finally {
      setBusy(false);
    }
  };
  return (
    <View className="flex-row items-center gap-2 border-b border-line bg-slate-soft py-1 pl-3 pr-2">
      <Text className="font-label text-[13px] text-slate">Practice</Text>
      <View className="min-w-0 flex-1">
        <Picker
          label="What the practice caliper is held to"
          options={options}
          value={value}
          onChange={setChosen}
        />
      </View>
      <Button label="Press" busy={busy} disabled={value === null} onPress={() => void press()} />
    </View>
  );
}

/** Presses keys one after the other, as a keyboard does. */
function typeKeys(keys: readonly string[]): void {
  for (const key of keys)
    window.dispatchEvent(new KeyboardEvent('keydown', { key, bubbles: true, cancelable: true }));
}
