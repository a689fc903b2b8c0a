import { promisify } from 'node:util';
import { gunzip, gzip } from 'node:zlib';
import { readFile } from 'node:fs/promises';

import { HashedFiles } from '../files/hashedFiles';

const [packed, unpacked] = [promisify(gzip), promisify(gunzip)];

/** What machines are given, as packed files beside the database. */
export class JobPrograms {
  readonly files: HashedFiles;

  constructor(folder: string) {
    this.files = new HashedFiles(folder, '.gcode.gz');
  }

  /** Keeps a job's G-code; gives the name of its file. It is safely on disk when this returns. */
  async keep(gcode: string): Promise<string> {
    return this.files.write(await packed(gcode));
  }

  /** Null where it is no longer kept. */
  async read(file: string): Promise<string | null> {
    const path = await this.files.find(file);
    return path === null ? null : (await unpacked(await readFile(path))).toString('utf8');
  }
}
