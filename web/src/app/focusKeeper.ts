/**
 * Where the focus goes when what held it goes away: back to what opened a dialog, on to what is next to a row that is done, or to
 * the heading of a screen that has come. It never leaves the page's start as the only place, and is never taken from anybody who
 * put it somewhere.
 */

/** What had the focus, and what it stood in, innermost first. */
interface Held {
  readonly el: HTMLElement;
  readonly within: readonly HTMLElement[];
}

const MOST_HELD = 20;
const TARGETS =
  'a[href], button:not([disabled]), input:not([disabled]), select:not([disabled]), textarea:not([disabled]), summary, [tabindex="0"]';
/** How long a screen may take to come, ms: it is loaded when it is opened. */
const COMES_MS = 4000;

const isShown = (el: Element): boolean => el.isConnected && el.getClientRects().length > 0 && getComputedStyle(el).visibility !== 'hidden';
const nobodyHas = (): boolean => document.activeElement === null || document.activeElement === document.body;
/** A dialog above the page: what lies under it takes no focus. */
const dialogOpen = (): Element | null => document.querySelector('.v-overlay--active [role="dialog"], .v-overlay--active.v-dialog .dialog');

/** Gives something the focus that is no control: it is read out, and Tab goes on from there. */
function stand(el: HTMLElement): void {
  if (!el.matches(TARGETS) && !el.hasAttribute('tabindex')) el.tabIndex = -1;
  el.focus({ preventScroll: false });
}

/** The heading that a screen or a stage is read from. */
const headingOf = (root: ParentNode): HTMLElement | null =>
  [...root.querySelectorAll<HTMLElement>('main h1, main h2')].find(isShown) ??
  [...root.querySelectorAll<HTMLElement>('h1')].find(isShown) ??
  null;

/** Puts the focus at the heading of the work, as soon as there is one; unless somebody put it elsewhere meanwhile. */
export function focusWork(root: HTMLElement): void {
  const before = document.activeElement;
  const until = Date.now() + COMES_MS;
  const old = headingOf(root);
  const tryIt = (): void => {
    const { activeElement } = document;
    if (activeElement !== before && activeElement !== document.body && activeElement !== null && activeElement !== old) return;
    const heading = headingOf(root);
    if (heading && !root.querySelector('[aria-busy="true"]')) stand(heading);
    else if (Date.now() < until) setTimeout(tryIt, 50);
  };
  setTimeout(tryIt, 0);
}

/** Keeps the focus within the page; called once, by the shell. Returns what ends it. */
export function keepFocus(): () => void {
  const held: Held[] = [];
  const onFocus = (event: FocusEvent): void => {
    const { target } = event;
    if (!(target instanceof HTMLElement) || target === document.body) return;
    const within: HTMLElement[] = [];
    for (let el = target.parentElement; el && el !== document.body; el = el.parentElement) within.push(el);
    held.push({ el: target, within });
    if (held.length > MOST_HELD) held.shift();
  };
  /** Beside what is gone: the first control of the innermost thing that is still there, or its heading. */
  const beside = ({ within }: Held): HTMLElement | null => {
    const left = within.find(isShown);
    const work = document.getElementById('work');
    // What is left is the page itself: the work goes on at its heading. What was in a dialog goes back to before it.
    if (!left || !work || !within.includes(work)) return null;
    if (left === work || !work.contains(left)) return headingOf(work);
    if (left.matches('li, tr, form, section, [role="group"], p, td, div:not(.work):not(.screen):not(.frame)')) {
      const next = [...left.querySelectorAll<HTMLElement>(TARGETS)].find(isShown);
      if (next) return next;
    }
    return headingOf(left) ?? [...left.querySelectorAll<HTMLElement>('h1, h2, h3')].find(isShown) ?? null;
  };
  const check = (): void => {
    const last = held.at(-1);
    // Whoever presses beside everything meant to.
    if (!last || !nobodyHas() || isShown(last.el)) return;
    if (dialogOpen()) return;
    for (const one of [...held].reverse()) {
      const to = isShown(one.el) ? one.el : beside(one);
      if (to) {
        stand(to);
        return;
      }
    }
  };
  let soon = 0;
  const seen = new MutationObserver(() => {
    if (soon === 0)
      soon = window.setTimeout(() => {
        soon = 0;
        check();
      }, 30);
  });
  document.addEventListener('focusin', onFocus, { capture: true });
  seen.observe(document.body, { childList: true, subtree: true, attributes: true, attributeFilter: ['style', 'disabled', 'hidden'] });
  return () => {
    document.removeEventListener('focusin', onFocus, { capture: true });
    seen.disconnect();
  };
}

const STEPS: Readonly<Record<string, number>> = { ArrowRight: 1, ArrowDown: 1, ArrowLeft: -1, ArrowUp: -1 };
const GROUPS = '.choice, [role="tablist"], [role="radiogroup"]';
/** Walks within a row of choices or tabs by arrows; nothing else hears of these keys. Called once, by the shell. */
export function walkGroups(): () => void {
  const onKey = (event: KeyboardEvent): void => {
    const { target } = event;
    const step = STEPS[event.key] ?? (event.key === 'Home' ? -Infinity : event.key === 'End' ? Infinity : null);
    if (step === null || event.ctrlKey || event.altKey || event.metaKey || !(target instanceof HTMLElement)) return;
    const group = target.matches('button, [role="tab"], [role="radio"]') ? target.closest(GROUPS) : null;
    if (!group) return;
    const all = [...group.querySelectorAll<HTMLElement>('button:not([disabled])')].filter(isShown);
    const at = all.indexOf(target);
    const to = all[Math.min(all.length - 1, Math.max(0, at + step))];
    event.preventDefault();
    event.stopImmediatePropagation();
    to?.focus();
  };
  window.addEventListener('keydown', onKey, { capture: true });
  return () => window.removeEventListener('keydown', onKey, { capture: true });
}
