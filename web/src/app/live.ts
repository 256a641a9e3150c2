import { LIVE, type LiveMessage } from '@dauer/contract';
import { tryOnScopeDispose, useDebounceFn } from '@vueuse/core';
import { call, PAGE } from './client.ts';
import { heard as heardServer, notHeard, quietFor } from './heard.ts';

type Heard = (jobId: string | null) => void;
const listeners = new Set<Heard>();
const instruments = new Set<(message: LiveMessage) => void>();
let source: EventSource | null = null;
/** For whom is listened, by id; null while nobody is signed in. */
let wanted: string | null = null;
let listened = false;
let onRefused: () => void = () => undefined;
/** Told when the server lets this page listen no more. */
export function whenRefused(f: () => void): void {
  onRefused = f;
}

/** Somebody else changed something: in a job, or (null) in anything, also after a break in which changes may have been missed. */
export function onChange(heard: (jobId: string | null) => void): void {
  listeners.add(heard);
  tryOnScopeDispose(() => listeners.delete(heard));
}

/** An instrument spoke, or a page took one for itself. Returns how to stop listening. */
export function onInstrument(heard: (message: LiveMessage) => void): () => void {
  instruments.add(heard);
  return () => instruments.delete(heard);
}

/** Reads again, at most a few times a second however much changes. */
export function onChangeOf(jobId: () => string | null, read: () => void): void {
  const soon = useDebounceFn(read, 120, { maxWait: 600 });
  onChange((changed) => {
    const own = jobId();
    if (own !== null && (changed === null || changed === own)) void soon();
  });
}

/** The server says every 20 s that it is there; a page that hears less of it asks, ms. */
const QUIET_MS = 50_000;
setInterval(() => {
  if (wanted !== null && quietFor(QUIET_MS)) void call('welcome').catch(() => undefined);
}, QUIET_MS / 5);
window.addEventListener('offline', notHeard);

/** Passes a message on to whom it is for, in the order they came. The shapes are loaded once there is one to be read. */
async function tell(text: string): Promise<void> {
  const { liveMessage } = await import('@dauer/contract/live');
  const message = liveMessage.safeParse(JSON.parse(text));
  if (!message.success) return;
  if (message.data.instrument || message.data.claims !== undefined) for (const heard of instruments) heard(message.data);
  else if (message.data.page !== PAGE) for (const heard of listeners) heard(message.data.jobId);
}

/** Listens while somebody is signed in, for them; null: no more. The browser comes back by itself; what was missed meanwhile is read again. */
export function listen(on: string | null): void {
  wanted = on;
  if (on === null) {
    source?.close();
    source = null;
    return;
  }
  if (source) return;
  let dropped = listened;
  listened = true;
  source = new EventSource(`${LIVE.path}?person=${encodeURIComponent(on)}`);
  source.addEventListener('here', heardServer);
  source.onmessage = (event: MessageEvent<string>) => {
    heardServer();
    void tell(event.data);
  };
  source.onerror = () => {
    notHeard();
    dropped = true;
    // A stream that the server refused is not tried again by the browser.
    if (source?.readyState === EventSource.CLOSED) {
      source = null;
      onRefused();
      setTimeout(() => listen(wanted), 5000);
    }
  };
  source.onopen = () => {
    heardServer();
    if (dropped) for (const heard of listeners) heard(null);
    dropped = false;
  };
}
