import { ActivityIndicator } from 'react-native';

import { colours } from '../theme/colours';

/** Turns while something is under way. What it is stands beside it in words. */
export function Spinner({ onGreen = false }: { onGreen?: boolean }) {
  return (
    <ActivityIndicator
      size="small"
      accessibilityLabel="Working"
      color={onGreen ? colours.card : colours.green.DEFAULT}
    />
  );
}
