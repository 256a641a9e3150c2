/** Delay for hidden tabs, in which requestAnimationFrame does not fire, ms. */
const UNSEEN_MS = 120;

/**
 * Runs something once the next picture is on the screen, however often it is asked for until then.
 * @returns how to ask for it
 */
export function afterPaint(run: () => void): () => void {
  let asked = false;
  const now = (): void => {
    if (!asked) return;
    asked = false;
    run();
  };
  return () => {
    if (asked) return;
    asked = true;
    requestAnimationFrame(() => setTimeout(now));
    setTimeout(now, UNSEEN_MS);
  };
}
