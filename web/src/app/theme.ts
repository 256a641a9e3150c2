import { USUAL_LOCALE } from '@dauer/core/quantity';
import { mdiCheckboxBlankOutline, mdiCheckboxMarkedOutline, mdiChevronDown, mdiClose } from '@mdi/js';
import { useLocalStorage, usePreferredDark } from '@vueuse/core';
import { computed, watchEffect } from 'vue';
import 'vuetify/styles/core';
import { createVuetify } from 'vuetify';
import { aliases, mdi } from 'vuetify/iconsets/mdi-svg';

/** Vuetify, themed once for all screens. */
export const vuetify = createVuetify({
  date: { locale: { en: USUAL_LOCALE } },
  icons: {
    defaultSet: 'mdi',
    sets: { mdi },
    aliases: {
      ...aliases,
      dropdown: mdiChevronDown,
      clear: mdiClose,
      checkboxOn: mdiCheckboxMarkedOutline,
      checkboxOff: mdiCheckboxBlankOutline,
    },
  },
  theme: {
    defaultTheme: 'day',
    themes: {
      day: {
        dark: false,
        colors: {
          background: '#F2F1EB',
          surface: '#FBFAF6',
          primary: '#1D4E89',
          error: '#8C1C2B',
          'on-surface': '#1B2226',
          'on-background': '#1B2226',
        },
      },
      night: {
        dark: true,
        colors: {
          background: '#14191C',
          surface: '#1C2327',
          primary: '#8FB8E8',
          error: '#F08A94',
          'on-surface': '#ECE8DC',
          'on-background': '#ECE8DC',
        },
      },
    },
  },
  defaults: {
    global: { ripple: false, elevation: 0 },
    VBtn: { variant: 'text', rounded: 0 },
    VTextField: { variant: 'outlined', density: 'comfortable', hideDetails: 'auto', color: 'primary' },
    VTextarea: { variant: 'outlined', density: 'comfortable', hideDetails: 'auto', color: 'primary', rows: 2, autoGrow: true },
    VSelect: { variant: 'outlined', density: 'comfortable', hideDetails: 'auto', color: 'primary', menuProps: { transition: false } },
    VDateInput: {
      variant: 'outlined',
      density: 'comfortable',
      hideDetails: 'auto',
      color: 'primary',
      menuProps: { transition: false, offset: 8 },
    },
    VDatePicker: { color: 'primary', border: true, rounded: 0 },
    VCheckbox: { hideDetails: 'auto', color: 'primary', density: 'comfortable' },
    VDialog: { maxWidth: 620, transition: false },
  },
});

const chosen = useLocalStorage<'day' | 'night' | 'device'>('dauer.theme', 'device');
const dark = usePreferredDark();

/** The theme in use, and what was chosen. */
export function useTheme() {
  const shown = computed<'day' | 'night'>(() => (chosen.value === 'device' ? (dark.value ? 'night' : 'day') : chosen.value));
  return { chosen, shown };
}

/** Keeps document and Vuetify in the theme chosen. */
export function applyTheme(): void {
  const { shown } = useTheme();
  watchEffect(() => {
    document.documentElement.dataset['theme'] = shown.value;
    vuetify.theme.change(shown.value);
  });
}

/** Days are typed and picked in this order from now on. */
export function pickDaysAs(locale: string): void {
  Object.assign(vuetify.date.options.locale, { en: locale });
  vuetify.date.instance.locale = locale;
}
