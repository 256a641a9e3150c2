/**
 * Things that cannot both be seen in one look. One line a pair:
 * sign | sign | reasoning
 *
 * Of signs that are at a wheel: at the same one. What only seldom comes together is no opposite: the sums see to that.
 * Source: handbook 30, What is observed.
 */
export const OPPOSITES_TABLE = `
pedal_hard_no_stop | pedal_to_floor       | A pedal that has no resistance is not hard
pedal_hard_no_stop | pedal_spongy         | Hard means that it does not give
pedal_more_effort  | pedal_to_floor       | What takes more effort has resistance
pedal_play_none    | pedal_play_excessive | Play is there or it is not
locked             | no_braking           | A wheel that cannot be turned does not turn under the brake
`;
