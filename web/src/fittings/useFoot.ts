import { useElementSize } from '@vueuse/core';
import { onScopeDispose, type Ref, watch } from 'vue';

/** What the style sheet calls the room that the bar at the foot takes. */
const ROOM = '--foot';

/** Tells the page how high the bar at its foot is, so that nothing is scrolled or shown under it; px, as long as it stands. */
export function useFoot(bar: Readonly<Ref<HTMLElement | null>>): void {
  const root = document.documentElement.style;
  const { height } = useElementSize(bar, undefined, { box: 'border-box' });
  watch(height, (px) => root.setProperty(ROOM, `${Math.ceil(px)}px`));
  onScopeDispose(() => root.removeProperty(ROOM));
}
