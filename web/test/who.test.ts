import { expect } from 'chai';
import fc from 'fast-check';
import { type Me, NOBODY, stillHere, type Who, type WhoAction, whoIs } from '../src/app/who.ts';

const me = (id: string, until = '2026-02-01T00:00:00.000Z'): Me => ({
  person: { id, name: `Name of ${id}`, initials: id, role: 'technician', active: true },
  hasPin: false,
  until,
  shop: { name: 'Shop', timeZone: 'UTC', currency: null },
});
const named = (id: string) => ({ id, name: `Name of ${id}` });

describe('whom a page works for', () => {
  const ann: Who = { me: me('ann'), lock: null };
  it('locks when somebody else signs in on another page, and says who; its figures stay whose they are', () => {
    const { who, then } = whoIs(ann, { kind: 'heard', person: named('ben') });
    expect([who.me?.person.id, who.lock, then]).to.deep.equal(['ann', { why: 'other', name: 'Name of ben' }, 'forget_and_ask']);
    // The server says whose the session is: of two who signed in at once, the later.
    expect(whoIs(who, { kind: 'found', me: me('ann') }).who).to.deep.equal(ann);
  });
  it('locks when its person signs out on another page, and opens again when they sign in there', () => {
    const out = whoIs(ann, { kind: 'heard', person: null });
    expect([out.who.lock, out.then]).to.deep.equal([{ why: 'out' }, 'forget']);
    const back = whoIs(out.who, { kind: 'heard', person: named('ann') });
    expect(back.then).to.equal('ask');
    expect(whoIs(back.who, { kind: 'found', me: me('ann') }).who).to.deep.equal(ann);
  });
  it('goes on where its person signs in again, and begins anew for anybody else', () => {
    const ended = whoIs(ann, { kind: 'found', me: null });
    expect([ended.who.lock, ended.then]).to.deep.equal([{ why: 'ended' }, 'forget']);
    expect(whoIs(ended.who, { kind: 'signed_in', me: me('ann') })).to.deep.equal({ who: ann, then: null });
    expect(whoIs(ended.who, { kind: 'signed_in', me: me('ben') }).then).to.equal('begin_anew');
  });
  it('a page that nobody signed in on asks who is here when somebody signs in on another', () => {
    expect(whoIs(NOBODY, { kind: 'heard', person: named('ben') })).to.deep.equal({ who: NOBODY, then: 'ask' });
    expect(whoIs(NOBODY, { kind: 'heard', person: null }).then).to.equal(null);
  });
  it('never shows or takes anything for another than whose page it is, whatever happens in whatever order', () => {
    const ID = fc.constantFrom('ann', 'ben', 'cyd');
    const action = fc.oneof(
      ID.map((id): WhoAction => ({ kind: 'signed_in', me: me(id) })),
      fc.option(ID, { nil: null }).map((id): WhoAction => ({ kind: 'found', me: id === null ? null : me(id) })),
      fc.option(ID, { nil: null }).map((id): WhoAction => ({ kind: 'heard', person: id === null ? null : named(id) })),
      fc.constant<WhoAction>({ kind: 'signed_out' }),
    );
    fc.assert(
      fc.property(fc.array(action, { maxLength: 20 }), (actions) => {
        let who = NOBODY;
        for (const a of actions) {
          const before = who;
          const { who: next, then } = whoIs(who, a);
          who = next;
          // A page changes hands only through nobody, or by beginning anew.
          if (before.me && who.me) expect(who.me.person.id).to.equal(before.me.person.id);
          const here =
            a.kind === 'signed_in' || a.kind === 'found' ? (a.me?.person.id ?? null) : a.kind === 'heard' ? (a.person?.id ?? null) : null;
          if (who.me && !who.lock && a.kind !== 'signed_out') expect(who.me.person.id).to.equal(here);
          if (before.me && !before.lock && (who.lock ?? !who.me)) expect(then).to.be.oneOf(['forget', 'forget_and_ask', 'begin_anew']);
        }
      }),
    );
  });
  it('a session that is over by now is not taken for open where the device is cut off', () => {
    expect(stillHere(me('ann'), '2026-01-31T23:59:59.000Z')?.person.id).to.equal('ann');
    expect(stillHere(me('ann'), '2026-02-01T00:00:00.000Z')).to.equal(null);
    expect(stillHere(null, '2026-01-01T00:00:00.000Z')).to.equal(null);
  });
});
