import { Text, View } from 'react-native';

import type { SolvedLayout } from '@core/measuring/layout';
import type { Layout, LayoutEnd } from '@core/record/model';
import { sentenceOf } from '@core/reporting/wording';

import { useShow } from '../../preferences/useShow';
import { distanceWords, endWords } from './editLayout';

/** A sentence that names more distances than these is not read. */
const MOST_NAMED = 6;

/** How the layout stands, in a sentence: what is missing, what does not agree, or that all is well. */
export function LayoutState({
  layout,
  solved,
  waiting,
}: {
  layout: Layout;
  solved: SolvedLayout;
  waiting: LayoutEnd | null;
}) {
  const show = useShow();
  const { suspect, fault, redundancy, agreement } = solved;
  const wrong = layout.distances.find(({ id }) => id === suspect?.distanceId);
  const shortWords = (id: string) => {
    const distance = layout.distances.find((one) => one.id === id);
    return distance ? `${endWords(layout, distance.from)} to ${endWords(layout, distance.to)}` : '';
  };
  if (waiting) {
    return (
      <Sentence
        tone="text-green"
        text={`From ${endWords(layout, waiting)}: tap the other end of the distance, or tap it again to change it.`}
      />
    );
  }
  if (suspect && wrong) {
    if (suspect.rivals.length > 0) {
      const all = [suspect, ...suspect.rivals];
      const sizes = all.map(({ tooLongMm }) => Math.abs(tooLongMm));
      const [least, most] = [show.number(Math.min(...sizes)), show.number(Math.max(...sizes))];
      const named = [
        ...all.slice(0, MOST_NAMED).map(({ distanceId }) => shortWords(distanceId)),
        ...(all.length > MOST_NAMED ? [`and ${all.length - MOST_NAMED} more`] : []),
      ].join(', ');
      const by = least === most ? most : `${least} to ${most}`;
      return (
        <Sentence
          tone="text-rust"
          alert
          text={`One of these ${all.length} distances is off, by ${by} ${show.word}, and the distances do not show which: ${named}. Measure ${shortWords(suspect.distanceId)} again first: it would be ${show.number(Math.abs(suspect.tooLongMm))} ${show.word} too ${suspect.tooLongMm > 0 ? 'long' : 'short'}.`}
        />
      );
    }
    const by = `${show.number(Math.abs(suspect.tooLongMm))} ${show.word}`;
    return (
      <Sentence
        tone="text-rust"
        alert
        text={`The distance ${distanceWords(layout, wrong)} does not agree with the others: it seems ${by} too ${suspect.tooLongMm > 0 ? 'long' : 'short'}. Take it again.`}
      />
    );
  }
  if (fault) return <Sentence tone="text-rust" text={sentenceOf(fault)} />;
  if (redundancy === 0) {
    return (
      <Sentence
        tone="text-ink"
        text="All points are placed, but nothing checks the distances. Take one or two more, across."
      />
    );
  }
  const words =
    agreement !== null && agreement < 0.05
      ? 'The distances agree less well than they should. Check the largest differences.'
      : 'The distances agree.';
  return (
    <Sentence
      tone={agreement !== null && agreement < 0.05 ? 'text-rust' : 'text-moss'}
      text={`${words} ${redundancy} more than needed.`}
    />
  );
}

function Sentence({ text, tone, alert = false }: { text: string; tone: string; alert?: boolean }) {
  return (
    <View className="border-b border-line px-4 py-2.5" role={alert ? 'alert' : 'status'}>
      <Text className={`font-medium text-[15px] leading-[21px] ${tone}`}>{text}</Text>
    </View>
  );
}
