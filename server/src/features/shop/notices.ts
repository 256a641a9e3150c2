import { type Notice, mayCall } from '@dauer/contract';
import type { Role } from '@dauer/core/verdict';
import { sql } from 'drizzle-orm';
import type { Database } from '../../db/connect.ts';
import { homeOf, readSettings, readStatus } from '../../keeping/files.ts';
import { clockWords, deviceClocks } from '../../platform/clock.ts';
import { LITTLE_ROOM, NO_ROOM, roomLeft } from '../../platform/disk.ts';
import type { Handlers } from '../../platform/routes.ts';
import { millisecondsInDay } from 'date-fns/constants';

const COPY_IS_OLD = 2 * millisecondsInDay;
const TRIAL_IS_OLD = 8 * millisecondsInDay;

const daysAgo = (at: string, now: number): string => {
  const days = Math.floor((now - Date.parse(at)) / millisecondsInDay);
  return days <= 0 ? 'today' : days === 1 ? 'a day ago' : `${days} days ago`;
};

function ofDisk(free: number | null): Notice[] {
  if (free === null || free >= LITTLE_ROOM) return [];
  const left = `${Math.round(free / 2 ** 20)} MB`;
  return free < NO_ROOM
    ? [
        {
          code: 'disk_full',
          says: `The disk of the server is full (${left} left). What is taken stays on the devices until there is room.`,
        },
      ]
    : [{ code: 'disk_low', says: `The disk of the server is nearly full: ${left} left. Make room before it stops taking readings.` }];
}

/** What is wrong with the backups; nothing while a book is too young to have any. */
function ofBackups(now: number): Notice[] {
  const home = homeOf();
  const status = home ? readStatus(home) : null;
  if (!home || !status) return [];
  const found: Notice[] = [];
  if (status.trouble && readSettings(home).folder !== null) found.push({ code: 'backup_trouble', says: `Backups: ${status.trouble}` });
  if (status.lastCopy && now - Date.parse(status.lastCopy.at) > COPY_IS_OLD)
    found.push({ code: 'backup_old', says: `The newest whole backup was made ${daysAgo(status.lastCopy.at, now)}.` });
  if (status.lastTrial && !status.lastTrial.good)
    found.push({ code: 'trial_failed', says: `The backups were tried and failed: ${status.lastTrial.says}` });
  const good = status.lastGoodTrial;
  if (good ? now - Date.parse(good) > TRIAL_IS_OLD : status.lastCopy !== null && now - Date.parse(status.lastCopy.at) > TRIAL_IS_OLD)
    found.push({
      code: 'trial_old',
      says: good ? `The backups were last tried, and good, ${daysAgo(good, now)}.` : 'The backups were never tried.',
    });
  return found;
}

async function ofClock(db: Database, now: number): Promise<Notice[]> {
  const { rows } = await db.execute<{ last: string | null; clock: string }>(sql`
    select (extract(epoch from greatest(
      (select max(recorded_at) from (select recorded_at from reading order by id desc limit 20) r),
      (select max(started_at) from (select started_at from session order by id desc limit 20) s))) * 1000)::bigint::text as last,
      (extract(epoch from clock_timestamp()) * 1000)::bigint::text as clock`);
  const [row] = rows;
  const says = clockWords(row?.last ? Number(row.last) : null, deviceClocks.ahead(now), Number(row?.clock ?? now) - now, now);
  return says ? [{ code: 'clock', says }] : [];
}

/** What has to be known of the server: of its disk by everybody, of its backups and its clock by leads. */
export async function noticesFor(db: Database, role: Role | null, now = Date.now()): Promise<Notice[]> {
  const disk = ofDisk(await roomLeft());
  return mayCall('lead', role) ? [...disk, ...(await ofClock(db, now)), ...ofBackups(now)] : disk;
}

export const noticeHandlers: Pick<Handlers, 'notices'> = {
  notices: ({ db, person }) => noticesFor(db, person.role),
};
