/** A list with one more in it, or without it where it is in it already. */
export const toggled = (list: readonly string[], one: string): string[] =>
  list.includes(one) ? list.filter((other) => other !== one) : [...list, one];
