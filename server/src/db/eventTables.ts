import { EVENT_LISTS, type EventList } from '@dauer/core/ledger';
import * as tables from './schema.ts';

const pick = <T, K extends keyof T>(of: T, keys: readonly K[]): Pick<T, K> => Object.fromEntries(keys.map((k) => [k, of[k]])) as Pick<T, K>;

/** The table of each family of events, which is called as the family is: one without a table does not compile. */
export const EVENT_TABLES: Pick<typeof tables, EventList> = pick(tables, EVENT_LISTS);
