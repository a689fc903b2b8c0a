import { useCallback, useEffect, useRef, useState } from 'react';

import type { FoundFault } from '@core/fault';
import { MOST_FOUND_BYTES } from '@core/found';
import type { SolidMesh } from '@core/part';
import { programFaultOf, type ProgramFault } from '@core/wording';

import { spawnFound, type FoundHandle } from './spawnFound';
import type { FoundRead, FoundShown } from './protocol';

export interface ReadFile extends FoundRead {
  name: string;
}

/** How far the comparison with a scanned piece is. */
export type FoundState =
  | { kind: 'none' }
  | { kind: 'reading'; name: string }
  /** Read; its unit has to be said, or confirmed. */
  | { kind: 'read'; file: ReadFile }
  | { kind: 'laying'; file: ReadFile; share: number }
  | { kind: 'laid'; file: ReadFile; spare: SolidMesh; ways: number; isSure: boolean }
  | { kind: 'refused'; fault: FoundFault }
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

  const read = (file: File) =>
    started(async (isCurrent) => {
      const { name } = file;
      const refuse = (fault: FoundFault) => setState({ kind: 'refused', fault });
      if (file.size > MOST_FOUND_BYTES) {
        refuse({ code: 'found.tooBig', name, bytes: file.size, limitBytes: MOST_FOUND_BYTES });
        return;
      }
      setState({ kind: 'reading', name });
      const mesh = await meshOfSpare();
      if (!isCurrent()) return;
      if (!mesh) return refuse({ code: 'found.noSpare' });
      const bytes = await bytesOf(file);
      if (!isCurrent()) return;
      if (!bytes) return refuse({ code: 'found.gone', name });
      spare.current = mesh;
      handle.current?.end();
      handle.current = spawn();
      const { worker } = handle.current;
      await worker.setSpare(mesh);
      const reply = await worker.read(bytes, name);
      if (!isCurrent()) return;
      setState(
        reply.ok ? { kind: 'read', file: { ...reply.value, name } } : { kind: 'refused', fault: reply.fault },
      );
    });

  const lay = (file: ReadFile, unitMm: number) =>
    started(async (isCurrent) => {
      setState({ kind: 'laying', file, share: 0 });
      const reply = await handle.current!.worker.lay(unitMm, (share) => {
        // Progress comes by a way of its own, and may come in after the reply.
        setState((now) => (isCurrent() && now.kind === 'laying' ? { ...now, share } : now));
      });
      if (!isCurrent()) return;
      setState(
        reply.ok
          ? { kind: 'laid', file, spare: spare.current!, ...reply.value }
          : { kind: 'refused', fault: reply.fault },
      );
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
  return { state, read, lay, show, stop };
}

const faultOf = (error: unknown) => programFaultOf(error, 'the scanned piece', new Date().toISOString());

/** A file that was moved or taken away since it was chosen has none. */
async function bytesOf(file: File): Promise<Uint8Array | null> {
  try {
    return new Uint8Array(await file.arrayBuffer());
  } catch {
    return null;
  }
}
