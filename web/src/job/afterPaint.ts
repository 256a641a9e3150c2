/** Delay for hidden tabs, in which requestAnimationFrame does not fire, ms. */
const UNSEEN_MS = 120;

/**
 * Runs something once the next picture is on the screen, however often it is asked for until then.
 * @returns how to ask for it
 */
export function afterPaint(run: () => void): () => void {
  let scheduled = false;
  const now = (): void => {
    if (!scheduled) return;
    scheduled = false;
    run();
  };
  return () => {
    if (scheduled) return;
    scheduled = true;
    requestAnimationFrame(() => setTimeout(now));
    setTimeout(now, UNSEEN_MS);
  };
}
