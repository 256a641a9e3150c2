import { expect } from 'chai';
import fc from 'fast-check';
import { OPERATION_TEMPLATES, operationFor } from '../src/catalogue/operations.ts';
import { OPTION_NAME, type OptionId, optionsFor } from '../src/catalogue/repairOptions.ts';
import { deriveJob } from '../src/job/job.ts';
import { type ComponentKind, type Corner, isGripped, KIND_FACTS } from '../src/layout/kinds.ts';
import { toResult } from '../src/quantity/domainError.ts';
import { optionsOf, whyNotMachine } from '../src/readiness/options.ts';
import { freePoint, isWorked, TORQUE_TOLERANCE, torqueFault, torquePoints } from '../src/stages/torquePoints.ts';
import { openHistory } from '../src/history/jobHistory.ts';
import { alikeTo, sidesDiffer } from '../src/views/bothSides.ts';
import { buildSheet } from '../src/views/handback.ts';
import { base, LIMIT, NOW, JobFixture } from './jobFixture.ts';

const KINDS = Object.keys(KIND_FACTS) as ComponentKind[];
const eight = (figure: string): string[] => Array.from({ length: 8 }, () => figure);
const ruled = (t: JobFixture, slotId: string): Record<string, string | null> => {
  const c = t.component(slotId);
  return Object.fromEntries(optionsOf(openHistory(t.file), c).map((o) => [o.id, o.ruledOut]));
};

