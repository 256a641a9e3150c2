import { TAG_PREFIX } from '@dauer/core/supply';

/** Characters no further apart than this, of a code that begins so, come from a scanner that types and not from a hand. */
const TAG_GAP_MS = 60;

/** Tells a scanner that types a tag's code from a hand and from a gauge: feed it every key with its time. */
export class TagBurst {
  private text = '';
  private at = 0;

  /**
   * @param key as KeyboardEvent.key
   * @param at time stamp, ms
   * @returns `begun` for the first character that may be a code's, `within` for every further one, the code at its Enter; null else
   */
  feed(key: string, at: number): 'begun' | 'within' | { readonly code: string } | null {
    if (key === 'Shift' || key === 'CapsLock') return null;
    const apart = at - this.at > TAG_GAP_MS;
    this.at = at;
    if (key === 'Enter') {
      const code = this.text;
      this.text = '';
      return !apart && code.length > TAG_PREFIX.length ? { code } : null;
    }
    if (key.length !== 1) {
      this.text = '';
      return null;
    }
    const next = (apart ? '' : this.text) + key;
    const upper = next.toUpperCase();
    const fits = TAG_PREFIX.startsWith(upper) || upper.startsWith(TAG_PREFIX);
    this.text = fits ? next : TAG_PREFIX.startsWith(key.toUpperCase()) ? key : '';
    if (this.text === '') return null;
    return this.text.length === 1 ? 'begun' : 'within';
  }
}
