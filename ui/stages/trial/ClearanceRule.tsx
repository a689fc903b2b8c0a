import { useState } from 'react';
import { View } from 'react-native';
import Svg, { Line, Path, Rect, Text as SvgText } from 'react-native-svg';

import type { Judged } from '@core/fitting/trial';

import { useShow } from '../../preferences/useShow';
import { colours } from '../../theme/colours';

const [HEIGHT, INSET] = [66, 20];
const FONT = 'BarlowSemiCondensed_600SemiBold';

/** The clearance that came out beside the one that was wished, on one rule. */
export function ClearanceRule({ judged }: { judged: Judged }) {
  const [width, setWidth] = useState(0);
  const show = useShow();
  const { clearanceMm, evidence } = judged;
  if (clearanceMm === null) return null;
  const { fromMm, toMm } = evidence.wish;
  const room = 0.35 * (Math.max(toMm, clearanceMm) - Math.min(fromMm, clearanceMm)) + 0.02;
  const [low, high] = [Math.min(fromMm, clearanceMm) - room, Math.max(toMm, clearanceMm) + room];
  const x = (mm: number) => INSET + ((mm - low) / (high - low)) * (width - 2 * INSET);
  const here = x(clearanceMm);
  return (
    <View
      role="img"
      aria-label={`Clearance ${show.signed(clearanceMm)}, target ${show.signed(fromMm)} to ${show.signed(toMm)} ${show.word}`}
      className="rounded-sm bg-bench"
      style={{ height: HEIGHT }}
      onLayout={({ nativeEvent }) => setWidth(nativeEvent.layout.width)}
    >
      {width > 0 ? (
        <Svg width={width} height={HEIGHT} aria-hidden>
          <Rect
            x={x(fromMm)}
            y={26}
            width={x(toMm) - x(fromMm)}
            height={16}
            fill={colours.green.soft}
            stroke={colours.green.DEFAULT}
            strokeWidth={1.2}
          />
          <Line x1={INSET} x2={width - INSET} y1={42} y2={42} stroke={colours.muted} strokeWidth={1} />
          {[fromMm, toMm].map((mm) => (
            <SvgText
              key={mm}
              x={x(mm)}
              y={58}
              fontSize={12}
              fontFamily={FONT}
              fill={colours.green.DEFAULT}
              textAnchor="middle"
            >
              {show.signed(mm)}
            </SvgText>
          ))}
          <Path d={`M ${here - 6} 14 L ${here + 6} 14 L ${here} 25 Z`} fill={colours.brass.DEFAULT} />
          <Line x1={here} x2={here} y1={24} y2={42} stroke={colours.brass.DEFAULT} strokeWidth={1.6} />
          <SvgText
            x={Math.min(width - 24, Math.max(24, here))}
            y={11}
            fontSize={12.5}
            fontFamily={FONT}
            fill={colours.brass.DEFAULT}
            textAnchor="middle"
          >
            {show.signed(clearanceMm)}
          </SvgText>
        </Svg>
      ) : null}
    </View>
  );
}
