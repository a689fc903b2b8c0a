import ChevronLeft from 'lucide-react-native/icons/chevron-left';
import { router } from 'expo-router';
import { useState } from 'react';
import { ScrollView, Text, View } from 'react-native';

import { workshopRows, type Workshop, type WorkshopRowKind, type WorkshopRowOf } from '@core/record/model';
import { resinSetWords } from '@core/reporting/wording';
import { layerSetIn, layerSetsIn, resinSetIn, resinSetsIn, materialIn } from '@core/record/workshop';

import { newId } from '../api/newId';
import { useChangeWorkshop, useWorkshop } from '../api/useWorkshop';
import { ConnectionSign } from '../frame/ConnectionSign';
import { useShow } from '../preferences/useShow';
import { Button, IconButton } from '../shared/Button';
import { ChoiceRow } from '../shared/ChoiceRow';
import { promiseOf } from '../measuring/InstrumentSheet';
import { colours } from '../theme/colours';
import { AddFilament } from './AddFilament';
import { OpenSheet, type Opened } from './OpenSheet';
import { PutAway } from './PutAway';
import { clearancesOf, correctionsOf, filamentNote, layerSetNote, materialNote, resinNote } from './rowNotes';
import { Drawer } from './Drawer';
import { ForYou } from './ForYou';
import { KeptGcode } from './KeptGcode';
import { FAMILY_WORDS, PROCESS_WORDS } from './words';

/** Of a material that begins like another one. */
const NOT_LOOKED_UP = 'as PETG, not looked up yet';

/** What the workshop has and knows: units, instruments, machines and their habits, fits. */
export function WorkshopScreen() {
  const { workshop } = useWorkshop();
  const put = useChangeWorkshop(workshop);
  const show = useShow();
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
        <ForYou />
        <Drawer name="Instruments" count={shown(workshop, 'instrument').length}>
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
        </Drawer>
        <Drawer name="Machines and what they do to sizes" count={shown(workshop, 'machine').length}>
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
        </Drawer>
        <Drawer name="Materials" count={shown(workshop, 'material').length}>
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
        </Drawer>
        <Drawer name="Filaments" count={shown(workshop, 'filament').length}>
          {shown(workshop, 'filament').map((row) => (
            <ChoiceRow
              key={row.id}
              title={materialIn(workshop, row.id).name}
              note={filamentNote(row)}
              onPress={() => setOpened({ what: 'filament', row })}
            />
          ))}
          <AddFilament workshop={workshop} onAdd={(row) => setOpened({ what: 'filament', row })} />
        </Drawer>
        <Drawer name="Print settings" count={layerSetsIn(workshop).length}>
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
        </Drawer>
        <Drawer
          name="Resins and settings for them"
          count={shown(workshop, 'resin').length + resinSetsIn(workshop).length}
        >
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
        </Drawer>
        <Drawer name="Fits: clearance on the diameter at 6 mm" count={shown(workshop, 'fitTable').length}>
          {shown(workshop, 'fitTable').map((row) => (
            <ChoiceRow
              key={row.id}
              title={`${PROCESS_WORDS[row.process]}, ${row.family === 'any' ? 'any material' : FAMILY_WORDS[row.family]}`}
              note={clearancesOf(row)}
              onPress={() => setOpened({ what: 'fitTable', row })}
            />
          ))}
        </Drawer>
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
