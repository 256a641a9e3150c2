import { GROUP_NAME, type ObservationFacts } from '../../catalogue/observations.ts';

/** What a thing is called at the bench, beside its own words. */
const SHOP_WORDS: Readonly<Record<string, string>> = {
  pedal_hard_no_stop: 'wooden pedal, like a brick, no brakes, will not stop',
  pedal_more_effort: 'heavy pedal, hard work, stiff, needs a big foot',
  pedal_no_return: 'sticks down, stays down, slow pedal, hangs',
  pedal_pulses: 'kicks, pumps back, throbs, warped',
  pedal_play_excessive: 'long pedal, slack, lost motion, free travel',
  pedal_play_none: 'no slack, tight rod, no free travel',
  pedal_spongy: 'goes soft, soft pedal, mushy, springy, air',
  pedal_low_pumps_up: 'long pedal, low pedal, comes up on the second stroke, pump it',
  pedal_sinks: 'creeps down, goes down slowly, bleeds off, fades at the lights',
  pedal_to_floor: 'drops, to the boards, nothing there, no pedal',
  clutch_spongy: 'clutch soft, will not clear, grinds into gear',
  pulls_left: 'dives left, veers, pulling',
  pulls_right: 'dives right, veers, pulling',
  judder: 'shakes, shudder, vibrates, wobbles, warped',
  locks_front: 'skids, grabs, snatches in front',
  locks_rear: 'skids, grabs, snatches behind, back end steps out',
  long_stop: 'poor brakes, weak, takes ages, no bite',
  fades: 'goes away, no brakes downhill, hot brakes',
  smell: 'burning, stinks, smoke, hot',
  noise: 'squeak, squeal, scrape, grinding, clonk, metal on metal',
  tightens_warm: 'binds when hot, locks on, comes on by itself',
  drags: 'binding, binds, rubs, sticking, stuck on, will not roll',
  locked: 'seized, solid, stuck, will not turn',
  no_braking: 'dead wheel, does nothing, free wheel',
  hot: 'burning hot, hot hub, hot wheel',
  blued: 'blue, burnt, cooked, heat marks',
  lining_bad: 'glazed, greasy, oily pads, oily shoes, shiny',
  bearing_play: 'loose bearing, rocks, wobble, clunk',
  drum_stuck: 'drum stuck, will not pull off, seized drum',
  fluid_at_wheel: 'leak, wet, weeping, dripping',
  bleeder_dry: 'nothing comes out, no fluid',
  bleeder_blocked: 'nipple blocked, bleed screw, rusted nipple',
  level_low: 'down, needs topping up, losing fluid',
  level_empty: 'empty, dry, ran out',
  fluid_dark: 'black, brown, dirty, old fluid',
  fluid_sludge: 'mud, rust, gunge, muck',
  fluid_water: 'moisture, wet fluid, boiling point',
  cap_swollen: 'swollen rubber, wrong fluid, mineral oil',
  wet_below_master: 'leak, weeping, dripping on the carpet',
  hose_bad: 'flexible, perished, ballooning, bulging',
  line_rusted: 'pipe, rusty pipe, corroded',
  repair_visible: 'bodge, somebody was here, new parts',
  park_no_hold: 'handbrake, rolls away, will not hold',
  park_long: 'handbrake high, too many clicks',
  park_frozen: 'handbrake stuck, seized lever',
  park_drags: 'handbrake binding, stays on',
  park_no_grip: 'handbrake useless, no bite',
  servo_none: 'booster, no help, no servo, heavy',
  servo_hiss: 'booster, air leak, hissing',
  servo_vacuum_lost: 'booster, goes hard after a while',
  servo_no_fall: 'booster, pedal stays up on start',
  servo_rattle: 'booster, knocks',
  servo_wet: 'booster, fluid in it',
  stop_lamp: 'brake light, stop light',
  difference_lamp: 'warning light, red light, tell-tale',
};

/** Whether something on the list answers to what was typed: in its own words, those of its group, or what it is called at the bench. */
export function answersToWords(of: ObservationFacts, typed: string): boolean {
  const text = `${of.text} ${GROUP_NAME[of.group]} ${SHOP_WORDS[of.code] ?? ''}`.toLowerCase();
  return typed
    .toLowerCase()
    .split(/[\s,]+/)
    .every((word) => word === '' || text.includes(word));
}
