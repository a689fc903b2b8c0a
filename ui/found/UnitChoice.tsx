import { useState } from 'react';
import { Text, View } from 'react-native';

import { FOUND_UNITS, type FoundUnit } from '@core/checking/found';

import { useShow } from '../preferences/useShow';
import { Button } from '../shared/Button';
import { Switch } from '../shared/Switch';
import type { ReadFile } from './useFound';

const UNIT_WORDS: Record<FoundUnit, string> = { mm: 'mm', cm: 'cm', inch: 'inches', m: 'metres' };

/** A file's numbers stand for nothing until somebody says what one of them is. */
export function UnitChoice({ file, onLay }: { file: ReadFile; onLay(file: ReadFile, unitMm: number): void }) {
  const show = useShow();
  const [unit, setUnit] = useState<FoundUnit>(file.likely.unit);
  const unitMm = file.unitMm ?? FOUND_UNITS[unit];
  const box = file.box.map((value) => show.length(value * unitMm)).join(' × ');
  return (
    <View className="gap-2">
      <Text className="font-sans text-[16px] leading-6 text-ink">
        {`${file.name}: ${file.triangles} triangles, ${box}.`}
      </Text>
      {file.unitMm === null ? (
        <>
          <Text className="font-label text-[14px] text-muted">
            {file.likely.isAlike
              ? 'The file does not say its unit. By the size of the spare it is most likely this one:'
              : 'The file does not say its unit, and in none of these is it about as large as the spare. Is it this piece?'}
          </Text>
          <Switch<FoundUnit>
            label="Unit of the file"
            options={(Object.keys(FOUND_UNITS) as FoundUnit[]).map((id) => ({ id, word: UNIT_WORDS[id] }))}
            value={unit}
            onChange={setUnit}
          />
        </>
      ) : null}
      <View className="items-start">
        <Button tone="primary" label="Align it with the spare" onPress={() => onLay(file, unitMm)} />
      </View>
    </View>
  );
}
