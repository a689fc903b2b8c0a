import { Text } from 'react-native';

import type { Body } from '@core/record/model';
import { noSectionSentence, weakestSentence } from '@core/reporting/wording';

import { useWeakest } from './useWeakest';

/** What a spare bears between its load and where it is held; nothing where that was not said, or until it is built. */
export function WhatItBears({ body }: { body: Body }) {
  const found = useWeakest(body);
  if (!found) return null;
  const { load, weakest, service } = found;
  return (
    <Text
      role="status"
      className={`font-sans text-[15px] leading-[22px] ${weakest && weakest.thicker !== null ? 'text-rust' : 'text-ink'}`}
    >
      {weakest ? weakestSentence(weakest, load.forceN, service.safety) : noSectionSentence(load.forceN)}
    </Text>
  );
}
