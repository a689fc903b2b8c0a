import ChevronLeft from 'lucide-react-native/icons/chevron-left';
import { router } from 'expo-router';
import { useState } from 'react';
import { ScrollView, Text, View } from 'react-native';

import { workshopRows, type Workshop, type WorkshopRowKind, type WorkshopRowOf } from '@core/record/model';
import { DISPLAY_UNITS, type DisplayUnit } from '@core/foundations/quantity';
import { resinSetWords } from '@core/reporting/wording';
import { layerSetIn, layerSetsIn, resinSetIn, resinSetsIn, materialIn } from '@core/record/workshop';

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
import { AddFilament } from './AddFilament';
import { OpenSheet, type Opened } from './OpenSheet';
import { PutAway } from './PutAway';
import { clearancesOf, correctionsOf, filamentNote, layerSetNote, materialNote, resinNote } from './rowNotes';
import { KeptGcode } from './KeptGcode';
import { FAMILY_WORDS, PROCESS_WORDS } from './words';

/** Of a material that begins like another one. */
const NOT_LOOKED_UP = 'as PETG, not looked up yet';

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
  const [opened, setOpened] = useState<Opened | null>(null);
  const back = () => (router.canGoBack() ? router.back() : router.replace('/'));
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
        <RowsGroup heading="Instruments">
          {shown(workshop, 'instrument').map((row) => (
            <ChoiceRow
              key={row.id}
              title={row.name}
              note={promiseOf(row, show)}
              onPress={() => setOpened({ what: 'instrument', row })}
            />
          ))}
          <Button
            label="Add an instrument"
            onPress={() => setOpened({ what: 'instrument', row: newLike(workshop.instruments[0]!) })}
          />
        </RowsGroup>
        <RowsGroup heading="Machines and what they do to sizes">
          {shown(workshop, 'machine').map((row) => (
            <ChoiceRow
              key={row.id}
              title={row.name}
              note={correctionsOf(row, show)}
              onPress={() => setOpened({ what: 'machine', row })}
            />
          ))}
          <Button
            label="Add a machine"
            onPress={() => setOpened({ what: 'machine', row: newLike(workshop.machines[0]!) })}
          />
        </RowsGroup>
        <RowsGroup heading="Materials">
          {shown(workshop, 'material').map((row) => (
            <ChoiceRow
              key={row.id}
              title={row.name}
              label={`Material ${row.name}`}
              note={materialNote(row)}
              onPress={() => setOpened({ what: 'material', row })}
            />
          ))}
          <Button
            label="Add a material"
            onPress={() =>
              setOpened({
                what: 'material',
                row: { ...newLike(materialIn(workshop, 'petg')), source: NOT_LOOKED_UP },
              })
            }
          />
        </RowsGroup>
        <RowsGroup heading="Filaments">
          {shown(workshop, 'filament').map((row) => (
            <ChoiceRow
              key={row.id}
              title={materialIn(workshop, row.id).name}
              note={filamentNote(row)}
              onPress={() => setOpened({ what: 'filament', row })}
            />
          ))}
          <AddFilament workshop={workshop} onAdd={(row) => setOpened({ what: 'filament', row })} />
        </RowsGroup>
        <RowsGroup heading="Print settings">
          {layerSetsIn(workshop).map((row) => (
            <ChoiceRow
              key={row.id}
              title={row.name}
              note={layerSetNote(row)}
              onPress={() => setOpened({ what: 'layerSet', row })}
            />
          ))}
          <Button
            label="Add settings"
            onPress={() => setOpened({ what: 'layerSet', row: newLike(layerSetIn(workshop, undefined)) })}
          />
        </RowsGroup>
        <RowsGroup heading="Resins and settings for them">
          {shown(workshop, 'resin').map((row) => (
            <ChoiceRow
              key={row.id}
              title={materialIn(workshop, row.id).name}
              note={resinNote(row)}
              onPress={() => setOpened({ what: 'resin', row })}
            />
          ))}
          {resinSetsIn(workshop).map((row) => (
            <ChoiceRow
              key={row.id}
              title={`${row.name}, in resin`}
              note={resinSetWords(row)}
              onPress={() => setOpened({ what: 'resinSet', row })}
            />
          ))}
          <Button
            label="Add settings for resin"
            onPress={() => setOpened({ what: 'resinSet', row: newLike(resinSetIn(workshop, undefined)) })}
          />
        </RowsGroup>
        <RowsGroup heading="Fits: clearance on the diameter at 6 mm">
          {shown(workshop, 'fitTable').map((row) => (
            <ChoiceRow
              key={row.id}
              title={`${PROCESS_WORDS[row.process]}, ${row.family === 'any' ? 'any material' : FAMILY_WORDS[row.family]}`}
              note={clearancesOf(row)}
              onPress={() => setOpened({ what: 'fitTable', row })}
            />
          ))}
        </RowsGroup>
        <KeptGcode />
        <PutAway workshop={workshop} onSave={put} />
      </ScrollView>
      {opened ? <OpenSheet opened={opened} workshop={workshop} onSave={put} onOpen={setOpened} /> : null}
    </View>
  );
}

/** Rows of a kind that were not put away. */
const shown = <K extends WorkshopRowKind>(workshop: Workshop, kind: K): readonly WorkshopRowOf<K>[] =>
  workshopRows(workshop, kind).filter(({ removed }) => !removed);

/** A row to begin a new one with. */
const newLike = <T extends { name: string }>(row: T): T => ({
  ...row,
  id: newId(),
  version: 0,
  name: '',
  removed: false,
});

function RowsGroup({ heading, children }: { heading: string; children: React.ReactNode }) {
  return (
    <View className="gap-1.5">
      <GroupHeading>{heading}</GroupHeading>
      {children}
    </View>
  );
}
