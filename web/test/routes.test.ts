import { ENDPOINTS, EVENT_ENDPOINT } from '@dauer/contract';
import { expect } from 'chai';
import * as routes from '../src/app/routes.ts';

describe('how the page asks', () => {
  it('every endpoint is asked as the contract has it (npm run routes writes the table anew)', () => {
    const contract = Object.entries(ENDPOINTS).map(([name, line]) => [
      name,
      { method: line.method, path: line.path, ...('family' in line && { family: line.family }) },
    ]);
    expect(contract.length).to.be.greaterThan(80);
    expect(routes.ROUTES).to.deep.equal(Object.fromEntries(contract));
    expect(routes.EVENT_ENDPOINT).to.deep.equal(EVENT_ENDPOINT);
  });
});
