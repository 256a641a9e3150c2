/** What of a place no inspection sees. */
export const HIDDEN = {
  line: 'over the tank, under its clips',
  hose: 'its ends, under the rubber',
  drum: 'its inside',
  rotor: 'its inner face, behind the shield',
  flange: 'the seal of the final drive behind it',
  servo: 'underneath, and its hose',
  cable: 'where it leaves its casing',
};
