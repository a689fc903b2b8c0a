/** Thrown when the kernel cannot go on: this instance must be thrown away and another started. */
export class KernelTrap extends Error {
  override name = 'KernelTrap';
}

/** Thrown when the kernel refuses an operation; it stays usable. */
export class KernelRefusal extends Error {
  override name = 'KernelRefusal';
}
