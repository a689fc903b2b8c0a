import { Pressable, Text } from 'react-native';
import Svg, { Circle, Path } from 'react-native-svg';

import { colours } from '../../theme/colours';
import type { Tool } from './tools';

/** What each tool draws or does, as strokes on a field of 32 by 22: what is there, and what comes or goes. */
const STROKES: Record<Tool, { there?: string; made: string; dots?: readonly (readonly [number, number])[] }> =
  {
    line: {
      made: 'M4 18 L13 5 L28 15',
      dots: [
        [4, 18],
        [13, 5],
        [28, 15],
      ],
    },
    arc: {
      made: 'M4 17 A13 13 0 0 1 28 17',
      dots: [
        [4, 17],
        [16, 8],
        [28, 17],
      ],
    },
    tangentArc: { there: 'M3 18 H15', made: 'M15 18 A10 10 0 0 0 25 8 V4', dots: [[15, 18]] },
    arcAbout: {
      there: 'M16 19 L27 11 M16 19 L5 11',
      made: 'M27 11 A13.6 13.6 0 0 0 5 11',
      dots: [[16, 19]],
    },
    smooth: {
      made: 'M3 16 C8 2 13 3 16 11 S25 20 29 6',
      dots: [
        [3, 16],
        [16, 11],
        [29, 6],
      ],
    },
    circle: { made: 'M24.5 11 A8.5 8.5 0 1 1 24.5 10.9', dots: [[16, 11]] },
    rectangle: { made: 'M5 4 H27 V18 H5 Z' },
    slot: { made: 'M10 5 H22 A6 6 0 0 1 22 17 H10 A6 6 0 0 1 10 5 Z' },
    polygon: { made: 'M25.5 11 L20.8 19.2 H11.2 L6.5 11 L11.2 2.8 H20.8 Z' },
    ellipse: { made: 'M28 11 A12 6.5 0 1 1 28 10.9' },
    trim: { there: 'M16 2 V20 M3 11 H16', made: 'M19 11 H22 M25 11 H28' },
    extend: { there: 'M27 2 V20 M4 11 H14', made: 'M17 11 H27 M22 7 L27 11 L22 15' },
    split: { there: 'M3 11 H14 M18 11 H29', made: 'M16 4 V18' },
    area: {
      there: 'M20 11 A7.5 7.5 0 1 1 20 10.9 M27 11 A7.5 7.5 0 1 1 27 10.9',
      made: 'M16 5 A7.5 7.5 0 0 1 16 17 A7.5 7.5 0 0 1 16 5 Z',
    },
    follow: { there: 'M4 15 L14 19 L28 12 L18 8 Z M4 15 V10 L14 14 M14 14 L28 7', made: 'M14 19 L28 12' },
  };

/** A tool of the drawing board: what it does, drawn, with its word. */
export function ToolTile({
  tool,
  word,
  label,
  isInHand,
  onPress,
}: {
  tool: Tool;
  /** Short enough for its tile. */
  word: string;
  /** All of it, for those who hear it. */
  label: string;
  isInHand: boolean;
  onPress(): void;
}) {
  const { there, made, dots = [] } = STROKES[tool];
  const ink = isInHand ? colours.card : colours.green.DEFAULT;
  return (
    <Pressable
      accessibilityRole="button"
      accessibilityLabel={label}
      aria-pressed={isInHand}
      onPress={onPress}
      className={`h-[54px] w-[57px] items-center justify-center gap-0.5 rounded border active:bg-green-soft ${
        isInHand ? 'border-green bg-green' : 'border-rule bg-card'
      }`}
    >
      <Svg width={32} height={22} aria-hidden>
        {there ? (
          <Path
            d={there}
            stroke={isInHand ? colours.card : colours.slate.DEFAULT}
            strokeOpacity={0.75}
            strokeWidth={1.2}
            fill="none"
          />
        ) : null}
        <Path
          d={made}
          stroke={ink}
          strokeWidth={2}
          strokeLinecap="round"
          strokeLinejoin="round"
          fill={tool === 'area' ? ink : 'none'}
          fillOpacity={0.3}
        />
        {dots.map(([x, y]) => (
          <Circle key={`${x} ${y}`} cx={x} cy={y} r={2.2} fill={isInHand ? colours.card : colours.ink} />
        ))}
      </Svg>
      <Text numberOfLines={1} className={`font-label text-[13px] ${isInHand ? 'text-card' : 'text-ink'}`}>
        {word}
      </Text>
    </Pressable>
  );
}
