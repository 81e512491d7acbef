// What was last seen is there without a network, dated as such; whose it was and nobody else's. The list of assets and their hashes comes
// from the server, before this (see /sw.js).
import { clientsClaim } from 'workbox-core';
import { precacheAndRoute } from 'workbox-precaching';

precacheAndRoute(self.__ASSETS);
self.skipWaiting();
clientsClaim();

const SEEN = 'seen-';
const MOST = 80;
// What is looked at where the network does not reach. Settings, people and what somebody's skin took ill are not kept on a device.
const KEPT = [
  /^\/shelf$/,
  /^\/round$/,
  /^\/batch\/[^/]+(\/watch)?$/,
  /^\/pan(\/[^/]+)?$/,
  /^\/press(\/[^/]+)?$/,
  /^\/cupboard(\/gifts|\/stall)?(\/[^/]+)?$/,
  /^\/cupboard\/stall\/[^/]+\/sheet$/,
  /^\/labels(\/jobs\/[^/]+)?$/,
  /^\/stores\/convert$/,
  /^\/stores$/,
  /^\/jot$/,
];
const NOT_KEPT = [/^\/cupboard\/(people|recall)/];

const isKept = (path) => KEPT.some((one) => one.test(path)) && !NOT_KEPT.some((one) => one.test(path));
// A page is gone to, or swapped in whole; parts, streams, pictures and what is downloaded are left alone.
const isPage = (request, path) =>
  (request.mode === 'navigate' || request.headers.get('HX-Boosted') === 'true') && !path.includes('.') && !path.endsWith('/live');

const forget = async (all = () => true) => {
  for (const name of await caches.keys()) if (name.startsWith(SEEN) && all(name)) await caches.delete(name);
};

const keep = async (url, answer) => {
  const who = answer.headers.get('Crock-Who');
  if (!who) return;
  const own = SEEN + who;
  // Somebody else is here now, or nobody is: what the one before saw is not theirs to see.
  await forget((name) => name !== own);
  const html = (answer.headers.get('Content-Type') ?? '').startsWith('text/html');
  if (who === 'nobody' || !answer.ok || answer.redirected || !html || !isKept(url.pathname)) return;
  const cache = await caches.open(own);
  const headers = new Headers({ 'Content-Type': 'text/html;charset=UTF-8', 'Crock-Seen': new Date().toISOString() });
  const policy = answer.headers.get('Content-Security-Policy');
  if (policy) headers.set('Content-Security-Policy', policy);
  // The newest stands last.
  await cache.delete(url.href);
  await cache.put(url.href, new Response(await answer.text(), { headers }));
  const all = await cache.keys();
  for (const old of all.slice(0, Math.max(0, all.length - MOST))) await cache.delete(old);
};

const at = (seen) => {
  const then = new Date(seen);
  const today = then.toDateString() === new Date().toDateString();
  return then.toLocaleString('en-GB', today ? { hour: '2-digit', minute: '2-digit' } : { weekday: 'short', day: 'numeric', month: 'short', hour: '2-digit', minute: '2-digit' });
};

// A page of an older release is dressed by what is here now; a form that is seen again is another form, with a key of its own.
const dressed = (text) => self.__ASSETS.reduce((all, { url }) => {
  const hashed = /^(.*-)[0-9a-f]{32}(\.[a-z]+)$/.exec(url);
  return hashed ? all.replace(new RegExp(`${hashed[1]}[0-9a-f]{32}\\${hashed[2]}`, 'g'), url) : all;
}, text.replace(/(name="key" value=")[0-9a-f-]{36}"/g, (all, before) => `${before}${crypto.randomUUID()}"`));

const dated = async (kept, url) => {
  const time = at(kept.headers.get('Crock-Seen'));
  const words = url.pathname.endsWith('/watch')
    ? `<p id="seen" class="blind" role="alert">! Blind since ${time}: look at the pot yourself.</p>`
    : `<p id="seen" class="alarm no-print" role="status">The network is away. This is how it stood at <b>${time}</b>; what you write down, by a tap, a form or a line, waits here until it is back.</p>`;
  const text = dressed(await kept.text()).replace(/(<main[^>]*>)/, `$1${words}`);
  return new Response(text, { headers: kept.headers });
};

const never = async () => {
  const links = [];
  for (const name of await caches.keys()) {
    if (!name.startsWith(SEEN)) continue;
    const cache = await caches.open(name);
    for (const request of (await cache.keys()).reverse()) {
      const text = await (await cache.match(request)).text();
      const name = /<title>([^<]*?)( · [^<]*)?<\/title>/.exec(text)?.[1];
      const head = /<h1[^>]*>(?:<a[^>]*>)?([^<]*)/.exec(text)?.[1].trim();
      const title = head && head !== name && !head.includes(name) ? `${name}: ${head}` : name;
      const path = new URL(request.url);
      if (title) links.push(`<li><a href="${(path.pathname + path.search).replace(/[&"<>]/g, (sign) => `&#${sign.charCodeAt(0)};`)}">${title}</a></li>`);
    }
  }
  const seen = links.length ? `<p>These were seen on this device:</p><ul class="plain">${links.slice(0, 30).join('')}</ul>` : '';
  const style = self.__ASSETS.find(({ url }) => url.startsWith('/css/app'))?.url ?? '';
  return new Response(
    `<!DOCTYPE html><html lang="en"><head><meta charset="utf-8"><title>The network is away · Velvet Crock</title>
    <meta name="viewport" content="width=device-width, initial-scale=1"><link rel="stylesheet" href="${style}"></head>
    <body><header class="top"><a class="brand" href="/shelf">Velvet Crock</a></header><main id="main" tabindex="-1"><section>
    <h1>The network is away</h1><p class="lead">This page was not seen on this device since somebody signed in, so it is not here.</p>${seen}
    </section></main></body></html>`,
    { headers: { 'Content-Type': 'text/html;charset=UTF-8', 'Content-Security-Policy': "default-src 'none'; style-src 'self'; font-src 'self'; base-uri 'none'" } },
  );
};

// A sentence that lives in the address is another page with every word of it; only these are one, whatever stands behind.
const ONE = ['/shelf', '/stores'];

const lastSeen = async (url) => {
  // The line's own page and the part of it that lies over another are told apart by what stands behind.
  const alike = { ignoreSearch: url.pathname !== '/jot' && (!url.search || ONE.includes(url.pathname)) };
  for (const name of await caches.keys()) {
    if (!name.startsWith(SEEN)) continue;
    const cache = await caches.open(name);
    const kept = (await cache.match(url.href)) ?? (await cache.match(url.href, alike));
    if (kept) return dated(kept, url);
  }
  return never();
};

self.addEventListener('fetch', (event) => {
  const url = new URL(event.request.url);
  if (url.origin !== location.origin) return;
  if (event.request.method === 'POST') {
    // Signing out takes along what was seen, whether the word of it arrives or not.
    if (url.pathname === '/sign-out') event.waitUntil(forget());
    return;
  }
  // The line over a page is a part of one, and is wherever the page is.
  const line = url.pathname === '/jot' && url.searchParams.get('part') === 'inner';
  if (event.request.method !== 'GET' || !(line || isPage(event.request, url.pathname))) return;
  event.respondWith((async () => {
    let answer;
    try {
      answer = await fetch(event.request);
    } catch {
      return lastSeen(url);
    }
    if (answer.type !== 'opaqueredirect') event.waitUntil(keep(url, answer.clone()));
    return answer;
  })());
});
