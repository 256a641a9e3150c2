<script setup lang="ts">
import type { PortSeat } from '@dauer/core/ledger';

/** The seat of a port in section, drawn by us: bore below, what it seals on at its floor. */
defineProps<{ seat: PortSeat }>();
const FLOOR: Readonly<Record<PortSeat, string>> = {
  cone: 'M6 20 L11 20 L14 13 L17 20 L22 20',
  hollow: 'M6 16 L10 16 L14 21 L18 16 L22 16',
  flat: 'M3 6 H1 M25 6 H27 M6 20 H22',
  taper: 'M9 21 H19',
  o_ring: 'M6 20 H22 M9 17 a1.6 1.6 0 1 0 0.1 0 M19 17 a1.6 1.6 0 1 0 0.1 0',
};
</script>

<template>
  <svg viewBox="0 0 28 24" width="28" height="24" aria-hidden="true">
    <path :d="seat === 'taper' ? 'M5 3 L9 21 M23 3 L19 21' : 'M6 3 V20 M22 3 V20'" />
    <path :d="FLOOR[seat]" />
  </svg>
</template>

<style scoped>
svg {
  flex: none;
  fill: none;
  stroke: currentColor;
  stroke-width: 1.6;
}
</style>
