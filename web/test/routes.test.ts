import { ENDPOINTS, EVENT_ENDPOINT } from '@dauer/contract';
import { EVENT_LISTS, familyOf } from '@dauer/core/ledger';
import { expect } from 'chai';
import * as routes from '../src/app/routes.ts';

describe('how the page asks', () => {
  it('every endpoint is asked as the contract has it (npm run routes writes the table anew)', () => {
    const contract = Object.entries(ENDPOINTS).map(([name, line]) => [
      name,
      {
        method: line.method,
        path: line.path,
        ...('family' in line && { family: line.family, ...(familyOf(line.family).sending === 'online' && { online: true }) }),
      },
    ]);
    expect(contract.length).to.be.greaterThan(80);
    expect(routes.ROUTES).to.deep.equal(Object.fromEntries(contract));
    expect(routes.EVENT_ENDPOINT).to.deep.equal(EVENT_ENDPOINT);
  });
  it('what is an act of its moment waits on no device, whatever its family', () => {
    const families = EVENT_LISTS.filter((f) => f in EVENT_ENDPOINT);
    expect(families.filter((f) => routes.isQueued(f))).to.deep.equal(families.filter((f) => familyOf(f).sending === 'queued'));
    expect(routes.isQueued('acceptances')).to.equal(false);
    expect(routes.isQueued('readings')).to.equal(true);
  });
});
