import { fileAsOf } from '@dauer/core/history';
import { deriveJob } from '@dauer/core/job';
import type { HandbackSheet, JobRecords } from '@dauer/core/ledger';
import { buildSheet } from '@dauer/core/views';
import { thumbnail } from '../features/bookin/thumbnail.ts';
import { type PrintedLetter, printLetter } from '../features/due/printLetter.ts';
import { printBox, type PrintedBox, type PrintedOrder, printOrder } from '../features/parts/printOrders.ts';
import { printParking, type PrintedParking } from '../features/rebuild/printParking.ts';
import { type PrintedStrip, printStrip } from '../features/rebuild/printStrip.ts';
import { printOwnerPage, type PrintedOwnerPage } from '../features/prove/printOwnerPage.ts';
import { printSheet, type Printed } from '../features/prove/printSheet.ts';
import { basisOf } from '../records/release.ts';

/** What a sheet of the past is worked out from: the records, and the instant of the hand-back. */
interface SheetOf {
  readonly file: JobRecords;
  readonly at: string;
}

/** Everything that is done in a thread of its own: input and result go over as copies. */
export const TASKS = {
  thumbnail: ({ bytes, side }: { bytes: Uint8Array; side: number }): Promise<Uint8Array> => thumbnail(bytes, side),
  order: async (printed: PrintedOrder): Promise<Uint8Array> => printOrder(printed),
  box: async (printed: PrintedBox): Promise<Uint8Array> => printBox(printed),
  letter: async (printed: PrintedLetter): Promise<Uint8Array> => printLetter(printed),
  pdf: async (printed: Printed): Promise<Uint8Array> => printSheet(printed),
  ownerPage: async (printed: PrintedOwnerPage): Promise<Uint8Array> => printOwnerPage(printed),
  parking: async (printed: PrintedParking): Promise<Uint8Array> => printParking(printed),
  strip: async (printed: PrintedStrip): Promise<Uint8Array> => printStrip(printed),
  sheet: ({ file: records, at }: SheetOf): { sheet: HandbackSheet; basis: ReturnType<typeof basisOf> } => {
    const state = deriveJob(fileAsOf(records, at), at);
    return { sheet: buildSheet(state, at), basis: basisOf(state) };
  },
};
export type Task = keyof typeof TASKS;
export type InputOf<T extends Task> = Parameters<(typeof TASKS)[T]>[0];
export type ResultOf<T extends Task> = Awaited<ReturnType<(typeof TASKS)[T]>>;
