import { expect } from 'chai';
import fc from 'fast-check';
import { acceptanceKey } from '../src/ledger/obligation.ts';
import { openHistory } from '../src/history/jobHistory.ts';
import { partIn, whereabouts } from '../src/history/whereabouts.ts';
import { deriveJob } from '../src/job/job.ts';
import { nextAct } from '../src/job/nextAct.ts';
import { meaningOf, sentence } from '../src/wording/en/verdicts.ts';
import { checkLayout } from '../src/layout/check.ts';
import { pathFromMaster, walk } from '../src/layout/graph.ts';
import { buildLayout, TEMPLATES } from '../src/layout/templates.ts';
import type { PartEvent } from '../src/ledger/families/partEvents.ts';
import { retractedIds } from '../src/ledger/retraction.ts';
import { bleedOrder } from '../src/stages/bleed/order.ts';
import { optionsOf } from '../src/readiness/options.ts';
import { buildSheet } from '../src/views/handback.ts';
import { base, id, LIMIT, NOW, JobFixture } from './jobFixture.ts';

describe('layouts', () => {
  for (const t of TEMPLATES) {
    it(`${t.name}: nothing wrong with it`, () => {
      const layout = buildLayout(t.id, 'l', 'v', id);
      expect(checkLayout(layout)).to.deep.equal([]);
      for (const s of layout.slots.filter((x) => x.kind === 'bleeder'))
        expect(pathFromMaster(layout, s.parentId!)[0]).to.not.equal(undefined);
    });
  }
  it('says what is wrong: an open end, a wheel no line reaches', () => {
    const layout = buildLayout('coupe_disc_disc_tandem_servo', 'l', 'v', id);
    const [first] = layout.connections;
    expect(checkLayout({ ...layout, connections: [{ ...first!, to: 'nothing' }] }).map((f) => f.code)).to.include.members([
      'dangling',
      'unreached',
    ]);
    expect(checkLayout({ ...layout, slots: layout.slots.filter((s) => s.kind !== 'master_cylinder') }).map((f) => f.code)).to.include(
      'no_cylinder',
    );
  });
  it('bleeds the clutch first, then the circuit with the longest path, from far to near', () => {
    const order = bleedOrder(buildLayout('saloon_disc_drum_single', 'l', 'v', id));
    expect(order.map((s) => s.bleeder.corner)).to.deep.equal([null, 'RL', 'RR', 'FL', 'FR']);
    const brakes = order.slice(1).map((s) => s.lengthMm);
    expect([...brakes].sort((a, b) => b - a)).to.deep.equal(brakes);
  });
  it('walks along the hydraulics by arrow, and stays where nothing lies that way', () => {
    const layout = buildLayout('coupe_disc_disc_tandem_servo', 'l', 'v', id);
    const [pedal, servo] = ['pedal', 'servo'].map((k) => layout.slots.find((s) => s.kind === k)!.id);
    const places = new Map([
      [pedal!, { x: 0, y: 50 }],
      [servo!, { x: 0, y: 0 }],
    ]);
    expect(walk(layout, pedal!, 'up', places)).to.equal(servo);
    expect(walk(layout, servo!, 'up', places)).to.equal(null);
  });
});

describe('what stands', () => {
  it('a take-back of a take-back restores what was taken back, to any depth', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 8 }), (depth) => {
        const chain = Array.from({ length: depth }, (_, i) => base(i, { id: `t${i}`, corrects: i === 0 ? 'reading' : `t${i - 1}` }));
        expect(retractedIds(chain).has('reading')).to.equal(depth % 2 === 1);
      }),
    );
  });
  it('does not depend on the order in which events arrive', () => {
    const t = new JobFixture();
    const set = t.gauge(t.slot('rotor'), ['12.1', '12.0', '12.2', '12.3', '12.4', '12.1', '12.1', '12.0']);
    t.read(set, 0, 'rotor_mark', 'outer ring', '11.9');
    t.find(t.slot('hose'), { severity: 'watch' });
    t.takeBack(t.file.readings[1]!.id);
    const straight = deriveJob(t.file, NOW);
    fc.assert(
      fc.property(fc.shuffledSubarray([...t.file.readings], { minLength: t.file.readings.length }), (readings) => {
        const mixed = deriveJob({ ...t.file, readings, partEvents: [...t.file.partEvents].reverse() }, NOW);
        expect(mixed.obligations).to.deep.equal(straight.obligations);
        expect(mixed.components.map((c) => c.verdict)).to.deep.equal(straight.components.map((c) => c.verdict));
      }),
      { numRuns: 30 },
    );
  });
  it('the newest reading of a position counts, or the mean where the set averages', () => {
    const t = new JobFixture();
    const set = t.gauge(t.slot('rotor'), ['12.0', '12.0', '12.0', '12.0']);
    t.read(set, 0, 'rotor_mark', 'outer ring', '11.8');
    expect(openHistory(t.file).reduced(set)[0]!.value).to.equal(11.8);
    t.file.sets = [{ ...set, averages: true }];
    expect(openHistory(t.file).taken({ ...set, averages: true })[0]!.value).to.be.closeTo(11.9, 1e-9);
  });
  it('a part is where its newest event puts it, and never in two places', () => {
    const kinds = ['removed', 'fitted', 'sent', 'returned', 'scrapped'] as const;
    fc.assert(
      fc.property(fc.array(fc.tuple(fc.constantFrom(...kinds), fc.constantFrom('s1', 's2')), { maxLength: 12 }), (story) => {
        const events: PartEvent[] = [
          { ...base(0), partId: 'p', kind: 'found', slotId: 's1', note: '', temporary: false, until: null, lot: null, lineOn: false },
          ...story.map(([kind, slotId], i): PartEvent => ({
            ...base(i + 1),
            partId: 'p',
            kind,
            slotId: kind === 'fitted' ? slotId : null,
            note: '',
            temporary: false,
            until: null,
            lot: null,
            lineOn: false,
          })),
        ];
        const sits = ['s1', 's2'].filter((s) => partIn(s, events) === 'p');
        expect(sits.length).to.be.at.most(1);
        const where = whereabouts('p', events);
        expect(sits).to.deep.equal(where.at === 'slot' ? [where.slotId] : []);
      }),
    );
  });
});

