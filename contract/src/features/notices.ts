import { z } from 'zod';
import { endpoint, none } from '../endpoint.ts';

/** What somebody has to know of the server itself, by a stable code and in a sentence. */
export const notice = z.object({
  code: z.enum(['disk_low', 'disk_full', 'backup_trouble', 'backup_old', 'trial_old', 'trial_failed', 'clock']),
  says: z.string(),
});
export type Notice = z.infer<typeof notice>;

export const notices = {
  notices: endpoint({
    ...none,
    feature: 'shop',
    method: 'GET',
    path: '/api/notices',
    role: 'reader',
    summary: 'What has to be known of the server: little room, old backups, a wrong clock',
    reply: z.array(notice),
  }),
};
