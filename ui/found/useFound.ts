import { transfer } from 'comlink';
import { useCallback, useEffect, useRef, useState } from 'react';

import type { FoundFault } from '@core/foundations/fault';
import { MOST_FOUND_BYTES, type PlacePair } from '@core/checking/found';
import type { Scan } from '@core/record/model';
import type { SolidMesh, WeldedMesh } from '@core/shaping/part';
import { programFaultOf, type ProgramFault } from '@core/reporting/wording';

import { scanAddress } from '../api/scans';
import { fetchBytes } from '../api/sendFile';
import { spawnFound, type FoundHandle } from './spawnFound';
import type { FoundRead, FoundShown } from './protocol';

export interface ReadFile extends FoundRead {
  name: string;
  /** The scan that is kept with the repair, where it was taken from there. */
  kept: Scan | null;
}

/** Which of the ways it is laid, and by what. */
export interface AlignedAs {
  way: number;
  byAll: boolean;
}

/** How far the comparison with a scanned piece is. */
export type FoundState =
  | { kind: 'none' }
  | { kind: 'reading'; name: string }
  /** Read; its unit has to be said, or confirmed. */
  | { kind: 'read'; file: ReadFile }
  | { kind: 'laying'; file: ReadFile; share: number }
  /** Places are pointed at on both; `wrong` is what was wrong with those that were. */
  | {
      kind: 'pointing';
      file: ReadFile;
      spare: SolidMesh;
      piece: WeldedMesh;
      pairs: readonly PlacePair[];
      wrong: FoundFault | null;
    }
  /** @property keptAs how it lay when it was kept with the repair. */
  | {
      kind: 'laid';
      file: ReadFile;
      spare: SolidMesh;
      ways: number;
      isSure: boolean;
      keptAs: AlignedAs | null;
    }
  /** @property file what was read, if anything: it may still be laid by places. */
  | { kind: 'refused'; fault: FoundFault; file: ReadFile | null }
  /** A file that is kept with the repair did not come. */
  | { kind: 'away'; scan: Scan }
  /** Nobody's input: told with a report. */
  | { kind: 'broken'; fault: ProgramFault };

/**
 * Reads a file, lays it over a spare and keeps it for as long as the screen stands. What takes long is stopped by ending its worker.
 *
 * @param meshOfSpare builds the spare; null if it can't be built.
 */