describe('options', () => {
  it('every kind can be used again, replaced or put off; only what has seals is resealed, only what is gripped is machined', () => {
    for (const kind of KINDS) {
      const options = optionsFor(kind);
      expect(options, kind).to.include.members(['use_again', 'replace', 'put_off']);
      expect(options.includes('machine'), kind).to.equal(isGripped(kind));
      expect(new Set(options).size, kind).to.equal(options.length);
      for (const o of options) expect(OPTION_NAME[o]).to.be.a('string');
    }
    expect(optionsFor('caliper')).to.include('reseal');
    expect(optionsFor('pads')).to.not.include('reseal');
  });
  it('past on safety rules out keeping it, by the reading', () => {
    const t = new JobFixture();
    t.gauge(t.slot('rotor'), eight('10.80'));
    const by = ruled(t, t.slot('rotor'));
    for (const id of ['use_again', 'put_off'] as const)
      expect(by[id], id).to.equal('Rotor thickness 10.80 mm, limit at least 11.00 mm: past.');
    expect(by['replace']).to.equal(null);
    expect(by['machine']).to.include('beyond machining');
  });
  it('past on function leaves the choice, and blocks the hand-back by itself', () => {
    const t = new JobFixture();
    t.gauge(t.slot('rotor'), ['0.00', '0.05', '0.12', '0.20', '0.22', '0.18', '0.10', '0.03'], { measurement: 'rotor_runout' });
    expect(ruled(t, t.slot('rotor'))['use_again']).to.equal(null);
    expect(deriveJob(t.file, NOW).blocks.some((b) => b.key.endsWith(':rotor_runout'))).to.equal(true);
  });
  it('a finding rules out what it names, and no more', () => {
    const t = new JobFixture();
    t.find(t.slot('piston'), { severity: 'reject', words: 'Pitted where the seal sits', rulesOut: ['use_again'] });
    const by = ruled(t, t.slot('piston'));
    expect([by['use_again'], by['put_off'], by['replace']]).to.deep.equal(['Finding: Pitted where the seal sits', null, null]);
  });
  it('a watch or a note rules out nothing', () => {
    const t = new JobFixture();
    for (const severity of ['note', 'watch', 'doubt'] as const) t.find(t.slot('hose'), { severity, rulesOut: ['use_again'] });
    expect(Object.values(ruled(t, t.slot('hose'))).every((v) => v === null)).to.equal(true);
  });
  it('what the part allows to be cut decides about machining, and says by how much it misses', () => {
    const t = new JobFixture();
    t.gauge(t.slot('rotor'), eight('11.45'));
    expect(ruled(t, t.slot('rotor'))['machine']).to.equal('From 11.45 mm it would come out at 11.35 mm; machine-to is 11.40 mm.');
    const thick = new JobFixture();
    thick.gauge(thick.slot('rotor'), eight('12.40'));
    expect(ruled(thick, thick.slot('rotor'))['machine']).to.equal(null);
  });
  it('without a machine-to figure nothing is machined', () => {
    const t = new JobFixture(['FL'], [{ ...LIMIT, machineTo: null }]);
    t.gauge(t.slot('rotor'), eight('12.40'));
    expect(ruled(t, t.slot('rotor'))['machine']).to.equal('No machine-to figure on file.');
  });
  it('the two sides of an axle are decided alike, or a reason says why not', () => {
    const t = new JobFixture(['FL', 'FR']);
    const said = (corner: Corner): string | null => {
      const { components } = deriveJob(t.file, NOW);
      return sidesDiffer(
        t.layout,
        components,
        components.find((c) => c.slot.id === t.slot('rotor', corner))!,
      );
    };
    const decide = (corner: Corner, option: OptionId, reason: string): void => {
      t.decide(t.slot('rotor', corner), option);
      t.file.decisions = t.file.decisions.map((d, i, all) => (i === all.length - 1 ? { ...d, reason } : d));
    };
    decide('FL', 'replace', '');
    expect(said('FL')).to.equal(null);
    decide('FR', 'use_again', '');
    expect(said('FL')).to.equal('Front right rotor is decided otherwise (use again). Both sides alike, or a reason.');
    expect(said('FR')).to.include('Front left rotor is decided otherwise (replace new)');
    decide('FR', 'use_again', 'New last month');
    expect([said('FL'), said('FR')]).to.deep.equal([null, null]);
    decide('FR', 'replace', '');
    expect(said('FL')).to.equal(null);
  });
  it('nothing measured rules out nothing', () => {
    const t = new JobFixture();
    expect(Object.values(ruled(t, t.slot('rotor'))).every((v) => v === null)).to.equal(true);
    expect(whyNotMachine('rotor', [], null)).to.equal(null);
  });
  it('the thinner the rotor, the less may be done with it', () => {
    const figure = fc.integer({ min: 1080, max: 1270 });
    fc.assert(
      fc.property(figure, figure, (a, b) => {
        const free = (hundredths: number): string[] => {
          const t = new JobFixture();
          t.gauge(t.slot('rotor'), eight((hundredths / 100).toFixed(2)));
          return Object.entries(ruled(t, t.slot('rotor'))).flatMap(([id, why]) => (why === null ? [id] : []));
        };
        expect(free(Math.max(a, b))).to.include.members(free(Math.min(a, b)));
      }),
      { numRuns: 40 },
    );
  });
});

