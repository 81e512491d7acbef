// Open pages move by themselves: one stream a browser says what changed, and each page fetches its own parts anew.
const parts = () => [...document.querySelectorAll('[data-live]')];
const own = (part, what) => part.dataset.live === '*' || what.some((one) => one === '*' || part.dataset.live.split(' ').includes(one));
const dirty = (field) => (field.tagName === 'SELECT'
  ? [...field.options].some((option) => option.selected !== option.defaultSelected)
  : field.type === 'checkbox' || field.type === 'radio' ? field.checked !== field.defaultChecked : field.value !== field.defaultValue);

let newest = 0;
let busy = false;
let again = null;
// A form is on its way: the page it leads to is newer than anything fetched meanwhile.
let sending = 0;

// What is typed, opened or waiting to be sent with its one-time key is nobody's to change but the hand's that did it.
const kept = {
  ignoreActiveValue: true,
  callbacks: {
    beforeNodeMorphed: (old) => !(old.matches?.('input:not([type=hidden]), textarea, select') && dirty(old)),
    beforeAttributeUpdated: (name, node) => !(name === 'open' && node.tagName === 'DETAILS')
      && !(name === 'value' && node.name === 'key') && !(name === 'hidden' && node.id === 'sound') && !(name === 'aria-pressed' && node.id === 'sound'),
  },
};

const lost = (is) => {
  const words = document.getElementById('lost');
  if (!words) return;
  const now = new Date().toTimeString().slice(0, 5);
  const blind = document.getElementById('watch') !== null;
  words.classList.toggle('blind', blind);
  if (is && words.hidden) {
    words.textContent = blind
      ? `! Blind since ${now}: look at the pot yourself.`
      : `The connection is lost; this is how it stood at ${now}.`;
  }
  words.hidden = !is;
};

// A form that came back stands at the address it was sent to, where nothing can be fetched: what moves is where it was sent from.
const came = () => {
  if (!document.getElementById('refused')) sessionStorage.setItem('crock-here', location.href);
  return sessionStorage.getItem('crock-here');
};

const fetchParts = async (what) => {
  if (!parts().some((part) => own(part, what))) return;
  if (busy || sending) {
    again = [...(again ?? []), ...what];
    return;
  }
  busy = true;
  try {
    const there = location.href;
    const from = came();
    if (!from) return;
    const answer = await fetch(from, { headers: { 'X-Live': 'yes' }, credentials: 'same-origin' });
    const text = await answer.text();
    if (answer.redirected || !answer.ok) return;
    // Somebody tapped meanwhile: what was fetched is older than the page that is here, or than the one that comes.
    if (sending) again = [...(again ?? []), ...what];
    if (sending || there !== location.href) return;
    const page = new DOMParser().parseFromString(text, 'text/html');
    for (const part of parts()) {
      const fresh = page.getElementById(part.id);
      if (!fresh) continue;
      window.Idiomorph.morph(part, fresh, kept);
      window.htmx.process(part);
    }
    document.dispatchEvent(new CustomEvent('crock:moved'));
    lost(false);
  } catch {
    lost(true);
  } finally {
    busy = false;
    if (again && !sending) {
      const next = again;
      again = null;
      fetchParts(next);
    }
  }
};

const heard = (revision, what) => {
  newest = Math.max(newest, revision);
  fetchParts(what);
};

// Of all tabs of a browser one listens, and tells the others.
const others = 'BroadcastChannel' in window ? new BroadcastChannel('crock-live') : null;
if (others) {
  others.onmessage = ({ data }) => {
    if ('lost' in data) lost(data.lost);
    else heard(data.revision, data.what);
  };
}
let gone = 0;
const listen = () => new Promise((ends) => {
  const since = Number(parts()[0]?.dataset.since ?? newest);
  const sinceKnown = since > 0;
  const stream = new EventSource(sinceKnown ? `/live?since=${since}` : '/live');
  stream.addEventListener('change', (event) => {
    const said = { revision: Number(event.lastEventId), what: event.data.split(' ') };
    others?.postMessage(said);
    heard(said.revision, said.what);
  });
  stream.onopen = () => {
    clearTimeout(gone);
    gone = 0;
    if (!sinceKnown) fetchParts(['*']);
    lost(false);
    others?.postMessage({ lost: false });
  };
  stream.onerror = () => {
    // The browser tries again every two seconds, and fails each time: the first failure counts.
    gone ||= setTimeout(() => {
      lost(true);
      others?.postMessage({ lost: true });
    }, 3000);
    // Signed out, or turned away while it starts: asked again later, as long as a page is there that listens.
    if (stream.readyState === EventSource.CLOSED) setTimeout(ends, 5000);
  };
  window.addEventListener('pagehide', () => stream.close(), { once: true });
});
const lead = async () => {
  for (;;) {
    if (parts().length) await listen();
    else await new Promise((later) => setTimeout(later, 1000));
  }
};
if (document.querySelector('.places')) {
  came();
  let leads = false;
  const first = () => { leads = true; return lead(); };
  if (navigator.locks) navigator.locks.request('crock-live', first);
  else first();
  // Whoever does not lead hears of what came while its page was on its way from nobody.
  setTimeout(() => { if (!leads) fetchParts(['*']); }, 1000);
}

// A page that was made before the newest change is behind when it comes.
const arrived = () => {
  sending = Math.max(0, sending - 1);
  if (sending || busy || !again) return;
  const next = again;
  again = null;
  fetchParts(next);
};
document.addEventListener('htmx:beforeRequest', (event) => {
  if (!event.detail.boosted) return;
  came();
  sending += 1;
});
document.addEventListener('htmx:afterRequest', (event) => { if (event.detail.boosted) setTimeout(arrived, 300); });
window.addEventListener('online', () => fetchParts(['*']));
document.addEventListener('visibilitychange', () => { if (!document.hidden) fetchParts(['*']); });
