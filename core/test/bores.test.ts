import { expect } from 'chai';
import { boreWearLimit, judgeBore } from '../src/metrology/bore.ts';
import { LiningsDoNotFit, pitZone, type Reach } from '../src/metrology/pitZone.ts';
import { vectorTests } from './vectors.ts';

describe('bores', () => {
  vectorTests(
    'bore',
    (i: {
      nominal_mm: number;
      readings_mm: number[][];
      piston_mm: number[];
      pits: { depth_mm: number; from_mm: number; to_mm: number }[];
      swept_from_mm: number;
      swept_to_mm: number;
      material: 'iron' | 'steel' | 'aluminium';
      hone_to_mm?: number;
      wear_limit_mm?: number;
      clearance_limit_mm?: number;
    }) => {
      const b = judgeBore({
        nominal: i.nominal_mm,
        depths: i.readings_mm,
        piston: i.piston_mm,
        pits: i.pits.map((p) => ({ depth: p.depth_mm, from: p.from_mm, to: p.to_mm })),
        sweptFrom: i.swept_from_mm,
        sweptTo: i.swept_to_mm,
        material: i.material,
        honeTo: i.hone_to_mm ?? null,
        ...(i.wear_limit_mm !== undefined && { wearLimit: i.wear_limit_mm }),
        ...(i.clearance_limit_mm !== undefined && { clearanceLimit: i.clearance_limit_mm }),
      });
      return {
        max_mm: b.max,
        wear_mm: b.wear,
        out_of_round_mm: b.outOfRound,
        taper_mm: b.taper,
        clearance_mm: b.clearance,
        deepest_pit_in_zone_mm: b.deepestPitInZone,
        after_hone_mm: b.afterHone,
        clearance_after_hone_mm: b.clearanceAfterHone,
        wear_past: b.wearPast,
        clearance_past: b.clearancePast,
        decision: b.decision,
      };
    },
  );
  it('a larger bore may wear a little more', () => {
    expect(boreWearLimit(25)).to.equal(0.08);
    expect(boreWearLimit(25.4)).to.equal(0.1);
  });
});

describe('pits under the seal', () => {
  interface State {
    readonly pad_total_mm: number;
    readonly rotor_face_wear_mm: number;
    readonly inner_pad_total_mm: number;
    readonly outer_pad_total_mm: number;
    readonly rotor_thickness_mm: number;
  }
  vectorTests(
    'pit-zone',
    (i: {
      caliper: 'fixed' | 'floating';
      mouth_to_new_rotor_face_mm: number;
      mouth_to_fingers_mm: number;
      states: Record<'as_found' | 'new' | 'discard', State>;
      seal_below_mouth_mm: number;
      seal_width_mm: number;
      sealing_length_mm: number;
      allowance_mm?: number;
      running_clearance_mm?: number;
      pits: { from_mm: number; to_mm: number }[];
    }) => {
      const fixed = (s: State): { padTotal: number; rotorFaceWear: number } => ({
        padTotal: s.pad_total_mm,
        rotorFaceWear: s.rotor_face_wear_mm,
      });
      const floating = (s: State): { innerPadTotal: number; outerPadTotal: number; rotorThickness: number } => ({
        innerPadTotal: s.inner_pad_total_mm,
        outerPadTotal: s.outer_pad_total_mm,
        rotorThickness: s.rotor_thickness_mm,
      });
      const { as_found, new: fresh, discard } = i.states;
      const reach: Reach =
        i.caliper === 'fixed'
          ? {
              caliper: 'fixed',
              mouthToNewRotorFace: i.mouth_to_new_rotor_face_mm,
              states: { as_found: fixed(as_found), new: fixed(fresh), discard: fixed(discard) },
            }
          : {
              caliper: 'floating',
              mouthToFingers: i.mouth_to_fingers_mm,
              states: { as_found: floating(as_found), new: floating(fresh), discard: floating(discard) },
            };
      try {
        const z = pitZone(
          reach,
          {
            sealBelowMouth: i.seal_below_mouth_mm,
            sealWidth: i.seal_width_mm,
            sealingLength: i.sealing_length_mm,
            ...(i.allowance_mm !== undefined && { allowance: i.allowance_mm }),
            ...(i.running_clearance_mm !== undefined && { clearance: i.running_clearance_mm }),
          },
          i.pits.map((p) => ({ from: p.from_mm, to: p.to_mm })),
        );
        const pair = (s: { from: number; to: number }): number[] => [s.from, s.to];
        return {
          stand_out_mm: z.standOut,
          zone_mm: { as_found: pair(z.zone.as_found), new: pair(z.zone.new), discard: pair(z.zone.discard) },
          hull_mm: pair(z.hull),
          pit_rejects: z.pitRejects,
          reject: z.reject,
          worn_pad_trap: z.wornPadTrap,
          leaves_seal: z.leavesSeal,
        };
      } catch (error) {
        if (error instanceof LiningsDoNotFit) return { refused: true, reason: error.code, state: error.state };
        throw error;
      }
    },
  );
});
