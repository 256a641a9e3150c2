import { expect } from 'chai';
import { BY_CLASS_ALONE } from '../src/ledger/families/fluidServices.ts';
import fc from 'fast-check';
import { openHistory } from '../src/history/jobHistory.ts';
import { fluidState } from '../src/history/due.ts';
import { deriveJob } from '../src/job/job.ts';
import { lastOpen, openDue } from '../src/judging/care.ts';
import { cornersOf } from '../src/layout/graph.ts';
import { buildLayout, TEMPLATES } from '../src/layout/templates.ts';
import type { EarlierWork } from '../src/ledger/families/earlierWork.ts';
import { LONGEST_SIDE, plainJpeg } from '../src/picture/jpeg.ts';
import { DomainError, toResult } from '../src/quantity/domainError.ts';
import { earliestDay, isPartialDate, parsePartialDate, partialDateText } from '../src/quantity/partialDate.ts';
import { compareCameWith, FORETELLS, intakeRows, STATES_OF } from '../src/stages/bookin/intake.ts';
import { earlierText, fluidCauseWords } from '../src/wording/en/history.ts';
import { base, id, JobFixture } from './jobFixture.ts';

const code = (act: () => unknown): string => {
  const tried = toResult(act);
  return tried.ok ? 'ok' : tried.refusal.code;
};

describe('what may be said of a thing at intake', () => {
  it('is what it can come to: what foretells the bill can be said of all that is turned, and rubber does not seize', () => {
    for (const thing of ['unions', 'bleeders', 'fasteners'] as const) expect(STATES_OF[thing], thing).to.include.members(FORETELLS);
    expect(STATES_OF.hoses).to.not.include.members(['seized']);
    for (const [thing, states] of Object.entries(STATES_OF)) {
      expect(states[0], thing).to.equal('sound');
      expect(states.at(-1), thing).to.equal('none_here');
    }
  });
});

describe('a date of which only a part is known', () => {
  it('is read as it is written on cards and invoices', () => {
    const cases: readonly [string, string, boolean][] = [
      ['1998', '1998', false],
      ['about 1998', '1998', true],
      ['ca. 1998', '1998', true],
      ['3/1998', '1998-03', false],
      ['1998-03', '1998-03', false],
      ['March 1998', '1998-03', false],
      ['12 Mar 1998', '1998-03-12', false],
      ['12.3.1998', '1998-03-12', false],
      ['~ 12/3/1998', '1998-03-12', true],
      ['1998-03-12', '1998-03-12', false],
    ];
    for (const [typed, on, about] of cases) expect(parsePartialDate(typed), typed).to.deep.equal({ on, about });
  });
  it('is refused where there is no such day, with an example', () => {
    for (const typed of ['', 'last spring', '31.2.1998', '13/1998', '1998-00', '98', '12 Mar 98', '3000', '1998-02-30'])
      expect(
        code(() => parsePartialDate(typed)),
        typed,
      ).to.not.equal('ok');
  });
  it('comes back the same from how it is said, and its earliest day is a day in it', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1900, max: 2090 }),
        fc.option(fc.integer({ min: 1, max: 12 })),
        fc.option(fc.integer({ min: 1, max: 28 })),
        fc.boolean(),
        (year, month, day, about) => {
          const two = (n: number): string => String(n).padStart(2, '0');
          const on = month === null ? String(year) : day === null ? `${year}-${two(month)}` : `${year}-${two(month)}-${two(day)}`;
          expect(parsePartialDate(partialDateText({ on, about }))).to.deep.equal({ on, about });
          expect(isPartialDate(on)).to.equal(true);
          expect(earliestDay(on).startsWith(on)).to.equal(true);
          expect(earliestDay(on)).to.match(/^\d{4}-\d{2}-\d{2}$/);
        },
      ),
    );
    expect(isPartialDate('about 1998')).to.equal(false);
  });
});

