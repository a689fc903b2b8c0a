import { Text, View } from 'react-native';

import type { Material } from '@core/record/model';
import type { PartPlacement } from '@core/making/printing';
import { resistancesOf } from '@core/record/workshop';

import { useShow } from '../preferences/useShow';
import { Button } from '../shared/Button';

/** Feet shorter than this hold their corners down, mm. */
const LONG_MM = 60;

/** What a material does as it is printed that is worth a word: corners that lift off the bed, strings from piece to piece. */
export function PrintRisks({
  material,
  placements,
  foot,
  onEars,
}: {
  material: Material;
  /** What lies on the bed, the leading spare first. */
  placements: readonly PartPlacement[];
  /** What is printed round the first layer of the leading one. */
  foot: string;
  onEars(): void;
}) {
  const show = useShow();
  const stands = resistancesOf(material);
  const [leading] = placements;
  const longMm = leading ? longestOf(leading.hull) : 0;
  const lifts = stands.lifts !== 'suited' && longMm > LONG_MM && foot !== 'brim' && foot !== 'ears';
  const pieces = placements.reduce((sum, { at }) => sum + at.length, 0);
  const strings = stands.strings !== 'suited' && pieces > 1;
  if (!lifts && !strings) return null;
  return (
    <View className="gap-2">
      {lifts ? (
        <>
          <Text role="alert" className="font-medium text-[15px] leading-6 text-rust">
            {`${material.name} ${stands.lifts === 'unsuited' ? 'lifts' : 'may lift'} its corners off the bed (warping), and this part is ${show.length(longMm)} long on it.`}
          </Text>
          <View className="items-start">
            <Button label="Add mouse ears" onPress={onEars} />
          </View>
        </>
      ) : null}
      {strings ? (
        <Text role="alert" className="font-medium text-[15px] leading-6 text-rust">
          {`${material.name} ${stands.strings === 'unsuited' ? 'strings' : 'may string'} from piece to piece: keep the ${pieces} apart, or make them one by one.`}
        </Text>
      ) : null}
    </View>
  );
}

/** The longest way across an outline. */
const longestOf = (hull: PartPlacement['hull']): number =>
  Math.max(
    0,
    ...hull.flatMap(([x, y], index) => hull.slice(index + 1).map(([u, v]) => Math.hypot(x - u, y - v))),
  );
