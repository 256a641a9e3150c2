/** The faces of the simulated bench: each is built once, and then only its figures change. */
const root = document.getElementById('bench');
const trouble = document.getElementById('trouble');
const cards = new Map();

const tell = (tag, does, more = {}) =>
  fetch('/do', { method: 'POST', headers: { 'content-type': 'application/json' }, body: JSON.stringify({ tag, does, ...more }) });
const make = (name, props = {}, children = []) => {
  const el = Object.assign(document.createElement(name), props);
  el.append(...children);
  return el;
};

/** A dial of which one turn is one millimetre, as the real one has it. */
function dialFace() {
  const ns = 'http://www.w3.org/2000/svg';
  const svg = document.createElementNS(ns, 'svg');
  svg.setAttribute('viewBox', '-60 -60 120 120');
  svg.setAttribute('width', '120');
  svg.setAttribute('aria-hidden', 'true');
  const ring = document.createElementNS(ns, 'circle');
  ring.setAttribute('r', '52');
  ring.setAttribute('fill', '#fff');
  ring.setAttribute('stroke', '#1b2226');
  svg.append(ring);
  for (let n = 0; n < 100; n += 1) {
    const mark = document.createElementNS(ns, 'path');
    mark.setAttribute('d', `M0-52V${n % 10 === 0 ? -42 : -47}`);
    mark.setAttribute('stroke', '#1b2226');
    mark.setAttribute('transform', `rotate(${n * 3.6})`);
    svg.append(mark);
  }
  const needle = document.createElementNS(ns, 'path');
  needle.setAttribute('d', 'M-2 8L0-46L2 8Z');
  needle.setAttribute('fill', '#1b2226');
  svg.append(needle);
  return { svg, show: (value) => needle.setAttribute('transform', `rotate(${(value % 1) * 360})`) };
}

function card(i) {
  const out = make('output', { ariaLive: 'off' });
  const dial = i.kind === 'dial' ? dialFace() : null;
  const power = make('button', { type: 'button', textContent: 'On' });
  power.onclick = () => tell(i.tag, power.getAttribute('aria-pressed') === 'true' ? 'off' : 'on');
  const press = make('button', { type: 'button', textContent: 'Press to send', onclick: () => tell(i.tag, 'press') });
  const type = make('button', { type: 'button', textContent: 'Type it', onclick: () => tell(i.tag, 'type') });
  const part = make(
    'select',
    { ariaLabel: 'Part' },
    i.parts.map((p) => make('option', { textContent: p })),
  );
  part.onchange = () => tell(i.tag, 'put', { part: part.value });
  const turn = make('input', { type: 'range', min: '0', max: '360', value: '0', ariaLabel: 'Turned to, degrees' });
  turn.oninput = () => tell(i.tag, 'turn', { angleDeg: Number(turn.value) });
  const el = make('article', {}, [
    make('h2', { textContent: `${i.tag} ${i.name}` }),
    ...(dial ? [dial.svg] : []),
    out,
    part,
    ...(i.turns ? [make('label', {}, [make('small', { textContent: 'Turned to' }), turn])] : []),
    make('div', { className: 'acts' }, [power, press, type]),
  ]);
  el.dataset.tag = i.tag;
  root.append(el);
  return { out, dial, power, part, turn };
}

async function show() {
  try {
    const now = await (await fetch('/state')).json();
    trouble.hidden = now.trouble === '';
    trouble.textContent = now.trouble;
    for (const i of now.bench) {
      const c = cards.get(i.tag) ?? card(i);
      cards.set(i.tag, c);
      c.out.textContent = `${i.text} ${i.unit}`;
      c.dial?.show(Number(i.text));
      if (document.activeElement !== c.part) c.part.value = i.part;
      if (document.activeElement !== c.turn) c.turn.value = String(i.angleDeg);
      c.power.setAttribute('aria-pressed', String(i.on));
    }
  } catch {
    trouble.hidden = false;
    trouble.textContent = 'The simulated bench has stopped.';
  }
  setTimeout(show, 150);
}
void show();
