import { useState } from 'react';
import { View } from 'react-native';

import { LayerPrinter, unreadableLine, type Machine } from '@core/record/model';
import { RAD_PER_DEGREE } from '@core/foundations/quantity';

import type { useChangeWorkshop } from '../api/useWorkshop';
import { useShow } from '../preferences/useShow';
import { GroupHeading } from '../shared/Heading';
import { Switch } from '../shared/Switch';
import { RowForm } from './RowForm';
import { FAMILY_WORDS } from './words';
import type { RowField, RowGroup } from './rowFields';

const number = (path: string, label: string, unit?: string, times?: number): RowField => ({
  kind: 'number',
  path,
  label,
  ...(unit ? { unit } : {}),
  ...(times ? { times } : {}),
});
const speed = (path: string, label: string) => number(`speeds.${path}`, label, 'mm/s');

const GROUPS: readonly RowGroup[] = [
  {
    heading: 'Build volume, from the front left corner',
    fields: [
      number('envelopeMm.0', 'To the right', 'mm'),
      number('envelopeMm.1', 'To the back', 'mm'),
      number('envelopeMm.2', 'Up', 'mm'),
    ],
  },
  {
    heading: 'Nozzle and filament',
    fields: [
      number('nozzleMm', 'Nozzle', 'mm'),
      number('filamentMm', 'Filament', 'mm'),
      number('layerMm.0', 'Thinnest layer', 'mm'),
      number('layerMm.1', 'Thickest layer', 'mm'),
      number('hottestNozzleC', 'Hottest nozzle', '°C'),
      number('hottestBedC', 'Hottest bed', '°C'),
      number('retractMm', 'Retraction', 'mm'),
      number('retractSpeed', 'Retraction speed', 'mm/s'),
    ],
  },
  {
    heading: 'Overhangs and bridges',
    fields: [
      number('overhang', 'Overhang up to', '° from upright', RAD_PER_DEGREE),
      number('bridgeMm', 'Bridges up to', 'mm'),
      number('firstLayerSpreadMm', 'Elephant foot per side', 'mm'),
    ],
  },
  {
    heading: 'Speeds',
    fields: [
      speed('outerWall', 'Outer wall'),
      speed('innerWall', 'Inner walls'),
      speed('skin', 'Top and bottom'),
      speed('fill', 'Infill'),
      speed('bridge', 'Bridges'),
      speed('support', 'Supports'),
      speed('firstLayer', 'First layer'),
      speed('travel', 'Travel'),
      speed('rise', 'Z moves'),
      number('linesPerSecond', 'G-code lines per second'),
      number('acceleration', 'Acceleration', 'mm/s²'),
      number('junctionSpeed', 'Speed change at corners', 'mm/s'),
    ],
  },
  {
    heading: 'What it costs',
    fields: [
      number('warmUpSeconds', 'Warm-up', 'min', 60),
      number('watts', 'Power', 'W'),
      number('pricePerHour', 'Wear per hour'),
    ],
  },
  {
    heading: 'Its own commands (G-code)',
    fields: [
      { kind: 'lines', path: 'startGcode', label: 'Before a job' },
      { kind: 'lines', path: 'endGcode', label: 'After a job' },
      { kind: 'text', path: 'source', label: 'Where these figures are from' },
    ],
  },
];

function wrongIn({ layerMm: [low, high], startGcode, endGcode }: LayerPrinter): string | null {
  if (low > high) return 'The thinnest layer is thicker than the thickest. Change one of them.';
  for (const [where, lines] of [
    ['Before a job', startGcode],
    ['After a job', endGcode],
  ] as const) {
    const wrong = unreadableLine(lines);
    if (wrong)
      return `“${where}”, line ${wrong.line}, is not valid G-code: “${wrong.text}”. Replace what is in brackets by numbers, or start the line with ; to make it a comment.`;
  }
  return null;
}

/** What a machine can do as a layer printer. */
export function LayerPrinterForm({
  machine,
  printer,
  onSave,
  onClose,
}: {
  machine: Machine;
  /** Of version 0 where nobody said yet what it can do: then usual figures stand there. */
  printer: LayerPrinter;
  onSave: ReturnType<typeof useChangeWorkshop>;
  onClose(): void;
}) {
  const show = useShow();
  const [takesArcs, setTakesArcs] = useState(printer.takesArcs ?? false);
  return (
    <RowForm<LayerPrinter>
      title={`${machine.name}: as a layer printer`}
      {...(printer.version === 0
        ? {
            intro: 'Not set yet. These are typical figures of a bench printer: change those that differ.',
          }
        : printer.learnedSpreads
          ? {
              intro: `Elephant foot was learned from trials: ${printer.learnedSpreads
                .map(({ family, mm }) => `${FAMILY_WORDS[family]} ${show.length(mm)}`)
                .join(', ')}. It replaces the figure here until you forget it under what trials taught.`,
            }
          : {})}
      row={printer}
      choices={
        <View className="gap-3">
          <GroupHeading>Round walls</GroupHeading>
          <Switch
            label="Round walls"
            options={[
              { id: 'arcs', word: 'As arcs (G2, G3)' },
              { id: 'straight', word: 'As short straight lines' },
            ]}
            value={takesArcs ? 'arcs' : 'straight'}
            onChange={(id) => setTakesArcs(id === 'arcs')}
          />
        </View>
      }
      schema={LayerPrinter}
      groups={GROUPS}
      wrongIn={wrongIn}
      onKeep={(row) =>
        onSave(
          'layerPrinter',
          { ...row, takesArcs },
          `What ${machine.name} can do is kept. Times and layers follow.`,
        )
      }
      onClose={onClose}
    />
  );
}
