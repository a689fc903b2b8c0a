import Redo from 'lucide-react-native/icons/redo-2';
import Undo from 'lucide-react-native/icons/undo-2';
import { useEffect } from 'react';
import { View } from 'react-native';

import type { Body } from '@core/record/model';
import { ownValue } from '@core/foundations/own';

import { useBodyHistory, whileStepping } from '../api/bodyHistory';
import { useChangeRepair } from '../api/useRepair';
import { useRepairContext } from './useRepairContext';
import { IconButton } from '../shared/Button';
import { colours } from '../theme/colours';

/** Back through the changes of a recipe, and on again; with the keys as well. */
export function HistoryButtons({ body }: { body: Body }) {
  const { repair } = useRepairContext();
  const { put } = useChangeRepair(repair);
  const { past, future, back, on } = useBodyHistory();
  const step = (find: (now: Body) => Body | null) => {
    const found = find(body);
    if (found) whileStepping(() => put('body', { ...found, version: body.version }));
  };
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      const typing = (event.target as HTMLElement | null)?.closest('input, textarea');
      if (typing || !(event.ctrlKey || event.metaKey) || event.key.toLowerCase() !== 'z') return;
      event.preventDefault();
      step(event.shiftKey ? on : back);
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  });
  return (
    <View className="flex-row">
      <IconButton
        label="Take back the last change"
        disabled={(ownValue(past, body.id) ?? []).length === 0}
        onPress={() => step(back)}
      >
        <Undo size={20} color={colours.ink} />
      </IconButton>
      <IconButton
        label="Make the change again"
        disabled={(ownValue(future, body.id) ?? []).length === 0}
        onPress={() => step(on)}
      >
        <Redo size={20} color={colours.ink} />
      </IconButton>
    </View>
  );
}
