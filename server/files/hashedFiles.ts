import { createHash, randomUUID } from 'node:crypto';
import { mkdir, open, readdir, readFile, rename, rm, stat } from 'node:fs/promises';
import { join } from 'node:path';

import { syncFolder } from '../database/open';

const DAY_MS = 24 * 60 * 60 * 1000;
/** As long as a change that was sent twice is recognised. */
const UNUSED_KEPT_MS = 60 * DAY_MS;
const PART_KEPT_MS = DAY_MS;

/** Files named by the hash of what is in them; the same bytes twice are one file. */
export class HashedFiles {
  /** @param extension with its dot. */
  constructor(
    private readonly folder: string,
    private readonly extension: string,
  ) {}

  /** Keeps bytes; they are safely on disk when this returns. Gives the name of their file, without the extension. */
  async write(bytes: Uint8Array): Promise<string> {
    const file = createHash('sha256').update(bytes).digest('hex');
    if (await this.find(file)) return file;
    await mkdir(this.folder, { recursive: true });
    // Under another name first, so that a file of this name is always whole.
    const passing = join(this.folder, `.${randomUUID()}`);
    const handle = await open(passing, 'w');
    try {
      await handle.writeFile(bytes);
      await handle.sync();
    } catch (error) {
      await rm(passing, { force: true });
      throw error;
    } finally {
      await handle.close();
    }
    await rename(passing, this.#path(file));
    // The name too is on the disk before it is acknowledged.
    syncFolder(this.folder);
    return file;
  }

  /** Where a file lies, or null. */
  async find(file: string): Promise<string | null> {
    const path = this.#path(file);
    return (await stat(path).catch(() => null)) ? path : null;
  }

  /** How large some are together, bytes; those that are not here count as none. */
  async bytesOf(files: readonly string[]): Promise<number> {
    const sizes = await Promise.all(
      files.map((file) =>
        stat(this.#path(file)).then(
          ({ size }) => size,
          () => 0,
        ),
      ),
    );
    return sizes.reduce((sum, size) => sum + size, 0);
  }

  /**
   * Takes away files that no row names, and parts of files that were never finished. A row may follow its file late,
   * when the server was away in between: what is younger than that stays.
   * @returns how many were taken away.
   */
  async sweep(used: ReadonlySet<string>, now: number): Promise<number> {
    const names = await readdir(this.folder).catch((error: NodeJS.ErrnoException) => {
      if (error.code === 'ENOENT') return [];
      throw error;
    });
    let swept = 0;
    for (const name of names) {
      const isPart = name.startsWith('.');
      const isOurs = name.endsWith(this.extension);
      if (!isPart && (!isOurs || used.has(name.slice(0, -this.extension.length)))) continue;
      const there = await stat(join(this.folder, name)).catch(() => null);
      if (!there || now - there.mtimeMs < (isPart ? PART_KEPT_MS : UNUSED_KEPT_MS)) continue;
      await rm(join(this.folder, name), { force: true });
      swept += 1;
    }
    return swept;
  }

  /** Files as they stand in a repair file; those that are not here are left out. */
  async embed(files: readonly string[]): Promise<{ file: string; base64: string }[]> {
    const embedded: { file: string; base64: string }[] = [];
    for (const file of new Set(files)) {
      const bytes = await readFile(this.#path(file)).catch(() => null);
      if (bytes) embedded.push({ file, base64: bytes.toString('base64') });
    }
    return embedded;
  }

  #path(file: string): string {
    return join(this.folder, `${file}${this.extension}`);
  }
}
