/** What a hand and an eye need of a screen, worked out in the page. */
export interface HandMeasure {
  /** Controls that are smaller than a finger; a link within a sentence is read, and stays in it. */
  readonly small: readonly string[];
  /** Text that is cut off; but for what a field shows of its choice, and what says itself whole when it is pointed at. */
  readonly cut: readonly string[];
  /** How many windows down the next action stands; null where the screen has none. */
  readonly down: number | null;
  /** How far it goes sideways, px. */
  readonly over: number;
}

/** The least that a finger hits, px; half a pixel is rounding. */
export const MEASURE = `(() => {
  const LEAST = 43.5;
  const shown = (el) => {
    const box = el.getBoundingClientRect();
    const style = getComputedStyle(el);
    return box.width > 0 && box.height > 0 && style.visibility !== 'hidden' && style.clipPath === 'none' && !el.closest('[aria-hidden="true"]');
  };
  const around = (el) => {
    const ticked = el.matches('input[type=checkbox], input[type=radio], input[type=file]');
    return (ticked ? el.closest('label, .v-selection-control') : null) ?? el.closest('.v-field') ?? el;
  };
  const inSentence = (el) =>
    el.matches('a') && getComputedStyle(el).display === 'inline' && el.parentElement.textContent.trim().length > el.textContent.trim().length + 3;
  const name = (el) => (el.textContent.trim() || el.getAttribute('aria-label') || el.tagName).replace(/\\s+/g, ' ').slice(0, 40);
  const controls = [...document.querySelectorAll('a[href], button, input, select, textarea, summary, [role="tab"], [role="radio"]')].filter(
    (el) => !el.matches('.skip, svg *, input[tabindex="-1"]') && shown(around(el)) && !inSentence(el),
  );
  const small = controls.flatMap((el) => {
    const { width, height } = around(el).getBoundingClientRect();
    return width >= LEAST && height >= LEAST ? [] : [name(el) + ' ' + Math.round(width) + ' x ' + Math.round(height)];
  });
  const cut = [...document.querySelectorAll('body *')]
    .filter((el) => shown(el) && !el.matches('.sr, .v-field *, [title]') && /hidden|clip/.test(getComputedStyle(el).overflowX))
    .filter((el) => el.clientWidth > 0 && el.scrollWidth > el.clientWidth + 1 && el.textContent.trim() !== '')
    .map(name);
  const next = document.querySelector('[data-capture]') ?? [...document.querySelectorAll('.act.main')].find(shown);
  // What ends a form is reached from where the form begins.
  const form = next?.closest('form')?.getBoundingClientRect().top ?? -scrollY;
  const down = next ? (next.getBoundingClientRect().bottom - Math.max(-scrollY, form)) / innerHeight : null;
  const { scrollWidth, clientWidth } = document.documentElement;
  return { small, cut, down, over: scrollWidth - clientWidth };
})()`;
