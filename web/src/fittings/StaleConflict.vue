<script setup lang="ts">
/** A stale edit: what was typed beside what somebody else put on record meanwhile, and the choice between them. */
defineProps<{ problem: string; rows: readonly { readonly what: string; readonly mine: string; readonly theirs: string }[] }>();
const emit = defineEmits<{ mine: []; theirs: [] }>();
</script>

<template>
  <div class="problem" role="alert">
    <p>{{ problem }}</p>
    <table>
      <thead>
        <tr>
          <td />
          <th>Yours</th>
          <th>On record</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="r in rows.filter((x) => x.mine !== x.theirs)" :key="r.what">
          <th>{{ r.what }}</th>
          <td>{{ r.mine || '–' }}</td>
          <td>{{ r.theirs || '–' }}</td>
        </tr>
      </tbody>
    </table>
    <div class="acts">
      <v-btn class="act" @click="emit('mine')">Keep mine</v-btn>
      <v-btn class="act" @click="emit('theirs')">Take what is on record</v-btn>
    </div>
  </div>
</template>

<style scoped>
.acts {
  margin-top: var(--space-3);
}
</style>
