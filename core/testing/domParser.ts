import { JSDOM } from 'jsdom';

/** three's 3MF reader expects a browser's DOMParser with querySelector; jsdom's stands in for it. */
export function withDomParser<T>(work: () => T): T {
  const before = globalThis.DOMParser;
  globalThis.DOMParser = new JSDOM('').window.DOMParser as unknown as typeof DOMParser as never;
  try {
    return work();
  } finally {
    globalThis.DOMParser = before;
  }
}
