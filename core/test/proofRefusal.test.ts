import { expect } from 'chai';
import { FIRST_PRESS, type ProofItem, type ProofResult } from '../src/catalogue/proofItems.ts';
import { fileUntil } from '../src/history/asOf.ts';
import { lastPartIn } from '../src/history/whereabouts.ts';
import { deriveJob, type JobState } from '../src/job/job.ts';
import { jointsOf } from '../src/readiness/joints.ts';
import { mayMove } from '../src/views/mayMove.ts';
import { heldRefusal, proofAsks, proofRefusal } from '../src/views/proofRefusal.ts';
import { base, FOUR, JobFixture, NOW } from './jobFixture.ts';

const state = (t: JobFixture): JobState => deriveJob(t.file, NOW);
const itemOf = (s: JobState, name: string): ProofItem | undefined => s.context.proofItems.find((i) => i.item === name);
const why = (t: JobFixture, name: string, result: ProofResult = 'passed', note = ''): string | null => {
  const s = state(t);
  const item = itemOf(s, name);
  if (!item) throw new Error(`${name} is not asked`);
  return proofRefusal(s, item, result, note);
};
function prove(t: JobFixture, item: string, result: ProofResult = 'passed'): void {
  t.file.proofs = [...t.file.proofs, { ...base(t.next()), item, slotId: null, corner: null, result, note: '' }];
}
function draw(t: JobFixture, corner: (typeof FOUR)[number]): void {
  const pull = { volumeMl: 120, volumeTyped: '120', colour: 'clear' as const, air: 'none' as const, closed: true, method: null };
  t.file.bleedPulls = [...t.file.bleedPulls, { ...base(t.next()), slotId: t.slot('bleeder', corner), ...pull }];
}
/** Pads off and on again. */
function pads(t: JobFixture): void {
  const slot = t.slot('pads');
  t.part(slot, 'removed');
  t.part(slot, 'fitted', lastPartIn(slot, t.file.partEvents)!);
}
const open = (t: JobFixture, key: string): boolean => state(t).obligations.some((o) => o.key === key && o.state === 'open');

describe('the drag of the parking brake', () => {
  it('is a figure of its own, and ended by what holds when the lever is pulled', () => {
    const t = new JobFixture(FOUR, [], 'drums_single');
    const shoes = t.slot('shoes', 'RL');
    t.part(t.slot('drum', 'RL'), 'removed');
    t.part(shoes, 'removed');
    t.part(shoes, 'fitted', 'new shoes');
    t.part(t.slot('drum', 'RL'), 'fitted', `part:${t.slot('drum', 'RL')}`);
    expect(open(t, 'proof:parking_drag')).to.equal(true);
    expect(why(t, 'parking_drag'), 'no figure').to.match(/rear left hub parking drag, rear right hub parking drag/);
    t.sound('parking_drag');
    prove(t, 'parking_drag');
    expect(open(t, 'proof:parking_drag')).to.equal(false);
    t.part(t.slot('drum', 'RR'), 'removed');
    expect(open(t, 'proof:parking_drag')).to.equal(true);
  });
});

describe('the first press', () => {
  it('is owed once a piston, lining, rotor, drum or shoe was moved, and by nothing else', () => {
    const t = new JobFixture(FOUR);
    expect(itemOf(state(t), FIRST_PRESS)).to.equal(undefined);
    t.part(t.slot('servo', null), 'removed');
    expect(itemOf(state(t), FIRST_PRESS), 'a servo moves no piston').to.equal(undefined);
    for (const kind of ['pads', 'rotor', 'caliper', 'piston'] as const) {
      const one = new JobFixture(FOUR);
      one.part(one.slot(kind), 'removed');
      expect(open(one, `proof:${FIRST_PRESS}`), kind).to.equal(true);
    }
    const freed = new JobFixture(FOUR);
    freed.part(freed.slot('piston'), 'freed');
    expect(open(freed, `proof:${FIRST_PRESS}`), 'freed in its bore').to.equal(true);
  });
  it('comes before every other proof that presses the pedal; a failure, and what was not tried, are told at once', () => {
    const t = new JobFixture(FOUR);
    pads(t);
    for (const item of ['pedal_return', 'stop_lamp', 'leak_look', 'pedal_hold', 'complaint', 'road_walk', 'road'])
      expect(why(t, item, item === 'complaint' ? 'gone' : 'passed', 'Ramp, 14 km'), item).to.match(/^Pump the pedal up first/);
    expect(why(t, 'pedal_hold', 'failed')).to.equal(null);
    expect(why(t, 'pedal_return', 'not_tried', 'Battery is off')).to.equal(null);
    const item = itemOf(state(t), 'pedal_return')!;
    expect(proofAsks(item, 'not_tried', ''), 'says why').to.match(/say why it cannot be tried here/);
    expect(proofAsks(item, 'not_tried', 'Battery is off')).to.equal(null);
    expect(why(t, 'warning_lamps'), 'presses nothing').to.equal(null);
    expect(why(t, FIRST_PRESS)).to.equal(null);
    prove(t, FIRST_PRESS);
    t.sound('pedal_return');
    expect(why(t, 'pedal_return')).to.equal(null);
  });
  it('ends again with the next lining that is moved, and says by what', () => {
    const t = new JobFixture(FOUR);
    pads(t);
    prove(t, FIRST_PRESS);
    expect(open(t, `proof:${FIRST_PRESS}`)).to.equal(false);
    pads(t);
    expect(open(t, `proof:${FIRST_PRESS}`)).to.equal(true);
    expect(state(t).obligations.find((o) => o.key === `proof:${FIRST_PRESS}`)?.why).to.match(/front left pads fitted since/);
  });
  it('keeps the vehicle where it stands, whatever the parking brake holds', () => {
    const t = new JobFixture(FOUR);
    t.sound('parking');
    prove(t, 'parking');
    expect(mayMove(state(t)).level).to.equal('yard_only');
    pads(t);
    const stays = mayMove(state(t));
    expect([stays.level, stays.reasons.some((r) => r.about === 'first_press'), stays.next?.key]).to.deep.equal([
      'do_not_move',
      true,
      `proof:${FIRST_PRESS}`,
    ]);
    prove(t, FIRST_PRESS);
    expect(mayMove(state(t)).level).to.equal('yard_only');
  });
  it('is asked of what had happened by then, also where it came in later', () => {
    const t = new JobFixture(FOUR);
    const before = base(t.next()).happenedAt;
    pads(t);
    expect(itemOf(deriveJob(fileUntil(t.file, before), before), FIRST_PRESS)).to.equal(undefined);
    expect(itemOf(deriveJob(fileUntil(t.file, NOW), NOW), FIRST_PRESS)?.item).to.equal(FIRST_PRESS);
  });
});

