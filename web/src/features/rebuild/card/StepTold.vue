<script setup lang="ts">
import type { StepState } from '@dauer/core/readiness';
import { computed } from 'vue';
import { useSession } from '../../../app/session.ts';
import { dayText, timeText } from '../../../fittings/dates.ts';
import { useOpenJob } from '../../../job/openJob.ts';

/** A step that is told: by whom and when, or by which record; a second look where one is asked for. */
const props = defineProps<{
  at: StepState;
  writable: boolean;
  /** Why whoever is here cannot second it; null where they can. */
  refused: string | null;
}>();
const emit = defineEmits<{ second: [] }>();
const job = useOpenJob();
const session = useSession();
const record = computed(() => props.at.tell ?? props.at.closedBy);
</script>

<template>
  <div class="told">
    <p>
      <b>{{ at.status === 'not_here' ? 'Not applicable here' : 'Told' }}{{ at.tell?.note ? ':' : '' }}</b>
      {{ at.tell?.note }}
      <span v-if="record" class="second small">
        {{ job.by(record) }}, {{ dayText(record.happenedAt) }} {{ timeText(record.happenedAt) }}{{ at.closedBy ? ', by the record' : '' }}
      </span>
      <button v-if="writable && at.tell" class="link small" type="button" @click="job.takeBack(at.tell.id)">Take back</button>
    </p>
    <p v-if="at.seconded" class="second small">Seconded by {{ job.by(at.seconded) }}, {{ dayText(at.seconded.happenedAt) }}</p>
    <template v-else-if="at.owesSecond">
      <v-btn v-if="writable" class="act" :disabled="refused !== null" @click="emit('second')">
        Looked at by {{ session.person?.name ?? 'a second person' }}
      </v-btn>
      <p v-if="refused !== null" class="second small">{{ refused }}</p>
    </template>
  </div>
</template>
