import { Text } from 'react-native';

import type { Body } from '@core/model';
import { weakestSentence } from '@core/wording';

import { useWeakest } from './useWeakest';

/** What a spare bears between its load and where it is held; nothing where that was not said. */
export function WhatItBears({ body }: { body: Body }) {
  const found = useWeakest(body);
  if (!body.laying?.held) return null;
  return (
    <Text
      role="status"
      className={`font-sans text-[15px] leading-[22px] ${found && found.weakest.thicker !== null ? 'text-rust' : 'text-ink'}`}
    >
      {found
        ? weakestSentence(found.weakest, found.load.forceN)
        : `${body.laying.held.forceN} N act on it. Between the load and where it is held there is no single section to look at: cut it open and ask there.`}
    </Text>
  );
}
