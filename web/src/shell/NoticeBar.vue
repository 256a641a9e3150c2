<script setup lang="ts">
import { useQuery } from '@pinia/colada';
import { useIntervalFn } from '@vueuse/core';
import { call } from '../app/client.ts';

/** What has to be known of the server: little room, old backups, a wrong clock. Nothing is said while nothing is wrong. */
const { data, refetch } = useQuery({ key: ['notices'], query: () => call('notices').catch(() => []) });
useIntervalFn(() => void refetch(), 60000);
</script>

<template>
  <p v-for="n in data ?? []" :key="n.code" class="problem says no-print" role="status">{{ n.says }}</p>
</template>
