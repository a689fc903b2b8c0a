import { Link } from 'expo-router';
import { Pressable, Text, View } from 'react-native';
import Svg, { Line } from 'react-native-svg';

import type { RepairLine, Stage } from '@core/record/model';
import { nextThingWords } from '@core/reporting/wording';
import { STAGES } from '@core/record/model';

import { colours } from '../theme/colours';
import { LineDrawing } from '../shared/LineDrawing';

const STAGE_WORDS: Record<Stage, string> = {
  brief: 'Brief',
  sizes: 'Sizes',
  fits: 'Fits',
  shape: 'Shape',
  make: 'Make',
  trial: 'Trial',
};

/** One repair in the list. */
export function RepairCard({ line, half }: { line: RepairLine; half: boolean }) {
  const next = nextThingWords(line.next);
  return (
    <Link href={`/repair/${line.id}/${line.stage}`} asChild>
      <Pressable
        accessibilityRole="link"
        accessibilityLabel={`${line.name}, ${STAGE_WORDS[line.stage]}: ${next}`}
        className={`flex-row gap-3 rounded border border-line bg-card p-3 active:bg-green-soft ${half ? 'max-w-[50%] flex-1' : ''}`}
      >
        <View className="h-[84px] w-[84px] items-center justify-center rounded-sm bg-bench">
          <LineDrawing picture={line.picture} size={76} />
        </View>
        <View className="flex-1 justify-between">
          <View className="flex-row items-start justify-between gap-2">
            <View className="flex-1">
              <Text numberOfLines={1} className="font-semibold text-[18px] text-ink">
                {line.name}
              </Text>
              <Text numberOfLines={1} className="font-label text-[14px] text-muted">
                {line.place}
              </Text>
            </View>
            {line.revision ? (
              <View className="rounded-sm border border-ink px-1.5 py-0.5">
                <Text className="font-number text-[12.5px] text-ink">{`Rev ${line.revision}`}</Text>
              </View>
            ) : null}
          </View>
          <View className="gap-1.5">
            <Text numberOfLines={1} className="font-medium text-[14.5px] text-ink">
              <Text className="font-semibold text-green">{STAGE_WORDS[line.stage]}</Text>
              {`  ${next}`}
            </Text>
            <ProgressScale stage={line.stage} />
          </View>
        </View>
      </Pressable>
    </Link>
  );
}

const TICKS = 30;

/** The stage rule in small: ticks inked as far as the repair has come. */
function ProgressScale({ stage }: { stage: Stage }) {
  const reached = ((STAGES.indexOf(stage) + 1) / STAGES.length) * TICKS;
  return (
    <Svg width="100%" height={10} viewBox="0 0 300 10" preserveAspectRatio="none" aria-hidden>
      {Array.from({ length: TICKS + 1 }, (_, index) => (
        <Line
          key={index}
          x1={index * 9.9 + 1}
          x2={index * 9.9 + 1}
          y1={0}
          y2={index % 6 === 0 ? 10 : 6}
          stroke={index <= reached ? colours.ink : colours.line}
          strokeWidth={1.3}
        />
      ))}
    </Svg>
  );
}