describe('a component', () => {
  it('is not gauged until the least positions are taken; a figure past its limit speaks at once', () => {
    const t = new JobFixture();
    t.gauge(t.slot('rotor'), ['12.1', '12.0', '12.2']);
    expect(t.component(t.slot('rotor')).judged.find((j) => j.characteristic.id === 'rotor_thickness')?.verdict).to.equal('not_gauged');
    const u = new JobFixture();
    u.gauge(u.slot('rotor'), ['10.90']);
    expect(u.component(u.slot('rotor')).judged[0]?.verdict).to.equal('past');
  });
  it('criteria do not average: one bad finding on a rotor of full thickness rejects it', () => {
    const t = new JobFixture();
    t.gauge(
      t.slot('rotor'),
      Array.from({ length: 8 }, () => '12.60'),
    );
    t.find(t.slot('rotor'), { severity: 'reject', words: 'Blue', rulesOut: ['use_again'] });
    const c = t.component(t.slot('rotor'));
    expect(c.verdict).to.equal('past');
    expect(optionsOf(openHistory(t.file), c).find((o) => o.id === 'use_again')?.ruledOut).to.include('Blue');
  });
  it('a figure taken dirty closes nothing', () => {
    const t = new JobFixture();
    t.gauge(
      t.slot('rotor'),
      Array.from({ length: 8 }, () => '12.60'),
      { surface: 'dirty' },
    );
    expect(t.component(t.slot('rotor')).required.find((r) => r.measurement.id === 'rotor_thickness')?.done).to.equal(false);
    t.gauge(
      t.slot('rotor'),
      Array.from({ length: 8 }, () => '12.60'),
    );
    expect(t.component(t.slot('rotor')).required.find((r) => r.measurement.id === 'rotor_thickness')?.done).to.equal(true);
  });
  it('figures go with the part: a new one in the place is not gauged', () => {
    const t = new JobFixture();
    const slot = t.slot('rotor');
    t.gauge(
      slot,
      Array.from({ length: 8 }, () => '10.80'),
    );
    expect(t.component(slot).verdict).to.equal('past');
    t.decide(slot, 'replace');
    t.part(slot, 'removed');
    expect(t.component(slot).verdict, 'it lies on the bench, and is what it was').to.equal('past');
    t.part(slot, 'scrapped', `part:${slot}`);
    expect(t.component(slot).verdict).to.equal(null);
    t.file.parts = [...t.file.parts, { id: 'new', tag: 'P 1', kind: 'rotor', name: 'Rotor', partNumber: null, note: '' }];
    t.part(slot, 'fitted', 'new');
    expect(t.component(slot).verdict).to.equal('not_gauged');
    t.gauge(
      slot,
      Array.from({ length: 8 }, () => '12.70'),
      { phase: 'as_fitted', partId: 'new' },
    );
    expect(t.component(slot).judged.map((j) => j.partId)).to.deep.equal(['new', 'new']);
  });
  it('after machining it is judged against machine-to, not discard', () => {
    const t = new JobFixture();
    t.gauge(
      t.slot('rotor'),
      Array.from({ length: 8 }, () => '11.20'),
      { phase: 'after_machining' },
    );
    const j = t.component(t.slot('rotor')).judged.find((x) => x.characteristic.id === 'rotor_thickness')!;
    expect(j.verdict).to.equal('past');
    expect(sentence(j)).to.include('machine-to figure');
  });
  it('a doubt is settled by a later finding that names it, and only by that', () => {
    const t = new JobFixture();
    const doubt = t.find(t.slot('hose'), { severity: 'doubt' });
    t.find(t.slot('hose'));
    expect(t.component(t.slot('hose')).verdict).to.equal('cant_tell');
    t.find(t.slot('hose'), { settles: doubt.id });
    expect(t.component(t.slot('hose')).verdict).to.equal('holds');
  });
  it('two limits of one rank: the worse verdict, and the conflict is said', () => {
    const t = new JobFixture(['FL'], [LIMIT, { ...LIMIT, id: 'other', seriesId: 'other', at: 12.65 }]);
    t.gauge(
      t.slot('rotor'),
      Array.from({ length: 8 }, () => '12.60'),
    );
    const j = t.component(t.slot('rotor')).judged.find((x) => x.characteristic.id === 'rotor_thickness')!;
    expect([j.verdict, j.conflict]).to.deep.equal(['past', true]);
  });
  it('says what was found, what it means and what to do next, in whole sentences', () => {
    const t = new JobFixture();
    for (const figures of [
      [],
      ['12.6', '12.6'],
      Array.from({ length: 8 }, () => '12.6'),
      Array.from({ length: 8 }, () => '10.6'),
      Array.from({ length: 8 }, () => '11.00'),
    ]) {
      const u = new JobFixture();
      if (figures.length > 0) u.gauge(u.slot('rotor'), figures);
      const c = u.component(u.slot('rotor'));
      const m = meaningOf(c.judged, null, ['Runout']);
      for (const text of [m.found, m.means, m.next]) expect(text).to.match(/^[A-Z0-9].*\.$/s);
      for (const j of c.judged) expect(sentence(j)).to.match(/[.]$/);
    }
    expect(t.component(t.slot('rotor')).verdict).to.equal('not_gauged');
  });
});

