import { useState } from 'react';
import { Text, View } from 'react-native';

import type { EvaluatedChain } from '@core/fitting/fit';
import type { Chain } from '@core/record/model';
import { chanceWords } from '@core/reporting/wording';

import { newId } from '../../api/newId';
import { useChangeRepair } from '../../api/useRepair';
import { useRepairContext } from '../../inRepair/useRepairContext';
import { useShow } from '../../preferences/useShow';
import { Button } from '../../shared/Button';
import { GroupHeading, Heading } from '../../shared/Heading';
import { ChainSheet } from './ChainSheet';

/** Lengths one after the other: what they add up to at worst, most likely, and the chance of staying within limits. */
export function Chains() {
  const { repair, numbers } = useRepairContext();
  const { put } = useChangeRepair(repair);
  const [open, setOpen] = useState<string | null>(null);
  const chains = [...numbers.chains.values()];
  const add = () => {
    const id = newId();
    const chain: Chain = {
      id,
      version: 0,
      name: `Chain ${chains.length + 1}`,
      links: [],
      fromMm: null,
      toMm: null,
      removed: false,
    };
    put('chain', chain);
    setOpen(id);
  };
  const shown = chains.find(({ chain }) => chain.id === open);
  return (
    <View className="gap-3">
      <GroupHeading>Chains of lengths</GroupHeading>
      {chains.length === 0 ? (
        <Text className="font-sans text-[15px] leading-6 text-muted">
          A row of holes, a stack of washers: lengths that add up, and their doubts with them.
        </Text>
      ) : null}
      {chains.map((entry) => (
        <ChainCard key={entry.chain.id} entry={entry} onOpen={() => setOpen(entry.chain.id)} />
      ))}
      <Button label="Add a chain" onPress={add} />
      {shown ? <ChainSheet chain={shown.chain} onClose={() => setOpen(null)} /> : null}
    </View>
  );
}

function ChainCard({ entry, onOpen }: { entry: EvaluatedChain; onOpen(): void }) {
  const show = useShow();
  const { chain, stack, waitsFor } = entry;
  const range = ({ fromMm, toMm }: { fromMm: number; toMm: number }) =>
    `${show.number(fromMm)} to ${show.number(toMm)}`;
  return (
    <View
      className="gap-1.5 rounded-lg border border-line bg-card p-4"
      role="group"
      aria-label={`Chain ${chain.name}`}
    >
      <View className="flex-row items-center justify-between gap-2">
        <Heading>{chain.name}</Heading>
        <Button label="Change" onPress={onOpen} />
      </View>
      {waitsFor ? (
        <Text className="font-medium text-[15px] text-rust">{`Take ${waitsFor.tag} (${waitsFor.name}) first.`}</Text>
      ) : stack && chain.links.length > 0 ? (
        <>
          <Line what="Adds up to" text={show.length(stack.nominalMm)} strong />
          <Line what="Most likely within" text={range(stack.likely)} />
          <Line what="At the very worst" text={range(stack.worst)} />
          {stack.chance === null ? null : (
            <Text className="font-sans text-[15px] leading-6 text-ink">
              {`${chanceWords(stack.chance)} chance to lie between ${chain.fromMm === null ? 'anything' : show.number(chain.fromMm)} and ${chain.toMm === null ? 'anything' : show.number(chain.toMm)} ${show.word}, from 20,000 trials.`}
            </Text>
          )}
        </>
      ) : (
        <Text className="font-label text-[14px] text-muted">It has no links yet.</Text>
      )}
    </View>
  );
}

function Line({ what, text, strong = false }: { what: string; text: string; strong?: boolean }) {
  return (
    <View className="flex-row justify-between gap-3">
      <Text className="font-label text-[15px] text-muted">{what}</Text>
      <Text className={`font-number tabular-nums text-ink ${strong ? 'text-[19px]' : 'text-[15.5px]'}`}>
        {text}
      </Text>
    </View>
  );
}
