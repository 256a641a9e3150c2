import { expect } from 'chai';
import { characteristic } from '../src/catalogue/characteristics.ts';
import { TABLES } from '../src/catalogue/trace/tables.ts';
import { deriveJob } from '../src/job/job.ts';
import { BY_CLASS_ALONE } from '../src/ledger/families/fluidServices.ts';
import { buildSheet } from '../src/views/handback.ts';
import { strikeRecord } from '../src/views/sheetRefs.ts';
import { readSheet } from '../src/views/readSheet.ts';
import { PLAIN_PAST } from '../src/wording/en/owner.ts';
import { base, FOUR, JobFixture, LIMIT, NOW } from './jobFixture.ts';

const sheetOf = (t: JobFixture) => buildSheet(deriveJob(t.file, NOW), NOW);
const pageOf = (t: JobFixture) => sheetOf(t).owner!;

/** Front rotors too thin, renewed, and gauged again. */
function told(): JobFixture {
  const t = new JobFixture(FOUR);
  for (const corner of ['FL', 'FR'] as const) {
    const rotor = t.slot('rotor', corner);
    t.gauge(
      rotor,
      Array.from({ length: 8 }, () => '10.40'),
    );
    t.decide(rotor, 'replace');
  }
  for (const corner of ['FL', 'FR'] as const) {
    const rotor = t.slot('rotor', corner);
    t.part(rotor, 'removed');
    t.file.parts = [...t.file.parts, { ...t.file.parts[0]!, id: `new-${corner}`, kind: 'rotor', name: 'Rotor' }];
    t.part(rotor, 'fitted', `new-${corner}`);
    t.gauge(
      rotor,
      Array.from({ length: 8 }, () => '12.70'),
      { phase: 'as_fitted', partId: `new-${corner}` },
    );
  }
  return t;
}

describe('the owner’s page', () => {
  it('says both sides of an axle in one: what was wrong and what was done, in plain words', () => {
    const page = pageOf(told());
    expect(page.wrong).to.include('Front rotors: worn too thin');
    expect(page.done).to.deep.equal(['Front rotors: renewed']);
    expect(page.why).to.equal('It is wear from use.');
  });

  it('names the fault that the bench found before what was gauged', () => {
    const t = told();
    t.file.causeLooks = [
      { ...base(t.next()), fault: 'caliper_lever', place: t.slot('caliper', 'FL'), state: 'found', said: null, rank: null },
      { ...base(t.next()), fault: 'nothing_else', place: 'system', state: 'found', said: null, rank: null },
    ];
    const fault = TABLES.faults.find((f) => f.id === 'caliper_lever')!;
    expect(pageOf(t).wrong[0]).to.equal(`Front left caliper: ${fault.name[0]!.toLowerCase()}${fault.name.slice(1)}`);
    expect(pageOf(t).wrong).to.have.length(2);
  });

  it('says nothing done that was only decided, and nothing renewed that is still to come', () => {
    const t = new JobFixture(FOUR);
    const rotor = t.slot('rotor', 'FL');
    t.gauge(
      rotor,
      Array.from({ length: 8 }, () => '10.40'),
    );
    t.decide(rotor, 'replace');
    expect(pageOf(t).done).to.deep.equal([]);
    expect(sheetOf(t).pairs).to.deep.equal([]);
  });

  it('sets figures of before any work beside those of after it, controls first', () => {
    const t = new JobFixture(FOUR);
    const pedal = t.slot('pedal', null);
    const rotor = t.slot('rotor', 'FL');
    t.gauge(
      rotor,
      Array.from({ length: 8 }, () => '10.40'),
    );
    t.gauge(
      rotor,
      Array.from({ length: 8 }, () => '10.42'),
    );
    const sink = t.gauge(pedal, [], { measurement: 'pedal_sink', count: 0 });
    for (const [place, typed] of [
      ['hard', '9'],
      ['light', '12'],
    ] as const)
      t.read(sink, null, 'place', place, typed);
    expect(sheetOf(t).pairs, 'nothing was done between the two').to.deep.equal([]);
    t.part(rotor, 'machined');
    t.gauge(
      rotor,
      Array.from({ length: 8 }, () => '10.10'),
      { phase: 'after_machining' },
    );
    t.sound();
    const pairs = sheetOf(t).pairs!;
    expect(pairs[0]!.place).to.match(/[Pp]edal/);
    const thickness = pairs.find((p) => p.what === 'Thickness')!;
    expect([thickness.before, thickness.after]).to.deep.equal(['10.42 mm', '10.10 mm'].map((x, i) => (i === 0 ? '10.40 mm' : x)));
    expect(thickness.limit).to.contain(String(LIMIT.at));
  });

  it('says from what it came, where the records tell it, and what habit keeps it away', () => {
    const t = told();
    t.file.vehicle = { ...t.file.vehicle, use: 'stands', standsYears: 12, climate: 'damp' };
    expect(pageOf(t).why).to.equal('It comes from having stood for 12 years and damp where it is kept or driven.');
    t.file.fluidServices = [
      { ...base(t.next()), product: 'House fluid', fluidClass: '4', batch: '', lowMoisture: false, ...BY_CLASS_ALONE },
    ];
    expect(pageOf(t).why).to.contain('nobody knew');
    expect(pageOf(t).habit).to.match(/ten times, every three months.*every year/);
  });

  it('fits: what is too much is counted, and named as standing on the full record', () => {
    const t = new JobFixture(FOUR);
    for (let n = 0; n < 30; n += 1) t.find(t.slot('caliper', 'FL'), { severity: 'reject', words: `Crack number ${n}` });
    const { wrong } = pageOf(t);
    expect(wrong).to.have.length(7);
    expect(wrong.at(-1)).to.equal('and 24 more, which the full record has');
  });

  it('is blacked out where what was typed is, and is read back as it was kept', () => {
    const t = new JobFixture(FOUR);
    const f = t.find(t.slot('caliper', 'FL'), { severity: 'reject', words: 'Cracked, says the owner’s brother' });
    const sheet = sheetOf(t);
    expect(sheet.owner!.wrong.join()).to.contain('brother');
    const struck = strikeRecord(sheet, f.id, 'words').sheet;
    expect(JSON.stringify(struck)).to.not.contain('brother');
    expect(readSheet(JSON.parse(JSON.stringify(sheet)))).to.deep.equal(sheet);
    expect(readSheet({}).owner).to.equal(undefined);
  });

  it('has plain words for every figure that may be past its limit', () => {
    for (const [id, words] of Object.entries(PLAIN_PAST)) {
      expect(characteristic(id), id).to.not.equal(undefined);
      expect(words, id).to.match(/^[a-z]/);
    }
  });
});
