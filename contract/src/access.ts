/** What server and web agree upon beside the shapes of what they send: who may, how much, and where pictures and sheets lie. */
export type Access = 'public' | 'reader' | 'technician' | 'lead';
export type Feature =
  'yard' | 'due' | 'bookin' | 'trace' | 'gauge' | 'decide' | 'rebuild' | 'bleed' | 'prove' | 'parts' | 'limits' | 'rack' | 'shop';

/** What a technician may do, a lead may; what a reader may, both may. */
export const ROLE_RANK = { reader: 1, technician: 2, lead: 3 } as const;

/** Whether somebody of this role may call an endpoint. */
export function mayCall(access: Access, role: keyof typeof ROLE_RANK | null): boolean {
  return access === 'public' || (role !== null && ROLE_RANK[role] >= ROLE_RANK[access]);
}

/** Most rows of a list that are given at once; what follows is asked for by the id of the last. */
export const PAGE_SIZE = 500;

/** Largest body of an endpoint that names none, bytes; and of one that is open to anybody. */
export const LARGEST_BODY = 256 * 1024;
export const LARGEST_PUBLIC_BODY = 16 * 1024;

/** Where an image or its thumbnail is fetched from, by the hash of its bytes. */
export const PICTURE = { path: '/api/pictures/:hash', role: 'reader' } as const satisfies { path: string; role: Access };
/** What is on order from a supplier, and what goes in a box to one, as PDF: files beside the endpoints. */
export const ORDER_PDF = { path: '/api/orders.pdf', role: 'technician' } as const satisfies { path: string; role: Access };
export const PACKING_PDF = { path: '/api/packing.pdf', role: 'technician' } as const satisfies { path: string; role: Access };
/** Where a hand-back sheet is fetched from as a PDF file. */
export const SHEET_PDF = { path: '/api/jobs/:jobId/sheet.pdf', role: 'reader' } as const satisfies { path: string; role: Access };
/** The card for the windscreen of a parked vehicle, and a line drawn along a strip to be laid beside its tube, as PDF. */
export const PARKING_PDF = { path: '/api/jobs/:jobId/parking.pdf', role: 'reader' } as const satisfies { path: string; role: Access };
export const LINE_PDF = { path: '/api/jobs/:jobId/lines/:connectionId/strip.pdf', role: 'reader' } as const satisfies {
  path: string;
  role: Access;
};
/** Where the choice file of a sheet is fetched from: a page of its own for the owner. */
export const CHOICE_FILE = { path: '/api/jobs/:jobId/offers/:id/choice-file', role: 'technician' } as const satisfies {
  path: string;
  role: Access;
};
/** What falls due as a calendar: as a file for whoever is signed in, and at a secret address for a calendar program. */
export const CALENDAR_FILE = { path: '/api/calendar.ics', role: 'reader' } as const satisfies { path: string; role: Access };
export const CALENDAR_FEED = { path: '/calendar/:secret', role: 'public' } as const satisfies { path: string; role: Access };
/** A letter that reminds an owner, as PDF. */
export const LETTER_PDF = { path: '/api/letters/:id/letter.pdf', role: 'technician' } as const satisfies { path: string; role: Access };
/** The stream of changes: listeners get ids only, and read again. Who a page believes to be signed in goes as `person`. */
export const LIVE = { path: '/api/live', role: 'reader' } as const satisfies { path: string; role: Access };
