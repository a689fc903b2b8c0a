import { useEffect, useState } from 'react';
import { Text, View } from 'react-native';

import { Spinner } from './Spinner';

/** Waits shorter than this need no sign, ms. */
const SIGN_AFTER_MS = 300;

/** A sign that something is on its way, once it has taken a moment. */
export function Loading({ what }: { what: string }) {
  const [late, setLate] = useState(false);
  useEffect(() => {
    const timer = setTimeout(() => setLate(true), SIGN_AFTER_MS);
    return () => clearTimeout(timer);
  }, []);
  if (!late) return null;
  return (
    <View role="status" className="flex-row items-center gap-3 p-4">
      <Spinner />
      <Text className="font-medium text-muted">{what}</Text>
    </View>
  );
}
