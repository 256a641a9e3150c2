import { type QuantityKind, type UnitId, unitOf } from '@dauer/core/quantity';
import { useLocalStorage } from '@vueuse/core';
import { computed, type ComputedRef } from 'vue';
import { UNIT_PAIRS } from '../../fittings/unitPairs.ts';

/** The unit that figures of a kind are typed and shown in, as chosen on this device. */
export function useUnit(kind: ComputedRef<QuantityKind>) {
  const chosen = useLocalStorage<Partial<Record<QuantityKind, UnitId>>>('dauer.units', {});
  const pair = computed(() => UNIT_PAIRS[kind.value]);
  const unit = computed<UnitId>({
    get: () => pair.value.find((u) => u === chosen.value[kind.value]) ?? pair.value[0],
    set: (u) => (chosen.value = { ...chosen.value, [kind.value]: u }),
  });
  const other = computed<UnitId | null>(() => pair.value.find((u) => u !== unit.value) ?? null);
  const symbolOf = (u: UnitId): string => unitOf(kind.value, u).symbol;
  const symbol = computed(() => symbolOf(unit.value));
  function switchUnit(): void {
    if (other.value) unit.value = other.value;
  }
  return { unit, pair, other, symbol, symbolOf, switchUnit };
}
