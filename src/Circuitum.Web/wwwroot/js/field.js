// The pages of the field: a press is kept on the phone, shown, and sent when the desk is reached.
import { all, drop, keep, send } from './field-box.js';
import { smaller } from './field-picture.js';

const main = document.querySelector('main.field[data-job]');
const { job, upto } = main?.dataset ?? {};
const task = key => document.querySelector(`[data-task="${CSS.escape(key)}"]`);

const newId = () =>
  crypto.randomUUID?.() ?? [...crypto.getRandomValues(new Uint8Array(16))].map(b => b.toString(16).padStart(2, '0')).join('');

// Which of the lists of a sort of work is looked at.
function showWork(work) {
  for (const list of document.querySelectorAll('[data-tasks]')) list.hidden = list.dataset.tasks !== work;
  for (const tab of document.querySelectorAll('[data-to-work]')) {
    if (tab.dataset.toWork === work) tab.setAttribute('aria-current', 'true');
    else tab.removeAttribute('aria-current');
  }
  main.dataset.work = work;
  for (const a of document.querySelectorAll('.room-jump a')) a.href = a.href.replace(/work=\w+/, `work=${work}`);
}

// The strip of the wall stands in the ticket that is open, its box marked.
function placeStrip(item) {
  const strip = document.querySelector(`[data-strip="${item.dataset.wall}"]`);
  if (!strip) return;
  item.querySelector('.strip-here').append(strip);
  strip.querySelectorAll('.here').forEach(e => e.classList.remove('here'));
  if (!item.dataset.at) return;
  strip.querySelectorAll(`[data-on-strip="${CSS.escape(item.dataset.at)}"]`).forEach(e => e.classList.add('here'));
}

function openNext(item) {
  item.querySelector('details').open = false;
  const list = item.closest('[data-tasks]');
  const items = [...list.querySelectorAll('[data-task]')];
  const from = items.indexOf(item);
  const next = [...items.slice(from + 1), ...items.slice(0, from)].find(
    i => !i.classList.contains('done') && !i.classList.contains('wrong'),
  );
  if (!next) return;
  next.querySelector('details').open = true;
  next.scrollIntoView({ block: 'start' });
}

const looks = { Done: 'done', Wrong: 'wrong', Open: '', Settled: 'done' };

// How an item looks after what was said of it here.
function show(said) {
  const item = task(said.task);
  if (!item) return;
  if (said.state !== 'Note' && !said.refused) {
    item.classList.remove('done', 'wrong');
    if (looks[said.state]) item.classList.add(looks[said.state]);
    item.querySelector('.tick').setAttribute('aria-label', looks[said.state] || 'open');
  }
  const line = Object.assign(document.createElement('li'), { className: 'here' });
  line.textContent = `${said.picture ? 'Picture' : said.state === 'Note' ? 'Remark' : said.state}${said.value ? `: ${said.value}` : ''}, kept on this phone`;
  item.querySelector('[data-said]').append(line);
  if (said.picture) {
    const img = Object.assign(document.createElement('img'), {
      src: URL.createObjectURL(said.picture),
      alt: 'A picture that waits to be sent',
    });
    item.querySelector('[data-photos]')?.append(img);
  }
}

function count() {
  for (const list of document.querySelectorAll('[data-tasks]')) {
    const items = [...list.querySelectorAll('[data-task]')];
    const small = document.querySelector(`[data-to-work="${list.dataset.tasks}"] small`);
    if (small) small.textContent = `${items.filter(i => i.classList.contains('done')).length}/${items.length}`;
  }
}

// What waits, in a sentence; what was refused, one by one, until a person has seen it.
async function tell(stopped) {
  const line = document.querySelector('[data-kept]');
  if (!line) return;
  const box = await all();
  const waiting = box.filter(s => !s.number && !s.refused).length;
  const words = {
    'sign-in': ' Sign in to send it.',
    later: ' The desk is busy; it is sent again soon.',
    'no-network': ' It goes to the desk when that is reached.',
  };
  line.textContent =
    waiting > 0
      ? `${waiting} ${waiting === 1 ? 'thing is' : 'things are'} kept on this phone.${words[stopped] ?? ''}`
      : stopped === 'sign-in'
        ? 'Sign in again.'
        : '';
  line.dataset.waiting = waiting;
  if (stopped === 'sign-in')
    line.append(
      ' ',
      Object.assign(document.createElement('a'), {
        href: `/sign-in?back=${encodeURIComponent(location.pathname)}`,
        textContent: 'Sign in',
      }),
    );
  const list = document.querySelector('[data-refused]');
  const refused = box.filter(s => s.refused);
  list.hidden = refused.length === 0;
  list.replaceChildren(
    ...refused.map(said => {
      const item = document.createElement('li');
      const away = Object.assign(document.createElement('button'), { type: 'button', textContent: 'Seen' });
      away.addEventListener('click', async () => {
        await drop(said.seq);
        tell('');
      });
      item.append(`${said.refused} You said: ${said.state}${said.value ? ` ${said.value}` : ''}. `, away);
      return item;
    }),
  );
}

async function sync() {
  const before = (await all()).filter(s => !s.number && !s.refused).length;
  const stopped = before > 0 ? await send() : '';
  await tell(stopped);
}

// What this page shows already is not needed any more; another page of the job may be an older one that was kept. After days each page has
// come anew.
const longKept = 3 * 24 * 3600 * 1000;
const isShown = said =>
  said.number && (said.number < 0 || (task(said.task) && said.number <= Number(upto ?? 0)) || Date.now() - Date.parse(said.at) > longKept);

async function overlay() {
  for (const said of await all()) {
    if (said.job !== job) continue;
    if (isShown(said)) await drop(said.seq);
    else show(said);
  }
  count();
}

