import type { PickWanted, SentencePart } from '@core/shaping/sentence';

import type { Choice } from './SentenceWords';

/** What can be picked anew, of a step whose pick is lost: the choice that holds the lost face, or the only one. */
export function pickOf(
  parts: readonly SentencePart[],
  tag: string | undefined,
): { want: PickWanted; what: string } | null {
  const choices = parts.flatMap((part) => {
    const wants = part.kind === 'choice' ? part.options.flatMap(({ pick }) => pick ?? []) : [];
    return part.kind === 'choice' && wants[0] ? [{ part, first: wants[0], wants }] : [];
  });
  const holding = (part: Choice) =>
    part.options.find(({ patch }) => tag !== undefined && JSON.stringify(patch).includes(`"${tag}"`));
  const found = choices.find(({ part }) => holding(part)) ?? choices[0];
  if (!found) return null;
  // An outline may be taken from a face of another body: it is picked there again.
  const held = holding(found.part)?.patch[found.first.field] as { of?: { body?: string } } | undefined;
  const want = found.wants.find(({ body }) => body === held?.of?.body) ?? found.first;
  return { want, what: found.part.what };
}
