/** The thread beside a server that runs from its source. */
import { register } from 'tsx/esm/api';

register();
await import('./thread.ts');
