import { z } from 'zod';

import { ScanFile } from '@core/record/model';

import { sendFile } from './sendFile';

const KeptScan = z.object({ file: ScanFile, triangles: z.int() });
export type KeptScan = z.infer<typeof KeptScan>;

/** Where a scan is fetched from. */
export const scanAddress = (file: string) => `/api/scans/${file}`;

/** Sends a scan, as `writePly` writes it. @throws Unreachable, Troubled, or Refused. */
export const sendScan = (
  bytes: Uint8Array<ArrayBuffer>,
  onProgress: (share: number) => void,
  signal: AbortSignal,
): Promise<KeptScan> =>
  sendFile('/scans', new Blob([bytes]), {
    reply: KeptScan,
    otherwise: 'The scan was not added. Try again.',
    onProgress,
    signal,
  });
