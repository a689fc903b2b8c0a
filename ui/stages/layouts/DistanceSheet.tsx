import { useState } from 'react';
import { Text } from 'react-native';

import { readTyped } from '@core/foundations/formula';
import { isKnown } from '@core/measuring/measure';
import {
  newSize,
  nextLetter,
  type Layout,
  type LayoutDistance,
  type LayoutEnd,
  type Source,
} from '@core/record/model';
import { typedUnitOf } from '@core/foundations/quantity';
import { capital } from '@core/shaping/sentence';

import { newId } from '../../api/newId';
import { useChangeRepair } from '../../api/useRepair';
import { useRepairContext } from '../../inRepair/useRepairContext';
import { useShow } from '../../preferences/useShow';
import { useWorth } from '../../preferences/useWorth';
import { Button } from '../../shared/Button';
import { Field } from '../../shared/Field';
import { GroupHeading } from '../../shared/Heading';
import { Picker } from '../../shared/Picker';
import { problemOf, type Problem } from '../../shared/problem';
import { PadAction } from '../../shared/pad/PadAction';
import { Sheet } from '../../shared/Sheet';
import { Switch } from '../../shared/Switch';
import { distanceWords, endWords, OVER_WORDS, withDistance, withoutDistance } from './editLayout';

/** A distance of a layout: how it is taken, and the size or number behind it. */
export function DistanceSheet({
  layout,
  from,
  to,
  id,
  onSave,
  onMeasure,
  onClose,
}: {
  layout: Layout;
  from: LayoutEnd;
  to: LayoutEnd;
  /** Of a distance that is there; null for a new one. */
  id: string | null;
  onSave(layout: Layout, undo?: string): void;
  /** Opens the pad for a size. */
  onMeasure(sizeId: string): void;
  onClose(): void;
}) {
  const { repair, numbers } = useRepairContext();
  const { put } = useChangeRepair(repair);
  const show = useShow();
  const worth = useWorth();
  const known = layout.distances.find((distance) => distance.id === id);
  const round = [from, to].some((end) => 'point' in end && pointKind(layout, end.point) !== 'corner');
  const [over, setOver] = useState<LayoutDistance['over']>(known?.over ?? (round ? 'far' : 'centres'));
  const [text, setText] = useState(known?.source.from === 'number' ? show.number(known.source.value) : '');
  const [wrong, setWrong] = useState<Problem>();
  const keep = (source: Source, leftOut: string | null = known?.leftOut ?? null) => {
    const distance: LayoutDistance = { id: known?.id ?? newId(), from, to, over, source, leftOut };
    onSave(withDistance(layout, distance), known ? 'Distance changed.' : undefined);
  };
  const measure = () => {
    const sizeId = newId();
    const draft: LayoutDistance = {
      id: known?.id ?? newId(),
      from,
      to,
      over,
      source: { from: 'size', id: sizeId },
      leftOut: null,
    };
    put(
      'size',
      newSize({
        id: sizeId,
        tag: nextLetter(repair.sizes.map((size) => size.tag)),
        name: `${layout.name}, ${distanceWords(layout, draft)}`.slice(0, 80),
        jaw: over === 'near' ? 'inside' : 'outside',
      }),
    );
    onSave(withDistance(layout, draft));
    onMeasure(sizeId);
  };
  const typed = () => {
    const read = readTyped(text, 'length', typedUnitOf(show.unit));
    if (!read.ok) setWrong(problemOf(read.fault));
    else if (read.value <= 0) setWrong(problemOf({ code: 'length.notPositive', mm: read.value }));
    else {
      keep({ from: 'number', value: read.value });
      onClose();
    }
  };
  const sizes = [...numbers.sizes.values()].filter(({ size }) => size.quantity === 'length');
  const sizeOf = known?.source.from === 'size' ? known.source.id : null;
  return (
    <Sheet title={`${endWords(layout, from)} to ${endWords(layout, to)}`} onClose={onClose}>
      {round ? (
        <Switch
          label="How it was taken"
          options={(['far', 'near', 'centres'] as const).map((way) => ({
            id: way,
            word: capital(OVER_WORDS[way]),
          }))}
          value={over}
          onChange={(next) => {
            setOver(next);
            if (known) onSave(withDistance(layout, { ...known, over: next }), 'Distance changed.');
          }}
        />
      ) : null}
      {sizeOf && numbers.sizes.has(sizeOf) ? (
        <Button
          tone="primary"
          label={`Take ${numbers.sizes.get(sizeOf)!.size.tag} again`}
          onPress={() => onMeasure(sizeOf)}
        />
      ) : (
        <Button tone="primary" label="Measure it" onPress={measure} />
      )}
      <GroupHeading>Or a size that is there</GroupHeading>
      <Picker
        label="Size of this distance"
        options={[
          { id: '', word: 'Choose a size…' },
          ...sizes.map(({ size, result }) => ({
            id: size.id,
            word: `${size.tag}  ${size.name}${isKnown(result) ? `, ${show.length(result.value)}` : ', to take'}`,
          })),
        ]}
        value={sizeOf ?? ''}
        onChange={(sizeId) => {
          if (sizeId === '') return;
          keep({ from: 'size', id: sizeId });
          onClose();
        }}
      />
      <GroupHeading>Or a number</GroupHeading>
      <Field
        label="Distance"
        unit={show.word}
        worth={worth(text)}
        pad={{ quantity: 'length', action: 'Use this number' }}
        value={text}
        onChangeText={(next) => {
          setText(next);
          setWrong(undefined);
        }}
        onSubmitEditing={typed}
        wrong={wrong}
      />
      <PadAction label="Use this number" onPress={typed} />
      {known ? (
        <>
          <Button
            label={known.leftOut === null ? 'Leave this distance out' : 'Count it again'}
            onPress={() => {
              keep(known.source, known.leftOut === null ? 'does not agree' : null);
              onClose();
            }}
          />
          <Button
            tone="danger"
            label="Delete this distance"
            onPress={() => {
              onSave(withoutDistance(layout, known.id), 'Distance deleted.');
              onClose();
            }}
          />
        </>
      ) : (
        <Text className="font-label text-[13.5px] leading-5 text-muted">
          Over far rims and between near ones, the diameters of the two are taken into account.
        </Text>
      )}
    </Sheet>
  );
}

const pointKind = (layout: Layout, id: string) => layout.points.find((point) => point.id === id)?.kind;
