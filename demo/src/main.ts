import { loadDemo } from './load.ts';

const url = process.argv[2];
if (!url) throw new Error('the address of a new, empty shop is needed');
await loadDemo(url, process.env['DAUER_DEMO_PASSWORD'] ?? 'brakes-hold-lives', Date.now());
