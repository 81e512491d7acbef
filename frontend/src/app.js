import './htmx.js';
import './drag.js';
import './rounds.js';
import './round.js';
import './jot.js';
import './time.js';
import './live.js';
import './scale.js';
import './watch.js';
import './pan.js';
import './label.js';
import './phone.js';
import './waiting.js';
import './picture.js';

// A part that is worked out anew is put into what stands there: what is being typed and what is opened stays as it is.
Object.assign(window.Idiomorph.defaults, { ignoreActiveValue: true });
window.Idiomorph.defaults.callbacks.beforeAttributeUpdated = (name, node) => !(name === 'open' && node.tagName === 'DETAILS');

// The little that needs script: keys for the places, filling a field from a choice, and saying when something was not sent.
const typing = (target) => target.closest('input, select, textarea, [contenteditable]');

document.addEventListener('keydown', (event) => {
  if (event.ctrlKey || event.metaKey || event.altKey || typing(event.target)) return;
  const place = document.querySelector(`.places a[data-key="${CSS.escape(event.key)}"]`);
  if (place) {
    event.preventDefault();
    place.click();
  } else if (event.key === '?') {
    document.getElementById('keys')?.showModal();
  } else if (event.key === '=') {
    event.preventDefault();
    convert();
  }
});

// The next row of a blend comes when the last is filled, as many as one may have.
const MOST_ROWS = 11;
document.addEventListener('change', (event) => {
  const row = event.target.closest('#blend .blend-row');
  const rows = document.querySelectorAll('#blend div.blend-row');
  if (!row || !event.target.matches('select') || !event.target.value || row !== rows[rows.length - 1] || rows.length >= MOST_ROWS) return;
  const next = row.cloneNode(true);
  const renumber = (text) => text.replace(`[${rows.length - 1}]`, `[${rows.length}]`).replace(` ${rows.length + 1}`, ` ${rows.length + 2}`);
  for (const part of next.querySelectorAll('[id], [name]')) {
    for (const name of ['id', 'name', 'aria-label', 'aria-describedby']) {
      if (part.hasAttribute(name)) part.setAttribute(name, renumber(part.getAttribute(name)));
    }
    if (part.matches('input')) part.value = '';
    if (part.matches('select')) part.selectedIndex = 0;
    if (part.matches('.beside')) part.replaceChildren();
  }
  row.after(next);
});

// Words beside a blank go when the next answer has none for it.
const beside = new Set();
document.addEventListener('htmx:oobBeforeSwap', (event) => beside.add(event.detail.target.id));
document.addEventListener('htmx:afterSwap', (event) => {
  if (event.target.id !== 'worked') return;
  for (const words of document.querySelectorAll('.beside')) if (!beside.has(words.id)) words.replaceChildren();
  beside.clear();
});

// The converter opens over any page; without script its link leads to its own page.
const convert = async () => {
  const dialog = document.getElementById('convert');
  if (!dialog || document.getElementById('converter')?.closest('main')) return;
  await window.htmx.ajax('GET', '/stores/convert?part=inner', { target: '#convert-inner', swap: 'innerHTML' });
  dialog.showModal();
  document.getElementById('v-amount')?.focus();
};
document.addEventListener('click', (event) => {
  if (!event.target.closest('[data-convert]') || event.ctrlKey || event.metaKey) return;
  event.preventDefault();
  convert();
});

// A newcomer's time zone is the browser's until they say otherwise; the field shows it.
const guess = document.querySelector('[data-guess="true"] input');
if (guess && guess.value === guess.defaultValue) guess.value = Intl.DateTimeFormat().resolvedOptions().timeZone || guess.value;

// A choice or a remedy writes its value into a field, as if typed.
document.addEventListener('click', (event) => {
  const chip = event.target.closest('[data-fill]');
  if (!chip) return;
  const field = document.getElementById(chip.dataset.into ?? 'length');
  if (!field) return;
  // A choice among ways is made as well as filled in.
  if (chip.type !== 'radio') event.preventDefault();
  field.value = chip.dataset.fill;
  field.dispatchEvent(new Event('input', { bubbles: true }));
  field.dispatchEvent(new Event('change', { bubbles: true }));
  if (chip.type !== 'radio') field.focus();
});

