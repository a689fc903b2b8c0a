import { useState } from 'react';
import { Text, View } from 'react-native';

import { drawingFileSentence, leftOutSentence } from '@core/reporting/wording';
import type { DrawingFile } from '@core/shaping/drawingFiles';

import { Button } from '../../shared/Button';
import { Wrong } from '../../shared/Field';
import { FileButton } from '../../shared/FileButton';
import { GroupHeading } from '../../shared/Heading';
import { Sheet } from '../../shared/Sheet';
import type { Drawing } from './useDrawing';

/** Only those who take one in load what reads it. */
const readers = () => import('@core/shaping/drawingFiles');
type Readers = Awaited<ReturnType<typeof readers>>;

interface Taken {
  name: string;
  file: DrawingFile;
  /** Of points: the same with other curves between them. */
  through: ((between: Between) => DrawingFile) | null;
  read: Readers;
}

type Between = 'straight' | 'smooth';

/** Units that a file may be drawn in, where it does not say. A pixel is what browsers take for one. */
const UNITS = [
  { word: 'millimetres', mm: 1 },
  { word: 'centimetres', mm: 10 },
  { word: 'inches', mm: 25.4 },
  { word: 'pixels', mm: 25.4 / 96 },
] as const;

/** Asks for a DXF, an SVG or a table of points, and draws what is in it at true size. */
export function TakeInFile({ drawing }: { drawing: Drawing }) {
  const [busy, setBusy] = useState(false);
  const [wrong, setWrong] = useState<string | null>(null);
  const [taken, setTaken] = useState<Taken | null>(null);
  const take = async (chosen: File) => {
    setBusy(true);
    setWrong(null);
    try {
      const [read, text] = await Promise.all([readers(), chosen.text()]);
      if (/\.(csv|txt)$/i.test(chosen.name)) {
        const found = read.readPoints(text);
        if (!found.ok) return setWrong(drawingFileSentence(found.fault));
        const { points, leftOut } = found.value;
        const through = (between: Between): DrawingFile => ({
          curves: read.curvesThrough(points, between),
          unitMm: null,
          leftOut,
        });
        return setTaken({ name: chosen.name, file: through('straight'), through, read });
      }
      const found = /\.svg$/i.test(chosen.name) ? read.readSvg(text) : read.readDxf(text);
      if (found.ok) setTaken({ name: chosen.name, file: found.value, through: null, read });
      else setWrong(drawingFileSentence(found.fault));
    } catch {
      setWrong('This file could not be opened. Choose it again.');
    } finally {
      setBusy(false);
    }
  };
  return (
    <>
      <FileButton
        label="Take in a file"
        name="A DXF, SVG or CSV file"
        accept=".dxf,.svg,.csv,.txt,image/svg+xml,text/csv"
        busy={busy}
        onChosen={(chosen) => void take(chosen)}
      />
      {wrong ? <Wrong text={wrong} /> : null}
      {taken ? <TakenSheet taken={taken} drawing={drawing} onClose={() => setTaken(null)} /> : null}
    </>
  );
}

/** What is in a file: how large it is, on which layers, and what is not taken of it. */
function TakenSheet({
  taken: { name, file: first, through, read },
  drawing,
  onClose,
}: {
  taken: Taken;
  drawing: Drawing;
  onClose(): void;
}) {
  const [between, setBetween] = useState<Between>('straight');
  const file = through ? through(between) : first;
  const layers = [...new Set(file.curves.map(({ layer }) => layer))];
  const [without, setWithout] = useState<ReadonlySet<string>>(new Set());
  const [unitMm, setUnitMm] = useState(file.unitMm);
  const curves = file.curves.filter(({ layer }) => !without.has(layer));
  const size = curves.length > 0 ? read.sizeOfCurves(curves) : null;
  const sizeWords = (mm: number) =>
    size ? size.map((units) => `${Number((units * mm).toPrecision(4))}`).join(' by ') : '0';
  const drawn = read.drawnFromFile(curves, unitMm ?? 1);
  const leftOut = leftOutSentence(file.leftOut);
  const toggle = (layer: string) => {
    const next = new Set(without);
    if (!next.delete(layer)) next.add(layer);
    setWithout(next);
  };
  return (
    <Sheet title={name} showsPart onClose={onClose}>
      <Text className="font-sans text-[15px] leading-[21px] text-ink">
        {`${curves.length} ${curves.length === 1 ? 'curve' : 'curves'}${unitMm === null ? '' : `, ${sizeWords(unitMm)} mm in all`}.`}
      </Text>
      {file.unitMm === null ? (
        <>
          <GroupHeading>The file does not say what it is measured in</GroupHeading>
          <View role="radiogroup" aria-label="It is measured in" className="gap-1.5">
            {UNITS.map(({ word, mm }) => (
              <Button
                key={word}
                label={`${word[0]!.toUpperCase()}${word.slice(1)}: ${sizeWords(mm)} mm`}
                tone={unitMm === mm ? 'primary' : 'plain'}
                onPress={() => setUnitMm(mm)}
              />
            ))}
          </View>
        </>
      ) : null}
      {through ? (
        <View role="radiogroup" aria-label="Between the points" className="flex-row flex-wrap gap-1.5">
          {(['straight', 'smooth'] as const).map((one) => (
            <Button
              key={one}
              label={one === 'straight' ? 'Straight from point to point' : 'Smooth through them'}
              tone={between === one ? 'primary' : 'plain'}
              onPress={() => setBetween(one)}
            />
          ))}
        </View>
      ) : null}
      {layers.length > 1 ? (
        <>
          <GroupHeading>Layers</GroupHeading>
          <View className="flex-row flex-wrap gap-1.5">
            {layers.map((layer) => (
              <Button
                key={layer}
                label={layer || 'no name'}
                tone={without.has(layer) ? 'plain' : 'primary'}
                name={`Layer ${layer}: ${without.has(layer) ? 'left out' : 'taken'}`}
                onPress={() => toggle(layer)}
              />
            ))}
          </View>
        </>
      ) : null}
      {leftOut ? <Text className="font-sans text-[14px] leading-5 text-muted">{leftOut}</Text> : null}
      {drawn.ok ? null : <Wrong text={drawingFileSentence(drawn.fault)} />}
      {drawing.outline.curves.length > 0 ? (
        <Text className="font-sans text-[14px] leading-5 text-ink">
          It takes the place of what is drawn. Undo brings that back.
        </Text>
      ) : null}
      {drawn.ok && unitMm !== null ? (
        <Button
          tone="primary"
          label="Draw it"
          onPress={() => {
            drawing.keep(drawn.value, `${name} is drawn.`);
            onClose();
          }}
        />
      ) : null}
    </Sheet>
  );
}
