interface KernelObject {
  delete(): void;
}

interface Clearable extends KernelObject {
  Clear(): void;
}

/**
 * Holds kernel objects until the work is done. They live outside JavaScript's memory and are never collected,
 * so each must be deleted by hand; booleans must be cleared first or they keep most of theirs (kernel-notes).
 */
export class Scope {
  #held = new Set<KernelObject>();

  keep<T extends KernelObject>(object: T): T {
    this.#held.add(object);
    return object;
  }

  /** Takes an object out of the scope's care: whoever asked for it deletes it. */
  release<T extends KernelObject>(object: T): T {
    this.#held.delete(object);
    return object;
  }

  close(): void {
    for (const object of [...this.#held].reverse()) {
      if (isClearable(object)) object.Clear();
      object.delete();
    }
    this.#held.clear();
  }
}

function isClearable(object: KernelObject): object is Clearable {
  // Lists and explorers have Clear too; clearing them is harmless.
  return typeof (object as Partial<Clearable>).Clear === 'function';
}

/** Runs work with a scope that closes whatever happens. */
export function scoped<T>(work: (scope: Scope) => T): T {
  const scope = new Scope();
  try {
    return work(scope);
  } finally {
    scope.close();
  }
}
