import { version as fontVersion } from '@expo-google-fonts/barlow/package.json';
import { version } from 'replicad-opencascadejs/package.json';

/** Address of the kernel's WebAssembly file; a new version has a new address, so it can be cached for ever. */
export const kernelFile = `/kernel/kernel-${version}.wasm`;

/** Address of the font that letters on parts are made from; it is copied beside the kernel. */
export const fontFile = `/kernel/letters-${fontVersion}.ttf`;
