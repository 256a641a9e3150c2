import { PiniaColada } from '@pinia/colada';
import { createPinia } from 'pinia';
import { createApp } from 'vue';
import './app/tokens.css';
import './app/base.css';
import './app/vuetify.css';
import App from './shell/App.vue';
import { useOutbox } from './job/outbox/store.ts';
import { useSession } from './app/session.ts';
import { router } from './shell/router.ts';
import { applyTheme, vuetify } from './app/theme.ts';
import { vFocus } from './fittings/focus.ts';

const app = createApp(App);
app.use(createPinia());
// Who is here is asked first: the page is put together while the answer comes.
void useSession().resume();
app.use(PiniaColada);
app.use(vuetify);
applyTheme();
void useOutbox().open();
app.directive('focus', vFocus);
app.use(router);
app.mount('#app');

/** A page that was open while a new version was put in its place finds its later parts gone: it is loaded anew, once. */
window.addEventListener('vite:preloadError', (event) => {
  const last = Number(sessionStorage.getItem('dauer.reloaded') ?? 0);
  if (Date.now() - last < 30000) return;
  event.preventDefault();
  sessionStorage.setItem('dauer.reloaded', String(Date.now()));
  window.location.reload();
});
