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
  if (news.fromHouse) hearHouse();
}

// Phones send what they kept in one go: the page comes anew once after it.
let house = 0;
function hearHouse() {
  clearTimeout(house);
  house = setTimeout(async () => {
    if (!work()) return;
    if (document.querySelector('form.htmx-request') || document.activeElement?.matches('input, textarea, select')) return hearHouse();
    await drawAgain('lists');
  }, 400);
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

// What was typed into an edit that was not made stands in its form again: the page around it has come anew.
let typed = null;
const told = field => field.name && !['hidden', 'file', 'submit', 'button'].includes(field.type);
const isChecked = field => ['checkbox', 'radio'].includes(field.type);

document.addEventListener('htmx:beforeRequest', e => {
  const form = e.detail.elt;
  if (!form.matches?.('.side form[method="post"]')) return;
  const fields = [...form.elements].filter(told).map(f => [f.name, isChecked(f) ? f.checked : f.value]);
  typed = { word: form.elements.namedItem('do')?.value, fields };
});

function typeAgain() {
  const before = typed;
  typed = null;
  if (!before || !document.querySelector('#work > .notice.stop')) return;
  const form = [...document.querySelectorAll('.side form')].find(f => f.elements.namedItem('do')?.value === before.word);
  const fields = [...(form?.elements ?? [])].filter(told);
  if (fields.length !== before.fields.length) return;
  fields.forEach((field, i) => {
    const [name, value] = before.fields[i];
    if (field.name === name) field[isChecked(field) ? 'checked' : 'value'] = value;
  });
}

document.addEventListener('circuitum:patched', typeAgain);
document.addEventListener('visibilitychange', follow);
document.addEventListener('htmx:afterSettle', () => {
  follow();
  showHere();
  typeAgain();
});
addEventListener('pagehide', () => follows?.close());
follow();
