import { partialDateText } from '@dauer/core/quantity';

/** A partial date as it is said; empty where none is known. */
export function partialText(on: string | null): string {
  return on === null ? '' : partialDateText({ on, about: false });
}
