/** What is said of prices, options and whole-job variants. */

import type { Followed } from '../../catalogue/cards/types.ts';
import { houseRule } from '../../catalogue/houseRules.ts';
import { OPTION_NAME, type OptionId } from '../../catalogue/repairOptions.ts';
import { KIND_FACTS, type ComponentKind, axleOf, type Axle, type Corner, CORNER_NAME } from '../../layout/kinds.ts';
import type { OrderThing } from '../../ledger/families/orderLooks.ts';
import { placeName, type Slot } from '../../layout/graph.ts';
import type { ArticleVersion, Process, Supply } from '../../ledger/priceRecords.ts';
import { moneyText } from '../../quantity/locale.ts';
import { majorOf } from '../../quantity/money.ts';
import type { VariantName } from '../reasons.ts';
import { ORDER_THING_NAME } from './supply.ts';

const AXLE_NAME: Readonly<Record<Axle, string>> = { front: 'Front', middle: 'Middle', rear: 'Rear', side: 'Sidecar' };
const PLURAL: Readonly<Partial<Record<ComponentKind, string>>> = {
  ...{ rotor: 'rotors', drum: 'drums', caliper: 'calipers', wheel_cylinder: 'wheel cylinders', hose: 'hoses', hub: 'hubs' },
  ...{ band: 'bands', band_drum: 'band drums', expander: 'expanders', piston: 'pistons', line: 'lines', valve: 'valves' },
};

/** Name of what is decided in one: "Front rotors", or that of the only place. */
export function rowName(slots: readonly Slot[]): string {
  const [first] = slots;
  if (!first) return '';
  const axle = axleOf(first.corner);
  if (slots.length === 1 || axle === null) return placeName(first);
  return `${AXLE_NAME[axle]} ${PLURAL[first.kind] ?? KIND_FACTS[first.kind].name.toLowerCase()}`;
}

const SUPPLY_NAME: Readonly<Record<Supply, string>> = {
  ...{ new: 'new', exchange: 'exchange', used: 'used', kit: 'seal kit', piece: 'piece', process: 'work', consumable: 'consumable' },
};
export const PROCESS_NAME: Readonly<Record<Process, string>> = { sleeve: 'Sleeving', machine: 'Turning', reline: 'Lining' };

const percent = (chance: number): string => `${Math.round(chance * 100)} %`;

/** What is ordered, and for what. */
export const ORDER = {
  circuits: (n: number, ml: number): string =>
    `${n === 1 ? 'the circuit that is opened' : `${n} circuits that are opened`}: ${ml} mL drawn through, and what the reservoir holds; bottles of 500 mL`,
  looked: 'Looked at before the order',
  thingAt: (thing: OrderThing, corner: Corner | null): string =>
    `${ORDER_THING_NAME[thing]}, ${corner === null ? 'in the middle' : CORNER_NAME[corner].toLowerCase()}`,
};

/** Where a term of a price comes from. */
export const COST = {
  noArticle: (supply: Supply, kind: ComponentKind): string =>
    supply === 'kit' ? `Seal kit, ${KIND_FACTS[kind].name.toLowerCase()}` : `${KIND_FACTS[kind].name}, ${SUPPLY_NAME[supply]}`,
  bought: (list: readonly { readonly article: ArticleVersion; readonly count: number }[]): string =>
    list
      .map(
        ({ article: a, count }) =>
          `${count > 1 ? `${count} × ` : ''}${a.name}${a.price === null ? ', no price' : `, price of ${a.pricedOn}`}`,
      )
      .join('; '),
  labour: (minutes: number, rated: boolean): string => `${minutes} attended min${rated ? ' at the shop’s rate' : ''}`,
  noRate: 'Hourly rate of the shop',
  process: (p: Process): string => PROCESS_NAME[p],
  core: 'Given back for the old unit',
  rework: (chance: number, cases: number): string =>
    `${percent(chance)} to do it again, ${cases > 0 ? `by the house guess and ${cases} of the shop’s own` : 'house guess'}`,
  lineRisk: (chance: number): string => `${percent(chance)} that a union rounds or a line breaks, by the look at intake`,
  entered: (reason: string): string => (reason ? `Entered here: ${reason}` : 'Entered here'),
};

export const TERM_NAME = {
  ...{ parts: 'Parts', consumables: 'Consumables', labour: 'Labour', sending: 'Sent out', core: 'Core money back' },
  ...{ rework: 'Doing it again', line_risk: 'A broken line', spent: 'Spent beyond that' },
} as const;

/** What the house does by its rule, in a sentence; empty where it has picked no school. */
export function houseSays(rule: string, followed: Followed): string {
  const of = houseRule(rule);
  const school = of?.schools.find((x) => x.id === followed(rule));
  return of && school ? OPTION_WORDS.departs(of.name, school.name) : '';
}

export const OPTION_WORDS = {
  /** @param only the sides that it is done at, where the others stay as they are */
  name: (option: OptionId, only: readonly Slot[]): string =>
    only.length === 0 ? OPTION_NAME[option] : `${OPTION_NAME[option]}, ${only.map((s) => placeName(s).toLowerCase()).join(' and ')} only`,
  at: (place: string | null, why: string): string => (place === null ? why : `${place}: ${why}`),
  outOfMake: (a: ArticleVersion): string => `${a.name} is no longer made (${a.pricedOn}).`,
  departs: (rule: string, school: string): string => `House rule, ${rule.toLowerCase()}: ${school.toLowerCase()}.`,
};

