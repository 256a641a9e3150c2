import { DomainError } from '@dauer/core/quantity';

/** Why what was typed cannot be read, in a sentence; empty where it can. */
export function refusalOf(read: () => unknown): string {
  try {
    read();
    return '';
  } catch (error) {
    if (error instanceof DomainError) return error.message;
    throw error;
  }
}
