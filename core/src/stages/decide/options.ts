import { OPTION_NAME, type OptionId, optionsFor } from '../../catalogue/repairOptions.ts';
import type { CutFacts } from '../../judging/cutting.ts';
import type { Judged } from '../../judging/judge.ts';
import { RULED_OUT } from '../../wording/en/decide.ts';
import type { ComponentKind } from '../../layout/kinds.ts';
import type { Finding } from '../../ledger/families/findings.ts';
import { turning } from '../../metrology/drum.ts';
import { machining } from '../../metrology/rotorThickness.ts';
import { toResult } from '../../quantity/domainError.ts';

export interface Option {
  readonly id: OptionId;
  readonly name: string;
  /** Why it cannot be chosen: the reading or finding that rules it out; null where it can. */
  readonly ruledOut: string | null;
}

/** Why a rotor or drum cannot be machined by its figures; null where it can or nothing is known yet. */
export function whyNotMachine(kind: ComponentKind, judged: readonly Judged[], cut: CutFacts | null): string | null {
  const main = judged.find((j) => j.characteristic.role === 'size' && j.enough);
  if (!main?.limit || main.limit.at === null) return null;
  const { at, machineTo } = main.limit;
  const value = main.reduced.value;
  const tried = toResult(() =>
    kind === 'rotor'
      ? machining({
          ...{ min: value, discard: at, machineTo, scoreInner: cut?.scoreInner ?? 0, scoreOuter: cut?.scoreOuter ?? 0 },
          ...{ warp: cut?.warp ?? 0, wobbleRemoved: cut?.wobble ?? 0 },
        })
      : turning({ max: value, discard: at, machineTo, scoreDepth: cut?.score ?? 0, radialWobble: cut?.radialWobble ?? 0 }),
  );
  if (!tried.ok) return tried.refusal.message;
  const { state, after } = tried.value;
  if (state === 'no_machine_to_on_file') return RULED_OUT.noMachineTo;
  if (state === 'past_discard') return RULED_OUT.beyondMachining(main);
  if (state === 'machinable' || state === 'turnable') return null;
  return RULED_OUT.afterCut(main, after, machineTo ?? at);
}

/**
 * Options for the part in a slot, each with what rules it out.
 * @param judged figures of the part that sits there now
 * @param findings standing findings on it
 * @param cut what a cut of it would have to take out; null for what is not cut
 */
export function optionsOf(kind: ComponentKind, judged: readonly Judged[], findings: readonly Finding[], cut: CutFacts | null): Option[] {
  const past = judged.find((j) => j.verdict === 'past' && j.characteristic.gravity === 'safety');
  return optionsFor(kind).map((id): Option => {
    const rejected = findings.find((f) => f.severity === 'reject' && f.rulesOut.includes(id));
    let why: string | null = rejected ? RULED_OUT.finding(rejected.words) : null;
    if (why === null && past && (id === 'use_again' || id === 'reseal' || id === 'put_off')) why = RULED_OUT.past(past);
    if (why === null && id === 'machine') why = whyNotMachine(kind, judged, cut);
    return { id, name: OPTION_NAME[id], ruledOut: why };
  });
}
