/** So many places are named. */
const NAMED = 3;

/** Why something was left on a job that was handed back. */
export const FORMER = {
  putOff: (words: string): string => `put off${words ? `: ${words}` : ''}`,
  accepted: (words: string, by: string): string => `accepted by ${by || 'a lead'}${words ? `: ${words}` : ''}`,
  notGood: 'after-care, answered as not good',
  notAnswered: (on: string): string => `after-care, by ${on}, not answered`,
  leftOut: (places: readonly string[]): { readonly what: string; readonly why: string } => ({
    what: places.length === 1 ? '1 place left out of that job' : `${places.length} places left out of that job`,
    why: `${places.slice(0, NAMED).join('; ')}${places.length > NAMED ? ` and ${places.length - NAMED} more` : ''}`,
  }),
};
