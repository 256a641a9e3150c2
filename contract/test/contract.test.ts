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
    for (const [family, name] of Object.entries(EVENT_ENDPOINT)) {
      expect(ENDPOINTS[name].body, family).to.equal(EVENTS[family as keyof typeof EVENTS].sent);
    }
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
