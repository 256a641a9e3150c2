import { expect } from 'chai';
import fc from 'fast-check';
import { deriveJob } from '../src/job/job.ts';
import type { HandbackSheet } from '../src/ledger/release.ts';
import { freeTexts } from '../src/views/freeText.ts';
import { buildSheet } from '../src/views/handback.ts';
import { readSheet } from '../src/views/readSheet.ts';
import { BLACKED } from '../src/ledger/blacked.ts';
import { cameFrom, strikeLine, strikeRecord, withRefs } from '../src/views/sheetRefs.ts';
import { base, FOUR, NOW, JobFixture } from './jobFixture.ts';

/** All strings of a sheet, by path. */
function stringsOf(value: unknown, path = ''): [string, string][] {
  if (typeof value === 'string') return [[path, value]];
  if (typeof value !== 'object' || value === null) return [];
  return Object.entries(value)
    .filter(([key]) => path !== '' || key !== 'made')
    .flatMap(([key, v]) => stringsOf(v, path === '' ? key : `${path}.${key}`));
}

class Desk extends JobFixture {
  say(words: string): string {
    this.find(this.slot('rotor', 'FL'));
    const made = { ...this.file.findings.at(-1)!, words, severity: 'watch' as const };
    this.file.findings = [...this.file.findings.slice(0, -1), made];
    return made.id;
  }
  sheet(): HandbackSheet {
    return buildSheet(deriveJob(this.file, NOW), NOW);
  }
}

describe('a black-out in a sheet', () => {
  it('strikes what was made of one field of one record, wherever it stands, and nothing that reads alike', () => {
    const t = new Desk(FOUR);
    t.file.job = { ...t.file.job, complaint: '1' };
    const [first, second] = [t.say('1'), t.say('1')];
    const sheet = t.sheet();
    expect(sheet.findings.map((f) => f.text)).to.deep.equal(['1', '1']);
    const { sheet: struck, struck: many } = strikeRecord(sheet, first, 'words');
    expect(many).to.equal(1);
    expect(struck.findings.map((f) => f.text)).to.deep.equal([BLACKED, '1']);
    const changed = stringsOf(sheet).filter(([, text], i) => stringsOf(struck)[i]![1] !== text);
    expect(changed.map(([path]) => path)).to.deep.equal(['findings.0.text']);
    expect(strikeRecord(struck, second, 'words').sheet.findings[1]?.text).to.equal(BLACKED);
    expect(strikeRecord(struck, t.file.job.id, 'complaint').sheet.complaint).to.equal(BLACKED);
  });

  it('leaves the words of the sheet’s own around it', () => {
    const t = new Desk(FOUR);
    t.file.torques = [
      {
        ...base(t.next()),
        ...{
          slotId: null,
          point: 'wheel:FL',
          targetTyped: '90',
          target: 90,
          typed: '91',
          unit: 'Nm' as const,
          canonical: 91,
          wrench: 'Ada’s',
        },
      },
    ];
    const { id } = t.file.torques[0]!;
    expect(strikeRecord(t.sheet(), id, 'wrench').sheet.torques[0]?.text).to.equal(`91 N·m (target 90 N·m), ${BLACKED}`);
  });

  it('a sheet of an earlier form says of nothing where it came from: its line is picked by sight, and only a line', () => {
    const t = new Desk(FOUR);
    t.say('Call Ada');
    const { made: _none, ...old } = t.sheet();
    expect(strikeRecord(old, 'any', 'words').struck).to.equal(0);
    const struck = strikeLine(old, 'findings.0.text')!;
    expect(struck.findings[0]).to.deep.equal({ ...old.findings[0], text: BLACKED });
    expect(strikeLine(struck, 'findings.0.text')).to.equal(null);
    for (const path of ['findings.0.on', 'findings.9.text', 'vehicleTag', 'figures.0.figure', 'findings', ''])
      expect(strikeLine(old, path), path).to.equal(null);
  });

  const words = fc.string({ unit: 'grapheme', minLength: 1, maxLength: 12 }).filter((w) => w.trim() !== '');
  it('whatever texts stand in whatever line, each is struck by its reference alone, and the rest stays to the letter', () => {
    fc.assert(
      fc.property(fc.array(fc.tuple(words, words, words), { minLength: 1, maxLength: 6 }), fc.nat(), (told, pick) => {
        const line = ([before, own, after]: [string, string, string], i: number) => ({
          ...{ place: 'x', by: 'y', on: NOW },
          text: `${before}${cameFrom(`e${i}`, 'words', own)}${after}${cameFrom(`e${i}`, 'note', own)}`,
        });
        const t = new Desk(FOUR);
        const plain = (text: string): string => text.replace(/[\uE000-\uE002]/g, '');
        const sheet = withRefs({ ...t.sheet(), findings: told.map(line) });
        expect(sheet.findings.map((f) => f.text)).to.deep.equal(told.map(([b, o, a]) => plain(`${b}${o}${a}${o}`)));
        const n = pick % told.length;
        const once = strikeRecord(sheet, `e${n}`, 'words').sheet;
        const [b, o, a] = told[n]!;
        expect(once.findings[n]!.text).to.equal(plain(b) + BLACKED + plain(a) + plain(o));
        const twice = strikeRecord(once, `e${n}`, 'note').sheet;
        expect(twice.findings[n]!.text).to.equal(plain(b) + BLACKED + plain(a) + BLACKED);
        expect(twice.findings.filter((_, i) => i !== n)).to.deep.equal(sheet.findings.filter((_, i) => i !== n));
      }),
    );
  });

  it('lists every text of a job that somebody typed, but for what was blacked out', () => {
    const t = new Desk(FOUR);
    const id = t.say('Call Ada');
    expect(freeTexts(t.file).find((x) => x.corrects === id)).to.include({ field: 'words', text: 'Call Ada', by: 'ann' });
    expect(freeTexts(t.file).some((x) => x.field === 'complaint' && x.text === 'Judder')).to.equal(true);
    t.file.findings = t.file.findings.map((f) => ({ ...f, words: BLACKED }));
    expect(freeTexts(t.file).some((x) => x.corrects === id)).to.equal(false);
  });
});

describe('a sheet of any form', () => {
  it('is read, whatever was kept', () => {
    fc.assert(
      fc.property(fc.jsonValue(), (kept) => {
        const sheet = readSheet(kept);
        expect(readSheet(sheet)).to.deep.equal(sheet);
        expect(sheet.afterCare).to.be.an('array');
      }),
    );
  });

  it('of today’s form is read as it is', () => {
    const t = new Desk(FOUR);
    t.say('Blue');
    expect(readSheet(JSON.parse(JSON.stringify(t.sheet())))).to.deep.equal(t.sheet());
  });
});
