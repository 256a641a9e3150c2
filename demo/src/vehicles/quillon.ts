import { withRuns } from '@dauer/core/layout';
import { type Rack, typeLimit } from '../shop.ts';
import { Car, type Story } from '../story.ts';
import { FOUR, FRONT, tomasz, traced } from './common.ts';

/** V 063: drums at the turner, the rest waiting for them. */
export function quillon(story: Story, rack: Rack): void {
  const car = new Car(
    story,
    {
      tag: 'V 063',
      name: 'Quillon T40',
      make: 'Quillon',
      model: 'T40',
      year: 1957,
      variant: null,
      body: 'light lorry',
      use: 'work',
      climate: 'temperate',
      storage: 'dry',
      standsYears: null,
      distanceUnit: 'mi',
    },
    'lorry_drums_single_servo',
  );
  typeLimit(
    story,
    car,
    'drum_diameter',
    null,
    { bound: 'upper', nominal: 279.4, machineTo: 280.9, at: 281.4, gravity: 'safety' },
    'cast on the drum, and workshop book, page 41',
  );
  const now = car.job(tomasz, story.ago(24), {
    complaint: 'Pulls hard to the left, brakes grab',
    wants: 'A working lorry',
    promised: story.day(9),
  });
  now.counter('88,430 mi');
  now.see('pulls_left', 'seen');
  traced(now, FOUR);
  const figures: Readonly<Record<(typeof FOUR)[number], readonly [string, string]>> = {
    FL: ['280.20', '280.35'],
    FR: ['280.10', '280.15'],
    RL: ['279.90', '280.05'],
    RR: ['279.85', '279.95'],
  };
  const LININGS: Readonly<Record<(typeof FOUR)[number], readonly string[]>> = {
    FL: ['2.1', '2.9', '3.0', '2.4', '3.1', '3.2'],
    FR: ['2.2', '3.0', '3.1', '2.5', '3.2', '3.2'],
    RL: ['3.4', '4.0', '4.1', '3.6', '4.2', '4.3'],
    RR: ['3.3', '4.1', '4.1', '3.7', '4.2', '4.2'],
  };
  FOUR.forEach((corner, i) => {
    const drum = car.slot('drum', corner);
    car.tag(drum, `P 21${60 + i}`);
    const [low, high] = figures[corner];
    now.gauge(
      drum,
      'drum_diameter',
      'as_found',
      rack.drum,
      Array.from({ length: 12 }, (_, k) => (k % 4 === 1 ? high : low)),
    );
    now.gauge(car.slot('shoes', corner), 'shoe_lining', 'as_found', rack.caliper, LININGS[corner]);
    now.gauge(car.slot('hub', corner), 'hub_end_float', 'as_found', rack.dial, ['0.02']);
    for (const cylinder of car.layout.slots.filter((s) => s.kind === 'wheel_cylinder' && s.corner === corner)) {
      const new_ = cylinder.boreMm ?? 28.58;
      const at = (over: number): string => (new_ + over).toFixed(3);
      now.gauge(cylinder, 'bore_diameter', 'as_found', rack.bore, [at(0.01), at(0.015), at(0.02), at(0.025), at(0.015), at(0.01)]);
      now.gauge(cylinder, 'piston_diameter', 'as_found', rack.mic, [at(-0.05), at(-0.052), at(-0.05), at(-0.051)]);
    }
    for (const slot of car.layout.slots.filter((s) => s.corner === corner && ['drum', 'shoes', 'wheel_cylinder', 'hub'].includes(s.kind))) {
      now.look(
        slot,
        slot.kind === 'drum'
          ? 'Grooved at the open end.'
          : slot.kind === 'shoes'
            ? 'Linings down to the rivets at the heel.'
            : 'Looked at, nothing found.',
        slot.kind === 'shoes' ? 'watch' : 'note',
      );
      now.decide(
        slot,
        slot.kind === 'drum' ? 'machine' : slot.kind === 'shoes' ? 'replace' : slot.kind === 'wheel_cylinder' ? 'reseal' : 'use_again',
        slot.kind === 'drum' ? 'Grooved and out of round, both of the axle.' : '',
      );
    }
    now.later(story.ago(9, i)).part(drum, 'removed', '');
    now.part(drum, 'sent', 'to the turner, back in a week');
  });
  for (const slot of [car.slot('master_cylinder'), car.slot('servo'), ...car.all('hose')]) {
    now.look(slot, 'Looked at, nothing found.');
    now.decide(slot, 'use_again');
  }
  // The drums are off: a board lies on the pedal. The line over the rear axle came rusted.
  now.putIn(car.slot('pedal', null), 'board', 'printed, four drums at the turner');
  const line = withRuns(car.layout).slots.find((s) => s.kind === 'line' && s.name.endsWith('to rear hose'));
  if (line) {
    now.look(line, 'Rusted under the clips, flaking.', 'reject', ['use_again', 'put_off']);
    now.decide(line, 'replace', 'Made up from the old piece.');
    // Measured along the old one before it is taken off: its new piece is cut and bent by the strip.
    now.add('lineShapes', {
      ...{ connectionId: line.id, outsideMm: 6, bendRadiusMm: 20, slackMm: 10, by: 'old_line', note: 'Over the axle, two clips.' },
      stretches: [
        { lengthMm: 240, deflectionDeg: 90, turnDeg: 0 },
        { lengthMm: 620, deflectionDeg: 35, turnDeg: 90 },
        { lengthMm: 310, deflectionDeg: 90, turnDeg: -90 },
        { lengthMm: 145, deflectionDeg: 0, turnDeg: 0 },
      ],
      first: { flare: 'double', thread: '7/16 × 20', usedMm: 3 },
      last: { flare: 'double', thread: '7/16 × 20', usedMm: 3 },
    });
  }
  for (const corner of FRONT) {
    for (const cylinder of car.layout.slots.filter((s) => s.kind === 'wheel_cylinder' && s.corner === corner))
      now.part(cylinder, 'resealed', 'kit, batch K 77');
  }
  // The front shoes by their card: the left side is stripped and its plate washed, the right one comes after it.
  const left = now.card(car.slot('shoes', 'FL'), 'replace');
  now.tell(left, 'pictured', 'Long spring in the rear hole of the leading shoe');
  now.part(car.slot('shoes', 'FL'), 'removed', '');
  now.tell(left, 'plate', 'Groove under the lower pad of the plate, dressed');
  now.tell(left, 'adjuster', 'Left-hand thread, turns with the wheel');
  // What came off the left side, where it sat: the right one is taken down by it, mirrored.
  for (const [x, y, what, note, spring] of [
    [0.5, 0.69, 'Long spring, lower', 'Behind the adjuster, hooks from the back', ['green', 2.0, 148]],
    [0.5, 0.33, 'Short spring, upper', 'Rear hole of the leading shoe', ['plain', 2.2, 96]],
    [0.3, 0.5, 'Steady pin and clip, leading', 'Slot across', null],
    [0.7, 0.5, 'Steady pin and clip, trailing', 'Slot across', null],
    [0.35, 0.78, 'Adjuster, left-hand thread', 'Turns with the wheel', null],
  ] as const)
    now.add('stripMarks', {
      ...{ slotId: car.slot('shoes', 'FL').id, x, y, what, note, fate: 'back', hash: null },
      ...{ colour: spring?.[0] ?? '', wireMm: spring?.[1] ?? null, freeMm: spring?.[2] ?? null },
    });
  const pinned = { vehicleId: car.vehicle.id, type: '', cardId: null, stepId: null, hash: null, arrow: null, style: null, kind: null };
  now.add('shopNotes', {
    ...{ ...pinned, pin: 'step', slotId: car.slot('shoes', 'FL').id, kind: 'shoes', cardId: 'shoes', stepId: 'adjuster' },
    words: 'A drop of oil the evening before: then it turns by hand in the morning.',
  });
  now.add('shopNotes', {
    ...{ ...pinned, pin: 'vehicle', slotId: null },
    words: 'Jack under the spring seat, not under the axle tube: the tube is thin.',
  });
  for (const [corner, hand] of [
    ['FL', 'left'],
    ['FR', 'right'],
  ] as const)
    now.add('fastenerFacts', {
      ...{ point: `wheel:${corner}`, form: 'stud_nut', count: 6, thread: '3/4 × 16', hand, seat: 'cone' },
      ...{ key: '1 1/8 in socket', oiled: false, note: '' },
    });
  now.card(car.slot('shoes', 'FR'), 'replace');
  now.part(car.slot('wheel_cylinder', 'RL'), 'removed', '');
  now.part(car.slot('wheel_cylinder', 'RL'), 'sent', 'to the coater, Friday');
  now.fitForNow(car.slot('hose', null), 'old hose, until the new one comes', story.day(12));
  // What cures goes on by the clock, whoever is there.
  now.later(story.ago(0, 20)).add('timers', {
    ...{ slotId: car.slot('hub', 'FL').id, process: 'air_cure', minutes: 1440, fromC: null, toC: null, metal: null },
    sheet: 'Plate behind it, primer 3: its sheet says 24 h',
  });
  const coat = now.add('operations', { slotId: null, title: 'Coat the backing plates', attendedMinutes: 90 });
  now.later(story.ago(0, 3)).add('operationEvents', { operationId: coat, kind: 'start', note: 'first coat' });
}
