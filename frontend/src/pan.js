// The edges between the strata of a melt are dragged, or stepped by the arrows: what an edge is set to is typed into the sentence.
const STEP = 0.5;
const stage = () => document.querySelector('.pan-stage');
const picture = () => document.querySelector('.pan-stage .pan-melt');
let held = null;

const edges = () => (picture()?.dataset.edges ?? '').split(';').filter(Boolean).map((one) => {
  const [field, y, lower, name] = one.split('|');
  return { field, y: Number(y), lower: Number(lower), name };
});

const deep = () => Number(picture().dataset.bottom) - Number(picture().dataset.top);

const write = (edge, share) => {
  const field = document.getElementById(edge.field);
  if (!field) return;
  field.value = `${Math.min(98, Math.max(0, Math.round(share / STEP) * STEP))} %`;
  field.dispatchEvent(new Event('input', { bubbles: true }));
};

const place = () => {
  if (!stage() || held) return;
  const all = picture() ? edges() : [];
  const old = [...stage().querySelectorAll('.drag-edge')];
  old.slice(all.length).forEach((one) => one.remove());
  all.forEach((edge, i) => {
    let handle = old[i];
    if (!handle) {
      handle = document.createElement('button');
      handle.type = 'button';
      handle.className = 'drag-edge';
      handle.setAttribute('role', 'slider');
      handle.setAttribute('aria-orientation', 'vertical');
      handle.innerHTML = '<span aria-hidden="true"></span>';
      stage().append(handle);
    }
    const svg = picture();
    const box = svg.getBoundingClientRect();
    const base = stage().getBoundingClientRect();
    const view = svg.viewBox.baseVal;
    const ratio = Math.min(box.width / view.width, box.height / view.height);
    const share = (100 * (edge.lower - edge.y)) / deep();
    handle.dataset.edge = i;
    handle.style.left = `${box.left - base.left + (box.width - view.width * ratio) / 2 - 30}px`;
    handle.style.top = `${box.top - base.top + edge.y * ratio - 22}px`;
    handle.setAttribute('aria-label', `${edge.name} in the melt`);
    handle.setAttribute('aria-valuemin', '0');
    handle.setAttribute('aria-valuemax', '98');
    handle.setAttribute('aria-valuenow', share.toFixed(1));
    handle.setAttribute('aria-valuetext', `${share.toFixed(1)} % of the whole`);
  });
};

document.addEventListener('pointerdown', (event) => {
  const handle = event.target.closest('.drag-edge');
  if (!handle) return;
  event.preventDefault();
  handle.setPointerCapture(event.pointerId);
  const box = picture().getBoundingClientRect();
  const view = picture().viewBox.baseVal;
  held = { handle, edge: edges()[handle.dataset.edge], from: event.clientY, top: parseFloat(handle.style.top), ratio: Math.min(box.width / view.width, box.height / view.height) };
});
document.addEventListener('pointermove', (event) => {
  if (!held) return;
  const moved = event.clientY - held.from;
  held.handle.style.top = `${held.top + moved}px`;
  const y = held.edge.y + moved / held.ratio;
  write(held.edge, (100 * (held.edge.lower - y)) / deep());
});
const release = () => {
  if (!held) return;
  held = null;
  setTimeout(place, 700);
};
document.addEventListener('pointerup', release);
document.addEventListener('pointercancel', release);
document.addEventListener('keydown', (event) => {
  const handle = event.target.closest?.('.drag-edge');
  const by = { ArrowUp: STEP, ArrowRight: STEP, ArrowDown: -STEP, ArrowLeft: -STEP, PageUp: 5, PageDown: -5 }[event.key];
  if (!handle || !by) return;
  event.preventDefault();
  const edge = edges()[handle.dataset.edge];
  const typed = parseFloat(document.getElementById(edge.field)?.value);
  const share = Number.isFinite(typed) && document.getElementById(edge.field).value.endsWith('%') ? typed : (100 * (edge.lower - edge.y)) / deep();
  write(edge, share + by);
});
document.addEventListener('htmx:afterSettle', () => { if (stage()) place(); });
document.addEventListener('DOMContentLoaded', place);
window.addEventListener('resize', place);
