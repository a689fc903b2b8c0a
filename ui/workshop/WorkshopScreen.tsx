import ChevronLeft from 'lucide-react-native/icons/chevron-left';
import { router } from 'expo-router';
import { useState } from 'react';
import { ScrollView, Text, View } from 'react-native';

import type { FitTable, Instrument, Machine } from '@core/model';
import { DISPLAY_UNITS, type DisplayUnit } from '@core/quantity';
import { FIT_CLASSES } from '@core/workshop';

import { newId } from '../api/newId';
import { useChangeWorkshop, useWorkshop } from '../api/useWorkshop';
import { ConnectionSign } from '../frame/ConnectionSign';
import { usePreferences } from '../preferences/usePreferences';
import { useShow } from '../preferences/useShow';
import { Button, IconButton } from '../shared/Button';
import { ChoiceRow } from '../shared/ChoiceRow';
import { GroupHeading } from '../shared/Heading';
import { Switch } from '../shared/Switch';
import { promiseOf } from '../measuring/InstrumentSheet';
import { colours } from '../theme/colours';
import { FitTableSheet } from './FitTableSheet';
import { HabitsSheet } from './HabitsSheet';
import { InstrumentForm } from './InstrumentForm';
import { MachineForm } from './MachineForm';
import { FAMILY_WORDS, PROCESS_WORDS } from './words';

const UNIT_WORDS: Record<DisplayUnit, string> = {
  mm: 'mm',
  cm: 'cm',
  in: 'inch',
  fraction: 'inch fractions',
};

