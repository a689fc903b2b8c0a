import { version } from 'replicad-opencascadejs/package.json';

/** Address of the kernel's WebAssembly file; a new version has a new address, so it can be cached for ever. */
export const kernelFile = `/kernel/kernel-${version}.wasm`;
