import { useState } from 'react';
import { View } from 'react-native';

import { Taken, type Size } from '@core/record/model';

import { useChangeRepair } from '../api/useRepair';
import { useRepairContext } from '../inRepair/useRepairContext';
import { Button } from '../shared/Button';
import { Field } from '../shared/Field';
import { Sheet } from '../shared/Sheet';
import { Switch } from '../shared/Switch';
import { TAKEN_WORDS } from './jaws';

const REASONS: Record<Taken, string> = {
  mean: '',
  largest: 'worn everywhere else',
  smallest: 'swollen or burred elsewhere',
  median: 'one place is damaged',
};

/** Chooses which value of the readings stands for the size, and keeps why. */
export function TakenSheet({ size, onClose }: { size: Size; onClose(): void }) {
  const { repair } = useRepairContext();
  const { put } = useChangeRepair(repair);
  const [taken, setTaken] = useState<Taken>(size.taken);
  const [why, setWhy] = useState(size.takenWhy);
  const keep = () => {
    put('size', { ...size, taken, takenWhy: taken === 'mean' ? '' : why.trim() }, 'Another value is taken.');
    onClose();
  };
  return (
    <Sheet title={`Which value of ${size.tag}?`} onClose={onClose}>
      <Switch
        label="Value taken"
        options={Taken.options.map((id) => ({ id, word: TAKEN_WORDS[id] }))}
        value={taken}
        onChange={(next) => {
          setTaken(next);
          if (Object.values(REASONS).includes(why)) setWhy(REASONS[next]);
        }}
      />
      <View>
        {taken === 'mean' ? null : (
          <Field label="Why not the mean?" maxLength={200} value={why} onChangeText={setWhy} />
        )}
      </View>
      <Button tone="primary" label="Take this value" onPress={keep} />
    </Sheet>
  );
}