describe('what is looked at before anything is ordered', () => {
  it('is asked at every wheel and in the middle, and only for what is there', () => {
    for (const t of TEMPLATES) {
      const layout = buildLayout(t.id, 'l', 'v', id);
      const rows = intakeRows(layout, []);
      for (const corner of cornersOf(layout)) {
        const things = rows.filter((r) => r.corner === corner).map((r) => r.thing);
        expect(things, `${t.name} ${corner}`).to.include('fasteners');
        const wet = layout.slots.some((s) => s.corner === corner && s.kind === 'bleeder');
        expect(things.includes('bleeders'), `${t.name} ${corner}`).to.equal(wet);
      }
      const keys = rows.map((r) => `${r.corner}${r.thing}`);
      expect(new Set(keys).size).to.equal(keys.length);
    }
    const rods = intakeRows(buildLayout('utility_rods', 'l', 'v', id), []);
    expect(rods.some((r) => ['unions', 'hoses', 'bleeders'].includes(r.thing))).to.equal(false);
  });
  it('shows the newest look', () => {
    const layout = buildLayout('drums_single', 'l', 'v', id);
    const look = (n: number, state: 'stiff' | 'sound') => ({
      ...base(n),
      corner: 'FL' as const,
      thing: 'bleeders' as const,
      state,
      note: '',
    });
    const rows = intakeRows(layout, [look(1, 'stiff'), look(2, 'sound')]);
    expect(rows.find((r) => r.corner === 'FL' && r.thing === 'bleeders')!.look!.state).to.equal('sound');
  });
});

describe('what came with the vehicle', () => {
  it('is held against what the layout needs: a place nobody found anything in is missing until something fits it', () => {
    const told = new JobFixture();
    const caliper = told.slot('caliper');
    told.file.partEvents = told.file.partEvents.filter((e) => e.slotId !== caliper);
    const missing = () => compareCameWith(openHistory(told.file)).missing.map((s) => s.id);
    expect(missing()).to.deep.equal([caliper]);
    const box = { name: 'Caliper in a box', kind: 'caliper' as const, slotId: caliper, partNumber: null, count: 1, note: '' };
    told.file.cameWith = [{ ...base(told.next()), ...box, fits: 'does_not_fit' }];
    expect(missing()).to.deep.equal([caliper]);
    expect(compareCameWith(openHistory(told.file)).doesNotFit).to.have.length(1);
    told.file.cameWith = [...told.file.cameWith, { ...base(told.next()), ...box, fits: 'fits' }];
    expect(missing()).to.deep.equal([]);
  });
});

describe('earlier work', () => {
  const work = (told: JobFixture, over: Partial<EarlierWork>): EarlierWork => ({
    ...base(told.next()),
    what: 'overhauled',
    slotId: null,
    on: '2001',
    about: false,
    knownFrom: 'invoice',
    source: 'no. 118',
    km: null,
    note: '',
    ...over,
  });
  it('says when a unit was last open, from the earliest day that may be meant', () => {
    const told = new JobFixture();
    const slotId = told.slot('caliper');
    const now = '2026-05-20T12:00:00.000Z';
    expect(openDue(openHistory(told.file), told.component(slotId), now)).to.be.greaterThan(30);
    told.file.earlierWork = [work(told, { slotId, on: '2001-06' }), work(told, { slotId, on: '1990', what: 'renewed' })];
    expect(lastOpen(openHistory(told.file), told.component(slotId))).to.equal('2001-06-01T00:00:00.000Z');
    expect(openDue(openHistory(told.file), told.component(slotId), now)).to.equal(null);
    expect(earlierText(told.file.layout, told.file.earlierWork[0]!)).to.equal('Front left caliper: overhauled Jun 2001 (invoice, no. 118)');
  });
  it('dates a fluid that these records know nothing of, and gives way to the first change on record', () => {
    const told = new JobFixture();
    const { layout, vehicle } = told.file;
    const earlier = [work(told, { what: 'fluid_changed', on: '2020' }), work(told, { what: 'fluid_changed', on: '2018-04' })];
    const state = fluidState(layout, { services: [], pulls: [], earlier }, vehicle, '2026-05-20')!;
    expect(state.changed).to.equal('2020-01-01');
    expect(state.due > '2020-12-01' && state.due < '2022-06-01').to.equal(true);
    expect(fluidCauseWords(state.cause)).to.equal('changed 2020, of unknown kind');
    expect(fluidState(layout, { services: [], pulls: [] }, vehicle, '2026-05-20')).to.equal(null);
    const service = { ...base(9), product: 'x', fluidClass: '4' as const, batch: '', lowMoisture: false, ...BY_CLASS_ALONE };
    expect(fluidState(layout, { services: [service], pulls: [], earlier }, vehicle, '2026-05-20')!.cause.kind).to.equal('no_change');
  });
  it('of a voided job does not count', () => {
    const told = new JobFixture();
    told.file.earlierWork = [work(told, { what: 'fluid_changed' })];
    told.file.voids = [{ ...base(told.next()), reason: 'twice' }];
    expect(deriveJob(told.file, '2026-05-20T12:00:00Z').history.active(told.file.earlierWork)).to.deep.equal([]);
  });
});

