import type { SpareFile } from '@core/making/formats';

/** Hands a file to the browser to be saved. */
export function saveFile({ name, mime, bytes }: SpareFile): void {
  const url = URL.createObjectURL(new Blob([bytes as BlobPart], { type: mime }));
  const link = document.createElement('a');
  link.href = url;
  link.download = name;
  link.click();
  // The browser has begun to save by then.
  setTimeout(() => URL.revokeObjectURL(url), 10_000);
}