describe('operations and torques', () => {
  it('a usual operation belongs to a kind and an option that such a part has', () => {
    for (const t of OPERATION_TEMPLATES) {
      expect(optionsFor(t.kind), `${t.kind} ${t.option}`).to.include(t.option);
      expect(t.attendedMinutes).to.be.above(0);
      expect(operationFor(t.kind, t.option)).to.equal(t);
    }
    expect(operationFor('pedal', 'replace')).to.equal(undefined);
  });

  const pointsOf = (t: JobFixture, corners: Corner[] = ['FL']): string[] =>
    torquePoints(deriveJob(t.file, NOW).components, corners, true).map((p) => p.name);
  it('wheels of every corner taken in, and what was opened', () => {
    const t = new JobFixture();
    expect(pointsOf(t, ['FL', 'RR'])).to.deep.equal(['Front left wheel nuts', 'Rear right wheel nuts']);
    t.decide(t.slot('hose'), 'replace');
    t.decide(t.slot('rotor'), 'machine');
    expect(pointsOf(t)).to.deep.equal(['Front left caliper mounting bolts', 'Front left hose end unions', 'Front left wheel nuts']);
  });
  it('the bolts of a floating caliper whose pads were changed, the nut of a hub that was off, a bleeder that was opened', () => {
    const t = new JobFixture(['RL']);
    const pads = t.slot('pads', 'RL');
    t.part(pads, 'removed');
    t.part(pads, 'fitted', 'new pads');
    expect(pointsOf(t, ['RL'])).to.deep.equal(['Rear left caliper guide or mounting bolts', 'Rear left wheel nuts']);
    const fixed = new JobFixture();
    fixed.part(fixed.slot('pads'), 'removed');
    fixed.part(fixed.slot('pads'), 'fitted', 'new pads');
    expect(pointsOf(fixed), 'pads come out of a fixed one through its window').to.deep.equal(['Front left wheel nuts']);
    t.part(t.slot('hub', 'RL'), 'removed');
    t.part(t.slot('hub', 'RL'), 'fitted', `part:${t.slot('hub', 'RL')}`);
    expect(pointsOf(t, ['RL'])).to.include('Rear left hub nut');
    const bled = torquePoints(deriveJob(t.file, NOW).components, [], false, new Set([t.slot('bleeder', 'RL')]));
    expect(bled.map((p) => p.name)).to.include('Rear left bleeder seat');
  });
  it('a bleeder is owed a figure, held against none where no book names one; a wheel needs its target', () => {
    expect(torqueFault({ point: 'bleeder:x', target: 0, canonical: 8 })).to.equal(null);
    expect(torqueFault({ point: freePoint('bracket'), target: 0, canonical: 8 })).to.equal(null);
    expect(torqueFault({ point: 'caliper:x', target: 0, canonical: 8 })).to.equal('It has no target to be held against.');
    expect(torqueFault({ point: 'bleeder:x', target: 10, canonical: 8 }), 'one that is named is held to').to.equal(
      'More than a tenth off its target.',
    );
  });
  it('a wheel torqued before its bleeding is owed again, where the wheel came off for it', () => {
    const torque = (t: JobFixture): void => {
      t.file.torques = [
        ...t.file.torques,
        {
          ...base(t.next()),
          slotId: null,
          point: 'wheel:FL',
          targetTyped: '100',
          target: 100,
          typed: '100',
          unit: 'Nm',
          canonical: 100,
          wrench: '',
        },
      ];
    };
    const draw = (t: JobFixture, corner: Corner): void => {
      const pull = { volumeMl: 120, volumeTyped: '120', colour: 'clear' as const, air: 'none' as const, closed: true, method: null };
      t.file.bleedPulls = [...t.file.bleedPulls, { ...base(t.next()), slotId: t.slot('bleeder', corner), ...pull }];
    };
    const lapsed = (t: JobFixture): boolean => deriveJob(t.file, NOW).context.proofStatus.torque('wheel:FL')?.lapsed !== null;
    const t = new JobFixture();
    torque(t);
    draw(t, 'FR');
    expect(lapsed(t), 'another wheel').to.equal(false);
    draw(t, 'FL');
    expect(lapsed(t)).to.equal(true);
    torque(t);
    expect(lapsed(t)).to.equal(false);
    const fluid = new JobFixture();
    fluid.file.job = { ...fluid.file.job, kind: 'fluid' };
    torque(fluid);
    draw(fluid, 'FL');
    expect(lapsed(fluid), 'only the fluid is changed: the wheel stays on').to.equal(false);
  });
  it('what is used again or put off is not taken apart', () => {
    const options: OptionId[] = ['use_again', 'put_off'];
    for (const option of options) {
      const t = new JobFixture();
      t.decide(t.slot('caliper'), option);
      expect(isWorked(t.component(t.slot('caliper')))).to.equal(false);
      expect(pointsOf(t)).to.deep.equal(['Front left wheel nuts']);
    }
  });
  it('a torque a tenth off its target still holds, beyond that it is set again', () => {
    expect(torqueFault({ point: 'wheel:FL', target: 100, canonical: 110 })).to.equal(null);
    expect(torqueFault({ point: 'wheel:FL', target: 100, canonical: 90 })).to.equal(null);
    expect(torqueFault({ point: 'wheel:FL', target: 100, canonical: 110.1 })).to.equal('More than a tenth off its target.');
    expect(torqueFault({ point: 'wheel:FL', target: 0, canonical: 10 })).to.equal('It has no target to be held against.');
    fc.assert(
      fc.property(fc.double({ min: 1, max: 500, noNaN: true }), fc.double({ min: -0.3, max: 0.3, noNaN: true }), (target, off) => {
        fc.pre(Math.abs(Math.abs(off) - TORQUE_TOLERANCE) > 1e-6);
        expect(torqueFault({ point: 'wheel:FL', target, canonical: target * (1 + off) }) === null).to.equal(
          Math.abs(off) < TORQUE_TOLERANCE,
        );
      }),
    );
  });
  it('a torque far off its target closes nothing', () => {
    const t = new JobFixture();
    t.gauge(t.slot('rotor'), eight('12.40'));
    const torque = (canonical: number) => {
      const row = { ...base(t.next()), slotId: null, point: 'wheel:FL', targetTyped: '88', target: 88, typed: '', unit: 'Nm' as const };
      t.file.torques = [...t.file.torques, { ...row, canonical, wrench: '' }];
    };
    const state = () => deriveJob(t.file, NOW).obligations.find((o) => o.key === 'torque:wheel:FL')?.state;
    expect(state()).to.equal('open');
    torque(60);
    expect(state()).to.equal('open');
    torque(88);
    expect(state()).to.equal('closed');
  });
  it('a refusal is a value where it is asked for, and anything else goes on being thrown', () => {
    expect(toResult(() => 3)).to.deep.equal({ ok: true, value: 3 });
    expect(() => toResult(() => JSON.parse('{'))).to.throw(SyntaxError);
  });
});

