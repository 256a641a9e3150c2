/** What of a drawing's style is written into it, so that it looks the same where the application's styles are not. */
const KEPT = [
  'fill',
  'stroke',
  'stroke-width',
  'stroke-dasharray',
  'stroke-linecap',
  'opacity',
  'font-family',
  'font-size',
  'font-weight',
  'letter-spacing',
  'paint-order',
  'text-anchor',
] as const;

/** A drawing on the page as a file that stands alone: styles written in, what is only for the hand left out. */
export function standaloneSvg(svg: SVGSVGElement, title: string): string {
  const copy = svg.cloneNode(true) as SVGSVGElement;
  const [from, to] = [svg.querySelectorAll('*'), copy.querySelectorAll('*')];
  to.forEach((el, i) => {
    const original = from[i];
    if (!original) return;
    const style = getComputedStyle(original);
    el.setAttribute('style', KEPT.map((k) => `${k}:${style.getPropertyValue(k)}`).join(';'));
    for (const name of [...el.attributes].map((a) => a.name)) if (name.startsWith('data-') || name === 'class') el.removeAttribute(name);
  });
  for (const el of copy.querySelectorAll('.hit, .bracket')) el.remove();
  copy.querySelectorAll('rect[style*="fill:rgba(0, 0, 0, 0)"]').forEach((el) => el.remove());
  const box = svg.viewBox.baseVal;
  for (const name of ['class', 'tabindex', 'role', 'aria-activedescendant', 'style', 'data-map']) copy.removeAttribute(name);
  copy.setAttribute('xmlns', 'http://www.w3.org/2000/svg');
  copy.setAttribute('width', String(box.width));
  copy.setAttribute('height', String(box.height));
  const ground = document.createElementNS('http://www.w3.org/2000/svg', 'rect');
  ground.setAttribute('width', String(box.width));
  ground.setAttribute('height', String(box.height));
  ground.setAttribute('fill', getComputedStyle(svg).backgroundColor);
  const name = document.createElementNS('http://www.w3.org/2000/svg', 'title');
  name.textContent = title;
  copy.prepend(name, ground);
  return new XMLSerializer().serializeToString(copy);
}
