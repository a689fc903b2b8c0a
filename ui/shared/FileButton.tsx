import { createElement, useRef } from 'react';
import { View } from 'react-native';

import { Button } from './Button';

/** A button that asks for a file of this device. */
export function FileButton({
  label,
  name,
  accept,
  busy,
  onChosen,
}: {
  label: string;
  /** What is asked for, to whom can't see the button. */
  name: string;
  /** Endings and types, as browsers take them. */
  accept: string;
  busy?: boolean;
  onChosen(file: File): void;
}) {
  const input = useRef<HTMLInputElement>(null);
  return (
    <View>
      <Button label={label} busy={busy ?? false} onPress={() => input.current?.click()} />
      {createElement('input', {
        ref: input,
        type: 'file',
        accept,
        'aria-label': name,
        style: { display: 'none' },
        onChange: (event: React.ChangeEvent<HTMLInputElement>) => {
          const file = event.target.files?.[0];
          if (file) onChosen(file);
          // So that the same file can be chosen again after it was mended.
          event.target.value = '';
        },
      })}
    </View>
  );
}
