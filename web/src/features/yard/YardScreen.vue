<script setup lang="ts">
import { useQuery } from '@pinia/colada';
import { useDebounceFn, useIntervalFn, useNow } from '@vueuse/core';
import { computed, onBeforeUnmount, watch } from 'vue';
import { useRouter } from 'vue-router';
import { sentenceOf } from '../../app/client.ts';
import { callOrKept, keepOpenJobs, yardAhead } from '../../app/kept.ts';
import { onLetter } from '../../app/keys.ts';
import { onChange } from '../../app/live.ts';
import { useSession } from '../../app/session.ts';
import BayRow from './BayRow.vue';
import FluidDue from './FluidDue.vue';
import { clockText, dayText } from '../../fittings/dates.ts';

/** The vehicles in the shop: where each stands, what it waits for, what can be done right now, what is due. */
const session = useSession();
const router = useRouter();
const { data, error, refetch } = useQuery({ key: ['yard'], query: () => callOrKept('yard', yardAhead.take()) });
useIntervalFn(() => void refetch(), 30000);
onChange(useDebounceFn(() => void refetch(), 400));
void refetch();
watch(data, (yard) => yard && void keepOpenJobs([...yard.jobs, ...(yard.stuck ?? [])].map((j) => j.jobId)), { immediate: true });
const jobs = computed(() => [...(data.value?.jobs ?? [])].sort((a, b) => ((a.promised ?? '9') < (b.promised ?? '9') ? -1 : 1)));
// What a device kept of an older version has no such list.
const stuck = computed(() => data.value?.stuck ?? []);
// The same of what was put off.
/** What is late, goes back or has core money out, within days. */
const traffic = computed(() => data.value?.traffic ?? []);
const putOffs = computed(() => data.value?.putOffs ?? []);
const all = computed(() => jobs.value.length + stuck.value.length);
const NUMBERS = ['Nothing', 'One', 'Two', 'Three', 'Four', 'Five', 'Six', 'Seven', 'Eight', 'Nine', 'Ten', 'Eleven', 'Twelve'];
/** How many there are is said once it is known. */
const title = computed(() => (data.value ? `${NUMBERS[all.value] ?? String(all.value)} in the shop` : 'The yard'));
const workable = computed(() => jobs.value.filter((j) => j.doable > 0).length);
const now = useNow({ interval: 10000 });
const clock = computed(() => clockText(now.value));
const off = onLetter('KeyN', () => {
  if (session.may('technician')) void router.push('/book-in');
});
onBeforeUnmount(off);
</script>