// A form sent by script that did not arrive stays as it is, says so, and can be sent again with its one-time key.
const alarm = (words) => {
  const box = document.getElementById('not-sent');
  box.textContent = words;
  box.hidden = !words;
  if (words) box.scrollIntoView({ block: 'nearest' });
};
document.addEventListener('htmx:sendError', (event) => {
  // What is only worked out while one types says so, and not over what was said of something that was sent.
  if (event.detail.requestConfig.verb === 'get' && !document.getElementById('not-sent').hidden) return;
  alarm('! Not sent: the application cannot be reached. What you typed is still here; send it again when it is back.');
});
document.addEventListener('htmx:responseError', (event) => {
  const status = event.detail.xhr.status;
  alarm(status === 503
    ? '! Not saved: the database is away for the moment. What you typed is still here; send it again in a little while.'
    : '! Not saved: something went wrong on our side. What you typed is still here; try again.');
});
document.addEventListener('htmx:afterRequest', (event) => { if (event.detail.successful) alarm(''); });

// What was typed last holds: herb said by itself puts out what was wanted.
document.addEventListener('input', (event) => {
  if (event.target.id === 'amount') document.getElementById('want.amount').value = '';
});

// After a form: on the same page the eye stays where it was and the focus goes on; what was refused is said first; another page begins at its head.
let left = null;
document.addEventListener('htmx:beforeRequest', (event) => {
  const form = event.target.closest?.('form');
  if (!form || !event.detail.boosted) return;
  const rows = [...document.querySelectorAll('[data-row]')];
  const row = form.closest('[data-row]');
  left = {
    path: location.pathname,
    y: window.scrollY,
    action: event.detail.requestConfig.path,
    following: row ? rows.slice(rows.indexOf(row) + 1).map((one) => one.dataset.row) : [],
  };
});
// What is wrong is said together with what its field is called.
const named = (refused) => {
  for (const link of refused.querySelectorAll('a')) {
    const field = document.getElementById(decodeURIComponent(link.hash.slice(1)));
    const label = field?.labels?.[0]?.textContent.trim() || field?.getAttribute('aria-label');
    if (label && !link.textContent.startsWith(label)) link.textContent = `${label}: ${link.textContent}`;
  }
};
// What was kept while somebody signed in again goes on by itself.
const sendOn = () => document.querySelector('form[data-send-on]')?.requestSubmit();
document.addEventListener('DOMContentLoaded', sendOn);
const goOn = () => {
  sendOn();
  const refused = document.getElementById('refused');
  if (refused) {
    named(refused);
    window.scrollTo(0, 0);
    refused.focus();
  } else if (left && left.path === location.pathname) {
    window.scrollTo(0, left.y);
    const next = left.following
      .map((key) => document.querySelector(`[data-row="${CSS.escape(key)}"]`))
      .map((row) => row?.querySelector('.tap, input:not([type=hidden])'))
      .find((tap) => tap && tap.offsetParent);
    const again = document.querySelector(`form[action="${CSS.escape(left.action)}"] button`);
    (next ?? again ?? document.querySelector('main'))?.focus({ preventScroll: true });
  } else if (left) {
    window.scrollTo(0, 0);
    document.querySelector('main')?.focus({ preventScroll: true });
  }
  left = null;
};
document.addEventListener('htmx:afterSettle', (event) => { if (event.target === document.body || event.target.id === 'main') goOn(); });
document.addEventListener('DOMContentLoaded', () => {
  const refused = document.getElementById('refused');
  if (!refused) return;
  named(refused);
  refused.focus();
});

// What was refused leads to its field, which may be folded away.
document.addEventListener('click', (event) => {
  const link = event.target.closest('#refused a');
  const field = link && document.getElementById(decodeURIComponent(link.hash.slice(1)));
  if (!field) return;
  event.preventDefault();
  for (let fold = field.closest('details'); fold; fold = fold.parentElement.closest('details')) fold.open = true;
  field.scrollIntoView({ block: 'center' });
  field.focus();
});

document.addEventListener('click', (event) => { if (event.target.closest('[data-print]')) window.print(); });

// An answer to a recipe's line is written into the list in place of that line, and the list is read again.
document.addEventListener('click', (event) => {
  const answer = event.target.closest('[data-write]');
  if (!answer) return;
  const body = document.getElementById('body');
  let seen = -1;
  body.value = body.value.split('\n').map((line) => (line.trim() && ++seen === Number(answer.dataset.line) ? answer.dataset.write : line)).join('\n');
  document.querySelector('#recipe button[value=read]').click();
});
