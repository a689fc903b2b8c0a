import { Text, View } from 'react-native';

import type { JobFigures } from '@core/making/printing';
import { TERMS, type TermId } from '@core/reporting/glossary';
import {
  HAPPENING_WORDS,
  jobSentence,
  layerWarningSentence,
  MOVE_WORDS,
  resinSentence,
  resinWarningSentence,
} from '@core/reporting/wording';

import { TermMark } from '../shared/TermMark';
import { Button } from '../shared/Button';
import type { SliceReply } from './protocol';

/** A place that is to be watched: which layer shows it, and where it is, mm on the bed. */
export interface Watched {
  layer: number;
  at: readonly [number, number, number];
}

/** What can be done about it by a tap; null where it is done already, or can't be. */
export interface Mends {
  onSupports: (() => void) | null;
  onSuggestedWay: (() => void) | null;
  onDrain: () => void;
}

/** What the job takes, what is in the layer that is shown, and what is to be watched. */
export function SliceReport({
  reply,
  layer,
  bedMm,
  mends,
  onShow,
}: {
  reply: SliceReply;
  layer: number;
  /** Breadth and depth of the bed. */
  bedMm: readonly [number, number, ...unknown[]];
  mends: Mends;
  onShow(place: Watched): void;
}) {
  const { drawing, summary, happenings, placements } = reply;
  const here = happenings.filter((one) => one.layer === layer).map(({ what }) => HAPPENING_WORDS[what]);
  const names = placements.map(({ name }) => name);
  const pieces = placements.map(({ at }) => at.length);
  return (
    <View className="gap-2">
      <Text className="font-sans text-[16px] leading-6 text-ink">
        {`Layer ${layer + 1} of ${drawing.topMm.length}, up to ${drawing.topMm[layer]!.toFixed(2)} mm. ${here.join(' ')}`}
      </Text>
      <Text className="font-sans text-[16px] leading-6 text-ink">
        {summary.by === 'resin'
          ? resinSentence(summary.figures, names, pieces)
          : jobSentence(summary.figures, names, pieces)}
      </Text>
      {warningsOf(reply).map(({ sentence, times, warning }) => (
        <View key={sentence} className="gap-1">
          <View className="flex-row items-start">
            <Text role="alert" className="flex-1 font-medium text-[15px] leading-6 text-rust">
              {times === 1 ? sentence : `${sentence} (${times} times.)`}
            </Text>
            <TermMark term={TERM_OF_WARNING[warning.code]} word={TERMS[TERM_OF_WARNING[warning.code]].word} />
          </View>
          <View className="flex-row flex-wrap gap-2">
            {'at' in warning ? (
              <Button
                label="Show it"
                name={`Show it: ${sentence}`}
                onPress={() => onShow(placeOf(warning, drawing, bedMm))}
              />
            ) : null}
            {SHUTS_IN.has(warning.code) && warning.part === 0 ? (
              <Button
                label="Drill a drain hole"
                name={`Drill a drain hole: ${sentence}`}
                onPress={mends.onDrain}
              />
            ) : null}
            {HANGS.has(warning.code) && mends.onSupports ? (
              <Button label="Use supports" onPress={mends.onSupports} />
            ) : null}
            {HANGS.has(warning.code) && mends.onSuggestedWay ? (
              <Button label="Use the suggested orientation" onPress={mends.onSuggestedWay} />
            ) : null}
          </View>
        </View>
      ))}
      {summary.by === 'filament' ? <Kinds kinds={summary.figures.kinds} /> : null}
    </View>
  );
}

type Warning = Extract<SliceReply['summary'], { by: 'filament' | 'resin' }>['warnings'][number];

/** The word of the glossary that a warning is about. */
const TERM_OF_WARNING: Readonly<Record<Warning['code'], TermId>> = {
  'slice.tooThin': 'walls',
  'slice.inAir': 'midAir',
  'slice.overhang': 'overhang',
  'slice.longBridge': 'bridge',
  'slice.heightRounded': 'layerHeight',
  'resin.tooThin': 'walls',
  'resin.closed': 'closedCavity',
  'resin.cup': 'suctionCup',
};

/** Supports, or another orientation, would hold it. */
const HANGS: ReadonlySet<Warning['code']> = new Set(['slice.inAir', 'slice.overhang', 'slice.longBridge']);

/** A hole would let the resin out. */
const SHUTS_IN: ReadonlySet<Warning['code']> = new Set(['resin.closed', 'resin.cup']);

/** Each sentence once, with how often it holds and the first place of it. */
function warningsOf({ summary, placements }: SliceReply) {
  const all =
    summary.by === 'resin'
      ? summary.warnings.map((warning) => ({ warning, words: resinWarningSentence(warning) }))
      : summary.warnings.map((warning) => ({ warning, words: layerWarningSentence(warning) }));
  const counted = new Map<string, { sentence: string; times: number; warning: Warning }>();
  for (const { warning, words } of all) {
    const sentence = placements.length > 1 ? `${placements[warning.part]!.name}: ${words}` : words;
    const known = counted.get(sentence);
    if (known) known.times += 1;
    else counted.set(sentence, { sentence, times: 1, warning });
  }
  return [...counted.values()];
}

/** A hair of height, mm. */
const HAIR_MM = 1e-3;

function placeOf(
  { code, at: [x, y, z] }: Extract<Warning, { at: unknown }>,
  { topMm }: SliceReply['drawing'],
  [width, depth]: readonly [number, number, ...unknown[]],
): Watched {
  // What is thin, or a bridge, is reported by the upper side of its layer, all else by its underside.
  const isByTop = code === 'slice.tooThin' || code === 'slice.longBridge';
  const layer = topMm.findIndex((top) => top > z + (isByTop ? -HAIR_MM : HAIR_MM));
  return { layer: layer < 0 ? topMm.length - 1 : layer, at: [x + width / 2, y + depth / 2, z] };
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
