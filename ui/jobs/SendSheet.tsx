import { useState } from 'react';
import { Text } from 'react-native';

import type { Mishap } from '@core/record/model';

import { Button } from '../shared/Button';
import { GroupHeading } from '../shared/Heading';
import { Sheet } from '../shared/Sheet';
import { Switch } from '../shared/Switch';

const SPEEDS = [
  { id: '1', word: 'As it is' },
  { id: '60', word: '60 times' },
  { id: '2000', word: '2000 times' },
] as const;
type SpeedId = (typeof SPEEDS)[number]['id'];

const MISHAPS: readonly { id: Mishap; word: string }[] = [
  { id: 'may', word: 'By chance' },
  { id: 'none', word: 'Succeeds' },
  { id: 'runsOut', word: 'Filament runs out' },
  { id: 'letsGo', word: 'Comes off the bed' },
];

/** How the practice printer is to run, before a job goes to it. */
export function SendSheet({
  machineName,
  busy,
  onSend,
  onClose,
}: {
  machineName: string;
  busy: boolean;
  onSend(wish: { speedUp: number; mishap: Mishap }): void;
  onClose(): void;
}) {
  const [speed, setSpeed] = useState<SpeedId>('2000');
  const [mishap, setMishap] = useState<Mishap>('may');
  return (
    <Sheet title={`Send to ${machineName}`} onClose={onClose}>
      <Text className="font-sans text-[16px] leading-6 text-ink">
        A practice printer stands in for it. It takes the same file and its time, may fail, and its sizes are
        off in its own way.
      </Text>
      <GroupHeading>Speed of time</GroupHeading>
      <Switch<SpeedId> label="Speed of time" options={SPEEDS} value={speed} onChange={setSpeed} />
      <GroupHeading>What happens to it</GroupHeading>
      <Switch<Mishap> label="What happens to it" options={MISHAPS} value={mishap} onChange={setMishap} />
      <Button
        tone="primary"
        label="Send it"
        busy={busy}
        onPress={() => onSend({ speedUp: Number(speed), mishap })}
      />
    </Sheet>
  );
}
