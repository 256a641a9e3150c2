import { DomainError } from '@dauer/core/quantity';
import { expect } from 'chai';
import { type DraftRow, draftOf, readDraft, withNext } from '../src/features/rebuild/line/lineDraft.ts';

const draft = (rows: DraftRow[], over: object = {}) => ({ ...draftOf(null), rows: withNext(rows), ...over });
const refusal = (of: () => unknown): string => {
  try {
    of();
  } catch (error) {
    if (error instanceof DomainError) return error.message;
    throw error;
  }
  return '';
};

describe('a line as it is typed', () => {
  it('is read in whatever unit is typed, and what nobody typed in is no straight', () => {
    const { cut, shape } = readDraft(
      draft([
        ['20 cm', '90', ''],
        ['150', '', ''],
      ]),
    );
    expect(shape.stretches).to.have.length(2);
    expect(cut.cutMm).to.be.closeTo(343.561944902 + 5, 1e-6);
    expect(cut.bends).to.have.length(1);
  });

  it('is the same by points as by straights, also where a coordinate lies the other way', () => {
    const points = draft(
      [
        ['0', '0', '0'],
        ['-200', '0', '0'],
        ['−200', '150', '0'],
      ],
      { as: 'points' },
    );
    expect(readDraft(points).cut.cutMm).to.be.closeTo(
      readDraft(
        draft([
          ['200', '90', ''],
          ['150', '', ''],
        ]),
      ).cut.cutMm,
      1e-9,
    );
  });

  it('is refused with what is wrong: words, a bend at the very end, bends without room, a tube bent too tight', () => {
    expect(refusal(() => readDraft(draft([['long', '', '']])))).to.not.equal('');
    expect(refusal(() => readDraft(draft([['200', '90', '']])))).to.equal('After the last bend comes a straight: type it.');
    expect(
      refusal(() =>
        readDraft(
          draft([
            ['200', '90', ''],
            ['20', '90', ''],
            ['100', '', ''],
          ]),
        ),
      ),
    ).to.match(/too near/);
    expect(
      refusal(() =>
        readDraft(
          draft(
            [
              ['200', '90', ''],
              ['150', '', ''],
            ],
            { radius: '10' },
          ),
        ),
      ),
    ).to.match(/3 times/);
    expect(
      refusal(() =>
        readDraft(
          draft([
            ['200', '190', ''],
            ['150', '', ''],
          ]),
        ),
      ),
    ).to.match(/less than 180/);
    expect(refusal(() => readDraft(draft([])))).to.match(/two ends/);
  });

  it('has an empty row to be typed in next, and one only', () => {
    expect(withNext([])).to.deep.equal([['', '', '']]);
    expect(withNext([['1', '', '']])).to.have.length(2);
    expect(withNext(withNext([['1', '', '']]))).to.have.length(2);
  });

  it('begins again from the shape that was kept', () => {
    const first = readDraft(
      draft([
        ['200', '90', ''],
        ['150', '45', '90'],
        ['80', '', ''],
      ]),
    );
    const kept = {
      ...first.shape,
      connectionId: 'c',
      by: 'wire' as const,
      note: '',
      id: 'i',
      jobId: 'j',
      authorId: 'a',
      device: 'd',
      happenedAt: '',
      recordedAt: '',
      corrects: null,
    };
    expect(readDraft(draftOf(kept)).cut).to.deep.equal(first.cut);
    expect(draftOf(kept).by).to.equal('wire');
  });
});
