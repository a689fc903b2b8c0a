import { startKernel, type Kernel } from '@core/shaping/kernel';

let started: Promise<Kernel> | undefined;

/** One kernel for all tests of a file: it takes half a second to start. */
export function testKernel(): Promise<Kernel> {
  started ??= startKernel();
  return started;
}
