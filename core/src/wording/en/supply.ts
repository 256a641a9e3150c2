/** What is said of orders, arrivals, send-outs and lots. */

import type { IdentityFact } from '../../catalogue/identity.ts';
import { type Corner, CORNER_NAME } from '../../layout/kinds.ts';
import type { OrderThing } from '../../ledger/families/orderLooks.ts';
import type { ArrivalResult, OrderStepKind } from '../../ledger/families/orderSteps.ts';
import type { SentFor } from '../../ledger/families/sendOuts.ts';
import type { LotKind } from '../../ledger/lotRecords.ts';
import { displayWithUnit, lowerFirst } from '../../quantity/display.ts';
import { partialDateText } from '../../quantity/partialDate.ts';
import type { Compared, Known } from '../../supply/arrival.ts';
import type { LotQuestion } from '../../supply/lots.ts';
import type { SupplyRefusal } from '../../supply/mayFit.ts';
import type { LineState, StepRefusal } from '../../supply/orders.ts';
import type { OutRefusal, OutState } from '../../supply/outs.ts';

const day = (on: string): string => partialDateText({ on, about: false });

export const ORDER_THING_NAME: Readonly<Record<OrderThing, string>> = {
  feeds: 'Reservoir, its feeds and cap',
  hoses: 'Hoses',
  adjusters: 'Adjusters',
  hardware: 'Springs, pins and clips',
  seals: 'Seals',
  washers: 'Washers',
  bleeders: 'Bleeders',
};

export const ARRIVAL_NAME: Readonly<Record<ArrivalResult, string>> = {
  right: 'Right',
  wrong: 'Wrong',
  damaged: 'Damaged',
  not_for_build: 'Not for this build',
};

export const ORDER_STEP_NAME: Readonly<Record<OrderStepKind, string>> = {
  ...{ promised: 'promised', chased: 'chased', arrived: 'arrived', checked: 'looked at', returned: 'sent back', credited: 'credited' },
  ...{ cancelled: 'cancelled', core_sent: 'old unit sent', core_credited: 'core money credited', core_kept: 'old unit kept' },
};

export const SENT_FOR_NAME: Readonly<Record<SentFor, string>> = {
  ...{ machine: 'Turning', sleeve: 'Sleeving', reline: 'Lining', plate: 'Plating', powder: 'Powder coating', paint: 'Painting' },
  ...{ blast: 'Blasting', overhaul: 'Overhaul', other: 'Other work' },
};

export const LOT_KIND_NAME: Readonly<Record<LotKind, string>> = {
  ...{ rubber: 'Rubber', fluid: 'Fluid', lining: 'Linings', adhesive: 'Adhesive', coating: 'Coating' },
};

const many = (n: number, of: string): string => (n === 1 ? of : `${n} × ${of}`);

/** Where an order line stands, in a few words. @param today day in the shop, ISO 8601 */
export function lineWords(s: LineState, today: string): string {
  const { line } = s;
  const said: string[] = [];
  if (s.toCheck > 0) said.push(s.toCheck === line.count ? 'here, not looked at' : `${s.toCheck} here, not looked at`);
  if (s.coming > 0) {
    const of = s.coming === line.count ? '' : `${s.coming} still `;
    said.push(
      s.expected === null
        ? `${of}ordered ${day(line.happenedAt.slice(0, 10))}, no day promised`
        : s.expected < today
          ? `${of}promised for ${day(s.expected)}, late`
          : `${of}promised for ${day(s.expected)}`,
    );
  }
  if (s.toReturn > 0) said.push(`${s.toReturn} to send back`);
  if (s.creditWaits) said.push('sent back, not credited');
  if (s.core === 'here') said.push('old unit to send for its core money');
  if (s.core === 'sent') said.push('core money not credited');
  if (said.length === 0 && s.cancelled === line.count) return 'cancelled';
  if (said.length === 0) return s.right > 0 ? 'here and right' : 'sent back and credited';
  return said.join('; ');
}

