import { fixed, millisecondsInDay, millisecondsInHour } from '@dauer/core/quantity';

/** How long ago something was, in whole days and hours. */
export function ageWords(at: string, now: number): string {
  const ms = Math.max(0, now - Date.parse(at));
  const days = Math.floor(ms / millisecondsInDay);
  if (days > 1) return `${days} days ago`;
  if (days === 1) return 'a day ago';
  const hours = Math.floor(ms / millisecondsInHour);
  if (hours > 1) return `${hours} hours ago`;
  return hours === 1 ? 'an hour ago' : 'within the hour';
}

/** A size in bytes as it is said. */
export function sizeWords(bytes: number): string {
  if (bytes >= 1e9) return `${fixed(bytes / 1e9, 1)} GB`;
  return bytes >= 1e6 ? `${fixed(bytes / 1e6, 1)} MB` : `${Math.max(1, Math.round(bytes / 1000))} kB`;
}
