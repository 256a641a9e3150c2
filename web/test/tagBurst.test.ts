import { tagCode } from '@dauer/core/supply';
import { expect } from 'chai';
import { TagBurst } from '../src/fittings/tagBurst.ts';

const typed = (burst: TagBurst, text: string, gap: number, from = 1000): unknown[] =>
  [...text, 'Enter'].map((key, i) => burst.feed(key, from + i * gap));

describe('a scanner that types a tag', () => {
  it('is told from a hand by its pace and from a gauge by how its code begins', () => {
    const code = tagCode('P 2207');
    const answers = typed(new TagBurst(), code, 8);
    expect(answers[0]).to.equal('begun');
    expect(new Set(answers.slice(1, -1))).to.deep.equal(new Set(['within']));
    expect(answers.at(-1)).to.deep.equal({ code });
    expect(typed(new TagBurst(), code, 200).at(-1), 'a hand').to.equal(null);
    expect(
      typed(new TagBurst(), '12.475', 5).every((a) => a === null),
      'a gauge',
    ).to.equal(true);
  });

  it('begins anywhere, with small letters, and with the Shift key in between', () => {
    const burst = new TagBurst();
    for (const [i, key] of [...'day'].entries()) burst.feed(key, 1000 + i * 5);
    expect(typed(burst, 'dauer:p 1:00', 8, 2000).at(-1)).to.deep.equal({ code: 'dauer:p 1:00' });
    let last: unknown = null;
    for (const [i, key] of ['Shift', 'D', 'Shift', 'A', 'U', 'E', 'R', 'Shift', ':', 'P', 'Enter'].entries())
      last = burst.feed(key, 5000 + i * 6);
    expect(last).to.deep.equal({ code: 'DAUER:P' });
    expect(typed(new TagBurst(), 'dauer:', 5).at(-1), 'a code of nothing').to.equal(null);
    expect(typed(new TagBurst(), 'dad', 5).at(-1)).to.equal(null);
  });
});
