import { fileURLToPath } from 'node:url';

/** Whether this is the build of the server (`dist/`), not its source (`src/`): both lie one folder below the server's. */
export const BUILT = !import.meta.url.endsWith('.ts');

/** The file at a path below the server's folder. */
export const inServer = (path: string): string => fileURLToPath(new URL(`../${path}`, import.meta.url));
