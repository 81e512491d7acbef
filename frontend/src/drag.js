// Dragging the marks of the Bench's jar. Script moves only the handles; what a height means comes with the picture from the
// server, and what a mark is set to is typed into the sentence, so that dragging, arrows and typing are one thing.
const EVERY_MS = 80;
const HANDLE = 44;
const marks = { oil: { handle: 'drag-oil', field: 'oil' }, herb: { handle: 'drag-herb', field: 'amount' } };
let drag = null;
let asking = null;
let waiting = null;
let askedAt = 0;

const picture = () => document.getElementById('bench-picture');
const number = (name) => Number(picture().dataset[name]);

const knots = () => picture().dataset.oilMap.split(' ').map((knot) => knot.split(':').map(Number));

// Knots run from the floor up: y falls while the oil grows.
const oilAt = (y, map) => {
  if (y >= map[0][0]) return map[0][1];
  for (let i = 1; i < map.length; i++) {
    const [y1, ml1] = map[i - 1];
    const [y2, ml2] = map[i];
    if (y >= y2) return y1 === y2 ? ml2 : ml1 + ((y1 - y) / (y1 - y2)) * (ml2 - ml1);
  }
  return map[map.length - 1][1];
};

const place = () => {
  const svg = picture();
  const stage = document.querySelector('.bench-stage');
  for (const [name, mark] of Object.entries(marks)) {
    const handle = document.getElementById(mark.handle);
    if (!handle) continue;
    handle.hidden = !svg;
    if (!svg || drag?.name === name) continue;
    const box = svg.getBoundingClientRect();
    const base = stage.getBoundingClientRect();
    const ratio = box.width / svg.viewBox.baseVal.width;
    const oil = number('oilY');
    const herb = number('herbY');
    const apart = Math.max(0, HANDLE - Math.abs(oil - herb) * ratio) / 2;
    const nudge = (name === 'oil') === (oil <= herb) ? -apart : apart;
    handle.style.left = `${box.left - base.left + number('jarLeft') * ratio - HANDLE}px`;
    handle.style.top = `${box.top - base.top + number(`${name}Y`) * ratio - HANDLE / 2 + nudge}px`;
    handle.setAttribute('aria-valuenow', String(Math.round(number(name))));
    handle.setAttribute('aria-valuemin', '0');
    handle.setAttribute('aria-valuemax', name === 'oil' ? String(Math.round(knots().at(-1)[1])) : String(Math.round(Math.max(number('herb'), 1) * 4)));
    handle.setAttribute('aria-valuetext', svg.dataset[`${name}Words`]);
  }
};

const ask = async () => {
  waiting = null;
  askedAt = performance.now();
  asking?.abort();
  asking = new AbortController();
  const { signal } = asking;
  const typed = new URLSearchParams(new FormData(document.getElementById('bench')));
  try {
    const answer = await fetch(`/bench/plan?${typed}`, { headers: { 'HX-Request': 'true' }, signal });
    const html = await answer.text();
    if (!answer.ok || signal.aborted) return;
    window.htmx.swap('#worked', html, { swapStyle: 'morph:outerHTML' }, { contextElement: document.getElementById('bench') });
    place();
  } catch (error) {
    if (error.name !== 'AbortError') document.dispatchEvent(new Event('htmx:sendError'));
  }
};

// At most one request in so many milliseconds; the newest wins, since an older answer is dropped.
const askSoon = () => {
  waiting ??= setTimeout(ask, Math.max(0, EVERY_MS - (performance.now() - askedAt)));
};

const write = (name, value, ratio) => {
  const unit = picture().dataset[`${name}Unit`];
  const per = number(`${name}Per`);
  const step = number(`${name}Step`);
  const steps = Math.max(1, Math.round(value / per / step));
  document.getElementById('want.amount').value = '';
  document.getElementById(marks[name].field).value = `${Number((steps * step).toFixed(2))} ${unit}`;
  // The herb's mark keeps the ratio; the oil's mark changes the oil alone.
  if (name === 'herb') document.getElementById('oil').value = `1:${Number(ratio.toFixed(2))}`;
  askSoon();
};

document.addEventListener('pointerdown', (event) => {
  const handle = event.target.closest('.drag');
  if (!handle) return;
  const name = handle.id === marks.oil.handle ? 'oil' : 'herb';
  const svg = picture();
  drag = {
    name, handle, fromY: event.clientY, top: parseFloat(handle.style.top), y: number(`${name}Y`), floor: number('floor'), map: knots(),
    herb: number('herb'), ratio: number('ratio'), scale: svg.getBoundingClientRect().width / svg.viewBox.baseVal.width,
  };
  handle.setPointerCapture(event.pointerId);
  event.preventDefault();
  handle.focus();
});

document.addEventListener('pointermove', (event) => {
  if (!drag) return;
  const moved = event.clientY - drag.fromY;
  const y = Math.min(drag.floor - 1, drag.y + moved / drag.scale);
  drag.handle.style.top = `${drag.top + (y - drag.y) * drag.scale}px`;
  write(drag.name, drag.name === 'oil' ? oilAt(y, drag.map) : (drag.herb * (drag.floor - y)) / (drag.floor - drag.y), drag.ratio);
});

const drop = () => {
  if (!drag) return;
  drag = null;
  place();
};
document.addEventListener('pointerup', drop);
document.addEventListener('pointercancel', drop);

document.addEventListener('keydown', (event) => {
  const handle = event.target.closest?.('.drag');
  if (!handle) return;
  const by = { ArrowUp: 1, ArrowRight: 1, ArrowDown: -1, ArrowLeft: -1, PageUp: 5, PageDown: -5 }[event.key];
  if (!by) return;
  event.preventDefault();
  const name = handle.id === marks.oil.handle ? 'oil' : 'herb';
  const typed = parseFloat(document.getElementById(marks[name].field).value);
  const now = waiting && typed ? typed * number(`${name}Per`) : number(name);
  write(name, now + by * number(`${name}Step`) * number(`${name}Per`), number('ratio'));
});

document.addEventListener('htmx:afterSettle', place);
window.addEventListener('resize', place);
window.addEventListener('load', place);
document.fonts?.ready.then(place);
place();
