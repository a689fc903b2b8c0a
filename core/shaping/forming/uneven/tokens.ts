/** Words of a text, one after the other. */
export class Tokens {
  #words: string[];
  #at = 0;

  constructor(text: string) {
    this.#words = text.split(/\s+/);
  }

  word = (): string => this.#words[this.#at++]!;
  peek = (): string | undefined => this.#words[this.#at];
  number = (): number => Number(this.word());
  numbers = (count: number): number[] => Array.from({ length: count }, this.number);
  /** As many of something as the next number says. */
  times<T>(read: () => T): T[] {
    return Array.from({ length: this.number() }, read);
  }
  skip(count: number): void {
    this.#at += count;
  }
  /** To just behind the next time that a word is there. */
  skipTo(word: string): void {
    this.#at = this.#words.indexOf(word, this.#at) + 1;
  }
}
