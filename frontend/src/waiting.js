// What was tapped where the network does not reach waits on this device, with the key made at the tap and its moment: as the line it says, or
// as the form it was typed in. It is shown and sent as theirs alone who tapped it, in order, and goes only when the house has answered.
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
export const fresh = () => crypto.randomUUID?.()
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
    mend.href = one.path ? one.from : `/jot?line=${encodeURIComponent(one.line)}`;
    mend.textContent = 'Mend it';
    if (one.path) mend.dataset.mend = one.n;
    mend.setAttribute('hx-boost', 'false');
    made.append(why, mend);
  }
  made.append(' ', button('Drop it', 'drop', one.n));
  return made;
};

// A form may be one of those that wait (see Waited.java).
const may = (path) => {
  const { may: these, mayNot } = box()?.dataset ?? {};
  return Boolean(these) && new RegExp(these).test(path) && !new RegExp(mayNot).test(path);
};
const labelOf = (field) => (field.labels?.[0]?.textContent ?? field.getAttribute('aria-label') ?? '').trim().replace(/\s+/g, ' ');
const said = (field) => {
  if (field.matches('[type=hidden], [type=file], button')) return '';
  if (field.matches('[type=checkbox], [type=radio]')) return field.checked ? labelOf(field) : '';
  const value = field.matches('select') ? field.selectedOptions[0]?.textContent.trim() : field.value.trim();
  return value ? `${labelOf(field)}: ${value}` : '';
};
// A form as whoever filled it in would say it: where, what, and each blank that was filled.
const sentence = (form, button) => {
  const where = document.querySelector('main h1')?.textContent ?? '';
  const what = button?.getAttribute('aria-label') ?? button?.textContent ?? '';
  const blanks = [...form.elements].map(said).filter(Boolean);
  return [where, what, ...blanks].map((part) => part.trim().replace(/\s+/g, ' ')).filter(Boolean).join(' · ').slice(0, 300);
};