describe('decided in one tap', () => {
  it('the other side of the axle, and all others of the kind, where nothing rules it out', () => {
    const t = new JobFixture(['FL', 'FR', 'RL', 'RR']);
    const [fl, fr, rl, rr] = (['FL', 'FR', 'RL', 'RR'] as const).map((c) => t.slot('pads', c));
    const alike = () => {
      const { components, history } = deriveJob(t.file, NOW);
      const found = alikeTo(
        history,
        components,
        components.find((c) => c.slot.id === fl)!,
      );
      return [found.across?.slot.id ?? null, found.others.map((c) => c.slot.id)];
    };
    expect(alike(), 'nothing is decided yet').to.deep.equal([null, []]);
    t.decide(fl!, 'use_again');
    expect(alike()).to.deep.equal([fr, [fr, rl, rr]]);
    t.find(fr!, { severity: 'reject', words: 'Soaked', rulesOut: ['use_again'] });
    expect(alike(), 'ruled out across').to.deep.equal([null, [rl, rr]]);
    t.decide(rl!, 'replace');
    expect(alike(), 'decided otherwise stays').to.deep.equal([null, [rr]]);
  });
});

describe('what a lead accepts of their own measuring', () => {
  it('stands on the sheet as checked alone', () => {
    const t = new JobFixture();
    const rotor = t.slot('rotor');
    t.gauge(
      rotor,
      Array.from({ length: 8 }, () => '11.01'),
    );
    const accept = (authorId: string): string => {
      const key = `second:${rotor}:rotor_thickness`;
      t.file.acceptances = [{ ...base(t.next(), { authorId }), obligation: `${key}|lead|x`, reason: 'Nobody else is here' }];
      return buildSheet(deriveJob(t.file, NOW), NOW).accepted[0]!.text;
    };
    expect(accept('ann')).to.equal('Nobody else is here; checked alone');
    expect(accept('ben')).to.equal('Nobody else is here');
  });
});
