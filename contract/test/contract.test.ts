import { EVENT_LISTS, familyOf, recordFrom } from '@dauer/core/ledger';
import { DomainError } from '@dauer/core/quantity';
import { expect } from 'chai';
import { z } from 'zod';
import { type Endpoint, ENDPOINTS, EVENT_ENDPOINT, EVENTS, mayCall } from '../src/index.ts';

describe('the contract', () => {
  const lines = Object.entries(ENDPOINTS) as [string, Endpoint][];
  it('says no method and path twice', () => {
    const keys = lines.map(([, l]) => `${l.method} ${l.path}`);
    expect(new Set(keys).size).to.equal(keys.length);
  });
  it('names in its path exactly the parameters it describes', () => {
    for (const [name, line] of lines) {
      const inPath = [...line.path.matchAll(/:(\w+)/g)].map((m) => m[1]).sort();
      expect(line.params instanceof z.ZodObject ? Object.keys(line.params.shape).sort() : [], name).to.deep.equal(inPath);
    }
  });
  it('sends every family of events to an endpoint that takes it', () => {
    for (const family of EVENT_LISTS) expect(ENDPOINTS[EVENT_ENDPOINT[family]].body, family).to.equal(EVENTS[family].sent);
  });
  it('a higher role may do what a lower one may', () => {
    expect(mayCall('technician', 'lead')).to.equal(true);
    expect(mayCall('lead', 'technician')).to.equal(false);
    expect(mayCall('reader', null)).to.equal(false);
    expect(mayCall('public', null)).to.equal(true);
  });
  it('only what comes before anybody is signed in is open to anybody', () => {
    expect(
      lines
        .filter(([, l]) => l.role === 'public')
        .map(([n]) => n)
        .sort(),
    ).to.deep.equal([
      'firstLead',
      // Not a person: it carries the key of the bench.
      'instrumentSays',
      'onTablet',
      'signIn',
      'switchTo',
      'welcome',
    ]);
  });
});

describe('a family of events', () => {
  const keysOf = (schema: unknown): string[] => Object.keys((schema as { shape: object }).shape);

  it('names only fields that its record has, and sends aside only what its record has not', () => {
    for (const list of EVENT_LISTS) {
      const { names, blackable, personal, price, aside } = familyOf(list);
      const [record, sent] = [keysOf(EVENTS[list].record), keysOf(EVENTS[list].sent)];
      expect(record, list).to.include.members([...Object.keys(names), ...blackable, ...personal, ...price]);
      for (const field of aside) expect([sent.includes(field), record.includes(field)], `${list}.${field}`).to.deep.equal([true, false]);
    }
  });

  it('is of what its record names, and names what it is of', () => {
    const fieldsOf = { slot: ['slotId'], part: ['partId'], connection: ['connectionId'] } as const;
    const ofRecords = ['setId', 'operationId', 'putInId', 'findingId', 'corrects'];
    for (const list of EVENT_LISTS) {
      const { subjects } = familyOf(list);
      const record = keysOf(EVENTS[list].record);
      // A cause may be at a place, or of the whole vehicle; what is ordered may be for several.
      const places = list === 'causeLooks' ? ['place'] : list === 'orderLines' ? ['places'] : fieldsOf.slot;
      for (const [subject, fields] of Object.entries({ ...fieldsOf, slot: places })) {
        const named = fields.some((f) => record.includes(f));
        expect((subjects as readonly string[]).includes(subject), `${list}: ${subject}`).to.equal(named);
      }
      if (subjects.includes('record')) expect(record, list).to.include.oneOf(ofRecords);
    }
  });

  it('sends everything that its record has, but for what every event has and what is worked out', () => {
    const everywhere = ['jobId', 'authorId', 'recordedAt'];
    for (const list of EVENT_LISTS) {
      const sent = keysOf(EVENTS[list].sent);
      const more = keysOf(EVENTS[list].record).filter((k) => !sent.includes(k) && !everywhere.includes(k));
      expect(more.length > 0, `${list}: ${more.join()}`).to.equal(familyOf(list).derive !== undefined);
    }
  });

  it('that replaces another says what its author saw, and no other does', () => {
    for (const list of EVENT_LISTS)
      expect(familyOf(list).supersedes !== undefined, list).to.equal(keysOf(EVENTS[list].record).includes('supersedes'));
  });

  it('makes the same record of what was sent, whoever makes it: figures worked out, and nothing of what is no part of it', () => {
    const base = { id: 'e', jobId: 'j', authorId: 'a', device: 'd', happenedAt: '', recordedAt: '', corrects: null };
    const facts = { vehicleId: 'v', measurement: 'rotor_thickness', gaugeKind: 'micrometer' } as const;
    expect(recordFrom('counters', { ...base, typed: '61 240', unit: 'mi' }, facts)).to.deep.equal({
      ...base,
      typed: '61 240',
      vehicleId: 'v',
      km: 61240 * 1.609344,
    });
    expect(recordFrom('acceptances', { ...base, obligation: 'o', reason: 'r', password: 'secret' }, facts)).to.deep.equal({
      ...base,
      obligation: 'o',
      reason: 'r',
    });
    const reading = { ...base, setId: 's', place: null, typed: '12.1', unit: 'mm' };
    expect(recordFrom('readings', reading, facts)).to.include({ canonical: 12.1, typed: '12.1' });
    expect(() => recordFrom('readings', reading, { ...facts, measurement: null })).to.throw(DomainError);
  });
});
