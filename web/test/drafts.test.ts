import { UNWEIGHED, type Vehicle } from '@dauer/core/ledger';
import { expect } from 'chai';
import fc from 'fast-check';
import { blankVehicle, draftOf, faultsOf, orNull, vehicleOf } from '../src/features/bookin/vehicleDraft.ts';
import { dayText, hoursText, timeText, useZone } from '../src/fittings/dates.ts';

const vehicle: Vehicle = {
  id: 'v',
  tag: 'V 068',
  name: 'Brindle Sallow 1300',
  make: 'Brindle',
  model: 'Sallow',
  year: 1966,
  variant: null,
  body: 'saloon',
  use: 'stands',
  climate: 'damp',
  storage: 'outside',
  standsYears: 4.5,
  distanceUnit: 'mi',
  driven: 'rear',
  stored: 'none',
  ...UNWEIGHED,
  ownerId: null,
  version: 3,
};

describe('a vehicle as it is typed', () => {
  it('comes back as it was', () => {
    const { id: _id, ownerId: _owner, version: _version, ...fields } = vehicle;
    expect(vehicleOf(draftOf(vehicle))).to.deep.equal(fields);
  });
  it('says what cannot be used, by field, and nothing about what can', () => {
    expect(Object.keys(faultsOf(blankVehicle())).sort()).to.deep.equal(['name', 'tag']);
    expect(faultsOf(draftOf(vehicle))).to.deep.equal({});
    const wrong = (over: object): Record<string, string> => faultsOf({ ...draftOf(vehicle), ...over });
    expect(wrong({ year: 'nineteen' })['year']).to.include('“nineteen” is not a year');
    for (const year of ['1884', '2101', '19.5']) expect(wrong({ year })).to.have.property('year');
    for (const year of ['', '1885', '2100']) expect(wrong({ year })).to.deep.equal({});
    for (const standsYears of ['-1', '151', 'long']) expect(wrong({ standsYears })).to.have.property('standsYears');
    for (const standsYears of ['', '0', '4,5', '150']) expect(wrong({ standsYears })).to.deep.equal({});
    for (const key of ['tag', 'name']) expect(wrong({ [key]: '  ' })).to.have.property(key);
  });
  it('reads a decimal comma as a point', () => {
    expect(vehicleOf({ ...draftOf(vehicle), standsYears: '4,5' }).standsYears).to.equal(4.5);
  });
  it('what is empty is not known', () => {
    expect([orNull(''), orNull('   '), orNull(' GT ')]).to.deep.equal([null, null, 'GT']);
    expect(vehicleOf(blankVehicle())).to.include({ year: null, variant: null, standsYears: null });
  });
});

describe('times', () => {
  afterEach(() => useZone('UTC', 'en-GB'));
  const near = new Date('2026-06-01T00:00:00Z');
  it('an instant is told in the shop’s zone, a day is told as it is', () => {
    useZone('Pacific/Auckland', 'en-GB');
    expect(dayText('2026-05-31T20:00:00.000Z', near)).to.equal('Mon 1 Jun');
    expect(dayText('2026-05-31', near)).to.equal('Sun 31 May');
    expect(timeText('2026-05-31T20:00:00.000Z')).to.equal('08:00');
    useZone('America/Vancouver', 'en-GB');
    expect(dayText('2026-06-01T02:00:00.000Z', near)).to.equal('Sun 31 May');
  });
  it('a day far away carries its year', () => {
    expect(dayText('2021-10-06', near)).to.equal('6 Oct 2021');
    expect(dayText('2026-12-31', near)).to.equal('31 Dec 2026');
    expect(dayText('', near)).to.equal('');
  });
  it('minutes are told as a clock is read', () => {
    expect([0, 5, 60, 192, 600].map(hoursText)).to.deep.equal(['0 h 00', '0 h 05', '1 h 00', '3 h 12', '10 h 00']);
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 6000 }), (m) => {
        const [h = '', min = ''] = hoursText(m).split(' h ');
        expect(Number(h) * 60 + Number(min)).to.equal(m);
        expect(min).to.have.length(2);
      }),
    );
  });
});