describe('a proof that cannot be true yet', () => {
  it('is one of the pedal over a circuit that is not bled', () => {
    const t = new JobFixture(FOUR);
    const joint = jointsOf(t.layout).find((j) => j.slot.id === t.slot('hose'))!;
    const at = { connectionId: joint.connection.id, slotId: joint.slot.id, seal: null, typed: null, torqueNm: null, note: '' };
    for (const kind of ['opened', 'made', 'torqued'] as const)
      t.file.jointEvents = [...t.file.jointEvents, { ...base(t.next()), ...at, kind }];
    for (const item of ['pedal_hold', 'pedal_reserve', 'leak_look']) expect(why(t, item), item).to.match(/no fluid that holds yet/);
    expect(why(t, 'stop_lamp'), 'needs no fluid').to.equal(null);
    expect(heldRefusal(state(t), joint.slot.id)).to.match(/no fluid under it yet: since the joint at the front left hose was made/);
    draw(t, 'FL');
    expect(heldRefusal(state(t), joint.slot.id)).to.equal(null);
    for (const corner of FOUR) draw(t, corner);
    t.sound('pedal_hold');
    expect(why(t, 'pedal_hold')).to.equal(null);
  });
  it('is the road where the vehicle is not for the road, or nobody says where and how far', () => {
    const t = new JobFixture(FOUR);
    expect(why(t, 'road', 'passed', 'The hill, 14 km')).to.match(/not for the road yet/);
    const drove = (result: 'passed' | 'failed', note: string, km: number | null, felt: readonly string[] | null) =>
      proofRefusal(state(t), itemOf(state(t), 'road')!, result, note, { km, felt });
    expect(drove('failed', 'The hill', 2, ['pulls_left']), 'it was driven, and failed').to.equal(null);
    expect(drove('failed', 'The hill', null, [])).to.match(/how far/);
    expect(drove('failed', 'The hill', 2, null)).to.match(/what was felt, or that nothing was/);
    expect(drove('failed', '', 2, [])).to.match(/say where/);
    const asks = (felt: readonly string[]) => proofAsks(itemOf(state(t), 'road')!, 'passed', 'The hill', { km: 14, felt });
    expect(asks([])).to.equal(null);
    expect(asks(['judder', 'pulls_left']), 'what was felt did not pass').to.match(/^Felt on the road: judder, pulls left\./);
    expect(why(t, 'road_walk')).to.match(/must not be moved/);
    t.sound('parking');
    prove(t, 'parking');
    expect(why(t, 'road_walk')).to.equal(null);
  });
  it('is a parking brake without its figure', () => {
    const t = new JobFixture(FOUR);
    expect(why(t, 'parking', 'passed', 'both rear wheels')).to.match(/its figures first, parking lever clicks, parking lever slope held/);
    t.sound('parking');
    expect(why(t, 'parking')).to.match(/say which wheels it holds/);
    expect(why(t, 'parking', 'passed', 'both rear wheels')).to.equal(null);
  });
});

describe('a road test by two', () => {
  /** A road test that somebody passed, in a house that wants two. */
  function driven(school: 'one' | 'two') {
    const t = new JobFixture(FOUR);
    t.file.houseRules = [{ id: 'r', rule: 'road_second', school, reason: 'ours', enteredBy: 'ann', enteredAt: NOW }];
    const drive = (authorId: string): void => {
      const said = {
        item: 'road',
        slotId: null,
        corner: null,
        result: 'passed' as const,
        note: 'The hill',
        roadTyped: '14',
        roadKm: 14,
        felt: [],
      };
      t.file.proofs = [...t.file.proofs, { ...base(t.next(), { authorId }), ...said }];
    };
    drive('ann');
    return { t, drive, road: () => state(t).obligations.find((o) => o.key === 'proof:road')! };
  }
  it('is closed by one where the house wants one', () => {
    expect(driven('one').road().state).to.equal('closed');
  });
  it('waits for another person where the house wants two, and the same one twice is one', () => {
    const { t, drive, road } = driven('two');
    expect([road().state, road().acceptBy]).to.deep.equal(['open', 'lead']);
    expect(road().why).to.match(/second person drives it/);
    drive('ann');
    expect(road().state).to.equal('open');
    drive('ben');
    expect(road().state).to.equal('closed');
    t.part(t.slot('pads'), 'removed');
    t.part(t.slot('pads'), 'fitted');
    drive('ann');
    expect(road().state, 'what the second drove before was ended').to.equal('open');
  });
});
