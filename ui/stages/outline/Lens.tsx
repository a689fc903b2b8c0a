import { View } from 'react-native';
import Svg, { Circle, ClipPath, Defs, G, Line } from 'react-native-svg';

import type { DrawnOutline } from '@core/foundations/fields';
import type { SolvedDrawing, StudiedDrawing } from '@core/shaping/drawn';

import { colours } from '../../theme/colours';
import { toMm, type BoardView } from './boardView';
import { Drawn, type Picked } from './Drawn';

type Place = readonly [x: number, y: number];

const LENS_PX = 46;
const LENS_ZOOM = 2.2;
const NOTHING: Picked = { points: new Set(), curves: new Set() };

/** What lies under the finger, larger, beside it. */
export function Lens({
  at,
  view,
  outline,
  shown,
  studied,
}: {
  at: Place;
  view: BoardView;
  outline: DrawnOutline;
  shown: SolvedDrawing;
  studied: StudiedDrawing;
}) {
  const side = 2 * LENS_PX;
  const inside: BoardView = {
    middle: toMm(view, at),
    scale: view.scale * LENS_ZOOM,
    width: side,
    height: side,
  };
  const isLeft = at[0] > view.width / 2;
  return (
    <View
      pointerEvents="none"
      className="absolute top-2 overflow-hidden rounded-full border-2 border-green bg-card"
      style={{ width: side, height: side, ...(isLeft ? { left: 8 } : { right: 8 }) }}
    >
      <Svg width={side} height={side} aria-hidden>
        <Defs>
          <ClipPath id="lens">
            <Circle cx={LENS_PX} cy={LENS_PX} r={LENS_PX} />
          </ClipPath>
        </Defs>
        <G clipPath="url(#lens)">
          <Drawn
            view={inside}
            outline={outline}
            shown={shown}
            studied={studied}
            picked={NOTHING}
            wrong={NOTHING.curves}
            arrows={false}
          />
          <Line
            x1={LENS_PX - 10}
            x2={LENS_PX + 10}
            y1={LENS_PX}
            y2={LENS_PX}
            stroke={colours.green.DEFAULT}
          />
          <Line
            y1={LENS_PX - 10}
            y2={LENS_PX + 10}
            x1={LENS_PX}
            x2={LENS_PX}
            stroke={colours.green.DEFAULT}
          />
        </G>
      </Svg>
    </View>
  );
}
