/**
 * A sum that must not give a figure says so by throwing this.
 * `code` is stable and meant for programs; `message` is meant for the technician.
 */
export class Refusal extends Error {
  readonly code: string;
  constructor(code: string, message: string) {
    super(message);
    this.name = 'Refusal';
    this.code = code;
  }
}

/** Runs `sum`; a Refusal comes back as a value, anything else goes on being thrown. */
export function attempt<T>(sum: () => T): { ok: true; value: T } | { ok: false; refusal: Refusal } {
  try {
    return { ok: true, value: sum() };
  } catch (error) {
    if (error instanceof Refusal) return { ok: false, refusal: error };
    throw error;
  }
}

/** Room for binary fractions when a figure is compared with a limit: equality counts as inside. */
export const SLACK = 1e-9;
