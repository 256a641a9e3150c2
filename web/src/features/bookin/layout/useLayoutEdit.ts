import { checkLayout, type Layout } from '@dauer/core/layout';
import { DomainError } from '@dauer/core/quantity';
import { computed, ref, type Ref, shallowRef } from 'vue';

const MAX_STEPS = 200;

/** A layout that is being changed: every step can be undone and done again, and what is wrong is known at once. */
export function useLayoutEdit(layout: Ref<Layout>) {
  const undone = shallowRef<readonly Layout[]>([]);
  const done = shallowRef<readonly Layout[]>([]);
  const problem = ref('');
  const faults = computed(() => checkLayout(layout.value));
  const flags = computed(() => new Map(faults.value.flatMap((f) => f.slotIds.map((id) => [id, f.flag] as const))));

  /** Does a step and gives what came of it; what is refused is said, changes nothing, and gives null. */
  function apply(step: (now: Layout) => Layout): Layout | null {
    problem.value = '';
    try {
      const next = step(layout.value);
      if (next === layout.value || JSON.stringify(next) === JSON.stringify(layout.value)) return next;
      done.value = [...done.value.slice(-MAX_STEPS), layout.value];
      undone.value = [];
      layout.value = next;
      return next;
    } catch (error) {
      if (!(error instanceof DomainError)) throw error;
      problem.value = error.message;
      return null;
    }
  }
  function undo(): void {
    const before = done.value.at(-1);
    if (!before) return;
    done.value = done.value.slice(0, -1);
    undone.value = [...undone.value, layout.value];
    layout.value = before;
    problem.value = '';
  }
  function redo(): void {
    const next = undone.value.at(-1);
    if (!next) return;
    undone.value = undone.value.slice(0, -1);
    done.value = [...done.value, layout.value];
    layout.value = next;
  }
  return { done, undone, problem, faults, flags, apply, undo, redo };
}

export type LayoutEdit = ReturnType<typeof useLayoutEdit>;
