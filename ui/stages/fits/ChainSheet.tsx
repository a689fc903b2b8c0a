import Trash from 'lucide-react-native/icons/trash';
import { useState } from 'react';
import { Text, View } from 'react-native';

import { readTyped } from '@core/foundations/formula';
import { isKnown } from '@core/measuring/measure';
import type { Chain, ChainLink } from '@core/record/model';
import { typedUnitOf } from '@core/foundations/quantity';
import { sentenceOf } from '@core/reporting/wording';

import { newId } from '../../api/newId';
import { useChangeRepair } from '../../api/useRepair';
import { useRepairContext } from '../../inRepair/useRepairContext';
import { useShow } from '../../preferences/useShow';
import { useWorth } from '../../preferences/useWorth';
import { Button, IconButton } from '../../shared/Button';
import { Field, Wrong } from '../../shared/Field';
import { GroupHeading } from '../../shared/Heading';
import { Picker, type PickerOption } from '../../shared/Picker';
import { Sheet } from '../../shared/Sheet';
import { Switch } from '../../shared/Switch';
import { colours } from '../../theme/colours';

/** Changes a chain: its links, and what it may add up to. */
export function ChainSheet({ chain, onClose }: { chain: Chain; onClose(): void }) {
  const { repair, numbers } = useRepairContext();
  const { put } = useChangeRepair(repair);
  const show = useShow();
  const unit = typedUnitOf(show.unit);
  const shownLimit = (mm: number | null) => (mm === null ? '' : show.number(mm).replace('−', '-'));
  const [name, setName] = useState(chain.name);
  const [from, setFrom] = useState(shownLimit(chain.fromMm));
  const [to, setTo] = useState(shownLimit(chain.toMm));
  const [wrong, setWrong] = useState<string>();
  const setLinks = (links: ChainLink[]) => put('chain', { ...chain, links });
  const keep = () => {
    const limits = ([from, to] as const).map((text, index) => {
      const now = index === 0 ? chain.fromMm : chain.toMm;
      // What is shown is rounded: a number that nobody touched stays what it is.
      if (text === shownLimit(now)) return { ok: true as const, value: now };
      return text.trim() === '' ? { ok: true as const, value: null } : readTyped(text, 'length', unit);
    });
    const bad = limits.find((limit) => !limit.ok);
    if (bad && !bad.ok) {
      setWrong(sentenceOf(bad.fault));
      return;
    }
    const [fromMm, toMm] = limits.map((limit) => (limit.ok ? limit.value : null)) as [
      number | null,
      number | null,
    ];
    if (fromMm !== null && toMm !== null && fromMm > toMm) {
      setWrong('The smallest sum is larger than the largest. Swap the two.');
      return;
    }
    put('chain', { ...chain, name: name.trim().slice(0, 80) || chain.name, fromMm, toMm });
    onClose();
  };
  return (
    <Sheet title={chain.name} onClose={onClose}>
      <Field label="Name" maxLength={80} value={name} onChangeText={setName} />
      <GroupHeading>Links, one after the other</GroupHeading>
      {chain.links.map((link) => (
        <LinkRow
          key={link.id}
          link={link}
          onChange={(next) => setLinks(chain.links.map((other) => (other.id === link.id ? next : other)))}
          onRemove={() => setLinks(chain.links.filter((other) => other.id !== link.id))}
        />
      ))}
      <AddLink onAdd={(link) => setLinks([...chain.links, link])} />
      <GroupHeading>It will do between</GroupHeading>
      <View className="flex-row gap-3">
        <View className="flex-1">
          <LengthField label="Smallest" value={from} onChange={setFrom} />
        </View>
        <View className="flex-1">
          <LengthField label="Largest" value={to} onChange={setTo} />
        </View>
      </View>
      {wrong ? <Wrong text={wrong} /> : null}
      <Button tone="primary" label="Keep" onPress={keep} />
      <Button
        tone="danger"
        label="Delete this chain"
        onPress={() => {
          put('chain', { ...chain, removed: true }, `Chain “${chain.name}” deleted.`);
          onClose();
        }}
      />
      <Text className="font-label text-[13px] text-muted">
        {`${numbers.chains.get(chain.id)?.links.length ?? 0} of ${chain.links.length} links are known.`}
      </Text>
    </Sheet>
  );
}

