/** Builds after which a kernel's memory counts as settled. */
const SETTLED_AFTER = 20;

/** Never replaced sooner than this: a large model may need much memory of its own. */
const FEWEST_BUILDS = 100;

/** Growth over the settled memory that is put down to what the kernel does not give back. */
const GROWTH = 1.1;

/**
 * Tells when a kernel should be replaced. Some of its operations keep memory for ever (rounds, eases, meshes:
 * 0.2 MB a rebuild of the demo wheel, kernel-notes.md), and WebAssembly memory never shrinks, so the only cure
 * is a fresh kernel now and then, when nothing waits for it.
 */
export class MemoryWatch {
  #builds = 0;
  #settledBytes = 0;

  /** To be told the kernel's memory after each build. True when it is time for a fresh one. */
  shouldReplace(bytes: number): boolean {
    this.#builds += 1;
    if (this.#builds <= SETTLED_AFTER) this.#settledBytes = bytes;
    return this.#builds >= FEWEST_BUILDS && bytes > this.#settledBytes * GROWTH;
  }
}
