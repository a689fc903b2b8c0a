import { Text, View } from 'react-native';

import type { JobFigures } from '@core/printing';
import {
  HAPPENING_WORDS,
  jobSentence,
  layerWarningSentence,
  MOVE_WORDS,
  resinSentence,
  resinWarningSentence,
} from '@core/wording';

import type { LaidReply } from './protocol';

/** What the job takes, what is in the layer that is shown, and what is to be watched. */
export function Told({ reply, layer }: { reply: LaidReply; layer: number }) {
  const { drawing, told, happenings, footings } = reply;
  const here = happenings.filter((one) => one.layer === layer).map(({ what }) => HAPPENING_WORDS[what]);
  const names = footings.map(({ name }) => name);
  const pieces = footings.map(({ at }) => at.length);
  const ofPart = (part: number, sentence: string) =>
    footings.length > 1 ? `${names[part]!}: ${sentence}` : sentence;
  const sentences =
    told.by === 'resin'
      ? told.warnings.map((warning) => ofPart(warning.part, resinWarningSentence(warning)))
      : told.warnings.map((warning) => ofPart(warning.part, layerWarningSentence(warning)));
  return (
    <View className="gap-2">
      <Text className="font-sans text-[16px] leading-6 text-ink">
        {`Layer ${layer + 1} of ${drawing.topMm.length}, up to ${drawing.topMm[layer]!.toFixed(2)} mm. ${here.join(' ')}`}
      </Text>
      <Text className="font-sans text-[16px] leading-6 text-ink">
        {told.by === 'resin'
          ? resinSentence(told.figures, names, pieces)
          : jobSentence(told.figures, names, pieces)}
      </Text>
      {[...counted(sentences)].map(([sentence, times]) => (
        <Text key={sentence} role="alert" className="font-medium text-[15px] leading-6 text-rust">
          {times === 1 ? sentence : `${sentence} (${times} times.)`}
        </Text>
      ))}
      {told.by === 'filament' ? <Kinds kinds={told.figures.kinds} /> : null}
    </View>
  );
}

function Kinds({ kinds }: { kinds: JobFigures['kinds'] }) {
  return (
    <View role="table" aria-label="What each kind of line takes">
      {kinds.map(({ kind, seconds, metres }) => (
        <View key={kind} role="row" className="flex-row justify-between">
          <Text role="cell" className="flex-1 font-label text-[14.5px] text-muted">
            {MOVE_WORDS[kind]}
          </Text>
          <Text role="cell" className="w-[90px] text-right font-number text-[14.5px] tabular-nums text-ink">
            {`${(seconds / 60).toFixed(1)} min`}
          </Text>
          <Text role="cell" className="w-[90px] text-right font-number text-[14.5px] tabular-nums text-ink">
            {`${metres.toFixed(1)} m`}
          </Text>
        </View>
      ))}
    </View>
  );
}

/** The same of several pieces is told once. */
function counted(sentences: readonly string[]): Map<string, number> {
  const times = new Map<string, number>();
  for (const sentence of sentences) times.set(sentence, (times.get(sentence) ?? 0) + 1);
  return times;
}
