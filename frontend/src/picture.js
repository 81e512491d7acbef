// A picture is made small here, and waits with what else waits until the house has it: see waiting.js.
import { keep, send, fresh } from './waiting.js';

const LONGEST = 1600;
const QUALITY = 0.85;

const small = async (file) => {
  const seen = await createImageBitmap(file, { imageOrientation: 'from-image' });
  const by = Math.min(1, LONGEST / Math.max(seen.width, seen.height));
  const canvas = document.createElement('canvas');
  canvas.width = Math.max(1, Math.round(seen.width * by));
  canvas.height = Math.max(1, Math.round(seen.height * by));
  canvas.getContext('2d').drawImage(seen, 0, 0, canvas.width, canvas.height);
  seen.close();
  return new Promise((done, failed) => canvas.toBlob((blob) => (blob ? done(blob) : failed(new Error('not drawn'))), 'image/jpeg', QUALITY));
};

document.addEventListener('submit', async (event) => {
  const form = event.target.closest?.('.picture-form');
  if (!form) return;
  event.preventDefault();
  const wrong = form.querySelector('[role=alert]');
  const say = (words) => {
    wrong.textContent = words;
    wrong.hidden = !words;
  };
  const file = form.querySelector('[type=file]').files[0];
  if (!file) {
    say('! No picture is chosen: choose one, or take one.');
    return;
  }
  const button = form.querySelector('button');
  button.disabled = true;
  say('');
  try {
    const picture = await small(file);
    const to = new URL(form.action);
    for (const name of ['key', 'what', 'words', 'back']) to.searchParams.set(name, form.elements[name].value);
    const words = `${document.querySelector('main h1')?.textContent.trim() ?? ''} · a picture${form.elements.words.value ? `: ${form.elements.words.value}` : ''}`;
    await keep(words, form.elements.key.value, { path: to.pathname, search: to.search, picture, fields: [], from: location.pathname + location.search });
    form.reset();
    form.elements.key.value = fresh();
    await send();
    const stands = document.getElementById('pictures');
    if (stands && document.querySelector('.notice')) {
      await window.htmx.ajax('GET', location.pathname + location.search, { target: '#pictures', select: '#pictures', swap: 'outerHTML' });
    }
  } catch {
    say('! That cannot be read as a picture: JPEG and PNG are.');
  } finally {
    button.disabled = false;
  }
});

// The first tap is the oil, the second the plain oil beside it.
let second = false;
document.addEventListener('click', (event) => {
  const on = event.target.closest?.('#spots-on img');
  if (!on) return;
  const box = on.getBoundingClientRect();
  const at = (from, size) => Math.round((100 * from) / size);
  const [x, y] = second ? ['px', 'py'] : ['x', 'y'];
  document.getElementById(x).value = at(event.clientX - box.left, box.width);
  document.getElementById(y).value = at(event.clientY - box.top, box.height);
  if (second) document.getElementById('spots').requestSubmit();
  second = !second;
});
