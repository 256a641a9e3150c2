/** By what clock a page stamps what it sends, ms; and the server's, on every answer: so that a wrong clock is set right. */
export const CLOCK_HEADER = 'x-dauer-clock';
/** What a device’s own clock says, ms, as it is: so that a wrong one is noticed. */
export const DEVICE_CLOCK_HEADER = 'x-dauer-device-clock';
export const NOW_HEADER = 'x-dauer-now';
/** Which incarnation of the book answers: a restored one is another, and is sent again what a device still keeps. */
export const BOOK_HEADER = 'x-dauer-book';
/** Who a page believes to be signed in, by id: what another person's session would do under their name is refused. */
export const PERSON_HEADER = 'x-dauer-person';
/** Who took an event that a lead hands in for them, by id: it goes into the book under that name. */
export const TAKEN_BY_HEADER = 'x-dauer-taken-by';
/** Header by which a page names itself, so that it does not get its own changes back. */
export const PAGE_HEADER = 'x-dauer-page';
