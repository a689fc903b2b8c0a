import { Link, type Href } from 'expo-router';
import { useState } from 'react';
import { Pressable, Text, View } from 'react-native';
import Svg, { Line, Path } from 'react-native-svg';

import type { Stage } from '@core/record/model';
import { STAGES } from '@core/record/model';
import { lackWords } from '@core/reporting/wording';
import type { Progress } from '@core/reporting/progress';

import { Mark } from '../shared/Mark';
import { colours } from '../theme/colours';

const NAMES: Record<Stage, string> = {
  brief: 'Brief',
  sizes: 'Sizes',
  fits: 'Fits',
  shape: 'Shape',
  make: 'Make',
  trial: 'Trial',
};
/** Ticks from one stage to the next. */
const TICKS = 10;
/** Length of a stage on an upright rule, px. */
const UPRIGHT_STAGE = 104;

/**
 * The strip of stages as an engraved scale: ticks behind what is settled are inked, a pointer marks where you
 * are. Along the foot of a phone, down the left of a wide screen.
 */
export function StageRule({
  repairId,
  current,
  missing,
  upright,
}: {
  repairId: string;
  current: string;
  missing: Progress['missing'];
  upright: boolean;
}) {
  const [width, setWidth] = useState(0);
  const firstMissing = STAGES.findIndex((stage) => missing[stage] !== null);
  const settled = firstMissing === -1 ? STAGES.length : firstMissing;
  const length = upright ? UPRIGHT_STAGE * STAGES.length : width;
  const scale = (
    <Scale
      length={length}
      inked={settled}
      here={STAGES.findIndex((stage) => stage === current)}
      upright={upright}
    />
  );
  const stages = STAGES.map((stage) => (
    <StageLink
      key={stage}
      href={`/repair/${repairId}/${stage}`}
      name={NAMES[stage]}
      lack={lackWords(missing[stage])}
      here={stage === current}
      upright={upright}
    />
  ));
  if (upright) {
    return (
      <View
        role="navigation"
        aria-label="Stages of the repair"
        className="w-[92px] border-r border-line bg-card pt-4"
      >
        <View className="items-center pb-6">
          <Link href="/" aria-label="Even Spare, list of repairs">
            <Mark size={28} />
          </Link>
        </View>
        <View>
          <View className="absolute left-0 top-0">{scale}</View>
          {stages}
        </View>
      </View>
    );
  }
  return (
    <View
      role="navigation"
      aria-label="Stages of the repair"
      className="h-[72px] border-t border-line bg-card"
      onLayout={({ nativeEvent }) => setWidth(nativeEvent.layout.width)}
    >
      <View className="absolute left-0 top-0">{scale}</View>
      <View className="flex-1 flex-row">{stages}</View>
    </View>
  );
}

function StageLink({
  href,
  name,
  lack,
  here,
  upright,
}: {
  href: Href;
  name: string;
  lack: string;
  here: boolean;
  upright: boolean;
}) {
  return (
    <Link href={href} replace asChild>
      <Pressable
        accessibilityRole="link"
        accessibilityLabel={lack ? `${name}, ${lack}` : name}
        aria-current={here ? 'page' : undefined}
        style={upright ? { height: UPRIGHT_STAGE } : undefined}
        className={upright ? 'w-full justify-center pl-7' : 'h-full flex-1 items-center pt-[26px]'}
      >
        <Text
          className={`font-number text-quarter-[14.5px] ${here ? 'text-green' : lack ? 'text-muted' : 'text-ink'}`}
        >
          {name}
        </Text>
        <Text
          numberOfLines={upright ? 2 : 1}
          className={`font-label text-quarter-[11.5px] text-muted ${upright ? '' : 'text-center'}`}
        >
          {lack}
        </Text>
      </Pressable>
    </Link>
  );
}

/** The engraved scale, with a long tick at each stage and one half as long between two. */
function Scale({
  length,
  inked,
  here,
  upright,
}: {
  length: number;
  inked: number;
  here: number;
  upright: boolean;
}) {
  if (length === 0) return null;
  const stage = length / STAGES.length;
  const count = STAGES.length * TICKS;
  const place = (index: number) => (index + 0.5) * stage;
  const ticks = Array.from({ length: count + 1 }, (_, index) => {
    const at = Math.round((index / count) * length) + 0.5;
    const middle = index % TICKS === TICKS / 2;
    const long = middle ? 14 : index % TICKS === 0 ? 9 : 5;
    const ink = index <= inked * TICKS ? colours.green.DEFAULT : colours.rule;
    const ends = upright ? { x1: 0, x2: long, y1: at, y2: at } : { y1: 0, y2: long, x1: at, x2: at };
    return <Line key={index} {...ends} stroke={ink} strokeWidth={middle ? 1.8 : 1} />;
  });
  const at = place(here);
  const pointer = upright
    ? `M 15 ${at - 6} L 25 ${at} L 15 ${at + 6} Z`
    : `M ${at - 6} 15 L ${at} 24 L ${at + 6} 15 Z`;
  return (
    <Svg width={upright ? 26 : length} height={upright ? length : 26} aria-hidden>
      {ticks}
      {here >= 0 ? <Path d={pointer} fill={colours.green.DEFAULT} /> : null}
    </Svg>
  );
}
