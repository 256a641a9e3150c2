<script setup lang="ts">
import { ref } from 'vue';
import PortForm from './PortForm.vue';

/** A port is described: what it is called beside its link, and for whoever hears it. */
defineProps<{ slotId: string; port: string; name: string; heard: string }>();
const telling = ref(false);
</script>

<template>
  <PortForm v-if="telling" :slot-id="slotId" :port="port" :name="name" @done="telling = false" />
  <button v-else class="link small" type="button" :aria-label="`What its port is: ${heard}`" @click="telling = true">Its port</button>
</template>
