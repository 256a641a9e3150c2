/** What is said of a bleeder once it was drawn at: the same while bleeding and when it is bled again after hand-back. */
export const AIR_OPTIONS = [
  { value: 'none', label: 'No air' },
  { value: 'bubbles', label: 'Bubbles' },
  { value: 'foam', label: 'Foam' },
] as const;
export const BLEEDER_OPTIONS = [
  { value: 'closed', label: 'Shut' },
  { value: 'open', label: 'Still open' },
] as const;
