import { ok, type Fault, type Result } from '@core/foundations/fault';

import { HashedFiles } from '../files/hashedFiles';
import { unpacked, type Embedded } from '../files/unpacked';
import { preparePhoto } from './prepare';

/** A picture as it lies in the folder. */
export interface StoredPhoto {
  file: string;
  widthPx: number;
  heightPx: number;
}

/** Pictures as files, worked over before they are kept. */
export class PhotoStore {
  readonly files: HashedFiles;

  constructor(folder: string) {
    this.files = new HashedFiles(folder, '.jpg');
  }

  /** Works a picture over and keeps it. The file is safely on disk when this returns. */
  async keep(bytes: Uint8Array): Promise<Result<StoredPhoto, Fault>> {
    const prepared = await preparePhoto(bytes);
    if (!prepared.ok) return prepared;
    const { jpeg, widthPx, heightPx } = prepared.value;
    return ok({ file: await this.files.write(jpeg), widthPx, heightPx });
  }

  /** Keeps the pictures of a repair file; gives the name that each has here by the name it had there. */
  unpack(files: readonly Embedded[]): Promise<Result<Map<string, string>, Fault>> {
    return unpacked(files, (bytes) => this.keep(bytes), { list: 'photoFiles', problem: { is: 'noPicture' } });
  }
}
