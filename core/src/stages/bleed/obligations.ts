import { type Obligation, obligation } from '../../ledger/obligation.ts';
import type { JobHistory } from '../../history/jobHistory.ts';
import { type Drawn, drawnAt, fallsShort } from '../../history/drawn.ts';
import { circuitFluids, closedClear } from '../../history/due.ts';
import { anotherKind, fluidBefore } from '../../history/knownFluid.ts';
import { workDone } from '../../judging/workDone.ts';
import { KIND_FACTS } from '../../layout/kinds.ts';
import type { BleedPull } from '../../ledger/families/bleedPulls.ts';
import { isHung } from '../../readiness/disturbed.ts';
import { whyNotGood } from '../../readiness/proofStatus.ts';
import type { RuleContext } from '../ruleContext.ts';
import { isWorked } from '../torquePoints.ts';
import { bleedOrder } from './order.ts';
import { REASON, TITLE } from '../../wording/en/duties.ts';

/** Whether nobody knows what is in the circuits that will be opened: then nothing may be mixed. */
function unknownFluid(history: JobHistory, circuits: readonly number[]): boolean {
  if (circuits.length === 0) return false;
  const records = {
    services: history.active(history.records.fluidServices).filter((f) => f.jobId !== history.records.job.id),
    pulls: history.active(history.records.bleedPulls),
  };
  return circuitFluids(history.records.layout, records).some((c) => circuits.includes(c.circuit) && c.service === null);
}

/** Circuits fed from the same reservoir as these. */
function sharing(history: JobHistory, circuits: readonly number[]): number[] {
  const { layout } = history.records;
  return layout.slots.filter((s) => s.kind === 'reservoir' && s.circuits.some((c) => circuits.includes(c))).flatMap((s) => s.circuits);
}

/** Circuits whose fluid this job has to change: opened by its decisions, or all for a fluid job. */
export function circuitsToBleed({ history, components, proofStatus: standing }: RuleContext): number[] {
  const hydraulic = components.filter((c) => KIND_FACTS[c.slot.kind].hydraulic && c.slot.kind !== 'bleeder');
  const joints = new Set(standing.joints.map((j) => j.joint.slot.id));
  const touched =
    history.records.job.kind === 'fluid'
      ? hydraulic
      : hydraulic.filter((c) => isWorked(c) || ((c.fittedHere || c.empty) && !isHung(history, c.slot.id)) || joints.has(c.slot.id));
  const circuits = [...new Set([...touched.flatMap((c) => c.slot.circuits), ...standing.joints.flatMap((j) => j.joint.slot.circuits)])];
  return unknownFluid(history, circuits) ? [...new Set([...circuits, ...sharing(history, circuits)])] : circuits;
}

/** Why a bleeder is still owed: what became of its newest pull, and that too little was drawn. */
function whyOpen(pull: BleedPull, ended: string | null, short: Drawn | null): string {
  const little = short && closedClear(pull) ? REASON.fallsShort(short.drawn, short.stood) : null;
  return [ended, little].filter((x) => x !== null).join(' ') || pullFault(pull);
}

function pullFault(pull: BleedPull): string {
  if (!pull.closed) return REASON.bleederOpen;
  return pull.air !== 'none' ? REASON.airStill : REASON.notClear;
}

/** What is fed from one reservoir, and so holds one fluid. */
function together(history: JobHistory, circuits: readonly number[]): number[][] {
  const { layout } = history.records;
  const groups: number[][] = [];
  for (const c of circuits) {
    if (groups.some((g) => g.includes(c))) continue;
    const tank = layout.slots.find((s) => s.kind === 'reservoir' && s.circuits.includes(c));
    if (tank) groups.push(circuits.filter((x) => tank.circuits.includes(x)));
  }
  // What has no reservoir of its own, a clutch mostly, hangs on the one there is.
  const [first, ...others] = groups;
  const loose = circuits.filter((c) => !groups.some((g) => g.includes(c)));
  if (loose.length === 0) return groups;
  return first ? [[...first, ...loose], ...others] : [loose];
}

/**
 * That nobody knows what was in a circuit, or that another kind goes in: until it was told by a test, or all of its rubber is
 * renewed and every bleeder drawn through, the circuit is unknown and being changed.
 * Source: handbook 05, Unknown is a finding; 60, Fluids.
 */
function unknownFluids(history: JobHistory, circuits: readonly number[]): Obligation[] {
  const { layout, job, release } = history.records;
  // What was handed back before this was asked stays as it was.
  if (release !== null && !history.records.fluidSamples.some((s) => s.jobId === job.id)) return [];
  return together(history, circuits).flatMap((group) => {
    const before = fluidBefore(history, group);
    const other = anotherKind(history, before);
    if (before.known !== null && !other) return [];
    const at = layout.slots.find((s) => (s.kind === 'reservoir' || s.kind === 'bleeder') && s.circuits.some((c) => group.includes(c)));
    if (!at) return [];
    const done = before.old.length === 0 && before.drawn;
    return [
      obligation({ kind: 'identify', slotId: at.id }, other && before.known ? TITLE.otherFluid(before.known) : TITLE.identify(at), done, {
        slotId: at.id,
        why: done ? null : REASON.identify(before),
      }),
    ];
  });
}

export function bleedObligations(s: RuleContext): Obligation[] {
  const { history, components } = s;
  const circuits = circuitsToBleed(s);
  if (circuits.length === 0) return [];
  const stillOpen = components.filter(
    (c) =>
      KIND_FACTS[c.slot.kind].hydraulic &&
      (c.empty || (isWorked(c) && !workDone(history, c))) &&
      c.slot.circuits.some((n) => circuits.includes(n)),
  );
  const waiting =
    stillOpen.length > 0
      ? {
          state: 'waiting' as const,
          waitsFor: 'hydraulic_parts' as const,
          why: REASON.hydraulicFirst(stillOpen.map((c) => c.slot)),
        }
      : {};
  const drawn = drawnAt(
    history.records.layout,
    history.active(history.records.bleedPulls).filter((p) => p.jobId === history.records.job.id),
  );
  const bleeders = bleedOrder(history.records.layout)
    .filter((b) => circuits.includes(b.circuit))
    .map((b) => {
      const now = s.proofStatus.pull(b.bleeder.id);
      const newest = now?.record;
      const wrong = whyNotGood(now);
      const at = drawn.get(b.bleeder.id);
      const short = newest !== undefined && at !== undefined && fallsShort(at) ? at : null;
      const closed = closedClear(newest) && wrong === null && short === null;
      return obligation({ kind: 'bleed', slotId: b.bleeder.id }, TITLE.bleed(b.bleeder), closed, {
        slotId: b.bleeder.id,
        closedBy: newest?.id ?? null,
        ...(closed
          ? {}
          : newest
            ? {
                why: whyOpen(newest, wrong, short),
              }
            : waiting),
      });
    });
  const fluid = history.active(history.records.fluidServices).some((f) => f.jobId === history.records.job.id);
  const unknown = unknownFluid(history, circuits);
  return [
    obligation({ kind: 'fluid' }, TITLE.fluid, fluid, {
      why: unknown && !fluid ? REASON.unknownFluid : null,
    }),
    ...unknownFluids(history, circuits),
    ...bleeders,
  ];
}