/** What is on its way, for who waits for it: “shoes from Fellgate Linings, promised for 6 Dec 2026”. */
export function onOrderWords(s: LineState): string {
  return `${s.line.name.charAt(0).toLowerCase()}${s.line.name.slice(1)} from ${s.line.supplier}, ${s.expected === null ? 'no day promised' : `promised for ${day(s.expected)}`}`;
}

/** A batch that is away and waits for more of it: “Front drums, outside” at its coater waits for the front right drum. */
export function batchWords(batch: string, supplier: string, places: readonly string[]): string {
  return `“${batch}” at ${supplier} waits for ${places.map((p) => `the ${lowerFirst(p)}`).join(', ')}, still to go`;
}

/** Why something cannot be done yet, for what was ordered or sent out. */
export function supplyWords(r: SupplyRefusal): string {
  switch (r.kind) {
    case 'on_order':
      return `${r.line.line.name} is on order from ${r.line.line.supplier}${r.line.expected === null ? '' : `, promised for ${day(r.line.expected)}`}.`;
    case 'not_checked':
      return `${r.line.line.name} is here and was not looked at. Hold it against the old one first, in Orders.`;
    case 'not_right':
      return `${r.line.line.name} from ${r.line.line.supplier} was found not to be right. Order it again, or cancel the line.`;
    case 'pattern':
      return `It is the gauge for the new one: ${r.line.line.name} was not found right yet. Keep it until then.`;
    case 'core':
      return `Its core money is out: send it back to ${r.line.line.supplier}, or say in Orders that it is kept.`;
    case 'back_unchecked':
      return `It is back from ${r.supplier} and was not looked at. Count it and look at threads and seats first, in Orders.`;
    case 'back_wrong':
      return `It came back from ${r.supplier} and was found not to be right.`;
  }
}

/** Why a step cannot be of an order line. */
export const STEP_REFUSED: Readonly<Record<StepRefusal, string>> = {
  nothing_to_come: 'No more of it is on the way than is counted already.',
  nothing_to_check: 'No more of it is here than was looked at already.',
  nothing_to_return: 'No more of it is to be sent back.',
  nothing_to_credit: 'No more of it went back than is credited already.',
  no_core: 'No old unit of this line waits for core money.',
  no_day: 'Say for which day it is promised.',
};

/** A figure or a word by which an article is known. */
export function knownWords(fact: IdentityFact, known: Pick<Known, 'typed' | 'value'>): string {
  if (fact.form === 'choice') return fact.choices[known.typed] ?? known.typed;
  if (fact.form === 'length' && known.value !== null) return displayWithUnit(known.value, 'length', 0.01, 'mm');
  if (fact.form === 'degrees' && known.value !== null) return displayWithUnit(known.value, 'temperature', 1, 'degC');
  return known.typed;
}

/** What differs between a new article and the old part. */
export function unlikeWords(list: readonly Compared[]): string {
  return list
    .filter((c) => c.alike === false && c.old && c.fresh)
    .map((c) =>
      c.fact.id === 'outline'
        ? 'Its outline is unlike the old one.'
        : `${c.fact.name}: ${c.fresh ? knownWords(c.fact, c.fresh) : ''}, and ${c.old ? knownWords(c.fact, c.old) : ''} on the old one.`,
    )
    .join(' ');
}

export const ARRIVAL = {
  unlike: (words: string): string => `It is not right: ${words}`,
  unlooked: (names: readonly string[]): string => `Not looked at on the new one yet: ${names.map((n) => n.toLowerCase()).join(', ')}.`,
  nothing: 'Nothing of the old one is on record to hold it against. Take a figure of each, or say what was looked at.',
  damage: 'Say what is damaged; a picture goes with it.',
};