/** What the workshop has and knows: units, instruments, machines and their habits, fits. */
export function WorkshopScreen() {
  const { workshop } = useWorkshop();
  const put = useChangeWorkshop(workshop);
  const show = useShow();
  const preferences = usePreferences();
  const [instrument, setInstrument] = useState<Instrument | null>(null);
  const [machine, setMachine] = useState<Machine | null>(null);
  const [habits, setHabits] = useState<string | null>(null);
  const habitsOf = workshop.machines.find(({ id }) => id === habits);
  const [table, setTable] = useState<FitTable | null>(null);
  const back = () => (router.canGoBack() ? router.back() : router.replace('/'));
  const removed = [
    ...workshop.instruments.filter((row) => row.removed).map((row) => ({ row, kind: 'instrument' as const })),
    ...workshop.machines.filter((row) => row.removed).map((row) => ({ row, kind: 'machine' as const })),
  ];
  return (
    <View className="flex-1 bg-paper">
      <View className="h-[60px] flex-row items-center gap-1 pl-1.5 pr-4">
        <IconButton label="Back" onPress={back}>
          <ChevronLeft size={26} color={colours.ink} />
        </IconButton>
        <Text role="heading" aria-level={1} className="flex-1 font-semibold text-[19px] text-ink">
          Workshop
        </Text>
      </View>
      <ConnectionSign />
      <ScrollView role="main" contentContainerClassName="w-full max-w-[640px] gap-5 self-center p-4 pb-12">
        <View className="gap-1.5">
          <GroupHeading>Lengths are shown in</GroupHeading>
          <Switch<DisplayUnit>
            label="Unit"
            options={DISPLAY_UNITS.map((id) => ({ id, word: UNIT_WORDS[id] }))}
            value={preferences.unit}
            onChange={preferences.setUnit}
          />
          <Text className="font-label text-[13.5px] text-muted">
            Only for you, in this browser. Any unit can be typed anywhere: 1 3/16 in, 3.2 cm, 38.20.
          </Text>
        </View>
        <View className="gap-1.5">
          <GroupHeading>A read-through takes of each size</GroupHeading>
          <Switch
            label="Readings of each size"
            options={['1', '2', '3', '5'].map((id) => ({ id, word: id === '1' ? '1 reading' : id }))}
            value={String(preferences.readingsEach)}
            onChange={(count) => preferences.setReadingsEach(Number(count))}
          />
        </View>
        <View className="gap-1.5">
          <GroupHeading>Practice caliper</GroupHeading>
          <Switch
            label="Practice caliper"
            options={[
              { id: 'off', word: 'Put away' },
              { id: 'on', word: 'On the bench' },
            ]}
            value={preferences.practiceCaliper ? 'on' : 'off'}
            onChange={(id) => preferences.setPracticeCaliper(id === 'on')}
          />
          <Text className="font-label text-[13.5px] text-muted">
            It types readings of a few things that lie on the practice bench, as real calipers do.
          </Text>
        </View>
        <View className="gap-1.5">
          <GroupHeading>Instruments</GroupHeading>
          {workshop.instruments
            .filter((row) => !row.removed)
            .map((row) => (
              <ChoiceRow
                key={row.id}
                title={row.name}
                note={promiseOf(row, show)}
                onPress={() => setInstrument(row)}
              />
            ))}
          <Button
            label="Add an instrument"
            onPress={() =>
              setInstrument({
                ...workshop.instruments[0]!,
                id: newId(),
                version: 0,
                name: '',
                removed: false,
              })
            }
          />
        </View>
        <View className="gap-1.5">
          <GroupHeading>Machines and what they do to sizes</GroupHeading>
          {workshop.machines
            .filter((row) => !row.removed)
            .map((row) => (
              <ChoiceRow
                key={row.id}
                title={row.name}
                note={correctionsOf(row, show)}
                onPress={() => setMachine(row)}
              />
            ))}
          <Button
            label="Add a machine"
            onPress={() =>
              setMachine({ ...workshop.machines[0]!, id: newId(), version: 0, name: '', removed: false })
            }
          />
        </View>
        <View className="gap-1.5">
          <GroupHeading>Fits: clearance on the diameter at 6 mm</GroupHeading>
          {workshop.fitTables
            .filter((row) => !row.removed)
            .map((row) => (
              <ChoiceRow
                key={row.id}
                title={`${PROCESS_WORDS[row.process]}, ${row.family === 'any' ? 'any material' : FAMILY_WORDS[row.family]}`}
                note={FIT_CLASSES.map(
                  ({ id, word }) => `${word.toLowerCase()} ${signedFine(row.clearances[id])}`,
                ).join(' · ')}
                onPress={() => setTable(row)}
              />
            ))}
        </View>
        {removed.length > 0 ? <GroupHeading>Put away</GroupHeading> : null}
        {removed.map(({ row, kind }) => (
          <Button
            key={row.id}
            tone="quiet"
            label={`Bring back ${row.name}`}
            onPress={() => put(kind, { ...row, removed: false })}
          />
        ))}
      </ScrollView>
      {instrument ? (
        <InstrumentForm instrument={instrument} onSave={put} onClose={() => setInstrument(null)} />
      ) : null}
      {machine ? (
        <MachineForm
          machine={machine}
          onSave={put}
          onHabits={() => {
            setHabits(machine.id);
            setMachine(null);
          }}
          onClose={() => setMachine(null)}
        />
      ) : null}
      {habitsOf ? (
        <HabitsSheet machine={habitsOf} workshop={workshop} onSave={put} onClose={() => setHabits(null)} />
      ) : null}
      {table ? <FitTableSheet table={table} onSave={put} onClose={() => setTable(null)} /> : null}
    </View>
  );
}

/** Clearances are told in hundredths, in thousandths where they are that fine. */
function signedFine(mm: number): string {
  const digits = Math.abs(mm * 100 - Math.round(mm * 100)) > 1e-9 ? 3 : 2;
  return `${mm < 0 ? '−' : '+'}${Math.abs(mm).toFixed(digits)}`;
}

/** "inside +0.05, outside −0.03" and what shrinks. */
function correctionsOf({ corrections, shrinkage }: Machine, show: ReturnType<typeof useShow>): string {
  const parts = corrections
    .filter(({ offsetMm, scale }) => offsetMm !== 0 || scale !== 0)
    .map(
      ({ feature, offsetMm, scale }) =>
        `${feature} ${show.signed(offsetMm)}${scale === 0 ? '' : ` and ${(scale * 100).toFixed(2)} %`}`,
    );
  if (shrinkage) parts.push(`shrinks ${(shrinkage.x * 100).toFixed(1)} %`);
  return parts.length === 0 ? 'no corrections' : parts.join(', ');
}
