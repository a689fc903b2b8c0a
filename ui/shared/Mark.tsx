import Svg, { Rect } from 'react-native-svg';

import { colours } from '../theme/colours';

/** The mark: two level bars, like jaws just closed. */
export function Mark({ size = 26 }: { size?: number }) {
  return (
    <Svg width={size} height={(size * 14) / 26} viewBox="0 0 26 14" aria-hidden>
      <Rect x={0} y={0} width={26} height={5} fill={colours.green.DEFAULT} />
      <Rect x={0} y={9} width={26} height={5} fill={colours.green.DEFAULT} />
    </Svg>
  );
}
