import type { ObjectDirective } from 'vue';

/**
 * Gives a field the focus the moment it appears. Vuetify's own autofocus waits until the field has been
 * seen on screen, and would take the focus away from somebody who is typing into the next field by then.
 */
export const vFocus: ObjectDirective<HTMLElement, boolean | undefined> = {
  mounted(el, { value }) {
    if (value === false) return;
    const field = el.matches('input, textarea') ? el : el.querySelector<HTMLElement>('input, textarea');
    field?.focus({ preventScroll: true });
  },
};

declare module 'vue' {
  interface GlobalDirectives {
    vFocus: typeof vFocus;
  }
}
