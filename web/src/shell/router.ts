import { createRouter, createWebHistory } from 'vue-router';
import { call } from '../app/client.ts';
import { yardAhead } from '../app/kept.ts';
import { useSession } from '../app/session.ts';
import { titled } from '../app/title.ts';

export const router = createRouter({
  history: createWebHistory(),
  routes: [
    { path: '/', name: 'yard', component: () => import('../features/yard/YardScreen.vue'), meta: { title: 'Yard' } },
    {
      path: '/sign-in',
      name: 'sign-in',
      component: () => import('../features/shop/SignInScreen.vue'),
      meta: { open: true, title: 'Sign in' },
    },
    { path: '/book-in', component: () => import('../features/bookin/BookInScreen.vue'), meta: { title: 'Book in' } },
    { path: '/jobs/:jobId/again', component: () => import('../features/bookin/AgainScreen.vue'), meta: { title: 'Book in again' } },
    { path: '/jobs/:jobId/board', component: () => import('../features/rebuild/BoardScreen.vue'), meta: { title: 'Do not press' } },
    { path: '/jobs/:jobId/parking', component: () => import('../features/rebuild/parking/ParkingScreen.vue'), meta: { title: 'Parked' } },
    { path: '/jobs/:jobId/sheet', component: () => import('../features/prove/SheetScreen.vue'), meta: { title: 'Hand-back sheet' } },
    { path: '/jobs/:jobId/layout', component: () => import('../features/bookin/layout/LayoutScreen.vue'), meta: { title: 'Layout' } },
    { path: '/jobs/:jobId/:stage?', name: 'job', component: () => import('./JobFrame.vue'), meta: {} },
    { path: '/due', component: () => import('../features/due/DueScreen.vue'), meta: { title: 'What falls due' } },
    { path: '/parts', component: () => import('../features/parts/PartsScreen.vue'), meta: { title: 'Parts' } },
    { path: '/parts/prices', component: () => import('../features/parts/PricesScreen.vue'), meta: { title: 'Prices' } },
    {
      path: '/parts/traffic',
      component: () => import('../features/parts/TrafficScreen.vue'),
      meta: { title: 'Orders and send-outs' },
    },
    { path: '/parts/store', component: () => import('../features/parts/StoreScreen.vue'), meta: { title: 'Lots and store' } },
    { path: '/parts/lasting', component: () => import('../features/decide/LastingScreen.vue'), meta: { title: 'What our work lasted' } },
    { path: '/lasting', redirect: '/parts/lasting' },
    { path: '/parts/:id', component: () => import('../features/parts/PartScreen.vue'), meta: { title: 'Part' } },
    { path: '/limits', component: () => import('../features/limits/LimitsScreen.vue'), meta: { title: 'Limits' } },
    { path: '/gauges', component: () => import('../features/rack/GaugesScreen.vue'), meta: { title: 'Gauges' } },
    { path: '/gauges/:id', component: () => import('../features/rack/GaugeScreen.vue'), meta: { title: 'Gauge' } },
    { path: '/tracing', component: () => import('../features/trace/TracingScreen.vue'), meta: { title: 'Tracing' } },
    { path: '/practice', component: () => import('../features/trace/PracticeScreen.vue'), meta: { title: 'Practice' } },
    { path: '/cards/:cardId?', component: () => import('../features/shop/cards/CardsScreen.vue'), meta: { title: 'Work cards' } },
    { path: '/shop', component: () => import('../features/shop/ShopScreen.vue'), meta: { title: 'Shop' } },
    { path: '/:rest(.*)', component: () => import('./NothingHere.vue'), meta: { title: 'Nothing here' } },
  ],
});

// The screen of the address comes in while it is asked who is here.
for (const { components } of router.resolve(window.location.pathname).matched) {
  const load: unknown = components?.['default'];
  if (typeof load === 'function') void (load as () => Promise<unknown>)();
}

router.beforeEach(async (to) => {
  const session = useSession();
  const first = !session.resumed;
  if (first) await session.resume();
  if (!session.person && !to.meta['open']) return { name: 'sign-in', query: to.fullPath === '/' ? {} : { to: to.fullPath } };
  if (session.person && to.name === 'sign-in') return { name: 'yard' };
  if (first && to.name === 'yard') yardAhead.put(call('yard'));
  return true;
});
// A job says itself which vehicle and stage it is.
router.afterEach((to) => {
  if (typeof to.meta['title'] === 'string') titled(to.meta['title']);
});
