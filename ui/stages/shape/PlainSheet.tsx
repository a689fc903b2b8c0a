import { useState } from 'react';

import { readPlain } from '@core/recipe';
import { sentenceOf, type SentencePart } from '@core/wording';

import { Button } from '../../shared/Button';
import { Field } from '../../shared/Field';
import { Sheet } from '../../shared/Sheet';

type Plain = Extract<SentencePart, { kind: 'plain' }>;

const LABELS = {
  angle: 'Type an angle in degrees',
  count: 'Type a whole number',
  factor: 'Type a number',
  words: 'Type the letters',
} as const;

/** Changes a number of a step that is no length: an angle, a count, a factor; or words. */
export function PlainSheet({
  part,
  onTake,
  onClose,
}: {
  part: Plain;
  onTake(patch: Record<string, unknown>): void;
  onClose(): void;
}) {
  const [text, setText] = useState(
    part.input === 'angle'
      ? String(Math.round((Number(part.value) * 18000) / Math.PI) / 100)
      : String(part.value),
  );
  const [wrong, setWrong] = useState<string>();
  const take = () => {
    const read = readPlain(part.input, text, part.field);
    if (!read.ok) {
      setWrong(sentenceOf(read.fault));
      return;
    }
    onTake({ [part.field]: read.value });
    onClose();
  };
  return (
    <Sheet title={`Change the ${part.what}`} onClose={onClose}>
      <Field
        label={LABELS[part.input]}
        {...(part.input === 'angle' ? { unit: '°' } : {})}
        autoFocus
        value={text}
        onChangeText={(next) => {
          setText(next);
          setWrong(undefined);
        }}
        onSubmitEditing={take}
        wrong={wrong}
      />
      <Button
        tone="primary"
        label={part.input === 'words' ? 'Use these letters' : 'Use this number'}
        onPress={take}
      />
    </Sheet>
  );
}
