import { expect } from 'chai';
import { CARDS, cardFor } from '../src/catalogue/cards/cards.ts';
import { FINISH_CARDS } from '../src/catalogue/cards/finishes.ts';
import { BLEEDER_STEPS, CIRCUIT_STEPS, WHEEL_STEPS } from '../src/catalogue/cards/linkage.ts';
import type { CardStep } from '../src/catalogue/cards/types.ts';
import { LADDERS } from '../src/catalogue/ladders.ts';
import type { ComponentKind } from '../src/layout/kinds.ts';

/** Everything that a step says: its words by every school, its reason, way round, what lies ready, what goes on and where never. */
const said = (s: CardStep): string =>
  [
    ...[s.words, ...Object.values(s.by?.words ?? {}), s.why, s.orientation, s.unlike, s.ready, s.hazard, s.waits?.on ?? ''],
    ...(s.lubricant ? [s.lubricant.what, s.lubricant.where, s.lubricant.never] : []),
    ...s.takes.map((t) => t.name),
  ].join(' | ');

/** Points that handbook 55 and 58 name, by card and step, each with words to be found there. */
const POINTS: Readonly<Record<string, readonly (readonly [string, ...RegExp[]])[]>> = {
  caliper_floating: [
    ['wheel_cracked', /stands on its wheels/, /hand of thread/i],
    ['propped', /third down/, /battery off/, /may stick/],
    ['pads_out', /which way pins, clips/],
    ['pushed_back', /lip/, /reservoir/, /bottle at the bleeder/i],
    ['union_cracked', /while the caliper is still bolted/, /washers/],
    ['off', /hang it up/],
    ['capped', /at once/, /clamp no hose that stays/],
    ['outside', /before it is opened/],
    ['blasted', /old seals and pistons in/, /bores plugged/],
    ['pistons_out', /pair together/, /freed one held/, /block/],
    ['groove_seal', /to metal/, /no wire brush on piston or bore/],
    ['groove_picture', /picture/i],
    ['groove_boot', /to metal/],
    ['blown', /blow/i, /plugs/],
    ['wiped', /fresh cloth/],
    ['seal_in', /square/, /flat and untwisted/, /brake fluid/, /kit’s/, /mineral grease/],
    ['piston_in', /straight, by hand/],
    ['boot', /both grooves by its kind/, /on the piston first/],
    ['pins', /straight/, /bushes/, /in the boot/, /on a lining/, /sleeved one/],
    ['compared', /ports, hand, bleeder/],
    ['moved_over', /plug and bleeder/],
    ['bracket', /one-use/],
    ['bracket_torque', /figure/],
    ['hose', /two new washers/, /twist/, /full lock and full droop/],
    ['bleeder_up', /at the top/, /not in the port of the line/],
    ['pins_move', /every pin/],
    ['pedal_high', /short strokes/, /high and stays/, /before the engine moves a wheel/],
    ['paint_covered', /fresh paint/, /two new washers/, /takes three/, /tray, cloth/],
    ['lever_tied', /overnight/, /second time/],
  ],
  caliper_parking: [
    ['cable_slack', /in the cabin/],
    ['pistons_out', /hand of thread, pegs or slot/, /never press/],
    ['piston_in', /peg/, /pad in/],
    ['lever_stop', /against its stop/, /both sides alike/],
    ['cable_set', /last of all/],
    ['pedal_high', /short strokes/],
  ],
  caliper_fixed: [
    ['marked', /which way round/],
    ['halves', /joint seals, bolts and their torque/],
    ['bridge', /new, or blown through/],
    ['bridge_on', /both unions/, /by hand before either is tightened/],
    ['pistons_out', /one by one, the others held/],
    ['straight', /straight edge/],
  ],
  rotor: [
    ['hub_face', /whole seat/, /studs out if rust is heavy/],
    ['washed', /coating/],
    ['film', /spigot only/, /clean and dry/],
    ['sweep', /by its nuts/, /best hole/],
    ['screws', /mark the hole/],
  ],
  pads: [
    ['pads_in', /wear indicator/, /shims/, /grease/, /paste/, /faces dry/],
    ['drawn_down', /bleeder open/, /level watched/],
    ['bed_anew', /used pads on a new rotor/i, /anew/],
  ],
  wheel_cylinder: [
    ['barred', /bar the pedal/i],
    ['shoes_spread', /spread/i],
    ['union_first', /before the mounting bolts/],
    ['honed', /no further than its figure/],
    ['seal_in', /lips towards the spring/, /brake fluid/],
    ['caps', /links and dust caps/i],
    ['clip', /until the shoes are on/],
    ['union_started', /by hand, then the bolts/, /hand of each/, /higher one/],
    ['slides', /slides in the plate by hand/, /retainers in their order/],
  ],
  shoes: [
    ['pictured', /picture it whole/i, /pattern/],
    ['off', /out as one/],
    ['lever_over', /lever and cross link/, /thread lock/],
    ['adjuster', /anti-seize/, /which way each one turns/, /left and right/],
    ['greased', /where shoe meets plate, and nowhere else/],
    ['adjusters_in', /all the way in/],
    ['joined', /before the shoes go over the hub/, /shorter lining forward/, /primary spring first/, /both tips forward/, /snail cams/i],
    ['springs', /short spring by hand before the long one/i],
    ['cable', /last/],
    ['centred', /clamped, pedal pressed, adjusted again, until nothing changes/],
    ['adjusted', /from contact, both sides counted alike/, /as seen from where the tool goes in/],
    ['lever_pulled', /once more before the drum goes on/],
    ['stripped', /asbestos/],
  ],
  expander: [
    ['cap_out', /until its cap comes out/],
    ['noted', /mirror images/, /length of the links/, /gap under them/],
    ['thread', /tap the thread clean/i],
    ['tracks', /dress the tracks flat/i, /weld or renew/],
    ['wedge', /upright, narrow side out/],
    ['plate_nut', /lift the plate/i, /never pinched/],
    ['measured', /from the axle at both ends/, /1\.5 mm/],
    ['float', /by hand/, /pin head out at the front axle/, /split pin trimmed/],
  ],
  cam: [
    ['noted', /cam arm/, /cable play/, /wear pointer/],
    ['play', /bush/],
    ['centred', /lever pulled and held while the spindle nut is tightened/],
    ['both_touch', /both touch together/],
    ['torque_arm', /nut to the figure/, /split pin/, /the wheel locks/],
    ['arm_angle', /90°/, /full lock both ways/, /pointer/],
  ],
  parking_shoes: [
    ['slack', /in the cabin/],
    ['adjuster', /rotor off/],
    ['touching', /by turns from contact/, /just touching/],
    ['cable', /cable last/i],
    ['bedded', /own procedure/],
  ],
  hub: [
    ['nut_loosened', /on the ground/, /hand of thread/],
    ['off', /as sets/, /not the rim/, /speedometer/],
    ['packed', /packed through/, /third full/, /cap empty/],
    ['seal_last', /last/],
    ['float', /tighten while turning, back off/i, /crush sleeve/, /too tight runs hot/i],
    ['pinned', /keyed washer/i, /back to the hole/, /on to the next/],
  ],
  master_cylinder: [
    ['drawn', /out of the reservoir/],
    ['union_cracked', /while it is bolted/],
    ['capped', /at once/],
    ['stop_screw', /before the circlip/],
    ['laid_out', /in their order, with a picture/],
    ['bore', /residual valve and its seat/],
    ['port', /blunt wire finer than the hole/, /fountain/],
    ['honed', /burrs/],
    ['seal_in', /right way round/],
    ['moved_over', /switches/],
    ['compared', /outlets, plugs/],
    ['play', /push-rod’s play/],
    ['bench_bled', /ten slow strokes/, /outlets closed/],
    ['place_bled', /ten slow strokes/],
    ['lever_bolt', /lever bolt out first/i],
    ['sight_glass', /scum/, /sight glass/],
    ['clevis', /boot, clevis and rod/, /not bought/],
  ],
  servo: [
    ['tested', /before it is removed/],
    ['off', /barred/],
    ['rod', /length and play/, /marked/, /sends it out/],
    ['vacuum', /check valve and hose/i, /hand pump/, /rod held in/],
  ],
  hose: [
    ['line_off', /line union first/i, /hexagon held/, /clips taken off on the bench/],
    ['on', /new washer/, /handed/],
    ['bracket', /without twist/, /clip before the final tightening/],
    ['line_on', /last/],
    ['stripe', /after the last tightening: lock, droop and bump/],
  ],
  line: [
    ['measured', /before it is bent/],
    ['cut', /unions on before the second flare/],
    ['blown', /blow it clean/i],
    ['started', /both ends by hand/],
    ['clipped', /chafes/],
  ],
  valve: [
    ['ports_named', /flare or taper of each port/i, /ride height/],
    ['on', /sealant only on taper/],
    ['shuttle', /re-centred/],
  ],
  reservoir: [
    ['emptied', /empty it and wipe it/i],
    ['off', /washers/, /feed hoses/],
    ['washed', /cap, vent, float and seal/i],
    ['on', /clips/],
  ],
  linkage: [
    ['noted', /threads that show at each end/i, /equaliser’s level/],
    ['comes_back', /all rods off/i],
    ['shaft_stop', /shoes set first/i, /cross shaft on its stop/],
    ['to_length', /without load, equal thread/, /split/],
    ['equaliser', /level/, /90°/],
    ['set', /start alike at half travel/],
    ['released', /full lock, bump or droop/],
  ],
  clutch_slave: [
    ['bite', /bite point/i],
    ['off', /its piston held/, /barred/],
    ['bite_after', /bite point/i, /length of the vehicle/],
  ],
  balance_bar: [
    ['noted', /offset, rods’ lengths and threads/i],
    ['on', /free at full tilt/],
    ['set', /both ways/, /as it was/],
  ],
  drawbar: [
    ['chocked', /uncoupled, chocked/i],
    ['shoes_first', /shoes set first/i, /never taken up at the rod/],
    ['rods', /without load/],
    ['play', /damper/],
    ['reverse', /reverse release/i],
    ['breakaway', /breakaway cable/i],
  ],
  finish_brush: [
    ['route', /leave, clean, paint, powder, plate or bare/, /colour and gloss/],
    ['degreased', /before any blasting/],
    ['treated', /rust/],
    ['masked', /threads, seats, abutments/],
    ['coated', /thin coats, flash-off/i],
    ['cured', /product’s sheet/],
    ['unmasked', /before any rubber goes in/],
  ],
  finish_powder: [
    ['baked', /bake out/i],
    ['plugged', /count the plugs in/],
    ['cured', /when the part has its temperature, not the oven/],
    ['cold', /cool by itself/],
    ['unplugged', /plugs out and counted/i, /chased/],
  ],
  finish_coater: [
    ['rubber_out', /bearings, bushes, seals/i],
    ['clean', /nobody asked/],
    ['told', /colour, gloss and mask map/i],
    ['packed', /packing list/i, /still waits for is named/],
    ['counted', /against the list/],
    ['looked', /threads and seats/, /film/],
  ],
};

