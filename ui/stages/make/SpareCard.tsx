import { router } from 'expo-router';
import { useState } from 'react';
import { Text, View } from 'react-native';

import { SPARE_FORMATS, type SpareFormat } from '@core/making/formats';
import type { Body } from '@core/record/model';
import { findingSentence, growthWords, sentenceOf } from '@core/reporting/wording';
import { growthOf, isPrinter, machineIn, materialIn } from '@core/record/workshop';

import { useNotices } from '../../api/notices';
import { useRepairContext } from '../../inRepair/useRepairContext';
import { useSolidView } from '../../inRepair/useSolidView';
import { ChooseAPrinter } from '../../layers/ChooseAPrinter';
import { Button } from '../../shared/Button';
import { Heading } from '../../shared/Heading';
import { workbench } from '../../solid/useSolid';
import { currentLabel } from './currentLabel';
import { saveFile } from '../../shared/saveFile';

/** A spare with its figures, what stands in the way of making it, and its files. */
export function SpareCard({ body }: { body: Body }) {
  const { repair, numbers } = useRepairContext();
  const solid = useSolidView();
  const { say } = useNotices();
  const [busy, setBusy] = useState<SpareFormat | null>(null);
  const shown = solid.bodies.find(({ bodyId }) => bodyId === body.id);
  const figures = shown?.figures;
  const findings = shown?.findings ?? [];
  const machine = machineIn(numbers.workshop, repair.head.machineId);
  const growth = growthOf(machine);
  const ready = figures !== null && figures !== undefined && findings.length === 0 && !shown?.outOfDate;

  const slice = () => router.push(`/repair/${repair.head.id}/layers?body=${body.id}`);
  const download = async (format: SpareFormat) => {
    setBusy(format);
    try {
      const file = await workbench.ask.file(
        body.id,
        format,
        currentLabel(repair, numbers.workshop),
        new Date().toISOString(),
      );
      if (file.ok) saveFile(file.value);
      else say({ tone: 'wrong', text: sentenceOf(file.fault) });
    } catch {
      say({
        tone: 'wrong',
        text: 'The file could not be written. Try again; if it fails again, change the last step.',
      });
    } finally {
      setBusy(null);
    }
  };
  return (
    <View className="gap-3 rounded-lg border border-line bg-card p-4">
      <Heading>{body.name}</Heading>
      {figures ? (
        <View role="group" aria-label="Findings" className="gap-1">
          <Row
            name="Solid"
            text={
              figures.closed
                ? `closed, ${figures.pieces} ${figures.pieces === 1 ? 'piece' : 'pieces'}`
                : 'not closed'
            }
          />
          <Row name="Volume" text={`${figures.volumeMm3.toFixed(1)} mm³`} />
          <Row
            name="Weight"
            text={`${figures.massG.toFixed(2)} g, ${materialIn(numbers.workshop, repair.head.materialId).name}, solid`}
          />
          <Row name="Outside" text={`${figures.bboxMm.map((mm) => mm.toFixed(2)).join(' × ')} mm`} />
        </View>
      ) : (
        <Text className="font-sans text-[16px] text-muted">Not built yet.</Text>
      )}
      {findings.map((finding, index) => (
        <Text key={index} role="alert" className="font-medium text-[15px] leading-6 text-rust">
          {findingSentence(finding)}
        </Text>
      ))}
      {growth ? (
        <Text className="font-sans text-[15px] leading-6 text-ink">
          {`${machine.name}: it shrinks, so the files are larger by ${growthWords(growth)}, once and in all sizes. The sizes above are what comes out.`}
        </Text>
      ) : null}
      {isPrinter(machine) ? (
        <Button label="Slice it" disabled={!ready} onPress={slice} />
      ) : (
        <ChooseAPrinter onChosen={slice} />
      )}
      <View className="flex-row gap-2">
        {SPARE_FORMATS.map(({ id, name }) => (
          <Button
            key={id}
            className="flex-1"
            label={name}
            busy={busy === id}
            disabled={!ready || (busy !== null && busy !== id)}
            onPress={() => void download(id)}
          />
        ))}
      </View>
      <Text className="font-label text-[13.5px] leading-5 text-muted">
        {SPARE_FORMATS.map(({ name, what }) => `${name}: ${what}.`).join(' ')}
      </Text>
    </View>
  );
}

function Row({ name, text }: { name: string; text: string }) {
  return (
    <View className="flex-row justify-between gap-3">
      <Text className="font-label text-[15px] text-muted">{name}</Text>
      <Text className="font-number text-[15.5px] tabular-nums text-ink">{text}</Text>
    </View>
  );
}
