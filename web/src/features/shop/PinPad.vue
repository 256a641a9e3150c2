<script setup lang="ts">
import { ref } from 'vue';
import { call } from '../../app/client.ts';
import { useRequest } from '../../app/request.ts';
import { useSession } from '../../app/session.ts';

/** Who works here now: a name, and a short PIN. */
interface Somebody {
  readonly id: string;
  readonly name: string;
}
defineProps<{ tablet: string; people: readonly Somebody[] }>();
const emit = defineEmits<{ in: [] }>();
const session = useSession();
const who = ref<Somebody | null>(null);
const pin = ref('');
const { run, busy, problem } = useRequest();
async function go(): Promise<void> {
  const person = who.value;
  if (!person) return;
  await run(
    async () => {
      await session.left();
      await session.take(await call('switchTo', { body: { personId: person.id, pin: pin.value } }));
      emit('in');
    },
    () => {
      pin.value = '';
    },
  );
}
</script>

<template>
  <section class="pad" :aria-label="`People on ${tablet}`">
    <h2>{{ tablet }}</h2>
    <div class="people">
      <v-btn
        v-for="p in people"
        :key="p.id"
        class="act"
        :aria-pressed="who?.id === p.id"
        @click="
          who = p;
          problem = '';
        "
      >
        {{ p.name }}
      </v-btn>
    </div>
    <form v-if="who" class="pin" @submit.prevent="go">
      <v-text-field
        v-model="pin"
        v-focus
        :label="`PIN of ${who.name}`"
        type="password"
        inputmode="numeric"
        autocomplete="off"
        maxlength="8"
      />
      <v-btn class="act main" type="submit" :disabled="busy || pin.length < 4">Go on</v-btn>
    </form>
    <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
  </section>
</template>

<style scoped>
.pad {
  margin: var(--space-4) 0;
  border-bottom: var(--line-hair) solid var(--hair);
  padding-bottom: var(--space-4);
}
.people {
  display: grid;
  gap: var(--space-2);
  margin: var(--space-2) 0;
}
.people .act[aria-pressed='true'] {
  background: var(--blue-tint);
}
.pin {
  display: flex;
  gap: var(--space-2);
  align-items: flex-start;
}
.pin .act {
  min-height: var(--tall);
}
</style>
