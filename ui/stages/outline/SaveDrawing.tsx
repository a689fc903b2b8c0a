import { useState } from 'react';
import { Text } from 'react-native';

import { curvesSvg, fileStem } from '@core/making/formats';
import { plainCurve } from '@core/shaping/outline';

import { useNotices } from '../../api/notices';
import { Button } from '../../shared/Button';
import { saveFile } from '../../shared/saveFile';
import { Sheet } from '../../shared/Sheet';
import type { Drawing } from './useDrawing';

/** Writes what is drawn as DXF or SVG at true size, without construction lines. */
export function SaveDrawing({ drawing, title }: { drawing: Drawing; title: string }) {
  const [isOpen, setOpen] = useState(false);
  const say = useNotices(({ say: told }) => told);
  const curves = drawing.studied.curves.filter(({ helper }) => !helper).map(plainCurve);
  const save = async (form: 'dxf' | 'svg') => {
    try {
      const text =
        form === 'svg'
          ? curvesSvg(curves, title)
          : (await import('@core/shaping/drawingFiles')).writeDxf(curves, 'Outline');
      saveFile({
        name: `${fileStem(title)}.${form}`,
        mime: form === 'svg' ? 'image/svg+xml' : 'image/vnd.dxf',
        bytes: new TextEncoder().encode(text),
      });
      setOpen(false);
    } catch {
      say({ tone: 'wrong', text: 'The file could not be written. Try again.' });
    }
  };
  return (
    <>
      <Button label="Save as a file" onPress={() => setOpen(true)} />
      {isOpen ? (
        <Sheet title="Save the drawing" onClose={() => setOpen(false)}>
          <Text className="font-sans text-[15px] leading-[21px] text-ink">
            At true size, in millimetres, without construction lines.
          </Text>
          <Button label="DXF, for cutters and other programs" onPress={() => void save('dxf')} />
          <Button label="SVG, for paper and pictures" onPress={() => void save('svg')} />
        </Sheet>
      ) : null}
    </>
  );
}
