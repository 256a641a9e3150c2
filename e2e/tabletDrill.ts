import type { BrowserContext, Page } from 'playwright-core';
import { seededUniform } from '@dauer/core/inference';
import { removeComponent } from '@dauer/core/layout';
import type { JobRecords } from '@dauer/core/ledger';
import { v7 } from 'uuid';
import { allSent, type House, signIn, typeFigures } from './house.ts';

/** The device's clock and storage, as the drill sets them. */
const DEVICE = `{
  const now = Date.now.bind(Date);
  const set = (key) => localStorage.getItem('drill.' + key);
  Date.now = () => now() + Number(set('ahead') ?? 0);
  const add = IDBObjectStore.prototype.add;
  IDBObjectStore.prototype.add = function (...given) {
    if (set('refuses') === '1') throw new DOMException('no room', 'QuotaExceededError');
    return add.apply(this, given);
  };
}`;

/** A figure that the device has acknowledged: whose it is, and of which place. */
interface Acknowledged {
  readonly by: string;
  readonly slotId: string;
  readonly typed: string;
}

export interface DrillReport {
  readonly acts: Readonly<Record<string, number>>;
  readonly acknowledged: number;
  /** What is not in the book as it was acknowledged, in words. */
  readonly wrong: readonly string[];
}

/** So many figures are taken at the least, however slow the machine is. */
const LEAST = 8;

const PEOPLE = ['tomasz', 'ruth'] as const;

/** A tablet in rough hands: cut off, killed, its clock set, its storage full, people changing, a place taken out, at random. */
export class TabletDrill {
  readonly #house: House;
  readonly #desk: Page;
  readonly #jobId: string;
  readonly #random: () => number;
  readonly #acts: Record<string, number> = {};
  readonly #acknowledged: Acknowledged[] = [];
  /** Places that are measured; the last of them is taken out of the layout in the middle. */
  readonly #slots: readonly { readonly id: string; readonly name: string }[];
  #context!: BrowserContext;
  #page!: Page;
  #who: (typeof PEOPLE)[number] = 'tomasz';
  #slot = 0;
  #offline = false;
  #refuses = false;
  #n = 0;
  #takenOut = false;

  constructor(house: House, desk: Page, jobId: string, slots: readonly { readonly id: string; readonly name: string }[], seed: number) {
    this.#house = house;
    this.#desk = desk;
    this.#jobId = jobId;
    this.#slots = slots;
    this.#random = seededUniform(seed);
  }

