import { machining } from '../gauge/rotorThickness.ts';
import { turning } from '../gauge/drum.ts';
import type { Judged } from '../gauge/judge.ts';
import { figureOf as figureText, limitText, mm } from '../gauge/words.ts';
import type { Runout } from '../gauge/rotorRunout.ts';
import type { ComponentKind } from '../layout/kinds.ts';
import type { Finding } from '../records/findingRecords.ts';
import type { OptionId } from '../records/workRecords.ts';
import { attempt } from '../refusal.ts';

export const OPTION_NAME: Readonly<Record<OptionId, string>> = {
  use_again: 'Use again',
  reseal: 'Clean and reseal',
  machine: 'Machine',
  replace: 'Replace',
  put_off: 'Put off',
};

const SEALED: readonly ComponentKind[] = ['caliper', 'wheel_cylinder', 'master_cylinder', 'clutch_master', 'clutch_slave', 'valve'];
const MACHINED: readonly ComponentKind[] = ['rotor', 'drum'];

export interface Option {
  readonly id: OptionId;
  readonly name: string;
  /** Why it cannot be chosen: the reading or finding that rules it out; null where it can. */
  readonly ruledOut: string | null;
}

/** Options a kind of part has at all. */
export function optionsFor(kind: ComponentKind): OptionId[] {
  return [
    'use_again',
    ...(SEALED.includes(kind) ? (['reseal'] as const) : []),
    ...(MACHINED.includes(kind) ? (['machine'] as const) : []),
    'replace',
    'put_off',
  ];
}

function figureOf(j: Judged): string {
  return `${j.characteristic.name} ${figureText(j)}, limit ${limitText(j)}`;
}

/** Why a rotor or drum cannot be machined by its figures; null where it can or nothing is known yet. */
export function whyNotMachine(kind: ComponentKind, judged: readonly Judged[], runout: Runout | null): string | null {
  const main = judged.find((j) => j.characteristic.id === (kind === 'rotor' ? 'rotor_thickness' : 'drum_diameter') && j.enough);
  if (!main?.limit || main.limit.at === null) return null;
  const { at, machineTo } = main.limit;
  const value = main.reduced.value;
  const tried = attempt(() =>
    kind === 'rotor'
      ? machining({ min: value, discard: at, machineTo, warp: runout?.warp ?? 0, wobbleRemoved: runout?.wobble ?? 0 })
      : turning({ max: value, discard: at, machineTo }),
  );
  if (!tried.ok) return tried.refusal.message;
  const { state, after } = tried.value;
  if (state === 'no_machine_to_on_file') return 'No machine-to figure on file.';
  if (state === 'past_discard') return `${figureOf(main)}: beyond machining.`;
  if (state === 'machinable' || state === 'turnable') return null;
  return `From ${mm(value, main.reduced.decimals)} it would come out at ${mm(after, 2)}; machine-to is ${mm(machineTo ?? at, 2)}.`;
}

/**
 * Options for the part in a slot, each with what rules it out.
 * @param judged figures of the part that sits there now
 * @param findings standing findings on it
 */
export function optionsOf(kind: ComponentKind, judged: readonly Judged[], findings: readonly Finding[], runout: Runout | null): Option[] {
  const past = judged.find((j) => j.verdict === 'past' && j.characteristic.gravity === 'safety');
  return optionsFor(kind).map((id): Option => {
    const rejected = findings.find((f) => f.severity === 'reject' && f.rulesOut.includes(id));
    let why: string | null = rejected ? `Finding: ${rejected.words}` : null;
    if (why === null && past && (id === 'use_again' || id === 'reseal' || id === 'put_off')) why = `${figureOf(past)}: past.`;
    if (why === null && id === 'machine') why = whyNotMachine(kind, judged, runout);
    return { id, name: OPTION_NAME[id], ruledOut: why };
  });
}
