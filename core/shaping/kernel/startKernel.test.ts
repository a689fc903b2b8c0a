import { readFileSync } from 'node:fs';
import { join } from 'node:path';

import { startKernel, type Kernel } from '@core/shaping/kernel';

const PACKAGES = join(__dirname, '..', '..', '..', 'node_modules');

const volumeOfBlock = (kernel: Kernel): number => {
  const maker = new kernel.BRepPrimAPI_MakeBox(2, 3, 4);
  const found = new kernel.GProp_GProps();
  kernel.BRepGProp.VolumeProperties(maker.Shape(), found, false, false, false);
  return found.Mass();
};

test('kernels are started one after the other in one process, and from a module that is compiled already', async () => {
  const first = await startKernel();
  const second = await startKernel();
  const module = await WebAssembly.compile(
    readFileSync(join(PACKAGES, 'replicad-opencascadejs', 'dist', 'replicad_single.wasm')),
  );
  const third = await startKernel(module);
  for (const kernel of [first, second, third]) expect(volumeOfBlock(kernel)).toBeCloseTo(24, 9);
});
