import { createHash, randomUUID } from 'node:crypto';
import { mkdir, open, readdir, readFile, rename, rm, stat } from 'node:fs/promises';
import { join } from 'node:path';

import { no, ok, type Fault, type Result } from '@core/fault';

import { syncFolder } from '../database/open';
import { preparePhoto, type PreparedPhoto } from './prepare';

/** A picture as it lies in the folder. */
export interface StoredPhoto {
  file: string;
  widthPx: number;
  heightPx: number;
}

const DAY_MS = 24 * 60 * 60 * 1000;
/** As long as a change that was sent twice is recognised. */
const UNUSED_KEPT_MS = 60 * DAY_MS;
const PART_KEPT_MS = DAY_MS;

/** Pictures as files named by the hash of what is in them; the same picture twice is one file. */
export class PhotoStore {
  constructor(private readonly folder: string) {}

  /** Works a picture over and keeps it. The file is safely on disk when this returns. */
  async keep(bytes: Uint8Array): Promise<Result<StoredPhoto, Fault>> {
    const prepared = await preparePhoto(bytes);
    if (!prepared.ok) return prepared;
    const { widthPx, heightPx } = prepared.value;
    return ok({ file: await this.#write(prepared.value), widthPx, heightPx });
  }

  /** Where a picture lies, or null. */
  async find(file: string): Promise<string | null> {
    const path = this.#path(file);
    return (await stat(path).catch(() => null)) ? path : null;
  }

  /** How large some pictures are together, bytes; those that are not here count as none. */
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
   * Takes away pictures that no photo shows, and parts of pictures that were never finished. A photo's row may follow
   * its picture late, when the server was away in between: what is younger than that stays.
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
      if (!isPart && (!name.endsWith('.jpg') || used.has(name.slice(0, -'.jpg'.length)))) continue;
      const there = await stat(join(this.folder, name)).catch(() => null);
      if (!there || now - there.mtimeMs < (isPart ? PART_KEPT_MS : UNUSED_KEPT_MS)) continue;
      await this.#remove(name);
      swept += 1;
    }
    return swept;
  }

  /** Pictures as they stand in a repair file; those that are not here are left out. */
  async embed(files: readonly string[]): Promise<{ file: string; base64: string }[]> {
    const embedded: { file: string; base64: string }[] = [];
    for (const file of new Set(files)) {
      const bytes = await readFile(this.#path(file)).catch(() => null);
      if (bytes) embedded.push({ file, base64: bytes.toString('base64') });
    }
    return embedded;
  }

  /** Keeps the pictures of a repair file; gives the name that each has here by the name it had there. */
  async unpack(
    files: readonly { file: string; base64: string }[],
  ): Promise<Result<Map<string, string>, Fault>> {
    const renamed = new Map<string, string>();
    for (const [index, { file, base64 }] of files.entries()) {
      const kept = await this.keep(Buffer.from(base64, 'base64'));
      if (!kept.ok) {
        return no({
          code: 'file.invalid',
          path: `photoFiles[${index}]`,
          problem: { is: 'noPicture' },
        });
      }
      renamed.set(file, kept.value.file);
    }
    return ok(renamed);
  }

  #path(file: string): string {
    return join(this.folder, `${file}.jpg`);
  }

  async #write({ jpeg }: PreparedPhoto): Promise<string> {
    const file = createHash('sha256').update(jpeg).digest('hex');
    if (await this.find(file)) return file;
    await mkdir(this.folder, { recursive: true });
    // Under another name first, so that a file of this name is always whole.
    const passing = join(this.folder, `.${randomUUID()}`);
    const handle = await open(passing, 'w');
    try {
      await handle.writeFile(jpeg);
      await handle.sync();
    } catch (error) {
      await rm(passing, { force: true });
      throw error;
    } finally {
      await handle.close();
    }
    await rename(passing, this.#path(file));
    // The name too is on the disk before the picture is acknowledged.
    syncFolder(this.folder);
    return file;
  }

  async #remove(name: string): Promise<void> {
    await rm(join(this.folder, name), { force: true });
  }
}
