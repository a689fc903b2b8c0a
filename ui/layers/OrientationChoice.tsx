import { Pressable, ScrollView, Text, View } from 'react-native';

import { OUTWARD, Side } from '@core/foundations/fields';
import type { Vec3 } from '@core/foundations/vectors';
import { alikeOrientations } from '@core/making/orientation';
import type { Orientation } from '@core/making/printing';
import type { SideNames } from '@core/record/model';

import { LineDrawing } from '../shared/LineDrawing';
import type { DrawnWay } from './useLayers';

/** The part as it may lie, drawn, each with its reasons; a tap lays it down. */
export function OrientationChoice({
  ways,
  down,
  sides,
  onChange,
}: {
  ways: readonly DrawnWay[];
  down: Vec3;
  sides: SideNames | undefined;
  onChange(way: Orientation): void;
}) {
  if (ways.length === 0) return null;
  return (
    <ScrollView horizontal showsHorizontalScrollIndicator={false}>
      <View accessibilityRole="radiogroup" accessibilityLabel="Orientation" className="flex-row gap-2">
        {alikeOrientations(ways).map((alike, index) => {
          const [{ way, picture }] = alike;
          const chosen = alike.some((one) => isSameDown(one.way.down, down));
          const reasons = [...namedDown(way, sides), ...reasonsOf(way)];
          return (
            <Pressable
              key={index}
              accessibilityRole="radio"
              accessibilityLabel={`${index === 0 ? 'Suggested. ' : ''}${reasons.join(', ')}`}
              accessibilityState={{ checked: chosen }}
              aria-checked={chosen}
              onPress={() => onChange(way)}
              className={`w-[148px] gap-1 rounded-lg border p-2 ${chosen ? 'border-2 border-green bg-card' : 'border-line bg-card'}`}
            >
              <View className="items-center border-b border-rule pb-1">
                <LineDrawing picture={picture} size={96} />
              </View>
              {index === 0 ? <Text className="font-semibold text-[13px] text-green">Suggested</Text> : null}
              {reasons.map((reason) => (
                <Text key={reason} className="font-label text-[13px] leading-[17px] text-ink">
                  {reason}
                </Text>
              ))}
            </Pressable>
          );
        })}
      </View>
    </ScrollView>
  );
}

/** Whether two ways of lying are one. */
export const isSameDown = (one: Vec3, other: Vec3) =>
  one[0] * other[0] + one[1] * other[1] + one[2] * other[2] > 0.9999;

/** The side that is on the bed, where it has a name. */
function namedDown({ down }: Orientation, sides: SideNames = {}): string[] {
  const side = Side.options.find((one) => isSameDown(OUTWARD[one], down));
  const own = side && sides[side];
  return own ? [`${own} on the bed`] : [];
}

/** What speaks for and against a way, as short sentences. */
function reasonsOf({ heightMm, contactMm2, overhangMm2, across }: Orientation): string[] {
  return [
    ...(across === null ? [] : [loadWords(across)]),
    overhangMm2 < 1 ? 'no overhangs' : `${overhangMm2.toFixed(0)} mm² overhang`,
    `${heightMm.toFixed(1)} mm high`,
    contactMm2 < 1 ? 'almost no contact with the bed' : `${contactMm2.toFixed(0)} mm² on the bed`,
  ];
}

/** Layers hold least where they are pulled from each other. */
function loadWords(across: number): string {
  if (across < 0.1) return 'the load runs along its layers';
  return across > 0.75 ? 'the load pulls its layers apart' : 'the load runs at an angle to its layers';
}
