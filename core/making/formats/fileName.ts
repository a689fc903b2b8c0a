/** A name that every file system takes: letters, digits and hyphens, at most 60 of them. */
export function fileStem(...parts: string[]): string {
  const stem = parts
    .join('-')
    .normalize('NFKD')
    .replace(/[\u0300-\u036f]/g, '')
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-+|-+$/g, '')
    .slice(0, 60)
    .replace(/-+$/, '');
  return stem || 'spare';
}
