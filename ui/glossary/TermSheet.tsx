import { Text, View } from 'react-native';
import Svg, { Path } from 'react-native-svg';

import { TERMS, type TermDrawing } from '@core/reporting/glossary';

import { Sheet } from '../shared/Sheet';
import { colours } from '../theme/colours';
import { useOpenTerm } from '../shared/openTerm';

/** A word of the trade: one sentence, and a small drawing of what it is. */
export function TermSheet() {
  const { term, close } = useOpenTerm();
  if (!term) return null;
  const { word, says, drawing } = TERMS[term];
  return (
    <Sheet title={`${word[0]!.toUpperCase()}${word.slice(1)}`} isExplained onClose={close}>
      {drawing ? <Drawn drawing={drawing} word={word} /> : null}
      <Text className="font-sans text-[17px] leading-7 text-ink">{says}</Text>
    </Sheet>
  );
}

function Drawn({ drawing: { solid, thin, ink, accent }, word }: { drawing: TermDrawing; word: string }) {
  const line = { fill: 'none', strokeLinecap: 'round', strokeLinejoin: 'round' } as const;
  return (
    <View role="img" aria-label={`Drawing: ${word}`} className="items-center rounded bg-bench py-4">
      <Svg width={240} height={144} viewBox="0 0 120 72" aria-hidden>
        {solid ? (
          <Path
            d={solid}
            fill={colours.putty.DEFAULT}
            fillRule="evenodd"
            stroke={colours.ink}
            strokeWidth={0.9}
            strokeLinejoin="round"
          />
        ) : null}
        {thin ? (
          <Path {...line} d={thin} stroke={colours.slate.DEFAULT} strokeWidth={0.8} strokeDasharray="3 2" />
        ) : null}
        {ink ? <Path {...line} d={ink} stroke={colours.ink} strokeWidth={0.9} /> : null}
        {accent ? <Path {...line} d={accent} stroke={colours.rust.DEFAULT} strokeWidth={1.8} /> : null}
      </Svg>
    </View>
  );
}
