import type { Sent } from '@dauer/contract';
import { defineStore } from 'pinia';
import { v7 } from 'uuid';
import { computed, shallowRef, watch } from 'vue';
import { ApiProblem, call, instantOfStamp, sentenceOf, timeNow, whenAnswered } from '../../app/client.ts';
import { EVENT_ENDPOINT } from '../../app/routes.ts';
import { useSession } from '../../app/session.ts';
import { base64Of, forgetImage } from '../pictures.ts';
import { Outbox, type PageNews } from './outbox.ts';
import { type HandedIn, ofOthers, type PendingEvent, rejected, unsent as unsentOf, waitingFor } from './queue.ts';
import { openStorage } from './storage.ts';
import { writeAhead } from './writeAhead.ts';

/** Under which this device notes by which incarnation of the book it was answered. */
const BOOK = 'dauer.book';

/** On which the pages of this device tell each other what they took and sent, and by which one of them sends. */
const PAGES = 'dauer.outbox';

/** Says that a lead hands in what follows. It may be said again: it is one record. */
async function sayHandedIn({ jobId, body }: PendingEvent, { id, at }: HandedIn): Promise<void> {
  await call('handIn', {
    params: { jobId },
    body: { id, eventId: body.id, happenedAt: at, device: body.device },
    clockOffset: null,
  });
}

/** The outbox of this page, as the screens see it. */
export const useOutbox = defineStore('outbox', () => {
  const session = useSession();
  const pages = new BroadcastChannel(PAGES);
  const { locks } = navigator as { readonly locks?: LockManager };
  const outbox = new Outbox({
    open: openStorage,
    send: async (item) => {
      if (item.handIn) await sayHandedIn(item, item.handIn);
      const body = item.stamp ? { ...item.body, happenedAt: await instantOfStamp(item.stamp) } : item.body;
      const { record } = (await call(EVENT_ENDPOINT[item.family] as 'takeBack', {
        params: { jobId: item.jobId },
        body: body as Sent<'takeBacks'>,
        ...(item.handIn && { takenBy: item.authorId }),
        ...(item.stamp ? { clockOffset: null } : item.clockOffset === undefined ? {} : { clockOffset: item.clockOffset }),
      })) as { record: unknown };
      return record;
    },
    sendImage: async (image) => void (await call('keepPicture', { body: { base64: base64Of(image.bytes) } })),
    refusal: (error) => (error instanceof ApiProblem && !error.passes ? error.message : null),
    sentenceOf,
    personId: () => session.person?.id ?? null,
    now: () => Date.now(),
    later: (run, ms) => {
      const timer = setTimeout(run, ms);
      return () => {
        clearTimeout(timer);
      };
    },
    ahead: writeAhead(localStorage),
    // A page that was reached insecurely has no locks: what two of them send twice, the book takes once.
    alone: (run) => (locks ? locks.request(PAGES, run) : run()),
    pages: {
      tell: (news) => {
        pages.postMessage(JSON.parse(JSON.stringify(news)));
      },
      hear: (heard) => {
        pages.addEventListener('message', ({ data }: MessageEvent<PageNews>) => {
          heard(data);
        });
      },
    },
    book: {
      known: () => localStorage.getItem(BOOK),
      note: (incarnation) => {
        localStorage.setItem(BOOK, incarnation);
      },
    },
    forgetImage: (hash) => void forgetImage(hash),
  });
  const queue = shallowRef(outbox.queue);
  // An event that was stored changes nothing of the list: what is derived from it is not derived anew.
  const items = shallowRef(outbox.queue.items);
  const images = shallowRef(outbox.images);
  const trouble = shallowRef(outbox.trouble);
  outbox.subscribe(() => {
    queue.value = outbox.queue;
    items.value = outbox.queue.items;
    images.value = outbox.images;
    trouble.value = outbox.trouble;
  });
  whenAnswered((book) => void outbox.heardOf(book).catch(() => undefined));
  watch(
    () => session.person?.id,
    () => void outbox.flush(),
  );
  // What the page alone holds goes with it: whoever leaves is asked.
  window.addEventListener('beforeunload', (event) => {
    if (queue.value.loose.size > 0) event.preventDefault();
  });
  window.addEventListener('online', () => void outbox.flush());
  return {
    items,
    images,
    trouble,
    storing: computed(() => queue.value.storing),
    loose: computed(() => queue.value.loose),
    unsent: computed(() => unsentOf(queue.value)),
    aside: computed(() => rejected(queue.value)),
    ofOthers: computed(() => ofOthers(queue.value, session.person?.id ?? null)),
    others: computed(() => waitingFor(ofOthers(queue.value, session.person?.id ?? null))),
    open: () => outbox.open(),
    keep: (item: Parameters<Outbox['keep']>[0]) => outbox.keep(item),
    keepImage: (image: Parameters<Outbox['keepImage']>[0]) => outbox.keepImage(image),
    forget: (item: Parameters<Outbox['forget']>[0]) => outbox.forget(item),
    retry: (item: Parameters<Outbox['retry']>[0]) => outbox.retry(item),
    flush: () => outbox.flush(),
    /** Sends what others left here, for whoever is signed in, who is a lead. */
    handIn: (items: readonly PendingEvent[]) => {
      const { person } = session;
      if (!person || session.lock) throw new Error('nobody is there to hand it in');
      const lead = { leadId: person.id, leadName: person.name, at: timeNow().at };
      return outbox.handIn(items.map((item) => ({ item, by: { id: v7(), ...lead } })));
    },
    settled: (atMost: number) => outbox.settled(atMost),
    blackOut: (struck: Parameters<Outbox['blackOut']>[0]) => outbox.blackOut(struck),
    whenStored: (f: Parameters<Outbox['whenSent']>[0]) => {
      outbox.whenSent(f);
    },
  };
});
