// Labels: a picture goes along as text in its form, and a paper of one's own is drawn as it is typed, or drawn with a finger.

const MOST = 190_000;

document.addEventListener('change', async (event) => {
  const chosen = event.target.closest?.('[data-picture]');
  if (!chosen) return;
  const file = chosen.files[0];
  const hidden = chosen.form.elements.picture;
  const note = document.getElementById(chosen.getAttribute('aria-describedby'));
  hidden.value = '';
  if (!file) return;
  if (file.size > MOST) {
    note.textContent = `That file has ${Math.round(file.size / 1000)} kB; at most 190 kB go along.`;
    return;
  }
  const bytes = new Uint8Array(await file.arrayBuffer());
  let text = '';
  for (const byte of bytes) text += String.fromCharCode(byte);
  hidden.value = btoa(text).replaceAll('+', '-').replaceAll('/', '_').replaceAll('=', '');
  note.textContent = `${file.name}: ready.`;
});

const SVG = 'http://www.w3.org/2000/svg';
const field = (form, name) => Number(form.elements[name].value.replace(',', '.'));

function shape(parent, kind, values) {
  const made = document.createElementNS(SVG, kind);
  for (const [name, value] of Object.entries(values)) made.setAttribute(name, value);
  parent.append(made);
}

/** The sheet as the fields say it; what no sheet can be is not drawn. */
function draw(form) {
  const svg = form.querySelector('[data-drawn]');
  const [w, h] = [field(form, 'sheetWidth'), field(form, 'sheetHeight')];
  svg.replaceChildren();
  if (!(w > 0 && h > 0 && w <= 330 && h <= 500)) return;
  svg.setAttribute('viewBox', `0 0 ${w} ${h}`);
  shape(svg, 'rect', { class: 'label-paper', width: w, height: h });
  const [lw, lh] = [field(form, 'width'), field(form, 'height')];
  const [across, below] = [Math.min(40, field(form, 'across')), Math.min(60, field(form, 'below'))];
  if (!(lw > 0 && lh > 0)) return;
  for (let row = 0; row < below; row++) {
    for (let column = 0; column < across; column++) {
      const x = field(form, 'left') + column * (lw + field(form, 'gapX'));
      const y = field(form, 'top') + row * (lh + field(form, 'gapY'));
      const over = x + lw > w + 0.05 || y + lh > h + 0.05;
      const first = row === 0 && column === 0;
      shape(svg, 'rect', { class: `label-cell ${over ? 'over' : ''} ${first ? 'first' : ''}`, x, y, width: lw, height: lh, rx: form.elements.round.checked ? lw / 2 : 0 });
    }
  }
}

/** Half a millimetre is as fine as a finger is. */
const half = (value) => String(Math.round(value * 2) / 2);

function begin(form) {
  const svg = form.querySelector('[data-drawn]');
  let from = null;
  const at = (event) => {
    const spot = new DOMPoint(event.clientX, event.clientY).matrixTransform(svg.getScreenCTM().inverse());
    return { x: Math.max(0, spot.x), y: Math.max(0, spot.y) };
  };
  svg.addEventListener('pointerdown', (event) => {
    if (!svg.hasAttribute('viewBox')) return;
    from = at(event);
    svg.setPointerCapture(event.pointerId);
    event.preventDefault();
  });
  svg.addEventListener('pointermove', (event) => {
    if (!from) return;
    const to = at(event);
    if (Math.abs(to.x - from.x) < 4 || Math.abs(to.y - from.y) < 4) return;
    form.elements.left.value = half(Math.min(from.x, to.x));
    form.elements.top.value = half(Math.min(from.y, to.y));
    form.elements.width.value = half(Math.abs(to.x - from.x));
    form.elements.height.value = half(Math.abs(to.y - from.y));
    draw(form);
  });
  for (const end of ['pointerup', 'pointercancel']) {
    svg.addEventListener(end, () => {
      from = null;
    });
  }
  form.addEventListener('input', () => draw(form));
  draw(form);
}

function all() {
  for (const form of document.querySelectorAll('form[data-own-paper]:not([data-begun])')) {
    form.dataset.begun = '';
    begin(form);
  }
}

all();
document.addEventListener('htmx:load', all);
