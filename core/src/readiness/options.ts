import { BORED, ENDS_PLACE, OPTION_NAME, type OptionId, optionsFor, RENEWS, STAYS, WAITS } from '../catalogue/repairOptions.ts';
import type { JobHistory } from '../history/jobHistory.ts';
import { type Component, neverCame, openFindings } from '../judging/components.ts';
import type { CutFacts } from '../judging/cutting.ts';
import type { Judged } from '../judging/judge.ts';
import { type Honing, honing } from '../judging/honing.ts';
import { sealZone } from '../judging/sealZone.ts';
import { honingWords } from '../wording/en/bench.ts';
import { RULED_OUT } from '../wording/en/decide.ts';
import { childrenOf, type Slot } from '../layout/graph.ts';
import type { ComponentKind } from '../layout/kinds.ts';
import type { BoreMaterial } from '../catalogue/repairOptions.ts';
import { turning, turningOutside } from '../metrology/drum.ts';
import { machining } from '../metrology/rotorThickness.ts';
import { toResult } from '../quantity/domainError.ts';

export interface Option {
  readonly id: OptionId;
  readonly name: string;
  /** Why it cannot be chosen: the reading or finding that rules it out; null where it can. */
  readonly ruledOut: string | null;
  /** It is only a figure that is missing: what is known says nothing against it. */
  readonly unknown: boolean;
}

/** What keeps an option from being chosen. */
interface Against {
  readonly why: string;
  readonly unknown?: boolean;
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
      : kind === 'band_drum'
        ? turningOutside({ min: value, discard: at, machineTo, scoreDepth: cut?.score ?? 0, radialWobble: cut?.radialWobble ?? 0 })
        : turning({ max: value, discard: at, machineTo, scoreDepth: cut?.score ?? 0, radialWobble: cut?.radialWobble ?? 0 }),
  );
  if (!tried.ok) return tried.refusal.message;
  const { state, after } = tried.value;
  if (state === 'no_machine_to_on_file') return RULED_OUT.noMachineTo;
  if (state === 'past_discard') return RULED_OUT.beyondMachining(main);
  if (state === 'machinable' || state === 'turnable') return null;
  return RULED_OUT.afterCut(main, after, machineTo ?? at);
}

const AS_IT_IS: readonly OptionId[] = ['use_again', 'reseal'];
const INTO_USE: readonly OptionId[] = [...STAYS, 'reseal'];

/** What the bore of a cylinder and its pits say against an option, in the metal that allows most. */
function againstBore(bore: Honing, id: OptionId): Against | null {
  const { result } = bore;
  if (INTO_USE.includes(id) && result?.afterHone != null) return { why: RULED_OUT.pitInBore(result.deepestPitInZone) };
  if (AS_IT_IS.includes(id) && !result && bore.pits.length > 0) return { why: RULED_OUT.pitSomewhere(bore) };
  if (id !== 'hone') return null;
  if (bore.honeTo === null) return { why: RULED_OUT.noHoneTo, unknown: true };
  if (!result) return { why: honingWords(bore), unknown: true };
  if (result.wearPast || result.clearancePast) return { why: RULED_OUT.tooWornToHone };
  if (result.decision === 'sleeve_or_replace') return { why: RULED_OUT.afterHone(result, bore.honeTo) };
  return result.max > bore.honeTo ? { why: RULED_OUT.pastHoneTo(result.max, bore.honeTo) } : null;
}

/** What the pits of a piston say against an option: where its seal sweeps or rests they decide. */
function againstPiston(history: JobHistory, slot: Slot, id: OptionId): Against | null {
  if (slot.kind !== 'piston' || !INTO_USE.includes(id)) return null;
  const zone = sealZone(history, slot);
  if (zone.result?.reject) return { why: RULED_OUT.pitAtSeal };
  return id === 'use_again' && !zone.result && zone.pits.length > 0 ? { why: RULED_OUT.pitUnderSeal } : null;
}

/** Whether a unit was found seized, itself or a piston in it. */
export function isSeized(history: JobHistory, c: Component): boolean {
  const inside = c.slot.kind === 'caliper' ? childrenOf(history.records.layout, c.slot.id).filter((s) => s.kind === 'piston') : [];
  return [...c.findings, ...inside.flatMap((s) => openFindings(history, s.id))].some((f) => f.code === 'seized');
}

/**
 * Options for the part in a slot, each with what rules it out: figures of what sits there, findings that stand on it, what a
 * cut would have to take out.
 * Source: handbook 20, Cylinder bores and Does a pit matter?; 05, lesson 2.
 */
export function optionsOf(history: JobHistory, c: Component): Option[] {
  const { kind } = c.slot;
  const past = c.judged.find((j) => j.verdict === 'past' && j.characteristic.gravity === 'safety');
  const bore = BORED.includes(kind) ? honing(history, c.slot, 'iron') : null;
  const seized = isSeized(history, c);
  const missing = neverCame(history, c.slot.id);
  const against = (id: OptionId): Against | null => {
    if (missing && !RENEWS.includes(id) && !ENDS_PLACE.includes(id) && id !== 'put_off') return { why: RULED_OUT.neverCame };
    const rejected = c.findings.find((f) => f.severity === 'reject' && f.rulesOut.includes(id === 'for_now' ? 'put_off' : id));
    if (rejected) return { why: RULED_OUT.finding(rejected.words) };
    if (past && INTO_USE.includes(id)) return { why: RULED_OUT.past(past) };
    if (seized && WAITS.includes(id)) return { why: RULED_OUT.seized };
    const cut = id === 'machine' ? whyNotMachine(kind, c.judged, c.cut) : null;
    if (cut !== null) return { why: cut, unknown: cut === RULED_OUT.noMachineTo };
    return (bore && againstBore(bore, id)) ?? againstPiston(history, c.slot, id);
  };
  return optionsFor(kind).map((id): Option => {
    const found = against(id);
    return { id, name: OPTION_NAME[id], ruledOut: found?.why ?? null, unknown: found?.unknown ?? false };
  });
}

/** Why what sits at a place cannot be sealed as it is now, by its bore or its pits; null where nothing known speaks against it. */
export function whyNotSealedIn(history: JobHistory, slot: Slot): string | null {
  if (slot.kind === 'piston') return againstPiston(history, slot, 'use_again')?.why ?? null;
  return BORED.includes(slot.kind) ? (againstBore(honing(history, slot, 'iron'), 'reseal')?.why ?? null) : null;
}

/** Why a bore of this metal is not honed; null where it may be. */
export function whyNotHoned(metal: BoreMaterial | null): string | null {
  if (metal === null) return RULED_OUT.metalNotSaid;
  return metal === 'aluminium' ? RULED_OUT.aluminium : null;
}
