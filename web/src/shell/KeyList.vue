<script setup lang="ts">
import { KEYS, keyList } from '../app/keys.ts';
</script>

<template>
  <v-dialog v-model="keyList" aria-labelledby="app-title" max-width="780">
    <div class="dialog" role="document">
      <h2 id="app-title">Keys</h2>
      <table>
        <tbody>
          <tr v-for="k in KEYS" :key="k.keys">
            <td class="fig keys">{{ k.keys }}</td>
            <td>{{ k.does }}</td>
          </tr>
        </tbody>
      </table>
      <div class="acts"><v-btn class="act" @click="keyList = false">Close</v-btn></div>
    </div>
  </v-dialog>
</template>

<style scoped>
.keys {
  white-space: nowrap;
  width: 170px;
}
</style>