// Shown as done only when the browser says that it is on its disk.
async function say(item, said) {
  try {
    await keep(said);
  } catch {
    const line = document.querySelector('[data-kept]');
    line.textContent = 'This phone did not keep that: its memory is full, or pages may not use it. Free some, then press again.';
    return false;
  }
  await tell('');
  show(said);
  count();
  return true;
}

async function pressed(form, button) {
  const item = form.closest('[data-task]');
  const state = button.value;
  const words = ['Wrong', 'Note'].includes(state) ? form.note.value : state === 'Done' ? (form.value?.value ?? '') : '';
  const reel = state === 'Done' && words && form.reel?.value ? ` from ${form.reel.value}` : '';
  if (['Wrong', 'Note'].includes(state) && !words.trim()) {
    form.note.focus();
    return;
  }
  const said = {
    id: newId(),
    job,
    task: item.dataset.task,
    state,
    value: words.trim() + reel,
    mark: item.dataset.mark,
    at: new Date().toISOString(),
  };
  if (!(await say(item, said))) return;
  form.reset();
  if (state === 'Done') openNext(item);
  sync();
}

async function pictured(input) {
  const item = input.closest('[data-task]');
  const [file] = input.files;
  if (!file) return;
  const picture = await smaller(file);
  if (!picture) {
    const line = Object.assign(document.createElement('li'), {
      className: 'here',
      textContent: 'That is no picture that this phone can read.',
    });
    item.querySelector('[data-said]').append(line);
    input.value = '';
    return;
  }
  const said = {
    id: newId(),
    job,
    task: item.dataset.task,
    state: 'Done',
    value: '',
    mark: item.dataset.mark,
    at: new Date().toISOString(),
    picture,
  };
  if (await say(item, said)) sync();
  input.value = '';
}

if (main) {
  document.addEventListener('submit', e => {
    if (!e.target.matches('[data-say]')) return;
    e.preventDefault();
    pressed(e.target, e.submitter ?? e.target.querySelector('[data-do]'));
  });
  document.addEventListener('change', e => {
    if (e.target.matches('[name="picture"]')) pictured(e.target);
    if (e.target.matches('[data-hide-done]')) main.classList.toggle('hides-done', e.target.checked);
  });
  document.addEventListener('click', e => {
    const tab = e.target.closest('[data-to-work]');
    if (!tab) return;
    e.preventDefault();
    showWork(tab.dataset.toWork);
    history.replaceState(null, '', `?work=${tab.dataset.toWork}`);
    document.querySelector(`[data-tasks="${tab.dataset.toWork}"] details[open]`)?.dispatchEvent(new Event('toggle'));
  });
  for (const item of document.querySelectorAll('[data-task]')) {
    const details = item.querySelector('details');
    details.addEventListener('toggle', () => details.open && placeStrip(item));
    if (details.open && !item.closest('[hidden]')) placeStrip(item);
  }
  const asked = new URLSearchParams(location.search).get('work');
  if (asked && document.querySelector(`[data-tasks="${CSS.escape(asked)}"]`)) showWork(asked);
  const named = location.hash && task(decodeURIComponent(location.hash.slice(1)));
  if (named) {
    showWork(named.closest('[data-tasks]').dataset.tasks);
    for (const d of named.closest('[data-tasks]').querySelectorAll('li > details')) d.open = d.parentElement === named;
    named.scrollIntoView({ block: 'start' });
  }
}

// Whoever signs out leaves no pages of jobs on the phone. What waits to be sent stays: it goes with whoever signs in.
document.addEventListener('submit', async e => {
  if (!e.target.matches('[action="/sign-out"]') || !('caches' in window)) return;
  e.preventDefault();
  for (const name of await caches.keys()) if (name.startsWith('circuitum-job ')) await caches.delete(name);
  for (const key of Object.keys(localStorage)) if (key.startsWith('kept ')) localStorage.removeItem(key);
  e.target.submit();
});

addEventListener('online', sync);
setInterval(() => document.visibilityState === 'visible' && sync(), 15_000);

// The pages of the job stay on the phone, so it works where there is no network. What is looked at is kept as it comes; all of it is
// brought again when the plan has changed, and every now and then for what others have said.
const fresh = 15 * 60 * 1000;
const keptAs = () => JSON.parse(localStorage.getItem(`kept ${job}`) ?? '{}');

async function keepPages() {
  if (!('serviceWorker' in navigator)) return;
  try {
    await navigator.serviceWorker.register('/field-worker.js');
    const ready = await navigator.serviceWorker.ready;
    if (!main) return;
    const before = keptAs();
    if (before.stamp === main.dataset.stamp && Date.now() - before.at < fresh) {
      document.querySelector('[data-kept]').dataset.pages = before.pages;
      return;
    }
    const list = await (await fetch(`/jobs/${job}/field/pages`)).json();
    ready.active.postMessage({ keep: job, ...list });
  } catch {
    // Without a certificate that the phone trusts, or without network: the page works as any page does.
  }
}
navigator.serviceWorker?.addEventListener('message', e => {
  const line = document.querySelector('[data-kept]');
  if (!line || e.data.job !== job) return;
  const { kept, of, stamp } = e.data;
  line.dataset.pages = `${kept}/${of}`;
  const first = keptAs().stamp === undefined;
  if (kept === of) localStorage.setItem(`kept ${job}`, JSON.stringify({ stamp: String(stamp), at: Date.now(), pages: `${kept}/${of}` }));
  if (Number(line.dataset.waiting ?? 0) > 0 || !first) return;
  line.textContent = kept < of ? `Keeping pages for work without network: ${kept} of ${of}.` : '';
});

await overlay();
document.documentElement.dataset.ready = '';
await sync();
keepPages();
navigator.storage?.persist?.();
