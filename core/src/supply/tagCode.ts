/** What a tag's code begins with: it is told from every gauge, and holds no address. */
export const TAG_PREFIX = 'DAUER:';

/** Figures and letters without I, L, O and U. */
const SYMBOLS = '0123456789ABCDEFGHJKMNPQRSTVWXYZ';

/** A prime below 32²: a letter that is wrong and two that are swapped always leave another rest. */
const PRIME = 1021;

const plain = (tag: string): string => tag.trim().toUpperCase();

/** Two symbols: the sum of all letters, each weighted by its place, modulo a prime. */
function checkOf(tag: string): string {
  const rest = [...plain(tag)].reduce((sum, c, i) => (sum + (i + 1) * (c.codePointAt(0) ?? 0)) % PRIME, 0);
  return SYMBOLS.charAt(rest >> 5) + SYMBOLS.charAt(rest & 31);
}

/** What the code on a tag holds: `DAUER:`, the tag, and two check symbols. Source: handbook 40, Orders and send-outs. */
export function tagCode(tag: string): string {
  return `${TAG_PREFIX}${plain(tag)}:${checkOf(tag)}`;
}

/** The tag in a code that was scanned or typed; null where it is none, `bad` where it does not hold together. */
export function readTagCode(text: string): { readonly tag: string } | 'bad' | null {
  const whole = text.trim().toUpperCase();
  if (!whole.startsWith(TAG_PREFIX)) return null;
  const [, tag = '', check = ''] = /^DAUER:(.{1,20}):(..)$/u.exec(whole) ?? [];
  return tag !== '' && checkOf(tag) === check ? { tag } : 'bad';
}
