import { router } from 'expo-router';
import { useState } from 'react';
import { ScrollView, Text, View } from 'react-native';

import { endsGoTogether, type SolvedPoint } from '@core/measuring/layout';
import type { Layout, LayoutEnd } from '@core/record/model';

import { newId } from '../../api/newId';
import { useChangeRepair } from '../../api/useRepair';
import { DeletedRows } from '../../inRepair/DeletedRows';
import { openSize, useOpened } from '../../inRepair/opened';
import { useRepairContext } from '../../inRepair/useRepairContext';
import { usePreferences } from '../../preferences/usePreferences';
import { Button } from '../../shared/Button';
import { EmptyState } from '../../shared/EmptyState';
import { Switch } from '../../shared/Switch';
import { useWide } from '../../shared/useWide';
import { OpenSize } from '../../measuring/OpenSize';
import { PracticeCaliper } from '../../measuring/PracticeCaliper';
import { DistanceList } from './DistanceList';
import { DistanceSheet } from './DistanceSheet';
import { sameEnd, withChangedPoint, withPoint, withSketchAsSolved } from './editLayout';
import { LayoutBoard } from './LayoutBoard';
import { LayoutMenu } from './LayoutMenu';
import { LayoutState } from './LayoutState';
import { PointSheet } from './PointSheet';

/** Points placed by distances: sketched by taps, adjusted together, the wrong distance pointed out. */
export function LayoutsScreen() {
  const { repair, numbers } = useRepairContext();
  const openedSize = useOpened(({ size }) => size);
  const { put } = useChangeRepair(repair);
  const practice = usePreferences((preferences) => preferences.practiceCaliper);
  const wide = useWide();
  const layouts = [...numbers.layouts.values()];
  const [chosen, setChosen] = useState<string | null>(null);
  const [picked, setPicked] = useState<LayoutEnd | null>(null);
  const [pair, setPair] = useState<{ from: LayoutEnd; to: LayoutEnd; id: string | null } | null>(null);
  const [pointId, setPointId] = useState<string | null>(null);
  const [menu, setMenu] = useState(false);
  const shown = layouts.find(({ layout }) => layout.id === chosen) ?? layouts[0];

  const add = () => {
    const id = newId();
    const name = layouts.length === 0 ? 'Holes' : `Holes ${layouts.length + 1}`;
    put('layout', { id, version: 0, name, zero: 'middle', points: [], distances: [], removed: false });
    setChosen(id);
  };
  const back = () => router.replace(`/repair/${repair.head.id}/sizes`);
  if (!shown) {
    return (
      <View className="gap-4 p-4">
        <EmptyState
          text="A layout places holes or pegs by the distances between them. Take more distances than needed, and a wrong one shows by itself."
          action={{ label: 'Begin a layout', onPress: add }}
        />
        <Button label="Back to the sizes" onPress={back} />
        <DeletedRows kinds={['layout']} />
      </View>
    );
  }
  const { layout, solved } = shown;
  const save = (next: Layout, undo?: string) => put('layout', next, undo);
  const open = openedSize === null ? undefined : numbers.sizes.get(openedSize);

  const onEnd = (end: LayoutEnd) => {
    if (!picked) {
      setPicked(end);
      return;
    }
    setPicked(null);
    if (sameEnd(picked, end)) {
      if ('point' in end) setPointId(end.point);
    } else if (endsGoTogether(picked, end)) {
      setPair({ from: picked, to: end, id: null });
    } else {
      setPicked(end);
    }
  };
  const onEmpty = (at: { x: number; y: number }) => {
    if (picked) setPicked(null);
    else save(withPoint(withSketchAsSolved(layout, solved), newId(), at), 'Point added.');
  };
  const onMirror = (point: SolvedPoint) => {
    const sketch = withSketchAsSolved(layout, solved);
    const there = sketch.points.find(({ id }) => id === point.id)!;
    save(
      withChangedPoint(sketch, { ...there, ...point.mirrored }),
      `Point ${point.label} is on the other side now.`,
    );
  };
  const board = (
    <LayoutBoard
      layout={layout}
      solved={solved}
      picked={picked}
      onEnd={onEnd}
      onEmpty={onEmpty}
      onMirror={onMirror}
    />
  );
  return (
    <View className="flex-1">
      <View className="flex-row items-center gap-2 px-3 py-1.5">
        <View className="min-w-0 flex-1">
          <Switch
            label="Layout"
            options={layouts.map((entry) => ({ id: entry.layout.id, word: entry.layout.name }))}
            value={layout.id}
            onChange={setChosen}
          />
        </View>
        <Button label="More" onPress={() => setMenu(true)} />
        <Button label="Sizes" onPress={back} />
      </View>
      <View style={{ height: open ? '30%' : wide ? '52%' : '46%' }}>{board}</View>
      {open ? (
        <View className="flex-1">
          {practice ? <PracticeCaliper /> : null}
          <OpenSize key={open.size.id} {...open} onClose={() => openSize(null)} />
        </View>
      ) : (
        <ScrollView contentContainerClassName="gap-2 pb-6">
          <LayoutState layout={layout} solved={solved} waiting={picked} />
          <DistanceList
            layout={layout}
            solved={solved}
            onOpen={({ from, to, id }) => setPair({ from, to, id })}
          />
          {layout.points.length === 0 ? (
            <Text className="px-4 font-sans text-[15px] leading-6 text-muted">
              Tap the board where the first hole or peg is. Roughly right is enough.
            </Text>
          ) : null}
          <DeletedRows kinds={['layout']} />
        </ScrollView>
      )}
      {pair ? (
        <DistanceSheet
          key={pair.id ?? 'new'}
          layout={layout}
          {...pair}
          onSave={save}
          onMeasure={(id) => {
            setPair(null);
            openSize(id);
          }}
          onClose={() => setPair(null)}
        />
      ) : null}
      {pointId ? (
        <PointSheet
          layout={layout}
          solved={solved}
          pointId={pointId}
          onSave={save}
          onClose={() => setPointId(null)}
        />
      ) : null}
      {menu ? (
        <LayoutMenu
          layout={layout}
          tiedTo={solved.tiedTo}
          onSave={save}
          onAdd={() => {
            setMenu(false);
            add();
          }}
          onClose={() => setMenu(false)}
        />
      ) : null}
    </View>
  );
}