<template>
  <main class="screen yard">
    <div class="main">
      <div class="head">
        <h1>{{ title }}</h1>
        <span v-if="data" class="second">
          {{ workable === all ? 'all can be worked on now' : `${workable} can be worked on now` }}
        </span>
        <span class="grow" />
        <v-btn v-if="session.may('technician')" class="act main book" to="/book-in">
          Book in a vehicle
          <kbd aria-hidden="true">n</kbd>
        </v-btn>
      </div>
      <p v-if="error" class="problem" role="alert">
        {{ sentenceOf(error) }}
        <button class="link" type="button" @click="refetch()">Try again</button>
      </p>
      <template v-if="data">
        <p v-for="s in stuck" :key="s.jobId" class="problem stuck">
          <RouterLink :to="`/jobs/${s.jobId}`">{{ s.tag }} {{ s.name }}</RouterLink>
          cannot be judged. {{ s.why }}
        </p>
        <BayRow v-for="(j, i) in jobs" :key="j.jobId" :n="i + 1" :job="j" />
        <p v-if="all === 0" class="second empty">
          Vehicles that are in the shop stand here, each with its stage and what can be done next. Book the first one in.
        </p>
      </template>
      <p v-else-if="!error" class="second empty" aria-busy="true">Reading the book …</p>
    </div>
    <aside class="side" aria-label="Falling due">
      <div class="head">
        <h2>Fluid due</h2>
        <RouterLink class="link" to="/due">All</RouterLink>
        <span class="grow" />
        <span class="second clock">{{ clock }}</span>
      </div>
      <FluidDue v-for="f in data?.fluid ?? []" :key="f.vehicleId" :fluid="f" />
      <p v-if="data && data.fluid.length === 0" class="second empty">No fluid service is on record yet.</p>
      <template v-if="traffic.length > 0">
        <div class="head">
          <h2>Orders and send-outs, due</h2>
          <span class="grow" />
          <RouterLink class="link" to="/parts/traffic?view=due">All</RouterLink>
        </div>
        <ul>
          <li v-for="t in traffic" :key="t.id">
            <span>
              <RouterLink class="go" :to="`/jobs/${t.jobId}/decide?orders=1`">{{ t.vehicleTag }} {{ t.what }}</RouterLink>
              <span class="second small care">{{ t.stands }}; {{ t.supplier }}</span>
            </span>
            <b v-if="t.on && t.late" class="small">{{ dayText(t.on) }}</b>
            <span v-else class="second small">{{ t.on ? dayText(t.on) : '' }}</span>
          </li>
        </ul>
      </template>
      <template v-if="putOffs.length > 0">
        <div class="head"><h2>Put off, and due</h2></div>
        <ul>
          <li v-for="p in putOffs" :key="`${p.vehicleId}${p.what}`">
            <span>
              <RouterLink class="go" :to="`/jobs/${p.jobId}/sheet`">{{ p.tag }} {{ p.name }}</RouterLink>
              <span class="second small care">{{ p.what }}</span>
            </span>
            <span class="second small when">{{ p.on ? dayText(p.on) : '' }}</span>
          </li>
        </ul>
      </template>
      <template v-if="data && data.late.length > 0">
        <div class="head"><h2>Came in after the hand-back</h2></div>
        <ul>
          <li v-for="l in data.late" :key="l.jobId">
            <RouterLink class="go" :to="`/jobs/${l.jobId}/prove`">{{ l.tag }} {{ l.name }}</RouterLink>
            <span class="second small when">{{ l.count }}</span>
          </li>
        </ul>
      </template>
      <div class="head"><h2>Handed back</h2></div>
      <ul>
        <li v-for="h in data?.handedBack ?? []" :key="h.jobId">
          <span>
            <RouterLink class="go" :to="`/jobs/${h.jobId}/sheet`">{{ h.tag }} {{ h.name }}</RouterLink>
            <RouterLink v-for="a in h.afterCare.slice(0, 2)" :key="a.what" class="go care small" :to="`/jobs/${h.jobId}/prove`">
              {{ a.what }}, by {{ dayText(a.on) }}
            </RouterLink>
          </span>
          <span class="second small when">
            {{ dayText(h.releasedAt) }}
            <RouterLink
              v-if="session.may('technician') && !data?.jobs.some((j) => j.vehicle.tag === h.tag)"
              class="go again"
              :to="`/jobs/${h.jobId}/again`"
              :aria-label="`Book ${h.tag} in again`"
            >
              Book in again
            </RouterLink>
          </span>
        </li>
      </ul>
      <p v-if="data && data.handedBack.length === 0" class="second empty">Nothing yet.</p>
    </aside>
  </main>
</template>

<style scoped>
.yard {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 272px;
  gap: var(--space-5);
}
.stuck {
  margin-bottom: var(--space-3);
}
.book kbd {
  border: var(--line-hair) solid currentColor;
  border-radius: var(--corner);
  padding: 0 7px;
  font: 400 var(--type-second)/22px var(--figure-font);
}
.side .head {
  margin-bottom: var(--space-1);
}
.clock {
  font-size: var(--type-second);
  white-space: nowrap;
}
.side li {
  padding: var(--space-2) 0;
  border-bottom: var(--line-hair) solid var(--hair);
  display: flex;
  justify-content: space-between;
  gap: var(--space-2);
  align-items: baseline;
}
.care {
  display: block;
  line-height: 18px;
  padding: 3px 0;
}
.when {
  white-space: nowrap;
}
.empty {
  margin: var(--space-4) 0;
}
@media (max-width: 1040px) {
  .yard {
    grid-template-columns: 1fr;
  }
}
@media (max-width: 560px) {
  .head {
    flex-wrap: wrap;
    gap: 0 var(--space-3);
    padding-bottom: var(--space-2);
  }
  .stuck {
    margin-bottom: var(--space-3);
  }
  .book kbd {
    display: none;
  }
}
</style>
