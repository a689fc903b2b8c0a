import { useState } from 'react';
import { View } from 'react-native';

import { Button } from '../shared/Button';
import { Field } from '../shared/Field';
import { Sheet } from '../shared/Sheet';

const REASONS = ['jaws were tilted', 'worn or bent there', 'calipers slipped', 'not at zero'];

/** Asks why a reading should not count. It stays, with its reason. */
export function LeaveOutSheet({
  shown,
  onClose,
  onReason,
}: {
  /** The reading, as it is shown. */
  shown: string;
  onClose(): void;
  onReason(reason: string): void;
}) {
  const [typed, setTyped] = useState('');
  const reason = typed.trim();
  return (
    <Sheet title={`Why leave out ${shown}?`} onClose={onClose}>
      <View className="flex-row flex-wrap gap-2">
        {REASONS.map((known) => (
          <Button key={known} label={known} onPress={() => onReason(known)} />
        ))}
      </View>
      <Field
        label="Another reason"
        maxLength={200}
        value={typed}
        onChangeText={setTyped}
        onSubmitEditing={() => {
          if (reason) onReason(reason);
        }}
      />
      <Button tone="primary" label="Leave it out" disabled={!reason} onPress={() => onReason(reason)} />
    </Sheet>
  );
}
