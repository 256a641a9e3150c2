import { type Ref, onBeforeUnmount, onMounted, watch } from 'vue';

function scrollerOf(el: Element): Element {
  for (let at = el.parentElement; at; at = at.parentElement) {
    const { overflowY } = getComputedStyle(at);
    if ((overflowY === 'auto' || overflowY === 'scroll') && at.scrollHeight > at.clientHeight) return at;
  }
  return document.scrollingElement ?? document.documentElement;
}

/**
 * Keeps what was touched last where it is on the screen while what stands above it grows: the page is scrolled by as much.
 * @param changes what, when it changes, may move things
 */
export function useSteady(root: Ref<HTMLElement | null>, changes: Ref<unknown>): void {
  let touched: Element | null = null;
  const remember = (e: Event): void => {
    touched = e.target instanceof Element && root.value?.contains(e.target) ? e.target : null;
  };
  onMounted(() => {
    addEventListener('pointerdown', remember, true);
    addEventListener('keydown', remember, true);
  });
  onBeforeUnmount(() => {
    removeEventListener('pointerdown', remember, true);
    removeEventListener('keydown', remember, true);
  });
  let was: number | null = null;
  watch(changes, () => (was = touched?.isConnected ? touched.getBoundingClientRect().top : null), { flush: 'pre' });
  watch(
    changes,
    () => {
      if (was === null || !touched?.isConnected) return;
      const by = touched.getBoundingClientRect().top - was;
      if (by !== 0) scrollerOf(touched).scrollTop += by;
    },
    { flush: 'post' },
  );
}
