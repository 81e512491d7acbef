// What was tapped where the network does not reach waits on this device: as the line it says, with the key made at the tap and its moment.
// It is shown and sent as theirs alone who tapped it, in order, and goes only when the house has answered.
import { openDB } from 'idb';

const STORE = 'waiting';
const AGAIN = 8000;

const base = openDB('crock', 1, {
  upgrade: (db) => db.createObjectStore(STORE, { keyPath: 'n', autoIncrement: true }).createIndex('key', 'key', { unique: true }),
});
const box = () => document.getElementById('unsent');
const who = () => box()?.dataset.who ?? 'nobody';
const mine = async () => (await (await base).getAll(STORE)).filter((one) => one.who === who());

// Over plain http a browser makes no such key by itself.
const fresh = () => crypto.randomUUID?.()
  ?? [...crypto.getRandomValues(new Uint8Array(16))].map((one) => one.toString(16).padStart(2, '0')).join('')
    .replace(/^(.{8})(.{4})(.{4})(.{4})(.{12})$/, '$1-$2-$3-$4-$5');

const time = (at) => new Date(at).toLocaleString('en-GB', { weekday: 'short', hour: '2-digit', minute: '2-digit' });
const button = (words, what, n) => {
  const made = document.createElement('button');
  made.type = 'button';
  made.className = 'quiet';
  made.textContent = words;
  made.dataset[what] = n;
  return made;
};

// The one dropped last, until the next page: a finger slips.
let dropped = null;
let told = 0;

const row = (one) => {
  const made = document.createElement('li');
  const words = document.createElement('span');
  words.textContent = `${one.line} · ${time(one.at)}`;
  made.append(words);
  if (one.refused) {
    const why = document.createElement('span');
    why.className = 'bad-word';
    why.textContent = ` ! ${one.refused} `;
    const mend = document.createElement('a');
    mend.className = 'quiet';
    mend.href = `/jot?line=${encodeURIComponent(one.line)}`;
    mend.textContent = 'Mend it';
    mend.setAttribute('hx-boost', 'false');
    made.append(why, mend);
  }
  made.append(' ', button('Drop it', 'drop', one.n));
  return made;
};

// What waits of a jar is done, as far as whoever stands before it is concerned: its buttons say so.
const jar = (line) => /^.* \d+(?= )/.exec(line)?.[0] ?? line;
const mark = (all) => {
  for (const tap of document.querySelectorAll('button[data-line]')) {
    const waits = all.some((one) => !one.refused && jar(one.line) === jar(tap.dataset.line));
    tap.disabled = waits;
    tap.classList.toggle('waits', waits);
  }
};

const show = async () => {
  const place = box();
  if (!place) return;
  const all = await mine();
  mark(all);
  place.hidden = all.length === 0 && !dropped;
  const open = place.querySelector('details')?.open;
  place.replaceChildren();
  const fold = document.createElement('details');
  const head = document.createElement('summary');
  const refused = all.filter((one) => one.refused).length;
  head.textContent = `${all.length} not sent yet${refused ? `, ${refused} of them refused` : ''}`;
  // What was refused since is shown, and what was folded away stays so.
  fold.open = refused > told || (open ?? refused > 0);
  told = refused;
  const list = document.createElement('ul');
  list.className = 'plain';
  list.append(...all.map(row));
  if (dropped) {
    const back = document.createElement('li');
    back.append(`Dropped: ${dropped.line} `, button('Put it back', 'putBack', dropped.n));
    list.append(back);
  }
  fold.append(head, list);
  place.append(fold);
};

// The key is the form's own: where it arrived and only its answer was lost, the house knows it.
const keep = async (line, key) => {
  const db = await base;
  if (await db.getFromIndex(STORE, 'key', key)) return;
  await db.add(STORE, { key, line, at: new Date().toISOString(), who: who() });
  await show();
};

