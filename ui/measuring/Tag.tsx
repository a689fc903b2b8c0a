import { Text, View } from 'react-native';

import type { SizeKind } from '@core/record/model';

/** The letter of a size: brass in a ring when it is measured, ink in a square when it is given. */
export function Tag({ letter, kind }: { letter: string; kind: SizeKind }) {
  const measured = kind === 'measured';
  return (
    <View
      className={`h-[26px] min-w-[26px] items-center justify-center border-[1.5px] px-1 ${
        measured ? 'rounded-full border-brass' : 'rounded-sm border-ink'
      }`}
    >
      <Text className={`font-number text-[14px] ${measured ? 'text-brass' : 'text-ink'}`}>{letter}</Text>
    </View>
  );
}
