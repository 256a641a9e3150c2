/** What of a place no inspection sees. */
export const HIDDEN = {
  line: 'over the tank, under its clips',
  hose: 'its ends, under the rubber',
  drum: 'its inside',
  rotor: 'its inner face, behind the shield',
  servo: 'underneath, and its hose',
  cable: 'where it leaves its casing',
};
