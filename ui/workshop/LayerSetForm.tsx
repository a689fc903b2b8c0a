import { useState } from 'react';
import { Text, View } from 'react-native';

import { INFILL_PATTERNS, type InfillPattern } from '@core/foundations/fields';
import { LayerSet } from '@core/record/model';

import type { useChangeWorkshop } from '../api/useWorkshop';
import { DrawnChoice } from '../shared/DrawnChoice';
import { DrawnSetting } from '../shared/DrawnSetting';
import { GroupHeading } from '../shared/Heading';
import { Switch } from '../shared/Switch';
import { RowForm } from './RowForm';
import type { RowGroup } from './rowFields';

const FILL_WORDS: Record<InfillPattern, string> = { lines: 'Lines', grid: 'Grid', gyroid: 'Gyroid' };

const GROUPS: readonly RowGroup[] = [
  {
    fields: [
      { kind: 'text', path: 'name', label: 'Name' },
      { kind: 'number', path: 'layerMm', label: 'Layer height', unit: 'mm' },
      { kind: 'number', path: 'firstLayerMm', label: 'First layer', unit: 'mm' },
      { kind: 'number', path: 'walls', label: 'Walls' },
      { kind: 'number', path: 'fillShare', label: 'Infill share', unit: '%', times: 0.01 },
      { kind: 'number', path: 'topLayers', label: 'Top layers' },
      { kind: 'number', path: 'bottomLayers', label: 'Bottom layers' },
      { kind: 'number', path: 'footMm', label: 'Brim or ear width', unit: 'mm' },
    ],
  },
];

/** Settings for laying a part, kept under a name. */
export function LayerSetForm({
  set,
  onSave,
  onClose,
}: {
  set: LayerSet;
  onSave: ReturnType<typeof useChangeWorkshop>;
  onClose(): void;
}) {
  const [fill, setFill] = useState(set.fill);
  const [singleWall, setSingleWall] = useState(set.singleWall);
  return (
    <RowForm<LayerSet>
      title={set.version === 0 ? 'Add settings' : set.name}
      row={set}
      schema={LayerSet}
      groups={GROUPS}
      choices={
        <View className="gap-3">
          <GroupHeading>Infill</GroupHeading>
          <DrawnChoice<InfillPattern>
            label="Infill"
            options={INFILL_PATTERNS.map((id) => ({
              id,
              word: FILL_WORDS[id],
              drawing: <DrawnSetting setting="infill" choice={id} />,
            }))}
            value={fill}
            onChange={setFill}
          />
          <Switch
            label="Walls"
            options={[
              { id: 'usual', word: 'Walls and infill' },
              { id: 'single', word: 'One wall, open on top' },
            ]}
            value={singleWall ? 'single' : 'usual'}
            onChange={(id) => setSingleWall(id === 'single')}
          />
          <Text className="font-label text-[13.5px] leading-5 text-muted">
            The line width follows from the printer’s nozzle.
          </Text>
        </View>
      }
      onKeep={(row) => onSave('layerSet', { ...row, fill, singleWall }, `${row.name} is kept.`)}
      {...(set.version > 0
        ? { onPutAway: () => onSave('layerSet', { ...set, removed: true }, `${set.name} is put away.`) }
        : {})}
      onClose={onClose}
    />
  );
}