/** What is left at risk, a sentence each. */
export const RISK = {
  notGauged: 'Not everything is gauged; the price counts on it to hold.',
  watch: 'Holds now, but not to the next service.',
  cantTell: 'The gauge cannot tell on which side of the limit it lies.',
  noLimit: 'No limit is on file to hold it against.',
  oldRubber: 'Rubber of unknown age stays in.',
  deposits: 'Whatever lies behind the pistons stays there.',
  seized: 'It was found seized, and may stick again.',
  pitted: 'Pits stay, outside the run of the seal.',
  doubt: 'A finding is still in doubt.',
  stands: 'The vehicle stands: pistons that never move stick.',
  competition: 'Competition use asks more of it than the road.',
  used: 'Comes from another vehicle, its history unknown.',
  exchange: 'Overhauled elsewhere: its core is not known.',
  later: 'It has to be done later, as a job of its own.',
  parted: (stays: string, lost: string, known: boolean): string =>
    known ? `Parted from the ${stays.toLowerCase()}: ${lost}.` : `If the ${stays.toLowerCase()} stay as they are: ${lost}.`,
};

export const SHARED = {
  wheel: (corner: string): string => `Wheel off and on, ${corner.toLowerCase()}`,
  bleed: (circuit: number): string => (circuit === 9 ? 'Bleeding the clutch' : `Bleeding circuit ${circuit}`),
  post: 'Postage of an order',
};

export const VARIANT = {
  name: { least: 'Least now', sound: 'Sound', renewed: 'Renewed' } satisfies Readonly<Record<VariantName, string>>,
  sameAs: (name: string): string => `The same as ${name.toLowerCase()}.`,
  noDearer: (name: string): string => `Costs no more than ${name.toLowerCase()}, and renews more.`,
};

/** What is said of the owner's choice and its code. */
export const CHOICE = {
  sum: (minor: number, currency: string | null): string => moneyText(majorOf(minor, currency), currency),
  otherSheet: 'This code is of another sheet. Look which vehicle it was sent for.',
  olderSheet: (made: string): string => `This is of an older sheet, made on ${made}. It was revised since: the owner is shown the new one.`,
  noSuch: 'There is no such choice on this sheet.',
  noPicks: 'A no picks nothing.',
  notPicked: (row: string): string => `${row}: nothing that stands on the sheet is picked.`,
  ruledOut: (row: string, way: string, why: string): string => `${row}: “${way}” must not be chosen. ${why}`,
  otherSum: 'The sum is not that of the sheet.',
  otherCode: 'The code says another choice than the one that is sent with it.',
  since: (row: string, way: string, why: string): string =>
    `${row}: “${way}” was ruled out since the sheet was made. ${why} Make a new sheet.`,
  notOnIt: 'not on it',
};

const HOUR = 60;
/** Attended time as it is said: "45 min", "2 h 40". */
export function timeWords(minutes: number): string {
  const [h, m] = [Math.floor(minutes / HOUR), Math.round(minutes % HOUR)];
  return h === 0 ? `${m} min` : m === 0 ? `${h} h` : `${h} h ${String(m).padStart(2, '0')}`;
}

/** Working days as they are said. */
export const daysWords = (days: number): string => (days <= 0 ? 'today' : days === 1 ? '1 day' : `${days} days`);

/** What fighting on costs beside another unit, in sentences. */
export function fightWords(
  f: {
    readonly spentMinutes: number;
    readonly spent: number;
    readonly rungs: readonly { readonly name: string }[];
    readonly aheadMinutes: number;
    readonly chance: number;
    readonly another: { readonly name: string; readonly gross: number; readonly lead: number } | null;
    readonly stop: boolean;
  },
  currency: string | null,
): string {
  const spent = f.spentMinutes > 0 ? `${timeWords(f.spentMinutes)} spent on it, ${CHOICE.sum(f.spent, currency)}. ` : '';
  const next = `Next: ${f.rungs.map((r) => r.name.toLowerCase()).join(', then ')}; about ${timeWords(f.aheadMinutes)} for a chance of ${percent(f.chance)}.`;
  const other = f.another
    ? ` ${f.another.name}: ${CHOICE.sum(f.another.gross, currency)}, here in ${daysWords(f.another.lead)}.`
    : ' Nobody has a price for another unit yet.';
  return `${spent}${next}${other}${f.stop ? ' Fighting on costs more than another unit.' : ''}`;
}

/** Why a figure of one's own cannot be counted. */
export const NOT_COUNTED = {
  minutes_of_labour: 'Labour is told in attended minutes, everything else as a sum.',
  below_nothing: 'Only core money is given back: this is a sum that is paid.',
  given_back: 'Core money is given back: it is told below nothing.',
};

/** What an article of the price book does not say of itself. */
export const ARTICLE_LACKS = {
  process: 'say which work it is.',
  kind: 'say what kind of part it is for.',
  target: 'say which vehicle or number it fits.',
  make: 'say which make it fits.',
  core: 'core money is given back for an exchange unit alone.',
  states: (line: string): string => `“${line}” is nothing that articles are known by. Write it like “bore=25.4 mm; outlets=2”.`,
};
