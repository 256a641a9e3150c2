import { expect } from 'chai';
import { buildLayout } from '@dauer/core/layout';
import { aboutEvent } from '../src/job/aboutEvent.ts';
import type { PendingEvent } from '../src/job/outbox/queue.ts';

describe('an event in words', () => {
  let n = 0;
  const layout = buildLayout('coupe_disc_disc_tandem_servo', 'layout', 'car', () => `id ${(n += 1)}`);
  const rotor = layout.slots.find((s) => s.kind === 'rotor' && s.corner === 'RL')!;
  const set = { id: 'set', slotId: rotor.id, measurement: 'rotor_thickness' };
  const known = { cardRuns: [], layout, sets: [], vehicle: { tag: 'V 071' } } as never;
  const waiting = [{ family: 'sets', body: set } as never] as PendingEvent[];

  it('says figure, place and vehicle of a reading, also where its set waits as well', () => {
    expect(aboutEvent(known, waiting, 'readings', { setId: 'set', typed: '9.81' })).to.deep.equal({
      what: 'Thickness 9.81',
      place: 'Rear left rotor',
      vehicle: 'V 071',
    });
    expect(aboutEvent(known, waiting, 'sets', set).what).to.equal('Set of thickness');
  });
  it('says what was found in the words of who found it; what belongs to no place has none', () => {
    expect(aboutEvent(known, [], 'findings', { slotId: rotor.id, words: 'Cracked' })).to.include({
      what: 'Finding: Cracked',
      place: 'Rear left rotor',
    });
    expect(aboutEvent(known, [], 'takeBacks', { corrects: 'x' }).place).to.equal(null);
  });
});
