import { createHash } from 'node:crypto';
import { readFileSync } from 'node:fs';
import { offerTag } from '@dauer/core/estimate';
import type { Offer, OfferRow, OfferWay } from '@dauer/core/ledger';
import { majorOf, minorDigits } from '@dauer/core/quantity';
import { inServer } from '../../place.ts';

const read = (name: string): string => readFileSync(inServer(`src/features/decide/${name}`), 'utf8');
/** What runs in the page and how it looks: written into it, and allowed by their hashes alone. */
const [SCRIPT, STYLE] = [read('choicePage.client.js'), read('choicePage.css')];
const hashOf = (text: string): string => `'sha256-${createHash('sha256').update(text).digest('base64')}'`;

/** Text as it stands in a page: nothing that somebody typed becomes part of it. */
function escaped(text: string): string {
  return text.replace(/[&<>"']/g, (c) => `&#${c.charCodeAt(0)};`);
}

/** Data in a page, of which nothing ends the element that holds it. */
const asData = (value: unknown): string =>
  JSON.stringify(value).replace(/[<>&\u2028\u2029]/g, (c) => `\\u${c.charCodeAt(0).toString(16).padStart(4, '0')}`);

/**
 * The choice file: one page, with nothing from outside, that an owner opens anywhere, ticks, and reads a code from. It shows
 * what stands on his sheet and nothing of the shop. Without scripts it is still read and printed.
 * @param locale in which sums are written
 */
export function choicePage(offer: Offer, locale: string): string {
  const { sheet } = offer;
  const digits = minorDigits(sheet.currency);
  const format = new Intl.NumberFormat(locale, {
    numberingSystem: 'latn',
    ...(sheet.currency === null
      ? { minimumFractionDigits: digits, maximumFractionDigits: digits }
      : { style: 'currency', currency: sheet.currency }),
  });
  const sum = (minor: number): string => format.format(majorOf(minor, sheet.currency));
  const way = (row: OfferRow, w: OfferWay, at: number): string =>
    w.ruledOut === null
      ? `<label class="way"><input type="radio" name="${escaped(row.id)}" value="${at}"><span><b>${escaped(w.name)}</b> <span class="sum">${escaped(sum(w.gross))}</span>${list(w.risks)}</span></label>`
      : `<div class="way out"><span><s>${escaped(w.name)}</s><small>Must not be chosen. ${escaped(w.ruledOut)}</small></span></div>`;
  const list = (risks: readonly string[]): string => risks.map((r) => `<small>${escaped(r)}</small>`).join('');
  const rows = sheet.rows.map((r) => {
    let at = -1;
    const ways = r.ways.map((w) => way(r, w, w.ruledOut === null ? (at += 1) : -1)).join('');
    return `<fieldset data-row="${escaped(r.id)}"><legend>${escaped(r.name)}</legend><p class="found">${escaped(r.found)}</p>${ways}</fieldset>`;
  });
  const data = {
    ...{ tag: offerTag(offer), locale, currency: sheet.currency, digits, hoursADay: sheet.hoursADay, authorised: sheet.authorised },
    rows: sheet.rows.map((r) => ({
      id: r.id,
      ways: r.ways
        .filter((w) => w.ruledOut === null)
        .map(({ option, gross, needs, lead, minutes }) => ({ option, gross, needs, lead, minutes })),
    })),
    shared: sheet.shared.map(({ id, gross, minutes }) => ({ id, gross, minutes })),
    variants: sheet.variants.map(({ id, ways }) => ({ id, ways })),
  };
  const policy = `default-src 'none'; script-src ${hashOf(SCRIPT)}; style-src ${hashOf(STYLE)}; base-uri 'none'; form-action 'none'`;
  const often = (name: string): number => sheet.shared.filter((s) => s.name === name).length;
  const shared = sheet.shared
    .filter((s, i) => sheet.shared.findIndex((x) => x.name === s.name) === i)
    .map(
      (s) =>
        `<li>${escaped(s.name)}${often(s.name) > 1 ? `, up to ${often(s.name)} times` : ''} <span class="sum">${escaped(sum(s.gross))}</span></li>`,
    )
    .join('');
  return `<!doctype html>
<html lang="en"><head><meta charset="utf-8"><meta name="viewport" content="width=device-width, initial-scale=1">
<meta http-equiv="Content-Security-Policy" content="${policy}"><meta name="referrer" content="no-referrer">
<title>${escaped(sheet.vehicle.name)}: what is done</title><style>${STYLE}</style></head>
<body><main>
<header><p class="shop">${escaped(sheet.shop)}</p><h1>${escaped(sheet.vehicle.name)}</h1><p>${escaped(sheet.vehicle.tag)}, sheet of ${escaped(sheet.made)}</p></header>
<p>Pick one way for every line, or one of the three for the whole vehicle. What you pick comes to the sum at the bottom, tax included. Then read the code to the workshop. Nothing is sent from this page.</p>
<div class="whole" role="group" aria-label="For the whole vehicle">${sheet.variants.map((v) => `<button type="button" data-variant="${escaped(v.id)}">${escaped(v.name)}<span class="sum"></span></button>`).join('')}<button type="button" data-no>None of it</button></div>
${rows.join('\n')}
${sheet.without.length > 0 ? `<p>Not on this sheet, because it has no price yet: ${escaped(sheet.without.join(', '))}.</p>` : ''}
<section><h2>Counted once, where any line needs it</h2><ul>${shared}</ul></section>
</main>
<footer aria-live="polite"><p id="comes"><noscript>Ticking needs scripts. Read the sheet, and say by phone what you choose.</noscript></p><p id="code"></p></footer>
<script type="application/json" id="sheet">${asData(data)}</script>
<script>${SCRIPT}</script>
</body></html>
`;
}
