/** Characters within this time, closing with Enter, come from a gauge that types and not from a hand. */
export const BURST_MS = 60;
const LEAST = 3;

/** Tells a gauge that types from a hand: feed it every key with its time; it answers with the figure when one is complete. */
export class GaugeBurst {
  private text = '';
  private from = 0;
  /** Whether the key just fed began a new run. */
  begun = false;

  /**
   * @param key as KeyboardEvent.key
   * @param at time stamp, ms
   * @returns the figure a gauge typed, at its Enter; null else
   */
  feed(key: string, at: number): string | null {
    this.begun = false;
    if (key.length === 1) {
      if (this.text === '' || at - this.from > BURST_MS) {
        this.text = '';
        this.from = at;
        this.begun = true;
      }
      this.text += key;
      return null;
    }
    if (key !== 'Enter') return null;
    const text = this.text;
    const gauge = text.length >= LEAST && at - this.from <= BURST_MS && /\d/.test(text);
    this.text = '';
    return gauge ? text : null;
  }
}
