import { z } from 'zod';
import { endpoint, none } from '../endpoint.ts';
import { byId } from '../eventEndpoint.ts';
import { id, name, words } from '../primitives.ts';
import * as t from '../priceEntities.ts';
import { shopCard, shopCardFields } from '../shopCard.ts';

/** Most articles that a list brings in at once. */
const MOST_ARTICLES = 10_000;

/** What things cost and from whom they come; what the shop reckons with, and the schools that it follows. */
export const prices = {
  articles: endpoint({
    ...none,
    feature: 'parts',
    method: 'GET',
    path: '/api/articles',
    role: 'technician',
    summary: 'The price book, newest versions, a page at a time by id',
    query: z.object({ after: id.optional() }),
    reply: z.array(t.article),
  }),
  enterArticle: endpoint({
    ...none,
    feature: 'parts',
    method: 'POST',
    path: '/api/articles',
    role: 'lead',
    summary: 'Enters an article, or a new version of one',
    /** `replaces` names the version that was changed; somebody else's newer one is then not passed over. */
    body: t.articleFields.extend({ id, replaces: id.optional() }),
    reply: t.article,
  }),
  importArticles: endpoint({
    ...none,
    feature: 'parts',
    method: 'POST',
    path: '/api/articles/import',
    role: 'lead',
    summary: 'Takes in a price list, all or nothing',
    largest: 12 * 2 ** 20,
    body: z.object({ articles: z.array(t.articleFields.extend({ id })).min(1).max(MOST_ARTICLES) }),
    reply: z.object({ written: z.number().int() }),
  }),
  suppliers: endpoint({
    ...none,
    feature: 'parts',
    method: 'GET',
    path: '/api/suppliers',
    role: 'technician',
    summary: 'Who sells or works for the shop',
    reply: z.array(t.supplier),
  }),
  enterSupplier: endpoint({
    ...none,
    feature: 'parts',
    method: 'POST',
    path: '/api/suppliers',
    role: 'lead',
    summary: 'Enters somebody who sells or works for the shop',
    body: z.object({ id, name, contact: words(400) }),
    reply: t.supplier,
  }),
  changeSupplier: endpoint({
    ...none,
    feature: 'parts',
    method: 'PATCH',
    path: '/api/suppliers/:id',
    role: 'lead',
    summary: 'Changes a supplier, or buys there no more',
    params: byId,
    body: z.object({ version: z.number().int(), name: name.optional(), contact: words(400).optional(), active: z.boolean().optional() }),
    reply: t.supplier,
  }),
  reckoning: endpoint({
    ...none,
    feature: 'shop',
    method: 'GET',
    path: '/api/reckoning',
    role: 'technician',
    summary: 'What the shop reckons with, and the schools that it follows, the oldest version first',
    reply: z.object({ rates: z.array(t.rates), houseRules: z.array(t.houseRule) }),
  }),
  enterRates: endpoint({
    ...none,
    feature: 'shop',
    method: 'POST',
    path: '/api/reckoning/rates',
    role: 'lead',
    summary: 'Says what an hour, a day, postage and tax are reckoned with from now on',
    body: t.ratesFields.extend({ id }),
    reply: t.rates,
  }),
  enterHouseRule: endpoint({
    ...none,
    feature: 'shop',
    method: 'POST',
    path: '/api/reckoning/house-rules',
    role: 'lead',
    summary: 'Picks the school that the shop follows in a rule, with the reason',
    body: t.houseRuleFields.extend({ id }),
    reply: t.houseRule,
  }),
  shopCards: endpoint({
    ...none,
    feature: 'shop',
    method: 'GET',
    path: '/api/shop-cards',
    role: 'reader',
    summary: 'Work cards as the shop does them, every version, the oldest first',
    reply: z.array(shopCard),
  }),
  enterShopCard: endpoint({
    ...none,
    feature: 'shop',
    method: 'POST',
    path: '/api/shop-cards',
    role: 'lead',
    summary: 'Says how the shop works by a card from now on, with the reason; no running card changes',
    /** `replaces` names the version that was changed, null where there was none; somebody else's newer one is not passed over. */
    body: shopCardFields.extend({ id, replaces: id.nullable() }),
    reply: shopCard,
  }),
};
