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
      <button class="act" type="button" @click="emit('mine')">Keep mine</button>
      <button class="act" type="button" @click="emit('theirs')">Take what is on record</button>
    </div>
  </div>
</template>

<style scoped>
.acts {
  margin-top: 12px;
}
</style>
