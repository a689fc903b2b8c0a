import { useState } from 'react';
import { Text, View } from 'react-native';

import type { PlacePair } from '@core/checking/found';
import type { Vec3 } from '@core/foundations/vectors';
import { sentenceOf } from '@core/reporting/wording';

import { Button } from '../shared/Button';
import { GroupHeading } from '../shared/Heading';
import { useWide } from '../shared/useWide';
import { PointedPiece } from './PointedPiece';
import type { FoundState } from './useFound';

/** As many places hold a piece. */
const WANTED = 3;
type Side = 'found' | 'spare';
interface Tapped {
  side: Side;
  at: Vec3;
}

/** The same three places are pointed at on the scanned piece and on the spare: a start where it can’t be laid by itself. */
export function PointPlaces({
  name,
  pointing: { piece, spare, pairs, wrong },
  onLay,
  onStop,
}: {
  name: string;
  pointing: FoundState & { kind: 'pointing' };
  onLay(pairs: PlacePair[]): void;
  onStop(): void;
}) {
  const wide = useWide();
  const [tapped, setTapped] = useState<readonly Tapped[]>(() =>
    pairs.flatMap((pair): Tapped[] => [
      { side: 'found', at: pair.found },
      { side: 'spare', at: pair.spare },
    ]),
  );
  const on = (side: Side) => tapped.flatMap((one) => (one.side === side ? [one.at] : []));
  const places = { found: on('found'), spare: on('spare') };
  const mark = (side: Side) => (at: Vec3) => {
    if (places[side].length < WANTED) setTapped([...tapped, { side, at }]);
  };
  const isWhole = places.found.length === WANTED && places.spare.length === WANTED;
  const lay = () => onLay(places.found.map((found, index) => ({ found, spare: places.spare[index]! })));
  return (
    <View role="group" aria-label="Three places on both" className="gap-2">
      <GroupHeading>Three places on both</GroupHeading>
      {wrong ? (
        <Text role="alert" className="font-medium text-[15px] leading-6 text-rust">
          {sentenceOf(wrong)}
        </Text>
      ) : null}
      <Text role="status" className="font-sans text-[16px] leading-6 text-ink">
        {isWhole
          ? 'Three places are marked on both.'
          : nextOf(places.found.length, places.spare.length, name)}
      </Text>
      <View className={wide ? 'flex-row gap-3' : 'gap-2'}>
        <PointedPiece
          heading="Scanned piece"
          piece={piece}
          edges={null}
          places={places.found}
          onPlace={mark('found')}
        />
        <PointedPiece
          heading={name}
          piece={spare}
          edges={spare.edges}
          places={places.spare}
          onPlace={mark('spare')}
        />
      </View>
      <View className="flex-row flex-wrap gap-2">
        <Button tone="primary" label="Align by these places" disabled={!isWhole} onPress={lay} />
        <Button
          label="Take back the last"
          disabled={tapped.length === 0}
          onPress={() => setTapped(tapped.slice(0, -1))}
        />
        <Button tone="quiet" label="Stop" onPress={onStop} />
      </View>
    </View>
  );
}

function nextOf(found: number, spare: number, name: string): string {
  if (found <= spare) {
    return found === 0
      ? 'Tap a corner of the scanned piece that did not break or wear; places far apart work best.'
      : `Tap another place on the scanned piece: the ${ORDINALS[found]} of three.`;
  }
  return `Now tap place ${spare + 1} on ${name}: the same corner.`;
}

const ORDINALS = ['first', 'second', 'third'];
