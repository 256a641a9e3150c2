/** What stands where a text was blacked out. */
export const BLACKED = '■■■';
