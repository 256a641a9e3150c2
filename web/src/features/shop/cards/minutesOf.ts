const MOST_MINUTES = 600;

/** Minutes as typed, whole; null for anything else. */
export function minutesOf(typed: string): number | null {
  const text = typed.trim();
  return /^\d{1,3}$/.test(text) && Number(text) <= MOST_MINUTES ? Number(text) : null;
}
