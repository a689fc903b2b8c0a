import { useState } from 'react';
import { Text, View } from 'react-native';

import { MOVE_KINDS, type KeptJob } from '@core/making/printing';
import { MOVE_WORDS } from '@core/reporting/wording';

import { Button } from '../shared/Button';
import { Heading } from '../shared/Heading';
import { BesideLayers } from './BesideLayers';
import { LayerView } from './LayerView';

/** A job that was read back: its layers, what it takes, and what of it was not understood. */
export function KeptLayers({
  kept,
  title,
  back,
}: {
  kept: KeptJob;
  title: string;
  back: { label: string; onPress(): void };
}) {
  const { drawing, laidMetres, filamentMetres, unsaid, unknown } = kept;
  const last = drawing.topMm.length - 1;
  const [layer, setLayer] = useState(last);
  return (
    <BesideLayers
      view={<LayerView drawing={drawing} happenings={NO_HAPPENINGS} layer={layer} onLayer={setLayer} />}
    >
      <View className="gap-3 p-4">
        <Heading>{title}</Heading>
        <Text className="font-sans text-[16px] leading-6 text-ink">
          {`Layer ${layer + 1} of ${last + 1}, up to ${drawing.topMm[layer]!.toFixed(2)} mm: ${wordsOf(kept, layer)}.`}
        </Text>
        <Text className="font-sans text-[16px] leading-6 text-ink">
          {`${laidMetres.toFixed(1)} m of lines, of ${filamentMetres.toFixed(2)} m of filament.`}
        </Text>
        {unsaid > 0 ? (
          <Text className="font-label text-[14px] leading-5 text-muted">
            {`The file does not say what ${unsaid} of its lines are for; they are drawn as walls of 0.4 mm.`}
          </Text>
        ) : null}
        {unknown.map(({ command, times, line }) => (
          <Text key={command} role="alert" className="font-medium text-[15px] leading-6 text-rust">
            {`${command} is not understood (${times === 1 ? 'once' : `${times} times`}, first in line ${line}), and not drawn.`}
          </Text>
        ))}
        <Button {...back} />
      </View>
    </BesideLayers>
  );
}

const NO_HAPPENINGS: readonly never[] = [];

/** What a layer is made of: "outer walls, skin". */
function wordsOf({ drawing }: KeptJob, layer: number): string {
  const kinds = new Set(drawing.kind.subarray(drawing.begins[layer]! + 1, drawing.begins[layer + 1]));
  return MOVE_KINDS.filter((_, index) => kinds.has(index))
    .map((kind) => MOVE_WORDS[kind].toLowerCase())
    .join(', ');
}
