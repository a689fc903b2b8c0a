/** Lists of numbers of different lengths, one after the other in one array. */
export interface Lists {
  /** Where list n begins; one more entry says where the last one ends. */
  starts: Int32Array<ArrayBuffer>;
  items: Int32Array<ArrayBuffer>;
}

export function listsOf(lists: readonly (readonly number[])[]): Lists {
  const starts = new Int32Array(lists.length + 1);
  for (const [index, list] of lists.entries()) starts[index + 1] = starts[index]! + list.length;
  const items = new Int32Array(starts[lists.length]!);
  for (const [index, list] of lists.entries()) items.set(list, starts[index]);
  return { starts, items };
}
