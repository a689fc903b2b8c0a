export { MATERIALS, DEFAULT_MATERIAL_ID, materialOf, type Material } from './materials';
export { BENCH_CALIPER, INSTRUMENTS, instrumentOf, permissibleErrorMm, type Instrument } from './instruments';
export { MACHINES, DEFAULT_MACHINE_ID, machineOf, type Machine } from './machines';
export { toleranceFactorMm } from './toleranceFactor';