export function useFound(meshOfSpare: () => Promise<SolidMesh | null>, spawn = spawnFound) {
  const [state, setState] = useState<FoundState>({ kind: 'none' });
  const handle = useRef<FoundHandle | null>(null);
  const spare = useRef<SolidMesh | null>(null);
  /** Counts up with each start and stop: what comes in late is nobody's any more. */
  const turn = useRef(0);

  const stop = useCallback(() => {
    turn.current += 1;
    handle.current?.end();
    handle.current = null;
    setState({ kind: 'none' });
  }, []);
  useEffect(() => () => handle.current?.end(), []);

  const started = async (work: (isCurrent: () => boolean) => Promise<void>) => {
    const own = (turn.current += 1);
    const isCurrent = () => turn.current === own;
    try {
      await work(isCurrent);
    } catch (error) {
      if (isCurrent())
        setState({
          kind: 'broken',
          fault: faultOf(error),
        });
    }
  };
  const refuse = (fault: FoundFault, file: ReadFile | null = null) =>
    setState({ kind: 'refused', fault, file });

  /** Hands a file's bytes to a worker of its own, with the spare; null if it came to nothing, which is told. */
  const readBytes = async (
    bytesOf: () => Promise<Uint8Array | null>,
    name: string,
    isCurrent: () => boolean,
  ): Promise<FoundRead | null> => {
    setState({ kind: 'reading', name });
    const mesh = await meshOfSpare();
    if (!isCurrent()) return null;
    if (!mesh) {
      refuse({ code: 'found.noSpare' });
      return null;
    }
    const bytes = await bytesOf();
    if (!isCurrent() || !bytes) return null;
    spare.current = mesh;
    handle.current?.end();
    handle.current = spawn();
    const { worker } = handle.current;
    await worker.setSpare(mesh);
    const reply = await worker.read(transfer(bytes, [bytes.buffer as ArrayBuffer]), name);
    if (!isCurrent()) return null;
    if (reply.ok) return reply.value;
    refuse(reply.fault);
    return null;
  };

  const read = (file: File) =>
    started(async (isCurrent) => {
      const { name } = file;
      if (file.size > MOST_FOUND_BYTES) {
        refuse({ code: 'found.tooBig', name, bytes: file.size, limitBytes: MOST_FOUND_BYTES });
        return;
      }
      const bytesOf = async () => {
        const bytes = await bytesOfFile(file);
        if (!bytes && isCurrent()) refuse({ code: 'found.gone', name });
        return bytes;
      };
      const found = await readBytes(bytesOf, name, isCurrent);
      if (found) setState({ kind: 'read', file: { ...found, name, kept: null } });
    });

  /** Takes a scan that is kept with the repair and lays it where it lay. */
  const open = (scan: Scan) =>
    started(async (isCurrent) => {
      const bytesOf = async () => {
        const bytes = await fetchBytes(scanAddress(scan.file)).catch(() => null);
        if (!bytes && isCurrent()) setState({ kind: 'away', scan });
        return bytes;
      };
      const found = await readBytes(bytesOf, scan.name, isCurrent);
      if (!found) return;
      const laid = await handle.current!.worker.layAt(scan.place);
      if (!isCurrent()) return;
      const file = { ...found, name: scan.name, kept: scan };
      setState({ kind: 'laid', file, spare: spare.current!, ...laid, keptAs: { way: 0, byAll: false } });
    });

  const onShare = (isCurrent: () => boolean) => (share: number) => {
    // Progress comes by a way of its own, and may come in after the reply.
    setState((now) => (isCurrent() && now.kind === 'laying' ? { ...now, share } : now));
  };

  const lay = (file: ReadFile, unitMm: number) =>
    started(async (isCurrent) => {
      setState({ kind: 'laying', file, share: 0 });
      const reply = await handle.current!.worker.lay(unitMm, onShare(isCurrent));
      if (!isCurrent()) return;
      if (reply.ok) setState({ kind: 'laid', file, spare: spare.current!, ...reply.value, keptAs: null });
      else refuse(reply.fault, reply.fault.code === 'found.notAlike' ? file : null);
    });

  /** Shows the piece and the spare beside each other, to be pointed at. */
  const point = (file: ReadFile, pairs: readonly PlacePair[] = [], wrong: FoundFault | null = null) =>
    started(async (isCurrent) => {
      const piece = await handle.current!.worker.piece();
      if (isCurrent()) setState({ kind: 'pointing', file, spare: spare.current!, piece, pairs, wrong });
    });

  const layBy = (file: ReadFile, pairs: readonly PlacePair[]) =>
    started(async (isCurrent) => {
      setState({ kind: 'laying', file, share: 0 });
      const reply = await handle.current!.worker.layBy(pairs, onShare(isCurrent));
      if (!isCurrent()) return;
      if (reply.ok) setState({ kind: 'laid', file, spare: spare.current!, ...reply.value, keptAs: null });
      else await point(file, pairs, reply.fault);
    });

  /** Shows one of the ways; null if it came to nothing, which is told. */
  const show = useCallback(
    async (
      way: number,
      byAll: boolean,
      withinMm: number,
      onShare: (share: number) => void,
    ): Promise<FoundShown | null> => {
      const own = turn.current;
      try {
        return await handle.current!.worker.show(way, byAll, withinMm, onShare);
      } catch (error) {
        if (turn.current === own) setState({ kind: 'broken', fault: faultOf(error) });
        return null;
      }
    },
    [],
  );
  /** What is kept of it with the repair, as it is laid. */
  const keepable = ({ way, byAll }: AlignedAs) => handle.current!.worker.keepable(way, byAll);
  /** It is kept with the repair now: where it lies is told from there. */
  const isKept = (kept: Scan, keptAs: AlignedAs) =>
    setState((now) => (now.kind === 'laid' ? { ...now, file: { ...now.file, kept }, keptAs } : now));
  return { state, read, open, lay, point, layBy, show, keepable, isKept, stop };
}

const faultOf = (error: unknown) => programFaultOf(error, 'the scanned piece', new Date().toISOString());

/** A file that was moved or taken away since it was chosen has none. */
async function bytesOfFile(file: File): Promise<Uint8Array | null> {
  try {
    return new Uint8Array(await file.arrayBuffer());
  } catch {
    return null;
  }
}
