// Others at the same job: who is here, and what they do, within a moment.
import { drawAgain, tell, visit, work } from './desk.js';

let follows = null;
let job = '';
let here = [];

// A browser holds few connections to one program: only the window that is looked at follows.
function follow() {
  const now = document.visibilityState === 'visible' ? (work()?.dataset.job ?? '') : '';
  if (now === job) return;
  job = now;
  follows?.close();
  follows = null;
  if (!now) return;
  follows = new EventSource(`/jobs/${now}/follow`);
  follows.addEventListener('news', e => heard(JSON.parse(e.data)));
}

function heard(news) {
  here = news.here;
  showHere();
  if (news.stamp > 0) setTimeout(() => catchUp(news), 250);
}

// One's own edit has been answered by then.
async function catchUp(news) {
  if (!work() || news.stamp <= Number(work().dataset.stamp)) return;
  if (document.querySelector('form.htmx-request')) return setTimeout(() => catchUp(news), 400);
  await drawAgain();
  if (work() && news.stamp > Number(work().dataset.stamp))
    tell(`${news.by} changed this job: ${news.what}.`, () => visit(work().dataset.pick), 'Show it');
}

function showHere() {
  const line = document.querySelector('[data-here]');
  if (!line) return;
  const names = [...new Set(here)];
  const more = here.length - 1;
  const says = more < 1 ? '' : names.length > 1 ? `Here: ${names.join(', ')}` : `Open in ${here.length} windows`;
  if (line.textContent !== says) line.textContent = says;
}

document.addEventListener('visibilitychange', follow);
document.addEventListener('htmx:afterSettle', () => {
  follow();
  showHere();
});
addEventListener('pagehide', () => follows?.close());
follow();
