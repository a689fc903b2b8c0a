import { useState } from 'react';
import { Text, View } from 'react-native';
import Svg, { Circle, Defs, G, Line, Path, Pattern } from 'react-native-svg';

import type { Body, Picture } from '@core/record/model';
import { flat, type ShapeDifference } from '@core/shaping/part';
import type { Compared } from '@core/reporting/revision';

import { useShow } from '../preferences/useShow';
import { Button } from '../shared/Button';
import { FadeSlider } from '../shared/FadeSlider';
import { GroupHeading } from '../shared/Heading';
import { workbench } from '../solid/useSolid';
import { colours } from '../theme/colours';

type State =
  | { kind: 'none' }
  | { kind: 'working' }
  | { kind: 'failed' }
  | { kind: 'found'; difference: ShapeDifference };

/** A spare of one side beside that of the other, by shape: what came on, what went, and where they are furthest apart. */
export function ShapeComparison({ body, before, after }: { body: Body; before: Compared; after: Compared }) {
  const [state, setState] = useState<State>({ kind: 'none' });
  const compare = () => {
    setState({ kind: 'working' });
    const side = ({ state: repair, workshop }: Compared) => ({ state: repair, workshop });
    workbench.ask
      .compareShapes(body.id, side(before), side(after))
      .then((difference) => setState(difference ? { kind: 'found', difference } : { kind: 'failed' }))
      .catch(() => setState({ kind: 'failed' }));
  };
  if (state.kind === 'found') return <Found name={body.name} difference={state.difference} />;
  return (
    <View className="gap-1.5">
      <Button
        label={`Compare the shapes of ${body.name}`}
        busy={state.kind === 'working'}
        onPress={compare}
      />
      {state.kind === 'failed' ? (
        <Text role="alert" className="font-medium text-[15px] leading-6 text-rust">
          {`${body.name} can’t be compared: on one side it is not there, or a step of it fails. Fix it, then compare again.`}
        </Text>
      ) : null}
    </View>
  );
}

function Found({ name, difference }: { name: string; difference: ShapeDifference }) {
  const show = useShow();
  const { addedMm3, removedMm3, furthest } = difference;
  const same = addedMm3 === 0 && removedMm3 === 0;
  const words = same
    ? 'The same shape.'
    : [
        addedMm3 > 0 ? `${addedMm3.toFixed(1)} mm³ added.` : '',
        removedMm3 > 0 ? `${removedMm3.toFixed(1)} mm³ removed.` : '',
        furthest ? `Furthest apart by ${show.length(furthest.mm)}, at the ring.` : '',
      ]
        .filter(Boolean)
        .join(' ');
  return (
    <View role="group" aria-label={`Shapes of ${name}`} className="gap-2">
      <GroupHeading>{`${name}, by shape`}</GroupHeading>
      <Text className="font-sans text-[16px] leading-6 text-ink">{words}</Text>
      {same ? null : <Overlay difference={difference} />}
    </View>
  );
}

const HEIGHT = 240;
const WIDTH = 340;

/** Both drawn over each other; a slider fades from the earlier to the later one. What came on is hatched, what went dotted. */
function Overlay({ difference }: { difference: ShapeDifference }) {
  const [share, setShare] = useState(50);
  const { before, after, added, removed, furthest } = difference;
  const points = [before, after].flatMap(({ outline }) => outline.flat());
  const xs = points.filter((_, index) => index % 2 === 0);
  const ys = points.filter((_, index) => index % 2 === 1);
  const [left, right, low, high] = [Math.min(...xs), Math.max(...xs), Math.min(...ys), Math.max(...ys)];
  const scale = Math.min((WIDTH - 30) / (right - left || 1), (HEIGHT - 30) / (high - low || 1));
  const at = (x: number, y: number): [number, number] => [
    WIDTH / 2 + (x - (left + right) / 2) * scale,
    HEIGHT / 2 - (y - (low + high) / 2) * scale,
  ];
  const path = (run: readonly number[], close: boolean) =>
    Array.from({ length: run.length / 2 }, (_, index) => {
      const [x, y] = at(run[2 * index]!, run[2 * index + 1]!);
      return `${index === 0 ? 'M' : 'L'} ${x.toFixed(1)} ${y.toFixed(1)}`;
    }).join(' ') + (close ? ' Z' : '');
  const area = ({ outline }: Picture) => outline.map((loop) => path(loop, true)).join(' ');
  const drawn = (picture: Picture, opacity: number, ink: string) => (
    <G opacity={opacity}>
      <Path d={area(picture)} fill={colours.putty.DEFAULT} fillRule="evenodd" />
      {picture.edges.map((edge, index) => (
        <Path key={index} d={path(edge, false)} stroke={ink} strokeWidth={1.2} fill="none" />
      ))}
    </G>
  );
  const ring = furthest ? at(...flat(...furthest.at)) : null;
  return (
    <View className="gap-1">
      <View
        role="img"
        aria-label={`The earlier shape and the later one over each other${added ? '; added material is hatched' : ''}${removed ? '; removed material is dotted' : ''}`}
        className="items-center rounded bg-bench"
      >
        <Svg width="100%" height={HEIGHT} viewBox={`0 0 ${WIDTH} ${HEIGHT}`} aria-hidden>
          <Defs>
            <Pattern id="came" width={6} height={6} patternUnits="userSpaceOnUse">
              <Line x1={0} y1={6} x2={6} y2={0} stroke={colours.moss.DEFAULT} strokeWidth={1.5} />
            </Pattern>
            <Pattern id="went" width={6} height={6} patternUnits="userSpaceOnUse">
              <Circle cx={1.5} cy={1.5} r={1.1} fill={colours.rust.DEFAULT} />
              <Circle cx={4.5} cy={4.5} r={1.1} fill={colours.rust.DEFAULT} />
            </Pattern>
          </Defs>
          {drawn(before, 1 - share / 100, colours.slate.DEFAULT)}
          {drawn(after, share / 100, colours.ink)}
          {removed ? (
            <Path d={area(removed)} fill="url(#went)" stroke={colours.rust.DEFAULT} fillRule="evenodd" />
          ) : null}
          {added ? (
            <Path d={area(added)} fill="url(#came)" stroke={colours.moss.DEFAULT} fillRule="evenodd" />
          ) : null}
          {ring ? (
            <Circle cx={ring[0]} cy={ring[1]} r={9} stroke={colours.ink} strokeWidth={2} fill="none" />
          ) : null}
        </Svg>
      </View>
      <FadeSlider
        from="Earlier"
        to="Later"
        label="From the earlier to the later shape"
        value={share}
        onChange={setShare}
      />
      <Text className="font-label text-[13.5px] text-muted">
        {[added ? 'Added: hatched.' : '', removed ? 'Removed: dotted.' : ''].filter(Boolean).join(' ')}
      </Text>
    </View>
  );
}
