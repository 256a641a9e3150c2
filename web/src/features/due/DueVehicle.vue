<script setup lang="ts">
import { ACCESS_NAME, dueAt, LETTER_ANSWER_NAME } from '@dauer/core/wording';
import { useQuery } from '@pinia/colada';
import { computed, ref } from 'vue';
import { call } from '../../app/client.ts';
import { dayText } from '../../fittings/dates.ts';
import { useSession } from '../../app/session.ts';
import { isDueNow, type VehicleBundles } from './dueGroups.ts';
import ExerciseButton from './ExerciseButton.vue';
import LetterPanel from './LetterPanel.vue';

/** One vehicle with what falls due on it, together what one access gives. */
const props = defineProps<{ of: VehicleBundles; today: string }>();
const emit = defineEmits<{ noted: [] }>();
const session = useSession();
const { data: letters, refetch } = useQuery({ key: ['letters'], query: () => call('letters'), enabled: () => session.may('technician') });
const letter = computed(() => letters.value?.letters.find((l) => l.vehicleId === props.of.vehicle.vehicleId) ?? null);
/** What became of the newest letter, in a line. */
const written = computed(() => {
  const l = letter.value;
  if (!l) return '';
  const { answer } = l;
  const said = answer ? `${LETTER_ANSWER_NAME[answer.answer]}${answer.on ? `, ${dayText(answer.on)}` : ''}` : 'no answer yet';
  return `Letter of ${dayText(l.madeAt)}: ${said}`;
});
const writing = ref(false);
</script>

<template>
  <article class="vehicle">
    <div class="name">
      <b class="tag">{{ of.vehicle.tag }}</b>
      <RouterLink class="go" :to="`/jobs/${of.vehicle.jobId}/bookin`">{{ of.vehicle.name }}</RouterLink>
      <RouterLink
        v-if="session.may('technician')"
        class="link"
        :to="`/jobs/${of.vehicle.jobId}/again`"
        :aria-label="`Book ${of.vehicle.tag} in again`"
      >
        Book in again
      </RouterLink>
      <ExerciseButton v-if="of.vehicle.dues.some((d) => d.about === 'exercise')" :vehicle="of.vehicle" @noted="emit('noted')" />
      <button v-if="letters && !of.vehicle.inShop" class="link letter" type="button" :aria-expanded="writing" @click="writing = !writing">
        {{ written || 'Letter to the owner' }}
      </button>
    </div>
    <div class="bundles">
      <div v-for="b in of.bundles" :key="b.access">
        <b class="bundle">{{ ACCESS_NAME[b.access] }}</b>
        <ul>
          <li v-for="i in b.items" :key="i.key">
            <span class="day fig" :class="{ now: isDueNow(i, today) }">{{ i.on ? dayText(i.on) : dueAt(i.km) }}</span>
            <span>
              {{ i.what }}
              <span class="second small">{{ [i.why, i.on && i.km !== null ? dueAt(i.km) : ''].filter(Boolean).join('; ') }}</span>
            </span>
          </li>
        </ul>
      </div>
    </div>
    <LetterPanel v-if="writing && letters" :of="of" :letter="letter" :words="letters.words" @changed="refetch()" @close="writing = false" />
  </article>
</template>

<style scoped>
.vehicle {
  display: grid;
  grid-template-columns: 240px minmax(0, 1fr);
  gap: var(--space-2) var(--space-4);
  padding: var(--space-3) 0;
  border-bottom: var(--line-hair) solid var(--hair);
}
.name {
  display: flex;
  flex-direction: column;
  align-items: flex-start;
  gap: var(--space-1);
}
.tag {
  font: 600 var(--type-tag)/26px var(--plate-font);
  padding: 0 var(--space-2);
  background: var(--ink);
  color: var(--plate);
  border-radius: var(--corner);
}
.letter {
  text-align: left;
}
.bundles {
  display: grid;
  gap: var(--space-3);
}
.bundle {
  font: 600 var(--type-caption)/22px var(--plate-font);
}
li {
  display: grid;
  grid-template-columns: 120px minmax(0, 1fr);
  gap: var(--space-3);
  padding: var(--space-1) 0;
  line-height: var(--leading-tight);
}
li .small {
  display: block;
  line-height: 18px;
}
.day {
  color: var(--ink2);
}
.now {
  font-weight: 700;
  color: var(--ink);
}
@media (max-width: 720px) {
  .vehicle {
    grid-template-columns: minmax(0, 1fr);
  }
  li {
    grid-template-columns: minmax(0, 1fr);
    gap: 0;
  }
}
</style>
