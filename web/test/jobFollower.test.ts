import { expect } from 'chai';
import { JobFollower } from '../src/job/jobFollower.ts';

interface Asked {
  readonly what: string;
  readonly answer: (value: { cursor: string; whole?: boolean; text?: string }) => void;
  readonly fail: (error: Error) => void;
}

/** A follower whose questions are answered by hand, and what it was told to show. */
function following() {
  const asked: Asked[] = [];
  const shown: string[] = [];
  const ask = (what: string) =>
    new Promise<{ cursor: string; whole?: boolean; text?: string }>((resolve, reject) =>
      asked.push({ what, answer: resolve, fail: reject }),
    );
  const follower = new JobFollower<string, string>(
    {
      whole: async (jobId) => {
        const { cursor, text = '' } = await ask(`whole ${jobId}`);
        return { read: text, cursor };
      },
      news: async (jobId, since) => {
        const { cursor, text = '', whole = false } = await ask(`news ${jobId} ${since}`);
        return { news: text, cursor, whole };
      },
    },
    {
      whole: (read) => shown.push(`whole ${read}`),
      news: (news) => shown.push(`news ${news}`),
      failed: (error) => void shown.push(`failed ${(error as Error).message}`),
    },
  );
  const answer = async (value: { cursor: string; whole?: boolean; text?: string }): Promise<void> => {
    asked.shift()!.answer(value);
    await new Promise((resolve) => setTimeout(resolve, 0));
  };
  return { follower, asked, shown, answer };
}

describe('a page that follows a job', () => {
  it('reads it as a whole when it is opened, and what is new after that, each from where the last one ended', async () => {
    const { follower, asked, shown, answer } = following();
    void follower.open('a');
    expect(asked.map((x) => x.what)).to.deep.equal(['whole a']);
    await answer({ cursor: '1', text: 'A' });
    void follower.follow();
    await answer({ cursor: '2', text: 'x' });
    void follower.follow();
    expect(asked.map((x) => x.what)).to.deep.equal(['news a 2']);
    await answer({ cursor: '2', text: 'y' });
    expect(shown).to.deep.equal(['whole A', 'news x', 'news y']);
    expect(follower.readTo).to.equal('2');
  });

  it('asks one thing at a time, and once more for all that was asked for meanwhile', async () => {
    const { follower, asked, shown, answer } = following();
    void follower.open('a');
    for (let i = 0; i < 5; i += 1) void follower.follow();
    expect(asked.length).to.equal(1);
    await answer({ cursor: '1', text: 'A' });
    expect(asked.map((x) => x.what)).to.deep.equal(['news a 1']);
    await answer({ cursor: '2', text: 'x' });
    expect(asked.length).to.equal(0);
    expect(shown).to.deep.equal(['whole A', 'news x']);
  });

  it('lets go of what comes in about a job that was left', async () => {
    const { follower, asked, shown } = following();
    void follower.open('a');
    const late = asked.shift()!;
    void follower.open('b');
    asked.shift()!.answer({ cursor: '7', text: 'B' });
    await new Promise((resolve) => setTimeout(resolve, 0));
    late.answer({ cursor: '1', text: 'A' });
    await new Promise((resolve) => setTimeout(resolve, 0));
    expect(shown).to.deep.equal(['whole B']);
    expect(follower.readTo).to.equal('7');
    void follower.follow();
    expect(asked.map((x) => x.what)).to.deep.equal(['news b 7']);
  });

  it('reads the whole again where the book says so', async () => {
    const { follower, asked, shown, answer } = following();
    void follower.open('a');
    await answer({ cursor: 'old.1', text: 'A' });
    void follower.follow();
    await answer({ cursor: 'new.1', whole: true });
    expect(asked.map((x) => x.what)).to.deep.equal(['whole a']);
    await answer({ cursor: 'new.2', text: 'A again' });
    expect(shown).to.deep.equal(['whole A', 'news ', 'whole A again']);
  });

  it('says what failed, keeps where it was, and goes on from there', async () => {
    const { follower, asked, shown, answer } = following();
    void follower.open('a');
    await answer({ cursor: '1', text: 'A' });
    const follow = follower.follow();
    asked.shift()!.fail(new Error('away'));
    await follow;
    expect(shown.at(-1)).to.equal('failed away');
    void follower.follow();
    expect(asked.map((x) => x.what)).to.deep.equal(['news a 1']);
  });

  it('goes on from what the device kept, and asks for nothing where no job is open', async () => {
    const { follower, asked } = following();
    await follower.follow();
    expect(asked.length).to.equal(0);
    const open = follower.open('a');
    asked.shift()!.fail(new Error('away'));
    await open;
    follower.goOnFrom('5');
    void follower.follow();
    expect(asked.map((x) => x.what)).to.deep.equal(['news a 5']);
  });
});
