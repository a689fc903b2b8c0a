import { Button } from '../Button';
import { usePadHost } from './PadHost';

/** What is done with a number that was typed: a button, while the pad does not have it as a key. */
export function PadAction({
  label,
  name,
  tone = 'plain',
  onPress,
}: {
  label: string;
  name?: string;
  tone?: 'primary' | 'plain';
  onPress(): void;
}) {
  return usePadHost().shown === null ? (
    <Button tone={tone} label={label} {...(name ? { name } : {})} onPress={onPress} />
  ) : null;
}
