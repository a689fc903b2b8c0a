import type { Step } from '@core/record/model';

import type { EarlierStep } from './places';

/** A layout by its name, for steps that may stand at its points. */
export interface NamedLayout {
  id: string;
  name: string;
}

/** Another body by its name. */
export interface NamedBody {
  id: string;
  name: string;
  steps?: readonly Step[];
}

/** What an outline may be taken from: the steps before its own, and layouts; other bodies, with their steps. */
export interface SentenceSources {
  steps: readonly EarlierStep[];
  layouts: readonly NamedLayout[];
  bodies: readonly NamedBody[];
}

/** What a sentence may name. */
export interface SentenceContext extends SentenceSources {
  /** All steps of the body, the one itself among them. */
  recipe: readonly Step[];
}
