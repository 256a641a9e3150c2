import { TRAFFIC_PAGE, TRAFFIC_VIEWS, type TrafficView } from '@dauer/contract';
import type { Handlers } from '../../platform/routes.ts';
import { shopDay } from '../../records/ahead.ts';
import { writeAsTheShop } from '../../records/locale.ts';
import { knownRows, withNames } from '../../records/traffic.ts';

export const trafficHandlers: Pick<Handlers, 'traffic'> = {
  traffic: async ({ db, query }) => {
    await writeAsTheShop(db);
    const today = await shopDay(db, new Date().toISOString());
    const all = await knownRows(db, today);
    const jobs = query.q === undefined || query.q.trim() === '' ? null : await withNames(db, all);
    const q = (query.q ?? '').trim().toLowerCase();
    const found = new Set(
      (jobs ?? [])
        .filter((r) =>
          `${r.vehicleTag} ${r.vehicleName} ${r.supplier} ${r.what} ${r.partNumber ?? ''} ${r.places.join(' ')}`.toLowerCase().includes(q),
        )
        .map((r) => r.id),
    );
    const mine = jobs === null ? all : all.filter((r) => found.has(r.id));
    const counts = Object.fromEntries(TRAFFIC_VIEWS.map((v) => [v, mine.filter((r) => r.views.includes(v)).length])) as Record<
      TrafficView,
      number
    >;
    const shown = mine
      .filter((r) => query.view === undefined || r.views.includes(query.view))
      .sort((a, b) => ((a.on ?? '9') === (b.on ?? '9') ? (a.id < b.id ? -1 : 1) : (a.on ?? '9') < (b.on ?? '9') ? -1 : 1));
    return { counts, rows: await withNames(db, shown.slice(0, TRAFFIC_PAGE)), more: Math.max(0, shown.length - TRAFFIC_PAGE) };
  },
};
