import type { JobState } from '../job/job.ts';
import type { Slot } from '../layout/graph.ts';
import { ASSUMED_THERE } from '../layout/runs.ts';
import { type ComponentKind, INBOARD_FLANGE } from '../layout/kinds.ts';
import { isAssumed } from '../history/assumed.ts';
import { HIDDEN } from '../wording/en/hidden.ts';

/** A place that no inspection sees, with when somebody last saw it. */
interface HiddenPlace {
  readonly slot: Slot;
  /** What of it is hidden: "under its clips", "its inside". */
  readonly what: string;
  /** Instant, ISO 8601 UTC, of any job here; null where nobody has. */
  readonly seenAt: string | null;
  /** What was found of it and still stands, in words. */
  readonly found: readonly string[];
  readonly off: boolean;
}

/** What of a kind is out of sight until it is looked for. Source: handbook 58, A33. */
const WHAT: Readonly<Partial<Record<ComponentKind, string>>> = {
  line: HIDDEN.line,
  hose: HIDDEN.hose,
  drum: HIDDEN.drum,
  rotor: HIDDEN.rotor,
  servo: HIDDEN.servo,
  hub: HIDDEN.flange,
  cable: HIDDEN.cable,
};

/**
 * The hidden places of a vehicle, and what joins its units: lines over the tank and under clips, hose ends under rubber, the
 * inside of drums, behind shields, under the servo; each with when it was last seen, on whatever job.
 * Source: handbook 58, A33.
 */
export function hiddenPlaces({ records, history, components }: JobState): HiddenPlace[] {
  const findings = history.active(records.findings);
  const moves = history.active(records.partEvents).filter((e) => !isAssumed(e) && (e.kind === 'removed' || e.kind === 'fitted'));
  return records.layout.slots
    .filter((s) => (WHAT[s.kind] !== undefined && (s.kind !== 'hub' || s.style === INBOARD_FLANGE)) || ASSUMED_THERE.includes(s.kind))
    .map((slot) => {
      const times = [...findings.filter((f) => f.slotId === slot.id), ...moves.filter((e) => e.slotId === slot.id)].map(
        (e) => e.happenedAt,
      );
      const c = components.find((x) => x.slot.id === slot.id);
      return {
        slot,
        what: WHAT[slot.kind] ?? '',
        seenAt: times.sort().at(-1) ?? null,
        found: (c?.findings ?? []).filter((f) => f.severity !== 'note').map((f) => f.words),
        off: c?.empty ?? false,
      };
    });
}
