import { MOST_STEP_MINUTES } from '@dauer/core/catalogue';

/** Minutes as typed, whole; null for anything else. */
export function minutesOf(typed: string): number | null {
  const text = typed.trim();
  return /^\d{1,3}$/.test(text) && Number(text) <= MOST_STEP_MINUTES ? Number(text) : null;
}
