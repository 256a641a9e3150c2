/** How much likelier a kind of fault is taken to be here than the tables say, as reckoned from the shop's own cases. */
export interface PriorVersion {
  readonly id: string;
  readonly fault: string;
  /** By which its odds are multiplied; 1 takes back what was taken over. */
  readonly times: number;
  /** Places looked at and found in, as they stood when it was taken over. */
  readonly lookedAt: number;
  readonly found: number;
  readonly enteredBy: string;
  readonly enteredAt: string;
}
