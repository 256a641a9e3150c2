import { expect } from 'chai';
import fc from 'fast-check';
import { PROCESS_IDS, PROCESSES } from '../src/catalogue/processes.ts';
import { openHistory } from '../src/history/jobHistory.ts';
import { gateFacts, isHeld } from '../src/readiness/cardGates.ts';
import { timerStates, whyNotTimed } from '../src/readiness/timers.ts';
import { TIMER_REFUSED } from '../src/wording/en/timers.ts';
import { base, FOUR, JobFixture } from './jobFixture.ts';

const at = (minute: number): string => base(minute).happenedAt;

describe('a clock of a process', () => {
  const job = new JobFixture(FOUR);
  const slot = job.layout.slots.find((s) => s.kind === 'caliper' && s.corner === 'FL')!;
  const cure = {
    ...base(100),
    slotId: slot.id,
    process: 'powder_cure',
    minutes: 20,
    fromC: 190,
    toC: 210,
    metal: 'iron_or_steel',
    sheet: '',
  } as const;
  const measure = (minute: number, tempC: number) => ({
    ...base(minute),
    timerId: cure.id,
    kind: 'measured' as const,
    typed: `${tempC}`,
    tempC,
    note: '',
  });
  const state = (minute: number) => timerStates(openHistory(job.file), at(minute))[0]!;

  it('is over when the part was hot for so long without a break, by whatever was measured, and never before', () => {
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.integer({ min: 1, max: 90 }), fc.constantFrom(20, 185, 190, 200, 210, 215)), { maxLength: 12 }),
        fc.integer({ min: 0, max: 120 }),
        (measures, until) => {
          const sorted = [...new Map(measures).entries()].sort(([a], [b]) => a - b).filter(([m]) => m <= until);
          job.file.timers = [cure];
          job.file.timerSteps = sorted.map(([m, c]) => measure(100 + m, c));
          // Minute by minute: how long it has been hot, as far as anybody measured.
          let hot = -1;
          for (let m = 0; m <= until; m += 1) {
            const seen = sorted.find(([n]) => n === m)?.[1];
            if (seen !== undefined) hot = seen >= 190 && seen <= 210 ? Math.max(hot, 0) : -1;
            if (m < until && hot >= 0) hot += 1;
          }
          const now = state(100 + until);
          expect(now.phase).to.equal(hot < 0 ? 'heating' : hot >= 20 ? 'over' : 'running');
          expect(now.minutesLeft).to.equal(hot < 0 ? 20 : Math.max(0, 20 - hot));
          const told = { timerId: cure.id, kind: 'ended' as const, typed: null, note: '' };
          expect(whyNotTimed(openHistory(job.file), told, at(100 + until)) === null).to.equal(hot >= 20);
        },
      ),
    );
  });

  it('counts from its start where no heat is asked for, and says what follows', () => {
    for (const id of PROCESS_IDS) {
      const { minutes, partC, then, hazard } = PROCESSES[id];
      job.file.timers = [
        { ...base(100), slotId: slot.id, process: id, minutes, fromC: partC?.from ?? null, toC: partC?.to ?? null, metal: null, sheet: '' },
      ];
      job.file.timerSteps = [];
      expect(state(100 + minutes).phase).to.equal(partC ? 'heating' : 'over');
      if (!partC) expect(state(100 + minutes - 1).minutesLeft).to.equal(1);
      expect(then).to.match(/\.$/);
      if (partC) expect(hazard).to.match(/Fumes/);
    }
  });

  it('lets seals go in once a coat has cured by it, and by no clock that was broken off or ran before the coat', () => {
    const coated = (minute: number) => ({
      ...{ ...base(minute), partId: `part:${slot.id}`, kind: 'coated' as const, slotId: null, note: '', temporary: false },
      ...{ until: null, lot: 'Powder 7', lineOn: false },
    });
    const found = job.file.partEvents;
    const cured = () => isHeld(gateFacts(openHistory(job.file), at(200)), slot, 'cured');
    job.file.partEvents = [...found, coated(90)];
    job.file.timers = [cure];
    job.file.timerSteps = [measure(110, 200)];
    expect(cured()).to.equal(false);
    job.file.timerSteps = [measure(110, 200), { ...base(115), timerId: cure.id, kind: 'broken_off', typed: null, tempC: null, note: 'x' }];
    expect(cured()).to.equal(false);
    job.file.timerSteps = [measure(110, 200), { ...base(131), timerId: cure.id, kind: 'ended', typed: null, tempC: null, note: '' }];
    expect(cured()).to.equal(true);
    job.file.partEvents = [...found, coated(150)];
    expect(cured()).to.equal(false);
    const unknown = { timerId: 'none', kind: 'ended' as const, typed: null, note: '' };
    expect(whyNotTimed(openHistory(job.file), unknown, at(200))).to.equal(TIMER_REFUSED.unknown);
    job.file.partEvents = found;
  });
});
