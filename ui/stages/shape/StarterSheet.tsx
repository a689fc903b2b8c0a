import { useEffect, useMemo, useState } from 'react';
import { Text, View } from 'react-native';

import type { Body, Reading } from '@core/model';
import { parseLength, typedUnitOf } from '@core/quantity';
import { instrumentIn } from '@core/workshop';
import { beginWith, STARTERS, type Starter, type StarterFigure } from '@core/starters';

import { newId } from '../../api/newId';
import { useNotices } from '../../api/notices';
import { useChangeRepair } from '../../api/useRepair';
import { useRepairContext } from '../../inRepair/useRepairContext';
import { usePreferences } from '../../preferences/usePreferences';
import { useShow } from '../../preferences/useShow';
import { Button } from '../../shared/Button';
import { ChoiceRow } from '../../shared/ChoiceRow';
import { Field } from '../../shared/Field';
import { Loading } from '../../shared/Loading';
import { problemOf, type Problem } from '../../shared/problem';
import { Sheet } from '../../shared/Sheet';
import { workbench } from '../../solid/useSolid';
import { JAW_WORDS } from '../../measuring/jaws';
import { StarterDrawing } from './StarterDrawing';

/** Chooses a whole recipe for a common spare, and takes the numbers that it asks for. */
export function StarterSheet({ body, onClose }: { body: Body; onClose(): void }) {
  const [starter, setStarter] = useState<Starter | null>(null);
  if (starter)
    return <StarterForm body={body} starter={starter} onBack={() => setStarter(null)} onClose={onClose} />;
  return (
    <Sheet title="Begin with a starter" onClose={onClose}>
      <View className="gap-1.5">
        {STARTERS.map((one) => (
          <ChoiceRow key={one.id} title={one.name} note={one.what} onPress={() => setStarter(one)} />
        ))}
      </View>
    </Sheet>
  );
}

function StarterForm({
  body,
  starter,
  onBack,
  onClose,
}: {
  body: Body;
  starter: Starter;
  onBack(): void;
  onClose(): void;
}) {
  const { repair, numbers } = useRepairContext();
  const { put } = useChangeRepair(repair);
  const instruments = usePreferences((preferences) => preferences.instruments);
  const show = useShow();
  const unit = typedUnitOf(show.unit);
  const figure = useStarterFigure(starter.id);
  const [typed, setTyped] = useState<Record<string, string>>({});
  const [wrong, setWrong] = useState<Record<string, Problem | undefined>>({});
  const letters = useMemo(
    () => new Map(starter.asks.map(({ key }, index) => [key, String.fromCharCode(97 + index)])),
    [starter],
  );
  const begin = () => {
    const lengths = new Map<string, number>();
    const faults: Record<string, Problem> = {};
    for (const [key, text] of Object.entries(typed)) {
      if (text.trim() === '') continue;
      const read = parseLength(text, unit);
      if (!read.ok) faults[key] = problemOf(read.fault);
      else if (read.value <= 0) faults[key] = problemOf({ code: 'length.notPositive', mm: read.value });
      else lengths.set(key, read.value);
    }
    setWrong(faults);
    if (Object.keys(faults).length > 0) return;
    const begun = beginWith(starter, repair, new Set(lengths.keys()), newId, body);
    for (const size of begun.sizes) put('size', size);
    for (const [key, value] of lengths) {
      const reading: Reading = {
        id: newId(),
        version: 0,
        sizeId: begun.sizeOf.get(key)!.id,
        value,
        typed: typed[key]!.trim(),
        instrumentId: instrumentIn(numbers.workshop, instruments.length).id,
        takenAt: new Date().toISOString(),
        leftOut: null,
        removed: false,
      };
      put('reading', reading);
    }
    for (const fit of begun.fits) put('fit', fit);
    for (const made of begun.bodies) put('body', made);
    const usual = starter.asks.length - lengths.size;
    useNotices.getState().say({
      text:
        usual === 0
          ? `${starter.name}: every number is measured.`
          : `${starter.name}: ${usual} ${usual === 1 ? 'number is' : 'numbers are'} usual ones, to be measured.`,
      tone: 'plain',
    });
    onClose();
  };
  return (
    <Sheet title={starter.name} onClose={onClose}>
      {figure === undefined ? (
        <View className="h-[190px] justify-center">
          <Loading what="Drawing what to measure…" />
        </View>
      ) : figure ? (
        <StarterDrawing figure={figure} letters={letters} name={starter.name} />
      ) : null}
      <Text className="font-sans text-[15px] leading-6 text-muted">
        Type what the calipers show. What is left empty takes a usual number, so that the part can be seen;
        measure it later under Sizes.
      </Text>
      {starter.asks.map(({ key, name, usualMm, jaw, of }) => (
        <Field
          key={key}
          label={`${letters.get(key)}  ${name}: ${JAW_WORDS[jaw]}${of === 'counterpart' ? ', on what it must fit' : ''}`}
          unit={show.word}
          inputMode="decimal"
          placeholder={`usually ${show.number(usualMm)}`}
          value={typed[key] ?? ''}
          onChangeText={(text) => {
            setTyped({ ...typed, [key]: text });
            setWrong({ ...wrong, [key]: undefined });
          }}
          wrong={wrong[key]}
        />
      ))}
      <View className="flex-row gap-3">
        <Button className="flex-1" label="Another starter" onPress={onBack} />
        <Button className="flex-1" tone="primary" label="Begin" onPress={begin} />
      </View>
    </Sheet>
  );
}

/** The drawing of a starter: undefined while it is made, null if it can’t be. */
function useStarterFigure(id: string): StarterFigure | null | undefined {
  const [figure, setFigure] = useState<StarterFigure | null>();
  useEffect(() => {
    let current = true;
    workbench.ask
      .starterFigure(id)
      .then((found) => {
        if (current) setFigure(found);
      })
      .catch(() => {
        if (current) setFigure(null);
      });
    return () => {
      current = false;
    };
  }, [id]);
  return figure;
}
