/** What a calibration may have found. */
export const CALIBRATION_RESULTS = [
  { value: 'good', title: 'Good as it came' },
  { value: 'adjusted', title: 'Adjusted, good now' },
  { value: 'out', title: 'Out of its accuracy' },
];
