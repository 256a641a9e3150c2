<script setup lang="ts">
import type { Parking } from '@dauer/core/ledger';
import type { ParkingCard } from '@dauer/core/views';
import { PARKED, STANDING_NAME } from '@dauer/core/wording';
import { computed } from 'vue';
import { dayText } from '../../../fittings/dates.ts';

/** How a vehicle stands, as the card on its windscreen says it. */
const props = defineProps<{ card: ParkingCard; parking: Parking | null }>();
const { sections } = PARKED;
const waits = computed(() => [...props.card.waits, ...(props.parking?.until ? [PARKED.until(dayText(props.parking.until))] : [])]);
const lists = computed(() =>
  [
    { title: sections.open, lines: props.card.open, none: PARKED.nothingOpen },
    { title: sections.off, lines: props.card.off, none: PARKED.nothingOff },
    { title: sections.inside, lines: props.card.inside, none: '' },
    { title: sections.running, lines: props.card.running, none: '' },
    { title: sections.waits, lines: waits.value, none: '' },
    { title: sections.next, lines: props.card.next === null ? [] : [props.card.next], none: '' },
  ].filter((l) => l.lines.length > 0 || l.none !== ''),
);
</script>

<template>
  <div class="card">
    <section v-for="p in card.press" :key="p.what" class="press">
      <h3>{{ p.what }}</h3>
      <ul>
        <li v-for="b in p.because" :key="b">{{ b }}</li>
      </ul>
    </section>
    <section>
      <h3>{{ sections.move }}</h3>
      <p>
        <b class="plate-font level">{{ card.move.level }}</b>
      </p>
      <ul v-if="card.move.because.length > 0">
        <li v-for="b in card.move.because" :key="b">{{ b }}</li>
      </ul>
    </section>
    <dl v-if="parking">
      <div>
        <dt>{{ sections.stands }}</dt>
        <dd>{{ STANDING_NAME[parking.standsOn] }}</dd>
      </div>
      <div>
        <dt>{{ sections.held }}</dt>
        <dd>{{ parking.heldBy }}</dd>
      </div>
      <div>
        <dt>{{ sections.knows }}</dt>
        <dd>{{ parking.knows }}</dd>
      </div>
    </dl>
    <section v-for="l in lists" :key="l.title">
      <h3>{{ l.title }}</h3>
      <p v-if="l.lines.length === 0" class="second">{{ l.none }}</p>
      <ul v-else>
        <li v-for="t in l.lines" :key="t">{{ t }}</li>
      </ul>
    </section>
  </div>
</template>

<style scoped>
.card {
  display: grid;
  gap: var(--space-3);
}
.press {
  border: var(--line-head) solid var(--ink);
  padding: var(--space-3);
}
.press h3 {
  font-size: var(--type-h1);
  line-height: 1.1;
}
h3,
dt {
  font: 600 var(--type-caption)/1.3 var(--plate-font);
}
.level {
  font-size: var(--type-title);
}
dl {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(180px, 1fr));
  gap: var(--space-3);
}
ul {
  padding-left: var(--space-4);
}
</style>
