import init, { type OpenCascadeInstance, type TopoDS_Shape } from 'replicad-opencascadejs';

import { KernelRefusal, KernelTrap } from '@core/shaping/part';

/** The one file that loads the geometry kernel (OCCT, compiled to WebAssembly). */
export type Kernel = OpenCascadeInstance;

export type Shape = TopoDS_Shape;

/** The kernel prints STEP statistics and the like; nobody reads them. */
const SILENT = { print: () => {}, printErr: () => {} };

/**
 * Starts a kernel. By itself it reads the WebAssembly file that stands beside its package (Node); a browser hands in what it compiled while
 * it was fetched.
 */
export function startKernel(module?: WebAssembly.Module): Promise<Kernel> {
  // The loader writes into what it is given: each start has its own.
  if (!module) return init({ ...SILENT });
  return new Promise((resolve, reject) => {
    const instantiateWasm = (
      imports: WebAssembly.Imports,
      receive: (instance: WebAssembly.Instance, of: WebAssembly.Module) => void,
    ) => {
      WebAssembly.instantiate(module, imports).then((instance) => receive(instance, module), reject);
      return {};
    };
    init({ ...SILENT, instantiateWasm }).then(resolve, reject);
  });
}

/**
 * Runs work on the kernel and turns what it throws into our two errors. Anything thrown by our own code
 * passes through unchanged.
 */
export function guarded<T>(kernel: Kernel, work: () => T): T {
  try {
    return work();
  } catch (error) {
    if (error instanceof WebAssembly.RuntimeError || error instanceof RangeError) {
      throw new KernelTrap(error.message);
    }
    if (isKernelException(error)) {
      const [type, message] = kernel.getExceptionMessage(error as never);
      throw new KernelRefusal(`${type}${message ? `: ${message}` : ''}`);
    }
    throw error;
  }
}

/** `WebAssembly.Exception` is missing from the TypeScript library, hence the look-up by name. */
function isKernelException(error: unknown): boolean {
  const type = (WebAssembly as unknown as { Exception?: new () => object }).Exception;
  return type !== undefined && error instanceof type;
}
