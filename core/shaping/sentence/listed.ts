const AND = new Intl.ListFormat('en-GB', { type: 'conjunction' });

/** `1`, `1 and 2`, `1, 2 and 3`; nothing of nothing. */
export const listed = (items: readonly (string | number)[]): string => AND.format(items.map(String));