describe('the points that everybody gets wrong', () => {
  const cards = new Map([...CARDS, ...FINISH_CARDS].map((c) => [c.id, c]));
  for (const [id, points] of Object.entries(POINTS))
    it(`stand on the card ${id}`, () => {
      const card = cards.get(id)!;
      for (const [stepId, ...words] of points) {
        const step = card.steps.find((s) => s.id === stepId);
        expect(step, `${id} ${stepId}`).to.not.equal(undefined);
        for (const w of words) expect(said(step!), `${id} ${stepId}`).to.match(w);
      }
    });

  it('and say what is unlike at the two sides by design where it is: hubs, adjusters, levers, cylinders, calipers that wind', () => {
    const unlike = (kind: ComponentKind, style: string | null, id: string): string =>
      cardFor({ kind, style }, 'replace')?.steps.find((s) => s.id === id)?.unlike ?? '';
    expect(unlike('hub', null, 'off')).to.match(/speedometer/);
    expect(unlike('hub', null, 'nut_loosened')).to.match(/left-handed/);
    expect(unlike('shoes', null, 'adjuster')).to.match(/other hand/);
    expect(unlike('shoes', null, 'lever_over')).to.match(/handed/);
    expect(unlike('wheel_cylinder', null, 'union_started')).to.match(/one bleeder may serve two/);
    expect(unlike('hose', null, 'on')).to.match(/another part/);
    // Of most steps the other side says what holds here.
    const all = [...cards.values()].flatMap((c) => c.steps);
    expect(all.filter((s) => s.unlike !== '').length).to.be.within(9, all.length / 10);
  });

  it('and on no card that is only a title', () => {
    for (const c of cards.values()) expect(c.steps.length > 1 || c.id === 'switch', c.id).to.equal(true);
    for (const kind of ['caliper', 'wheel_cylinder', 'shoes', 'master_cylinder', 'hose', 'line', 'hub', 'cable'] as ComponentKind[])
      expect(cardFor({ kind, style: null }, 'replace'), kind).to.not.equal(undefined);
  });

  it('stand with the wheels, the fluid and the ladders, which are no units', () => {
    const wheels = WHEEL_STEPS.map(said).join(' ');
    for (const w of [/hand of thread first/i, /two passes/, /50 to 100 km/, /clean and dry/]) expect(wheels).to.match(w);
    const fluid = [...CIRCUIT_STEPS, ...BLEEDER_STEPS].map(said).join(' ');
    for (const w of [/emptied and wiped/, /closing side/, /while it flows/, /felt, wiped dry/]) expect(fluid).to.match(w);
    expect(LADDERS.map((l) => l.id)).to.have.members(['piston', 'master_piston', 'drum', 'rotor', 'fastener', 'unit']);
    const piston = LADDERS[0]!.rungs.map((r) => `${r.name} ${r.needs ?? ''} ${r.owed ?? ''}`).join(' ');
    for (const w of [
      /soak/i,
      /clamp/,
      /own pedal/i,
      /grease gun/,
      /least pressure/,
      /ultrasonic/i,
      /warmth/i,
      /drilled/,
      /never petroleum solvent/,
    ])
      expect(piston).to.match(w);
  });
});