/** What speaks against taking something out of a lot, in a sentence. */
export function lotAgainstWords(q: LotQuestion): string {
  switch (q.kind) {
    case 'recalled':
      return `Called in: ${q.why}`;
    case 'old':
      return `${q.years.toFixed(1)} years old; ${q.limit} are usual.`;
    case 'open_long':
      return `Opened ${Math.round(q.months)} months ago; ${q.limit} are usual.`;
    case 'age_unknown':
      return 'Nobody knows how old it is.';
  }
}

/** What is to be answered before something is taken out of a lot. */
export function lotQuestionWords(q: LotQuestion): string {
  const against = lotAgainstWords(q);
  return q.kind === 'recalled' ? `${against} Nothing of it goes on.` : `${against} Say why it is taken all the same.`;
}

/** What was ordered without a look. */
export function unlookedWords(list: readonly { readonly corner: Corner | null; readonly thing: OrderThing }[]): string {
  const corners = [...new Set(list.map((l) => l.corner))];
  return corners
    .map((c) => {
      const things = list.filter((l) => l.corner === c).map((l) => ORDER_THING_NAME[l.thing].toLowerCase());
      return `${c === null ? 'The middle' : CORNER_NAME[c]}: ${things.join(', ')}`;
    })
    .join('. ');
}

/** What was told of an order or a send-out since, and rests on an entry. */
export const SUPPLY_RESTS = 'What was entered of it since rests on it. Take that back first.';

/** Why nothing is ordered yet. */
export const NOT_ORDERED = {
  unlooked: (words: string): string =>
    `Nobody looked at this before the order. ${words}. Say of each whether it is needed, or leave it by name.`,
  over: 'What is decided comes to more than the owner authorised. His answer comes first.',
  already: (name: string, left: number): string =>
    left === 0
      ? `${name} is ordered already, as much as is needed.`
      : `Of ${name} only ${many(left, 'more')} are needed; the rest is ordered already.`,
  fell: (name: string): string => `Nothing decided needs ${name} any more. It may be cancelled.`,
  supplier: 'Nothing is bought from this supplier any more.',
};

/** Where a send-out stands, in a few words. @param today day in the shop, ISO 8601 */
export function outWords(s: OutState, today: string): string {
  if (s.dropped) return 'taken out of the box';
  if (s.sent === null) return s.out.batch === '' ? 'to be sent' : `in the box “${s.out.batch}”, not sent`;
  if (s.back === null) {
    const since = `away since ${day(s.sent.slice(0, 10))}`;
    return s.expected === null ? since : `${since}, promised for ${day(s.expected)}${s.expected < today ? ', late' : ''}`;
  }
  if (s.checked === null) return 'back, not looked at';
  if (s.checked === 'wrong') return s.short > 0 ? `back, ${s.short} short` : 'back, and not right';
  return 'back and right';
}

/** Why a step cannot be of a send-out. */
export const OUT_REFUSED: Readonly<Record<OutRefusal, string>> = {
  not_back: 'It is not back yet. Enter that it is back first.',
  went_already: 'It has gone already.',
  more_than_went: 'Count what came back: no more can come back than went.',
  short: 'A piece is missing. Say that it is not right, and ask for the rest.',
  unlooked: 'Look at threads, seats and masks first, and say what it came to.',
  no_day: 'Say for which day it is promised.',
  not_gauged: 'It was cut, and its figures after that are not on record. Gauge it first.',
  past: 'Its figures after the cut are past the limit.',
  no_sum: 'Say what it cost.',
};

/** Who is not sent out, and why. */
export const SEND_OUT = {
  elsewhere: 'It is away or scrapped: it cannot go into a box.',
  already: 'It is in a box already, or away.',
  asbestos: 'Linings go out bagged and marked: unless it is known that they hold no asbestos, nobody drills or grinds them here.',
};

/** What is known of an article twice, or of none. */
export const FACT_OF = 'A figure is of a part on record, or of what came on an order line: of one of the two.';
export const LOT_PLACE = 'Say where it went.';
