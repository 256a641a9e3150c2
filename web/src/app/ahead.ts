/** An answer that was asked for before whoever needs it is there: given once, and only while it is new. */
export class Ahead<T> {
  #answer: Promise<T> | null = null;
  readonly #freshMs: number;
  /** @param freshMs how long it is as good as one that is asked for anew, ms */
  constructor(freshMs: number) {
    this.#freshMs = freshMs;
  }
  put(answer: Promise<T>): void {
    // What went wrong is told to whoever takes it; where nobody does, to nobody.
    answer.catch(() => undefined);
    this.#answer = answer;
    setTimeout(() => {
      if (this.#answer === answer) this.#answer = null;
    }, this.#freshMs);
  }
  take(): Promise<T> | null {
    const answer = this.#answer;
    this.#answer = null;
    return answer;
  }
}
