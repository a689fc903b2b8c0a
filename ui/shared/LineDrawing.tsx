import Svg, { G, Path } from 'react-native-svg';

import type { Picture } from '@core/record/model';

import { colours } from '../theme/colours';

/** A stored line drawing, fitted into a square. Nothing built yet shows as the mark, faint. */
export function LineDrawing({
  picture,
  size,
  made = [],
  ghost = [],
  inView = picture?.edges ?? [],
}: {
  picture: Pick<Picture, 'outline' | 'edges'> | null;
  size: number;
  /** Edges that stand out, by their index. */
  made?: readonly number[];
  /** Edges of what was there before, drawn thin. */
  ghost?: readonly number[][];
  /** Lines that there is room for, drawn or not: what stands side by side is drawn to one scale. */
  inView?: readonly number[][];
}) {
  if (!picture || picture.outline.length === 0) {
    return (
      <Svg width={size} height={size} viewBox="0 0 26 26" opacity={0.25} aria-hidden>
        <Path d="M 6 9 H 20 V 12 H 6 Z M 6 14 H 20 V 17 H 6 Z" fill={colours.slate.DEFAULT} />
      </Svg>
    );
  }
  const points = [...picture.outline, ...ghost, ...inView].flat();
  const xs = points.filter((_, index) => index % 2 === 0);
  const ys = points.filter((_, index) => index % 2 === 1);
  const [left, right, low, high] = [Math.min(...xs), Math.max(...xs), Math.min(...ys), Math.max(...ys)];
  const side = Math.max(right - left, high - low) * 1.06 || 1;
  const thin = (1.4 * side) / size;
  const path = (run: number[], close: boolean) => {
    const commands = [];
    // y is up in the picture and down on the screen.
    for (let at = 0; at < run.length; at += 2)
      commands.push(`${at === 0 ? 'M' : 'L'} ${run[at]} ${-run[at + 1]!}`);
    return commands.join(' ') + (close ? ' Z' : '');
  };
  return (
    <Svg
      width={size}
      height={size}
      viewBox={`${(left + right - side) / 2} ${-(low + high + side) / 2} ${side} ${side}`}
      aria-hidden
    >
      <Path
        d={picture.outline.map((loop) => path(loop, true)).join(' ')}
        fill={colours.putty.DEFAULT}
        fillRule="evenodd"
      />
      <G stroke={colours.ink} strokeWidth={thin} fill="none" strokeLinecap="round" strokeLinejoin="round">
        {ghost.map((edge, index) => (
          <Path
            key={`was ${index}`}
            d={path(edge, false)}
            stroke={colours.slate.DEFAULT}
            strokeWidth={thin * 0.7}
            strokeDasharray={[thin * 2, thin * 2]}
          />
        ))}
        {picture.edges.map((edge, index) =>
          made.includes(index) ? null : <Path key={index} d={path(edge, false)} />,
        )}
        {picture.edges.map((edge, index) =>
          made.includes(index) ? (
            <Path key={index} d={path(edge, false)} stroke={colours.green.DEFAULT} strokeWidth={thin * 1.8} />
          ) : null,
        )}
      </G>
    </Svg>
  );
}
