import { z } from 'zod';
import { endpoint, none } from '../endpoint.ts';
import { byId } from '../eventEndpoint.ts';
import { id, name, role, words, password } from '../primitives.ts';
import * as t from '../things.ts';
import { bundle } from '../bundle.ts';

const me = z.object({ person: t.person, shop: z.object({ name, timeZone: z.string() }) });
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
  importBundle: endpoint({
    ...none,
    feature: 'shop',
    method: 'POST',
    path: '/api/import',
    role: 'lead',
    summary: 'Takes in vehicles, jobs and events of the past, all or nothing',
    body: z.lazy(() => bundle),
    reply: z.object({ written: z.number().int(), known: z.number().int() }),
  }),
  search: endpoint({
    ...none,
    feature: 'shop',
    method: 'GET',
    path: '/api/search',
    role: 'reader',
    summary: 'Vehicles and parts by tag or name',
    query: z.object({ q: z.string().max(80) }),
    reply: z.array(
      z.object({ kind: z.enum(['vehicle', 'part']), tag: z.string().nullable(), title: z.string(), note: z.string(), to: z.string() }),
    ),
  }),
};
