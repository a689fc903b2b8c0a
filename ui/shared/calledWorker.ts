import { proxy, wrap } from 'comlink';

/** A worker whose methods are called as if they were here, and that can be ended at any moment. */
export interface WorkerHandle<Calls> {
  worker: Calls;
  end(): void;
}

/**
 * Calls of a worker's methods: what they are given goes as it is, what they call back (a function, or an object of functions) stays here and is called
 * from there.
 */
export function calledWorker<Calls extends object>(thread: Worker): WorkerHandle<Calls> {
  const remote = wrap<Calls>(thread);
  const worker = new Proxy(remote, {
    get: (calls, name) => {
      // It is no promise, though whatever is asked of the other thread would be one.
      if (name === 'then') return undefined;
      const call = Reflect.get(calls, name) as (...given: unknown[]) => Promise<unknown>;
      return (...given: unknown[]) => call(...given.map((one) => (isCalledBack(one) ? proxy(one) : one)));
    },
  });
  // Comlink's own type of it differs by promises alone, and every method of a worker gives one.
  return { worker: worker as unknown as Calls, end: () => thread.terminate() };
}

function isCalledBack(given: unknown): given is object {
  if (typeof given === 'function') return true;
  if (typeof given !== 'object' || given === null || Array.isArray(given)) return false;
  const fields: unknown[] = Object.values(given);
  return fields.length > 0 && fields.every((field) => typeof field === 'function');
}
