import { useState } from 'react';
import { Text, View } from 'react-native';

import { USUAL_PRINT_SETUP, type Body } from '@core/record/model';
import { dot, type Vec3 } from '@core/foundations/vectors';
import { isParallel } from '@core/foundations/tolerance';

import { Button } from '../shared/Button';
import { Switch } from '../shared/Switch';
import { PointLoadSheet } from './PointLoadSheet';
import { WhatItBears } from './WhatItBears';

type Load = 'unknown' | 'x' | 'y' | 'z';
const ALONG: Record<'x' | 'y' | 'z', Vec3> = { x: [1, 0, 0], y: [0, 1, 0], z: [0, 0, 1] };

/** Along which way of a spare, as it stands under Shape, it is pulled or bent: chosen, or pointed at on it. */
export function LoadChoice({ body, onChange }: { body: Body; onChange(body: Body): void }) {
  const [isPointing, setPointing] = useState(false);
  const { load: now, held, ...laying } = body.laying ?? USUAL_PRINT_SETUP;
  const axis = now && axisOf(now);
  const take = (load: Vec3 | null, against = held) =>
    onChange({
      ...body,
      laying: load ? { ...laying, load: [...load], ...(against ? { held: against } : {}) } : laying,
    });
  return (
    <View className="gap-2">
      <Switch<Load>
        label="Direction of the load, as the part is shown under Shape"
        options={[
          { id: 'unknown', word: 'Not said' },
          { id: 'x', word: 'Left, right' },
          { id: 'y', word: 'Front, back' },
          { id: 'z', word: 'Up, down' },
        ]}
        value={axis ?? (now ? null : 'unknown')}
        onChange={(way) => take(way === 'unknown' ? null : ALONG[way])}
      />
      {now && !axis ? (
        <Text className="font-sans text-[15px] leading-[22px] text-ink">
          It pulls in the direction that you pointed at on the part.
        </Text>
      ) : null}
      <WhatItBears body={body} />
      <View className="items-start">
        <Button label="Point at it on the part" onPress={() => setPointing(true)} />
      </View>
      {isPointing ? (
        <PointLoadSheet
          body={body}
          onTake={({ load, held: against }) => {
            const plain = axisOf(load);
            take(plain ? ALONG[plain] : load, against);
            setPointing(false);
          }}
          onClose={() => setPointing(false)}
        />
      ) : null}
    </View>
  );
}

/** The way it runs along; undefined for one that is slanting. */
const axisOf = (load: Vec3) => (['x', 'y', 'z'] as const).find((way) => isParallel(dot(load, ALONG[way])));
