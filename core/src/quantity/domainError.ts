import type { DomainErrorCode } from './domainErrors.ts';

/**
 * Thrown where a calculation has no valid result.
 * `code` is stable and meant for programs; `message` is meant for the technician.
 */
export class DomainError extends Error {
  readonly code: DomainErrorCode;
  constructor(code: DomainErrorCode, message: string) {
    super(message);
    this.name = 'DomainError';
    this.code = code;
  }
}

/** Runs `sum`; a DomainError comes back as a value, anything else goes on being thrown. */
export function toResult<T>(sum: () => T): { ok: true; value: T } | { ok: false; refusal: DomainError } {
  try {
    return { ok: true, value: sum() };
  } catch (error) {
    if (error instanceof DomainError) return { ok: false, refusal: error };
    throw error;
  }
}

/** Room for binary fractions when a figure is compared with a limit: equality counts as inside. */
export const SLACK = 1e-9;
