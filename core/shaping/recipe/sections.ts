import type { Step } from '@core/record/model';

/** A section of a recipe: its name, null for what stands before the first, and its steps. */
interface Section {
  name: string | null;
  steps: Step[];
}

/** A recipe in its sections, in order; a section begins with each step that has a heading. */
export function sectionsOf(steps: readonly Step[]): Section[] {
  const sections: Section[] = [];
  for (const step of steps) {
    if (step.heading !== undefined || sections.length === 0)
      sections.push({ name: step.heading ?? null, steps: [] });
    sections.at(-1)!.steps.push(step);
  }
  return sections;
}