function LinkRow({
  link,
  onChange,
  onRemove,
}: {
  link: ChainLink;
  onChange(link: ChainLink): void;
  onRemove(): void;
}) {
  const { numbers } = useRepairContext();
  const show = useShow();
  const { value } = link;
  const name =
    value.from === 'number'
      ? show.length(value.mm)
      : value.from === 'size'
        ? wordsOfSize(numbers, value.id)
        : (numbers.fits.get(value.id)?.fit.name ?? 'a deleted fit');
  return (
    <View className="gap-1.5 rounded border border-line bg-card p-2">
      <View className="flex-row items-center gap-2">
        <Text numberOfLines={1} className="flex-1 font-medium text-[16px] text-ink">
          {name}
        </Text>
        <IconButton label={`Take ${name} out`} onPress={onRemove}>
          <Trash size={19} color={colours.rust.DEFAULT} />
        </IconButton>
      </View>
      <View className="flex-row items-center gap-2">
        <View className="flex-1">
          <Switch
            label={`Added or taken away: ${name}`}
            options={[
              { id: '1', word: 'Added' },
              { id: '-1', word: 'Taken away' },
            ]}
            value={String(link.sign) as '1' | '-1'}
            onChange={(sign) => onChange({ ...link, sign: sign === '1' ? 1 : -1 })}
          />
        </View>
        <Button
          label="Fewer"
          disabled={link.times <= 1}
          onPress={() => onChange({ ...link, times: link.times - 1 })}
        />
        <Text className="font-number text-[16px] text-ink">{`${link.times} ×`}</Text>
        <Button label="More" onPress={() => onChange({ ...link, times: Math.min(500, link.times + 1) })} />
      </View>
    </View>
  );
}

type Numbers = ReturnType<typeof useRepairContext>['numbers'];
function wordsOfSize(numbers: Numbers, id: string): string {
  const size = numbers.sizes.get(id)?.size;
  return size ? `${size.tag}  ${size.name}` : 'a deleted size';
}

function AddLink({ onAdd }: { onAdd(link: ChainLink): void }) {
  const { numbers } = useRepairContext();
  const show = useShow();
  const [chosen, setChosen] = useState('number');
  const [text, setText] = useState('');
  const [plusMinus, setPlusMinus] = useState('');
  const [wrong, setWrong] = useState<string>();
  const options: PickerOption[] = [
    { id: 'number', word: 'A number' },
    ...[...numbers.sizes.values()]
      .filter(({ size }) => size.quantity === 'length')
      .map(({ size, result }) => ({
        id: `size/${size.id}`,
        word: `${size.tag}  ${size.name}${isKnown(result) ? `, ${show.length(result.value)}` : ''}`,
        group: 'Sizes',
      })),
    ...[...numbers.fits.values()].map(({ fit }) => ({
      id: `fit/${fit.id}`,
      word: fit.name,
      group: 'Working sizes of fits',
    })),
  ];
  const add = () => {
    const unit = typedUnitOf(show.unit);
    const doubt = plusMinus.trim() === '' ? null : readTyped(plusMinus, 'length', unit);
    if (doubt && (!doubt.ok || doubt.value < 0)) {
      setWrong(
        doubt.ok
          ? 'A plus or minus can’t be below zero. Type how far it may be off.'
          : sentenceOf(doubt.fault),
      );
      return;
    }
    const rest = { id: newId(), times: 1, sign: 1 as const, plusMinusMm: doubt?.ok ? doubt.value : null };
    const [kind, id] = chosen.split('/');
    if (kind === 'number') {
      const length = readTyped(text, 'length', unit);
      if (!length.ok) {
        setWrong(sentenceOf(length.fault));
        return;
      }
      onAdd({ ...rest, value: { from: 'number', mm: length.value } });
    } else {
      onAdd({ ...rest, value: { from: kind as 'size' | 'fit', id: id! } });
    }
    setText('');
    setPlusMinus('');
    setWrong(undefined);
  };
  return (
    <View className="gap-2 rounded border border-dashed border-rule p-2">
      <Picker label="What the next link is" options={options} value={chosen} onChange={setChosen} />
      <View className="flex-row gap-2">
        {chosen === 'number' ? (
          <View className="flex-1">
            <LengthField label="Length" value={text} onChange={setText} />
          </View>
        ) : null}
        <View className="flex-1">
          <LengthField
            label={chosen === 'number' ? 'Plus or minus' : 'Plus or minus, if not as known'}
            value={plusMinus}
            onChange={setPlusMinus}
          />
        </View>
      </View>
      {wrong ? <Wrong text={wrong} /> : null}
      <Button label="Add this link" onPress={add} />
    </View>
  );
}

/** A length of a chain, in this person's unit. */
function LengthField({
  label,
  value,
  onChange,
}: {
  label: string;
  value: string;
  onChange(text: string): void;
}) {
  const show = useShow();
  const worth = useWorth();
  return (
    <Field
      label={label}
      unit={show.word}
      pad="length"
      worth={worth(value)}
      value={value}
      onChangeText={onChange}
    />
  );
}