let sending = false;
const send = async () => {
  if (sending || who() === 'nobody' || document.hidden) return;
  // Of several windows one sends; over plain http, where there are no locks, each does, and the house knows a repeated key.
  await (navigator.locks ? navigator.locks.request('crock-waiting', { ifAvailable: true }, (held) => held && sendAll()) : sendAll());
};
const sendAll = async () => {
  const waiting = (await mine()).filter((one) => !one.refused);
  if (!waiting.length) return;
  sending = true;
  try {
    const asked = await fetch('/deeds/token', { cache: 'no-store', redirect: 'error' });
    if (!asked.ok || asked.headers.get('Crock-Who') !== who()) return;
    const { header, token } = await asked.json();
    const done = [];
    for (const one of waiting) {
      const answer = await fetch('/deeds', {
        method: 'POST',
        redirect: 'error',
        headers: { [header]: token, 'Crock-Sent': new Date().toISOString() },
        body: new URLSearchParams({ key: one.key, line: one.line, at: one.at }),
      });
      if (answer.headers.get('Crock-Who') !== one.who) return;
      const said = (answer.headers.get('Content-Type') ?? '').startsWith('application/json') ? await answer.json() : {};
      const db = await base;
      if (answer.ok && 'done' in said) {
        await db.delete(STORE, one.n);
        done.push(said.done);
      } else if (answer.status === 409 || answer.status === 400) {
        // Kept with its reason; what comes after it is not held up by it.
        await db.put(STORE, { ...one, refused: said.refused ?? 'It was refused.' });
      } else {
        return;
      }
    }
    if (done.length) {
      const told = document.createElement('p');
      told.className = 'notice no-print';
      told.setAttribute('role', 'status');
      told.textContent = `Sent: ${done.join(' ')}`;
      box()?.after(told);
    }
  } catch {
    // Away still; it is tried again.
  } finally {
    sending = false;
    await show();
  }
};

document.addEventListener('htmx:sendError', async (event) => {
  const form = event.detail.elt?.closest?.('form');
  const line = form?.id === 'jot'
    ? form.elements.line.value.trim()
    : event.detail.requestConfig?.triggeringEvent?.submitter?.dataset.line;
  const key = form?.elements.key?.value;
  if (!line || !key || who() === 'nobody') return;
  await keep(line, key);
  const alarm = document.getElementById('not-sent');
  alarm.textContent = 'The network is away. It waits on this device, and is sent when the network is back.';
  alarm.hidden = false;
  if (form.id === 'jot') {
    form.elements.line.value = '';
    form.closest('dialog')?.close();
  }
  // The same form may be tapped again for the next thing: that is another deed.
  form.elements.key.value = fresh();
  document.querySelector('.walk-on a[rel=next]')?.click();
});
document.addEventListener('click', async (event) => {
  const { drop, putBack } = event.target.dataset ?? {};
  if (drop === undefined && putBack === undefined) return;
  const db = await base;
  if (drop !== undefined) {
    dropped = await db.get(STORE, Number(drop));
    await db.delete(STORE, Number(drop));
  } else if (dropped) {
    await db.put(STORE, dropped);
    dropped = null;
  }
  await show();
});
// Signing out clears what waits, after asking: nobody else is to send it.
document.addEventListener('submit', (event) => {
  if (!event.target.action?.endsWith('/sign-out') || event.target.dataset.asked || box()?.hidden !== false) return;
  event.preventDefault();
  event.stopImmediatePropagation();
  const form = event.target;
  mine().then(async (all) => {
    if (all.length && !window.confirm(`${all.length} not sent yet. Sign out all the same, and drop them?`)) return;
    const db = await base;
    for (const one of all) await db.delete(STORE, one.n);
    form.dataset.asked = 'yes';
    form.requestSubmit();
  });
}, true);

const both = async () => {
  dropped = null;
  await show();
  await send();
};
document.addEventListener('DOMContentLoaded', both);
document.addEventListener('htmx:afterSwap', (event) => { if (event.target === document.body || event.target.contains?.(box())) both(); });
window.addEventListener('online', both);
setInterval(send, AGAIN);

// On the round every jar is looked at ahead, so that it goes on where the network ends.
document.addEventListener('DOMContentLoaded', () => {
  if (!navigator.serviceWorker?.controller || who() === 'nobody') return;
  fetch('/jot?part=inner').catch(() => {});
  if (location.pathname !== '/round') return;
  for (const stop of [...document.querySelectorAll('.walk-way a')].slice(0, 40)) {
    fetch(stop.href, { headers: { 'HX-Boosted': 'true' } }).catch(() => {});
  }
});
