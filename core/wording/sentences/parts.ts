import type { Value } from '@core/model';

/** Other words, and what of the step they stand for. */
export interface Option {
  word: string;
  patch: Record<string, unknown>;
}

/** A piece of a recipe sentence: the verb, plain words, or a number that can be tapped. */
export type SentencePart =
  | { kind: 'verb'; text: string }
  | { kind: 'words'; text: string }
  /** Words that can be tapped for others; taking one changes the step by `patch`. */
  | { kind: 'choice'; what: string; text: string; strong: boolean; options: Option[] }
  | { kind: 'chip'; field: string; what: string; value: Value };

export const verb = (text: string): SentencePart => ({ kind: 'verb', text });
export const words = (text: string): SentencePart => ({ kind: 'words', text });
export const chip = (field: string, what: string, value: Value): SentencePart => ({
  kind: 'chip',
  field,
  what,
  value,
});

/** The words of the option that holds now, with the others to choose from. */
export function choice(
  what: string,
  now: (option: Option) => boolean,
  options: readonly Option[],
  strong = false,
): SentencePart {
  const text = (options.find(now) ?? options[0]!).word;
  return { kind: 'choice', what, text, strong, options: [...options] };
}

/** A sentence with its numbers filled in, for a screen reader and for plain text. */
export function spokenSentence(parts: readonly SentencePart[], show: (value: Value) => string): string {
  return parts.map((part) => (part.kind === 'chip' ? show(part.value) : part.text)).join('');
}
