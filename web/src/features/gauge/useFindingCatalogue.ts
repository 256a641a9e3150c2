import { type FindingEntry, findingsOn, type KnownFinding } from '@dauer/core/catalogue';
import type { ComponentKind } from '@dauer/core/layout';
import { useQuery } from '@pinia/colada';
import { computed, type ComputedRef } from 'vue';
import { callOrKept } from '../../app/kept.ts';

/** What is known by name on a kind of component; the shop's own entries join once they are read. */
export function useFindingCatalogue(kind: ComputedRef<ComponentKind>) {
  const { data, refetch } = useQuery({ key: ['finding-entries'], query: () => callOrKept('findingEntries') });
  const known = computed<KnownFinding[]>(() => findingsOn(kind.value, (data.value ?? []) as readonly FindingEntry[]));
  return { known, refetch };
}