describe('a job', () => {
  it('stands in the earliest stage with something open, and what it owes shrinks as it is done', () => {
    const t = new JobFixture();
    const open = (): number => deriveJob(t.file, NOW).blocks.length;
    const before = open();
    expect(deriveJob(t.file, NOW).stage).to.equal('bookin');
    expect(nextAct(deriveJob(t.file, NOW))?.key).to.equal('bookin:counter');
    t.file.counters = [{ ...base(1), vehicleId: 'car', typed: '1', km: 1 }];
    expect(open()).to.equal(before - 1);
    expect(deriveJob(t.file, NOW).stage).to.equal('trace');
    t.find(t.slot('caliper'));
    expect(open()).to.equal(before - 2);
  });
  it('is never released by a tick while a safety figure is past', () => {
    const t = new JobFixture();
    t.gauge(
      t.slot('rotor'),
      Array.from({ length: 8 }, () => '10.80'),
    );
    const block = deriveJob(t.file, NOW).blocks.find((b) => b.key.startsWith('verdict:'))!;
    expect(block.acceptBy).to.equal(null);
    t.file.acceptances = [{ ...base(99), obligation: acceptanceKey(block), reason: 'because' }];
    expect(deriveJob(t.file, NOW).blocks.map((b) => b.key)).to.include(block.key);
  });
  it('a missing limit blocks until a lead accepts it by name', () => {
    const t = new JobFixture(['FL'], []);
    t.gauge(
      t.slot('rotor'),
      Array.from({ length: 8 }, () => '12.60'),
    );
    const block = deriveJob(t.file, NOW).blocks.find((b) => b.key.endsWith(':rotor_thickness'))!;
    expect(block.acceptBy).to.equal('lead');
    t.file.acceptances = [{ ...base(99), obligation: acceptanceKey(block), reason: 'measured against the other side' }];
    expect(deriveJob(t.file, NOW).blocks.map((b) => b.key)).to.not.include(block.key);
  });
  it('bleeding waits while a hydraulic part is off', () => {
    const t = new JobFixture();
    t.decide(t.slot('hose'), 'replace');
    t.part(t.slot('hose'), 'removed');
    const bleed = deriveJob(t.file, NOW).obligations.filter((o) => o.key.startsWith('bleed:') && o.key !== 'bleed:fluid');
    // Nobody knows what is in it: the whole reservoir is drawn, not the open circuit alone.
    expect(bleed.map((o) => o.state)).to.deep.equal(['waiting', 'waiting', 'waiting', 'waiting']);
    expect(bleed[0]?.why).to.include('front left hose');
  });
  it('what is out of scope obliges nothing', () => {
    const state = deriveJob(new JobFixture(['FL']).file, NOW);
    const others = state.components.filter((c) => !c.inScope).map((c) => c.slot.id);
    expect(state.obligations.filter((o) => o.slotId !== null && others.includes(o.slotId))).to.deep.equal([]);
    expect(others.length).to.be.above(10);
  });
  it('the sheet carries every judged figure with its limit, source and uncertainty', () => {
    const t = new JobFixture();
    t.gauge(
      t.slot('rotor'),
      Array.from({ length: 8 }, () => '12.60'),
    );
    const sheet = buildSheet(deriveJob(t.file, NOW), NOW);
    const line = sheet.figures.find((f) => f.characteristic === 'Rotor thickness')!;
    expect(line).to.include({
      figure: '12.60 mm',
      limit: 'at least 11.00 mm',
      verdict: 'Holds',
      takenBy: 'Ann',
      place: 'Front left rotor',
    });
    expect(line.source).to.include('works manual, unchecked');
    expect(line.uncertainty).to.match(/^±0\.\d+ mm$/);
  });
});
