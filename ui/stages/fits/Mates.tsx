import X from 'lucide-react-native/icons/x';
import { useState } from 'react';
import { Text, View } from 'react-native';

import type { FitChance } from '@core/fitting/fit';
import { newSize, nextLetter, type Fit, type Size } from '@core/record/model';
import { tooFarApartSentence } from '@core/reporting/numberWords';
import { chanceWords } from '@core/reporting/wording';

import { newId } from '../../api/newId';
import { useChangeRepair } from '../../api/useRepair';
import { useRepairContext } from '../../inRepair/useRepairContext';
import { useShow } from '../../preferences/useShow';
import { Button, IconButton } from '../../shared/Button';
import { ChoiceRow } from '../../shared/ChoiceRow';
import { GroupHeading } from '../../shared/Heading';
import { Sheet } from '../../shared/Sheet';
import { colours } from '../../theme/colours';

/** What the spare must fit, where that is several things that differ: older tools and newer ones, four feet of one chair. */
export function Mates({ fit, chance }: { fit: Fit; chance: FitChance | null }) {
  const { repair, numbers } = useRepairContext();
  const { put } = useChangeRepair(repair);
  const show = useShow();
  const [adding, setAdding] = useState(false);
  // One whose size was deleted is not to be fitted any more.
  const also = (fit.alsoSizeIds ?? []).filter((id) => numbers.sizes.has(id));
  const mates = [fit.counterpartSizeId, ...also].flatMap((id) => numbers.sizes.get(id)?.size ?? []);
  const takeOff = (id: string) => {
    const left = also.filter((other) => other !== id);
    // Its own may go as well, as long as another takes its place.
    const next =
      id === fit.counterpartSizeId
        ? { counterpartSizeId: left[0]!, alsoSizeIds: left.slice(1) }
        : { alsoSizeIds: left };
    put('fit', { ...fit, ...next }, 'It need not fit that one any more.');
  };
  return (
    <View className="gap-1.5">
      {mates.length > 1 ? (
        <View role="list" aria-label={`What ${fit.name} must fit`}>
          <GroupHeading>It must fit all of these</GroupHeading>
          {mates.map(({ id, tag, name }) => {
            const own = chance?.mates.find((mate) => mate.tag === tag);
            return (
              <View
                key={id}
                role="listitem"
                className="min-h-[44px] flex-row items-center gap-3 border-b border-line"
              >
                <Text className="flex-1 font-medium text-[15.5px] text-ink">{`${tag}  ${name}`}</Text>
                <Text className="font-number text-[15.5px] tabular-nums text-ink">
                  {own
                    ? `${show.number(own.mm)} ${show.word}, ${chanceWords(own.probability)}`
                    : 'not taken yet'}
                </Text>
                <IconButton label={`Leave ${tag} out of ${fit.name}`} onPress={() => takeOff(id)}>
                  <X size={18} color={colours.muted} />
                </IconButton>
              </View>
            );
          })}
          {chance && chance.tooFarApartMm !== null ? (
            <Text role="alert" className="pt-1.5 font-medium text-[15px] leading-[22px] text-rust">
              {tooFarApartSentence(
                show.length(chance.tooFarApartMm),
                show.length(chance.wish.toMm - chance.wish.fromMm),
              )}
            </Text>
          ) : null}
        </View>
      ) : null}
      <View className="items-start">
        <Button tone="quiet" label="It must fit another one too" onPress={() => setAdding(true)} />
      </View>
      {adding ? <AddMate fit={fit} onClose={() => setAdding(false)} /> : null}
    </View>
  );
}

/** Another counterpart: a size that is there, or a new one to be taken of it. */
function AddMate({ fit, onClose }: { fit: Fit; onClose(): void }) {
  const { repair, numbers } = useRepairContext();
  const { put } = useChangeRepair(repair);
  const taken = new Set([fit.counterpartSizeId, ...(fit.alsoSizeIds ?? [])]);
  const own = numbers.sizes.get(fit.counterpartSizeId)?.size;
  const others = [...numbers.sizes.values()]
    .map(({ size }) => size)
    .filter(({ id, of, quantity }) => of === 'counterpart' && quantity === 'length' && !taken.has(id));
  const add = (size: Size, words: string) => {
    put('fit', { ...fit, alsoSizeIds: [...(fit.alsoSizeIds ?? []), size.id] }, words);
    onClose();
  };
  const addNew = () => {
    if (!own) return;
    const tag = nextLetter(repair.sizes.map((size) => size.tag));
    const size = newSize({
      id: newId(),
      tag,
      name: `${own.name.slice(0, 60)}, another (${tag})`,
      jaw: own.jaw,
      of: 'counterpart',
    });
    put('size', size);
    add(size, `Size ${tag} is there: take it on the other one, under Sizes.`);
  };
  return (
    <Sheet title="It must fit another one too" onClose={onClose}>
      <View className="gap-1.5">
        <ChoiceRow
          title="One that is still to be measured"
          note={own ? `A new size like ${own.tag}, taken on the other one` : undefined}
          onPress={addNew}
        />
        {others.map((size) => (
          <ChoiceRow
            key={size.id}
            tag={size.tag}
            title={size.name}
            onPress={() => add(size, `It must fit ${size.tag} as well.`)}
          />
        ))}
      </View>
    </Sheet>
  );
}
