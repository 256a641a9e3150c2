import { isLocale } from '@dauer/core/quantity';
import { z } from 'zod';
import { endpoint, none } from '../endpoint.ts';
import { byId } from '../eventEndpoint.ts';
import { id, instant, name, role, words, password } from '../primitives.ts';
import * as t from '../entities.ts';
import { importReply } from '../importFile.ts';

const me = z.object({
  person: t.person,
  hasPin: z.boolean(),
  /** When the session ends by itself: what a device keeps of the book goes then, also where it is cut off. */
  until: instant,
  shop: z.object({ name, timeZone: z.string(), currency: z.string().nullable(), locale: z.string() }),
});
const tablet = z.object({ id, name, registeredBy: id, registeredAt: instant, endedAt: instant.nullable() });
/** Short, for switching on a tablet of the shop, and useless elsewhere. */
const pin = z.string().regex(/^\d{4,8}$/);

export const shop = {
  welcome: endpoint({
    ...none,
    feature: 'shop',
    method: 'GET',
    path: '/api/welcome',
    role: 'public',
    summary: 'What the sign-in page has to know',
    reply: z.object({
      shopName: z.string(),
      needsFirstLead: z.boolean(),
      demoAccounts: z.array(z.object({ name: z.string(), login: z.string(), password: z.string(), role })),
    }),
  }),
  firstLead: endpoint({
    ...none,
    feature: 'shop',
    method: 'POST',
    path: '/api/first-lead',
    role: 'public',
    summary: 'Makes the first account, while there is none',
    body: z.object({ id, shopName: name, timeZone: words(60), name, login: name, password }),
    reply: me,
  }),
  setCurrency: endpoint({
    ...none,
    feature: 'shop',
    method: 'POST',
    path: '/api/shop/currency',
    role: 'lead',
    summary: 'Says which currency the shop reckons in',
    body: z.object({
      currency: z
        .string()
        .regex(/^[A-Z]{3}$/)
        .nullable(),
    }),
    reply: me,
  }),
  setLocale: endpoint({
    ...none,
    feature: 'shop',
    method: 'POST',
    path: '/api/shop/locale',
    role: 'lead',
    summary: 'Says how the shop writes days, numbers and sums',
    body: z.object({ locale: z.string().min(2).max(35).refine(isLocale, 'no locale that days and numbers can be written in') }),
    reply: me,
  }),
  signIn: endpoint({
    ...none,
    feature: 'shop',
    method: 'POST',
    path: '/api/sign-in',
    role: 'public',
    summary: 'Signs in',
    body: z.object({ login: z.string().max(120), password: z.string().max(200) }),
    reply: me,
  }),
  signOut: endpoint({
    ...none,
    feature: 'shop',
    method: 'POST',
    path: '/api/sign-out',
    role: 'reader',
    summary: 'Signs out',
    reply: z.object({ done: z.literal(true) }),
  }),
  signOutEverywhere: endpoint({
    ...none,
    feature: 'shop',
    method: 'POST',
    path: '/api/sign-out-everywhere',
    role: 'reader',
    summary: 'Ends one’s sessions on every device',
    reply: z.object({ done: z.literal(true) }),
  }),
  registerTablet: endpoint({
    ...none,
    feature: 'shop',
    method: 'POST',
    path: '/api/tablets',
    role: 'lead',
    summary: 'Makes the device that asks a tablet of the shop: people switch on it with a PIN',
    body: z.object({ id, name, password: z.string().max(200) }),
    reply: tablet,
  }),
  tablets: endpoint({
    ...none,
    feature: 'shop',
    method: 'GET',
    path: '/api/tablets',
    role: 'lead',
    summary: 'Tablets of the shop',
    reply: z.array(tablet),
  }),
  endTablet: endpoint({
    ...none,
    feature: 'shop',
    method: 'POST',
    path: '/api/tablets/:id/end',
    role: 'lead',
    summary: 'No PIN opens this tablet any more; whoever is on it is signed out',
    params: byId,
    body: z.object({}),
    reply: tablet,
  }),
  setPin: endpoint({
    ...none,
    feature: 'shop',
    method: 'POST',
    path: '/api/pin',
    role: 'reader',
    summary: 'Sets one’s own PIN for the tablets of the shop',
    body: z.object({ pin, password: z.string().max(200) }),
    reply: z.object({ done: z.literal(true) }),
  }),
  lan: endpoint({
    ...none,
    feature: 'shop',
    method: 'GET',
    path: '/api/lan',
    role: 'reader',
    summary: 'Where tablets reach this shop; nowhere but on this machine where it is not on the network',
    reply: z.object({
      url: z.string().nullable(),
      /** Where it was before, if that changed. */
      former: z.string().nullable(),
      /** The address as a QR code, and the authority’s, as SVG. */
      qr: z.string().nullable(),
      authorityQr: z.string().nullable(),
    }),
  }),
  onTablet: endpoint({
    ...none,
    feature: 'shop',
    method: 'GET',
    path: '/api/on-tablet',
    role: 'public',
    summary: 'Who may switch on this tablet; nobody where it is none of the shop’s',
    reply: z.object({
      tablet: z.object({ id, name }).nullable(),
      people: z.array(z.object({ id, name, initials: z.string() })),
    }),
  }),
  switchTo: endpoint({
    ...none,
    feature: 'shop',
    method: 'POST',
    path: '/api/switch',
    role: 'public',
    summary: 'Switches to somebody by PIN, on a tablet of the shop',
    body: z.object({ personId: id, pin: z.string().max(12) }),
    reply: me,
  }),
  me: endpoint({ ...none, feature: 'shop', method: 'GET', path: '/api/me', role: 'reader', summary: 'Who is signed in', reply: me }),
  people: endpoint({
    ...none,
    feature: 'shop',
    method: 'GET',
    path: '/api/people',
    role: 'reader',
    summary: 'People of the shop',
    reply: z.array(t.person.extend({ login: z.string().nullable(), version: z.number().int() })),
  }),
  addPerson: endpoint({
    ...none,
    feature: 'shop',
    method: 'POST',
    path: '/api/people',
    role: 'lead',
    summary: 'Makes an account',
    body: z.object({ id, name, login: name, password, role }),
    reply: t.person,
  }),
  changePerson: endpoint({
    ...none,
    feature: 'shop',
    method: 'PATCH',
    path: '/api/people/:id',
    role: 'lead',
    summary: 'Changes a role, or lets somebody leave; at once everywhere',
    params: byId,
    body: z.object({ version: z.number().int(), role: role.optional(), active: z.boolean().optional(), password: password.optional() }),
    reply: t.person,
  }),
  importHistory: endpoint({
    ...none,
    feature: 'shop',
    method: 'POST',
    path: '/api/import',
    role: 'lead',
    summary: 'Takes in vehicles, jobs and events of the past as JSON Lines, job by job, marked as imported',
    streamed: true,
    reply: importReply,
  }),
  search: endpoint({
    ...none,
    feature: 'shop',
    method: 'GET',
    path: '/api/search',
    role: 'reader',
    summary: 'Vehicles and parts by tag or name, notes of the shop by their words',
    query: z.object({ q: z.string().max(80) }),
    reply: z.array(
      z.object({
        kind: z.enum(['vehicle', 'part', 'note']),
        tag: z.string().nullable(),
        title: z.string(),
        note: z.string(),
        to: z.string(),
      }),
    ),
  }),
};