// What waits of a jar is done, as far as whoever stands before it is concerned: its buttons say so.
const jar = (line) => /^.* \d+(?= )/.exec(line)?.[0] ?? line;
const mark = (all) => {
  for (const tap of document.querySelectorAll('button[data-line]')) {
    const waits = all.some((one) => !one.refused && jar(one.line) === jar(tap.dataset.line));
    tap.disabled = waits;
    tap.classList.toggle('waits', waits);
  }
  for (const told of document.querySelectorAll('.waits-here')) told.remove();
  for (const form of document.querySelectorAll('form[method=post]')) {
    // By whichever of its buttons: what was found of a jar and is not sent is not followed by "all well".
    const to = new Set([form.action, ...[...form.querySelectorAll('button[formaction]')].map((tap) => tap.formAction)].map((path) => new URL(path).pathname));
    const waits = all.filter((one) => one.path && !one.refused && to.has(one.path)).length;
    if (form.matches('.walk-jar') && waits) for (const tap of form.querySelectorAll('button[type=submit]')) tap.disabled = true;
    if (!waits) continue;
    const told = document.createElement('span');
    told.className = 'waits-here';
    told.textContent = ` ${waits} of this waits on this device `;
    form.append(told);
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
export const keep = async (line, key, form = {}) => {
  const db = await base;
  if (await db.getFromIndex(STORE, 'key', key)) return;
  await db.add(STORE, { key, line, at: new Date().toISOString(), who: who(), ...form });
  await show();
};

// A form goes to where it always goes, and is told when it was tapped; a line goes to where lines go.
const post = (one, header, token) => {
  const now = new Date().toISOString();
  if (!one.path) {
    const body = new URLSearchParams({ key: one.key, line: one.line, at: one.at });
    return fetch('/deeds', { method: 'POST', redirect: 'error', headers: { [header]: token, 'Crock-Sent': now }, body });
  }
  const headers = { [header]: token, 'Crock-Waited': one.at, 'Crock-Sent': now };
  if (one.picture) {
    headers['Content-Type'] = 'image/jpeg';
    return fetch(one.path + one.search, { method: 'POST', redirect: 'error', headers, body: one.picture });
  }
  return fetch(one.path, { method: 'POST', redirect: 'error', headers, body: new URLSearchParams(one.fields) });
};

// What was sent is said where it is seen, each with its taking back; what stands on the page is as it was before.
const tell = (sent, token) => {
  const told = document.createElement('div');
  told.className = 'notice no-print sent-told';
  told.setAttribute('role', 'status');
  told.append('Sent: ');
  for (const one of sent) {
    const part = document.createElement('span');
    part.textContent = `${(one.done || one.line).replace(/[.]$/, '')}. `;
    told.append(part);
    if (!one.undo) continue;
    const back = document.createElement('form');
    back.method = 'post';
    back.action = one.undo;
    const hidden = document.createElement('input');
    hidden.type = 'hidden';
    hidden.name = '_csrf';
    hidden.value = token;
    const press = document.createElement('button');
    press.type = 'submit';
    press.className = 'quiet';
    press.textContent = 'Take it back';
    press.setAttribute('aria-label', `Take back: ${part.textContent}`);
    back.append(hidden, press);
    told.append(back);
  }
  const look = document.createElement('a');
  look.href = location.href;
  look.textContent = 'See it as it is now';
  look.setAttribute('hx-boost', 'false');
  told.append(' ', look);
  box()?.after(told);
};

let sending = false;
export const send = async () => {
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
    const sent = [];
    for (const one of waiting) {
      const answer = await post(one, header, token);
      const whose = answer.headers.get('Crock-Who');
      if (whose === null ? answer.ok : whose !== one.who) return;
      const said = (answer.headers.get('Content-Type') ?? '').startsWith('application/json') ? await answer.json() : {};
      const db = await base;
      if (answer.ok && 'done' in said) {
        await db.delete(STORE, one.n);
        sent.push({ ...said, line: one.line });
      } else if ([400, 404, 409, 413, 415, 422].includes(answer.status)) {
        // Kept with its reason; what comes after it is not held up by it.
        await db.put(STORE, { ...one, refused: said.refused ?? 'It was refused.' });
      } else {
        return;
      }
    }
    if (sent.length) tell(sent, token);
  } catch {
    // Away still; it is tried again.
  } finally {
    sending = false;
    await show();
  }
};

const notSent = async (event) => {
  const config = event.detail.requestConfig;
  const form = event.detail.elt?.closest?.('form');
  const path = config?.path && new URL(config.path, location.href).pathname;
  if (!form || config.verb !== 'post' || who() === 'nobody') return;
  const button = config.triggeringEvent?.submitter;
  const line = form.id === 'jot' ? form.elements.line.value.trim() : button?.dataset.line;
  const key = form.elements.key;
  if (line) {
    if (!key?.value) return;
    await keep(line, key.value);
  } else {
    if (!may(path)) return;
    const fields = [...config.formData.entries()].filter(([name, value]) => name !== '_csrf' && typeof value === 'string');
    await keep(sentence(form, button), key?.value || fresh(), { path, fields, from: location.pathname + location.search });
  }
  const alarm = document.getElementById('not-sent');
  alarm.textContent = 'The network is away. It waits on this device, and is sent when the network is back.';
  alarm.hidden = false;
  if (form.id === 'jot') {
    form.elements.line.value = '';
    form.closest('dialog')?.close();
  } else if (!line) {
    form.reset();
  }
  // The same form may be tapped again for the next thing: that is another deed.
  if (key) key.value = fresh();
  if (line) document.querySelector('.walk-on a[rel=next]')?.click();
  await show();
};
document.addEventListener('htmx:sendError', notSent);
document.addEventListener('htmx:timeout', notSent);

// What was refused is mended where it was typed, with all that was typed in it.
const MENDING = 'crock-mending';
document.addEventListener('click', (event) => {
  const mend = event.target.dataset?.mend;
  if (mend !== undefined) sessionStorage.setItem(MENDING, mend);
});
const refill = async () => {
  const n = Number(sessionStorage.getItem(MENDING));
  if (!n) return;
  sessionStorage.removeItem(MENDING);
  const db = await base;
  const one = await db.get(STORE, n);
  if (one?.who !== who() || !one.path) return;
  const form = [...document.querySelectorAll('form[method=post]')].find((other) => new URL(other.action).pathname === one.path);
  if (!form) return;
  for (const [name, value] of one.fields) {
    if (name === 'key') continue;
    for (const field of form.querySelectorAll(`[name="${CSS.escape(name)}"]`)) {
      if (field.matches('[type=checkbox], [type=radio]')) field.checked ||= field.value === value;
      else if (!field.matches('[type=hidden], button')) field.value = value;
    }
  }
  for (let fold = form.closest('details'); fold; fold = fold.parentElement.closest('details')) fold.open = true;
  form.scrollIntoView({ block: 'center' });
  form.querySelector('input:not([type=hidden]), select, textarea')?.focus();
  // It waits with its reason until it has gone from here.
  form.dataset.mends = n;
};
document.addEventListener('htmx:afterRequest', async (event) => {
  const mended = Number(event.detail.requestConfig?.elt?.dataset?.mends);
  if (!mended || !event.detail.successful || event.detail.requestConfig.verb !== 'post') return;
  await (await base).delete(STORE, mended);
  await show();
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
document.addEventListener('DOMContentLoaded', async () => {
  await both();
  await refill();
});
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