  /** @param seconds how long the hands are rough */
  async run(seconds: number): Promise<DrillReport> {
    this.#page = await this.#house.page({ shell: true });
    this.#context = this.#page.context();
    await this.#context.addInitScript(DEVICE);
    await signIn(this.#page, this.#house.url, this.#who);
    await this.#page.evaluate(async () => (await navigator.serviceWorker.ready).active?.state);
    await this.#open();
    const half = Date.now() + (seconds * 1000) / 2;
    const until = Date.now() + seconds * 1000;
    while (Date.now() < until || this.#acknowledged.length < LEAST) {
      if (!this.#takenOut && Date.now() > half) await this.#count('layout', () => this.#takeOut());
      const roll = this.#random();
      if (roll < 0.6) await this.#count('taken', () => this.#take());
      else if (roll < 0.72) await this.#count('cut', () => this.#cut(!this.#offline));
      else if (roll < 0.8) await this.#count('killed', () => this.#kill());
      else if (roll < 0.88) await this.#count('clock', () => this.#clock());
      else if (roll < 0.94) await this.#count('store', () => this.#store(!this.#refuses));
      else await this.#count('person', () => this.#change());
    }
    await this.#store(false);
    await this.#cut(false);
    for (const who of PEOPLE) {
      await this.#change(who);
      await allSent(this.#page);
    }
    return { acts: this.#acts, acknowledged: this.#acknowledged.length, wrong: await this.#wrong() };
  }

  async #count(what: string, act: () => Promise<void>): Promise<void> {
    this.#acts[what] = (this.#acts[what] ?? 0) + 1;
    await act();
  }
  async #set(key: string, value: string): Promise<void> {
    await this.#page.evaluate(`localStorage.setItem('drill.${key}', '${value}')`);
  }
  /** Opens the bench at a place that is there still. */
  async #open(): Promise<void> {
    if (this.#takenOut) this.#slot = 0;
    const slot = this.#slots[this.#slot]!;
    await this.#page.goto(`${this.#house.url}/jobs/${this.#jobId}/gauge?pick=${slot.id}`);
    await this.#page.locator('[data-capture]').waitFor();
    await this.#page.getByRole('tab', { name: /^Thickness/ }).click();
    await this.#page.locator('[data-capture] .what', { hasText: 'Thickness' }).waitFor();
  }
  async #take(): Promise<void> {
    const again = this.#page.getByRole('button', { name: 'Take all again' });
    const sets = await this.#page.locator('[data-capture] .dots .dot:not(.kept)').count();
    if (sets === 0 && (await again.count()) > 0) await again.click();
    this.#n += 1;
    const typed = (9 + this.#n / 1000).toFixed(3);
    await this.#page.keyboard.press('Escape');
    await typeFigures(this.#page, [typed]);
    // Acknowledged is what is on its way into the storage no more, and was not refused there.
    await this.#page.locator('header[data-storing="0"]').waitFor();
    // A figure that was refused stays in the bar.
    if ((await this.#page.locator('[data-capture] .live').innerText()).trim() === typed) return;
    if ((await this.#page.getByText('on this page only').count()) > 0) return;
    const sees = await this.#page.locator('[data-capture] .what').innerText();
    const slot = this.#slots.find((s) => sees.toLowerCase().includes(s.name.toLowerCase()));
    if (slot) this.#acknowledged.push({ by: this.#who, slotId: slot.id, typed });
  }
  async #cut(off: boolean): Promise<void> {
    await this.#context.setOffline(off);
    this.#offline = off;
  }
  /** The page goes away without a word, and is opened again. */
  async #kill(): Promise<void> {
    // What the page alone holds is lost with it, and was never acknowledged; what leans on it would be refused.
    if (this.#refuses) return;
    const next = await this.#context.newPage();
    await this.#page.close();
    this.#page = next;
    this.#slot = Math.floor(this.#random() * this.#slots.length);
    await this.#open();
  }
  async #clock(): Promise<void> {
    await this.#set('ahead', String(Math.round((this.#random() - 0.5) * 4) * 3600000));
  }
  async #store(refuses: boolean): Promise<void> {
    await this.#set('refuses', refuses ? '1' : '0');
    this.#refuses = refuses;
  }
  /** Somebody signs out, and the other one in. */
  async #change(to: (typeof PEOPLE)[number] = this.#who === 'tomasz' ? 'ruth' : 'tomasz'): Promise<void> {
    if (this.#offline || this.#refuses) return;
    await this.#page.goto(`${this.#house.url}/shop`);
    await this.#page.getByRole('button', { name: /^Sign out / }).click();
    await this.#page.waitForURL('**/sign-in');
    await signIn(this.#page, this.#house.url, to);
    this.#who = to;
    await this.#open();
  }
  /** At the desk a place is taken out, with what the tablet has there on its way. */
  async #takeOut(): Promise<void> {
    const { layout } = await this.#file();
    const slot = this.#slots.at(-1)!;
    const reply = await this.#desk.request.post(`${this.#house.url}/api/jobs/${this.#jobId}/layout`, {
      data: {
        layout: { ...removeComponent(layout, slot.id, v7), id: v7() },
        ...{ replaces: layout.id, revision: 'conversion', why: 'It is gone' },
      },
      headers: { origin: this.#house.url },
    });
    if (reply.status() !== 200) throw new Error(`the layout was not taken: ${await reply.text()}`);
    this.#takenOut = true;
    if (!this.#offline && !this.#refuses && this.#slot > 0) await this.#open();
  }
  async #file(): Promise<JobRecords> {
    return (await (await this.#desk.request.get(`${this.#house.url}/api/jobs/${this.#jobId}`)).json()) as JobRecords;
  }
  async #wrong(): Promise<string[]> {
    const file = await this.#file();
    const found = this.#acknowledged.map((a) => {
      const readings = file.readings.filter((r) => r.typed === a.typed);
      const [reading] = readings;
      const set = file.sets.find((s) => s.id === reading?.setId);
      const by = file.people
        .find((p) => p.id === reading?.authorId)
        ?.name.split(' ')[0]
        ?.toLowerCase();
      return { a, readings, reading, set, by };
    });
    const each = found.flatMap(({ a, readings, set, by }) => [
      ...(readings.length === 1 ? [] : [`${a.typed} stands ${readings.length} times`]),
      ...(readings.length === 1 && by !== a.by ? [`${a.typed} of ${a.by} stands under ${by ?? 'nobody'}`] : []),
      ...(readings.length === 1 && set?.slotId !== a.slotId ? [`${a.typed} stands at another place`] : []),
    ]);
    const order = found.flatMap(({ reading }) => (reading ? [reading] : []));
    const turned = order
      .filter((r, i) => (order[i - 1]?.happenedAt ?? '') > r.happenedAt)
      .map((r) => `${r.typed} stands before what it followed`);
    return [...each, ...turned];
  }
}
