// Dragging a step of the timetable. Script moves only the bar; where it lands is typed into the step's field, so that dragging and
// typing are one thing, and what follows is placed by the server.
const QUARTER = 15;
let drag = null;

document.addEventListener('pointerdown', (event) => {
  const bar = event.target.closest?.('.t-bar');
  if (!bar) return;
  const svg = bar.ownerSVGElement;
  const scale = svg.getBoundingClientRect().width / svg.viewBox.baseVal.width;
  drag = { bar, fromX: event.clientX, x: Number(bar.getAttribute('x')), scale, minutes: Number(svg.dataset.minutes) };
  bar.setPointerCapture(event.pointerId);
  event.preventDefault();
});

document.addEventListener('pointermove', (event) => {
  if (drag) drag.bar.setAttribute('x', String(drag.x + (event.clientX - drag.fromX) / drag.scale));
});

const two = (number) => String(number).padStart(2, '0');

document.addEventListener('pointerup', (event) => {
  if (!drag) return;
  const { bar, fromX, scale, minutes } = drag;
  drag = null;
  const moved = Math.round(((event.clientX - fromX) / scale * minutes) / QUARTER) * QUARTER;
  const field = document.getElementById(`time.hold[${bar.dataset.step}]`);
  if (!moved || !field) return;
  // The wall's own time, added to as such; the server knows the zone.
  const [day, time] = bar.dataset.starts.split('T');
  const [y, mo, d] = day.split('-').map(Number);
  const [h, mi] = time.split(':').map(Number);
  const to = new Date(Date.UTC(y, mo - 1, d, h, mi + moved));
  field.value = `${to.getUTCFullYear()}-${two(to.getUTCMonth() + 1)}-${two(to.getUTCDate())}T${two(to.getUTCHours())}:${two(to.getUTCMinutes())}`;
  field.dispatchEvent(new Event('input', { bubbles: true }));
});
document.addEventListener('pointercancel', () => { drag = null; });
