// Keeps the field pages of the last jobs, and what they are drawn with, for a phone without network. Nothing that is sent goes through it.
const parts = 'circuitum-parts-1';
const jobs = 'circuitum-job ';
const most = 3;
const patience = 4000;
const drawn = /^\/(css|js|fonts|lib)\/|^\/(icon\.svg|field\.webmanifest)$/;
const pages = /^\/field$|^\/jobs\/([^/]+)\/(tests|check-off|field-plan|field(\/[^/]+)?)$/;
const pictures = /^\/jobs\/([^/]+)\/photos\/\d+\/small$/;

self.addEventListener('install', () => self.skipWaiting());
self.addEventListener('activate', e => e.waitUntil(self.clients.claim()));

const jobOf = path => (path.match(pages) ?? path.match(pictures))?.[1] ?? '';
const cacheOf = path => (drawn.test(path) ? parts : jobs + jobOf(path));

const missing = () =>
  new Response('This page is not kept on this phone. It comes with the network.', {
    status: 503,
    headers: { 'Content-Type': 'text/plain; charset=utf-8' },
  });

async function asked(request) {
  const path = new URL(request.url).pathname;
  const answer = await fetch(request);
  if (answer.ok && !answer.redirected) {
    const copy = answer.clone();
    const cache = await caches.open(cacheOf(path));
    // A page is kept once, whichever of its lists is looked at.
    await cache.put(new Request(new URL(path, self.location.origin)), copy);
  }
  return answer;
}

// The desk is asked; where it is slow or away, what is kept will do. Where nothing is kept, there is nothing better than to wait.
async function answered(request) {
  const there = await caches.match(request, { ignoreSearch: true, ignoreVary: true });
  const fresh = asked(request);
  if (!there) return fresh.catch(missing);
  const late = new Promise(done => setTimeout(done, patience));
  const first = await Promise.race([fresh.catch(() => null), late]);
  return first && first.status < 500 ? first : there;
}

self.addEventListener('fetch', e => {
  const { pathname, origin } = new URL(e.request.url);
  if (
    e.request.method !== 'GET' ||
    origin !== self.location.origin ||
    !(drawn.test(pathname) || pages.test(pathname) || pictures.test(pathname))
  )
    return;
  e.respondWith(answered(e.request));
});

async function forget() {
  const names = (await caches.keys()).filter(n => n.startsWith(jobs) && n !== jobs);
  for (const name of names.slice(0, Math.max(0, names.length - most))) await caches.delete(name);
}

async function keepAll({ keep, stamp, pages: list }, tell) {
  const cache = await caches.open(jobs + keep);
  await forget();
  let done = 0;
  for (const page of list) {
    try {
      const answer = await fetch(page);
      if (answer.ok && !answer.redirected) await cache.put(page, answer);
      done += 1;
    } catch {
      break;
    }
    tell({ job: keep, stamp, kept: done, of: list.length });
  }
  const shared = await caches.open(parts);
  const modules = ['/js/field.js', '/js/field-box.js', '/js/field-picture.js', '/css/app.css', '/icon.svg', '/field.webmanifest'];
  await Promise.allSettled(modules.map(m => shared.add(m)));
  const home = await fetch('/field').catch(() => null);
  if (home?.ok && !home.redirected) await (await caches.open(jobs)).put('/field', home);
}

self.addEventListener('message', e => {
  if (e.data.keep) e.waitUntil(keepAll(e.data, word => e.source.postMessage(word)));
});
