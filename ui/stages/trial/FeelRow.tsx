import { Pressable, Text, View } from 'react-native';
import Svg, { Path, Rect } from 'react-native-svg';

import { Verdict } from '@core/record/model';
import { VERDICT_WORDS } from '@core/reporting/numberWords';

import { colours } from '../../theme/colours';

/** What is drawn for each: room on either side of the pin, how far it leans, and how deep it goes in; px, degrees. */
const DRAWN: Record<Verdict, { gap: number; lean: number; deep: number }> = {
  rattles: { gap: 6, lean: 9, deep: 34 },
  loose: { gap: 3, lean: 3, deep: 34 },
  right: { gap: 1, lean: 0, deep: 34 },
  stiff: { gap: -1, lean: 0, deep: 20 },
  willNotGo: { gap: -4, lean: 0, deep: 2 },
};

/** How it went, from rattling to will not go: five drawn fits, one tap. */
export function FeelRow({
  name,
  value,
  onChange,
}: {
  name: string;
  value: Verdict | null;
  onChange(verdict: Verdict | null): void;
}) {
  return (
    <View
      accessibilityRole="radiogroup"
      accessibilityLabel={`How it went: ${name}`}
      className="flex-row gap-1"
    >
      {Verdict.options.map((verdict) => {
        const chosen = verdict === value;
        return (
          <Pressable
            key={verdict}
            accessibilityRole="radio"
            accessibilityLabel={VERDICT_WORDS[verdict]}
            aria-checked={chosen}
            onPress={() => onChange(chosen ? null : verdict)}
            className={`min-h-[84px] flex-1 items-center justify-end rounded border pb-1 pt-1 ${
              chosen ? 'border-green bg-green-soft' : 'border-line bg-card active:bg-green-soft'
            }`}
          >
            <DrawnFit {...DRAWN[verdict]} />
            <Text
              numberOfLines={1}
              className={`font-label text-[12px] ${chosen ? 'text-green' : 'text-ink'}`}
            >
              {VERDICT_WORDS[verdict]}
            </Text>
          </Pressable>
        );
      })}
    </View>
  );
}

const [WIDTH, HEIGHT, TOP, PIN] = [56, 56, 16, 16];

/** A pin in a cut block, the block hatched as drawings are. */
function DrawnFit({ gap, lean, deep }: { gap: number; lean: number; deep: number }) {
  const middle = WIDTH / 2;
  const [left, right] = [middle - PIN / 2 - gap, middle + PIN / 2 + gap];
  const foot = HEIGHT - 4;
  const hatch = [...lines(2, left, TOP, foot), ...lines(right, WIDTH - 2, TOP, foot)].join(' ');
  return (
    <Svg width={WIDTH} height={HEIGHT} aria-hidden>
      <Path d={hatch} stroke={colours.muted} strokeWidth={0.7} />
      {[
        [2, left],
        [right, WIDTH - 2],
      ].map(([from, to]) => (
        <Rect
          key={from}
          x={from}
          y={TOP}
          width={Math.max(1, to! - from!)}
          height={foot - TOP}
          fill="none"
          stroke={colours.ink}
          strokeWidth={1.1}
        />
      ))}
      <Rect
        x={middle - PIN / 2}
        y={TOP + deep - 34}
        width={PIN}
        height={34}
        fill={colours.slate.soft}
        stroke={colours.slate.DEFAULT}
        strokeWidth={1.3}
        transform={`rotate(${lean} ${middle} ${TOP + 8})`}
      />
    </Svg>
  );
}

/** Slanted lines within a box. */
function lines(from: number, to: number, top: number, foot: number): string[] {
  const found: string[] = [];
  for (let start = from - (foot - top); start < to; start += 5) {
    const [x0, x1] = [Math.max(from, start), Math.min(to, start + foot - top)];
    if (x1 > x0) found.push(`M${x0} ${foot - (x0 - start)} L${x1} ${foot - (x1 - start)}`);
  }
  return found;
}
