import type { SideNames } from '@core/record/model';

import type { Option, SentencePart } from './parts';

/** Choices of a side with what each is called where the part is used: "on the top (wall side)". */
export function withSideNames(part: SentencePart, sides: SideNames): SentencePart {
  if (part.kind !== 'choice') return part;
  const nameOf = ({ patch: { on } }: Option): string | undefined =>
    typeof on === 'string' && Object.hasOwn(sides, on) ? sides[on as keyof SideNames] : undefined;
  const said = (word: string, name: string | undefined) => (name ? `${word} (${name})` : word);
  // What is not one of the six sides is said as it is.
  const now = part.options.find(({ word }) => word === part.text);
  return {
    ...part,
    text: said(part.text, now && nameOf(now)),
    options: part.options.map((option) => ({ ...option, word: said(option.word, nameOf(option)) })),
  };
}
