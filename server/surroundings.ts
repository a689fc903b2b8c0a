/** What stores take from the world outside. */
export interface Surroundings {
  /** ISO 8601 instant. */
  now(): string;
  newId(): string;
}
