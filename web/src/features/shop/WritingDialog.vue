<script setup lang="ts">
import { isCurrency, USUAL_LOCALE } from '@dauer/core/quantity';
import { computed, ref } from 'vue';
import { call } from '../../app/client.ts';
import { useRequest } from '../../app/request.ts';
import { useSession } from '../../app/session.ts';
import { SAME } from '../../fittings/dates.ts';

/** How the shop writes days, numbers and sums; and the currency of those: one typed in another is refused, since nobody here knows the rate. */
const emit = defineEmits<{ close: [] }>();
const session = useSession();
const was = session.shop.locale ?? USUAL_LOCALE;
const LOCALES = [
  ...['en-GB', 'en-IE', 'en-US', 'en-CA', 'en-AU', 'en-NZ', 'en-ZA', 'en-IN', 'cs-CZ', 'da-DK', 'de-AT', 'de-CH', 'de-DE', 'es-ES'],
  ...['es-MX', 'fi-FI', 'fr-CA', 'fr-CH', 'fr-FR', 'hu-HU', 'it-IT', 'nb-NO', 'nl-BE', 'nl-NL', 'pl-PL', 'pt-BR', 'pt-PT', 'sv-SE'],
];
const languages = new Intl.DisplayNames(['en-GB'], { type: 'language' });
/** A day and a sum as they come out, so that one sees which it is. */
const example = (tag: string): string => {
  const day = new Intl.DateTimeFormat(tag, { ...SAME, day: '2-digit', month: '2-digit', year: 'numeric' }).format(new Date(2026, 11, 3));
  const sum = new Intl.NumberFormat(tag, { numberingSystem: 'latn', minimumFractionDigits: 2 }).format(1234.5);
  return `3 December is ${day}; ${sum}`;
};
const items = [...new Set([was, ...LOCALES])].map((value) => ({
  value,
  title: languages.of(value) ?? value,
  props: { subtitle: example(value) },
}));
const locale = ref(was);
const typed = ref(session.shop.currency ?? '');
const { run, busy, problem } = useRequest();
const code = computed(() => typed.value.trim().toUpperCase());
const fits = computed(() => code.value === '' || isCurrency(code.value));
async function set(): Promise<void> {
  const currency = code.value === '' ? null : code.value;
  await run(async () => {
    if (currency !== session.shop.currency) await session.refreshed(await call('setCurrency', { body: { currency } }));
    if (locale.value === was) emit('close');
    else {
      await session.refreshed(await call('setLocale', { body: { locale: locale.value } }));
      // Everything that stands on the screen is written anew.
      location.reload();
    }
  });
}
</script>

<template>
  <v-dialog aria-labelledby="writing-dialog-title" :model-value="true" max-width="520" @update:model-value="emit('close')">
    <form class="dialog col" @submit.prevent="set">
      <h2 id="writing-dialog-title">How the shop writes</h2>
      <p class="second">Days, numbers and sums on every screen and sheet. What is typed is read the same whichever is chosen.</p>
      <v-select v-model="locale" class="first" :items="items" label="Days and numbers" :hint="example(locale)" persistent-hint />
      <p class="second">
        The currency in three letters, such as EUR. Sums on record are not changed by it; one typed in another currency is refused.
      </p>
      <v-text-field
        v-model="typed"
        class="first"
        label="Currency"
        autocomplete="off"
        :error-messages="fits ? '' : `“${typed}” is no code of three letters.`"
      />
      <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
      <div class="acts">
        <v-btn class="act" @click="emit('close')">Leave it</v-btn>
        <v-btn class="act main" type="submit" :disabled="busy || !fits">Set it</v-btn>
      </div>
    </form>
  </v-dialog>
</template>

<style scoped>
/* The name of a field stands on its upper edge. */
.first {
  margin-top: var(--space-4);
}
</style>
