import { expect } from 'chai';
import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';

const SRC = join(import.meta.dirname, '../src');

/** Under these names devices keep what they have: another name would leave it behind. */
const STORED = [
  ...[
    'dauer',
    'dauer-kept',
    'dauer.book',
    'dauer.bookin.5',
    'dauer.card',
    'dauer.clock',
    'dauer.device',
    'dauer.gauges',
    'dauer.letters',
    'dauer.me',
  ],
  ...['dauer.orders', 'dauer.out', 'dauer.reloaded', 'dauer.skipped', 'dauer.speech', 'dauer.taken', 'dauer.theme', 'dauer.units'],
];
/** On which pages talk to each other. */
const CHANNELS = ['dauer.outbox', 'dauer.who'];
/** Names of the forms of files, which books and other shops have. */
const FORMS = ['dauer.account', 'dauer.limits', 'dauer.lot', 'dauer.order', 'dauer.prices', 'dauer.readings'];

describe('what a device keeps', () => {
  it('is kept under the names it has always been kept under', () => {
    const found = new Set<string>();
    for (const name of readdirSync(SRC, { recursive: true, encoding: 'utf8' }))
      if (/\.(ts|vue)$/.test(name))
        for (const [, key] of readFileSync(join(SRC, name), 'utf8').matchAll(/'(dauer(?:[.-][\w.]+)?)'/g)) found.add(key ?? '');
    expect([...found].sort()).to.deep.equal([...STORED, ...CHANNELS, ...FORMS].sort());
  });
});