describe('a JPEG file', () => {
  const segment = (marker: number, body: readonly number[]): number[] => [
    0xff,
    marker,
    (body.length + 2) >> 8,
    (body.length + 2) & 255,
    ...body,
  ];
  const frame = (w: number, h: number): number[] => segment(0xc0, [8, h >> 8, h & 255, w >> 8, w & 255, 1, 1, 0x11, 0]);
  const scan = [...segment(0xda, [1, 1, 0, 0, 63, 0]), 1, 2, 0xff, 0, 3, 0xff, 0xd0, 4];
  const file = (...parts: readonly (readonly number[])[]): Uint8Array => new Uint8Array([0xff, 0xd8, ...parts.flat()]);
  const END = [0xff, 0xd9];
  it('loses everything that is not the image, and nothing of the image', () => {
    const plain = file(segment(0xe0, [1, 2]), segment(0xdb, [9]), frame(40, 30), scan, END);
    const dressed = file(
      ...[
        segment(0xe0, [1, 2]),
        segment(0xe1, [5, 5, 5]),
        segment(0xdb, [9]),
        segment(0xfe, [7]),
        frame(40, 30),
        segment(0xed, [8]),
        scan,
        END,
      ],
      [1, 2, 3, 4],
    );
    const made = plainJpeg(dressed);
    expect([...made.bytes]).to.deep.equal([...plain]);
    expect([made.width, made.height]).to.deep.equal([40, 30]);
    expect([...plainJpeg(made.bytes).bytes]).to.deep.equal([...plain]);
  });
  it('that is none, is cut off, or is too large, is refused before anything is made of it', () => {
    expect(code(() => plainJpeg(file(frame(LONGEST_SIDE + 1, 30), scan, END)))).to.equal('too_large');
    expect(code(() => plainJpeg(file(frame(0, 30), scan, END)))).to.equal('not_an_image');
    expect(code(() => plainJpeg(file(frame(40, 30), scan)))).to.equal('not_an_image');
    expect(code(() => plainJpeg(file(frame(40, 30), frame(40, 30), scan, END)))).to.equal('not_an_image');
    expect(code(() => plainJpeg(file(segment(0xdb, [9]), frame(40, 30), END)))).to.equal('not_an_image');
  });
  it('of any bytes whatever is taken or refused, never anything else', () => {
    fc.assert(
      fc.property(fc.uint8Array({ maxLength: 300 }), fc.boolean(), (bytes, head) => {
        const given = head ? new Uint8Array([0xff, 0xd8, ...bytes]) : bytes;
        const tried = toResult(() => plainJpeg(given));
        if (tried.ok) expect(tried.value.bytes.length).to.be.at.most(given.length);
        else expect(tried.refusal).to.be.instanceOf(DomainError);
      }),
      { numRuns: 500 },
    );
  });
});
