// An answer that carries only the changed parts of the plan: what it brings takes the place of what is shown, the rest of
// the drawing stays as it is, so the browser lays out and paints little.
import { Idiomorph } from '../lib/idiomorph.esm.js';
import { isAgain, plan, stampOf, work } from './desk.js';
import { drawnFor, tellZoom, zoomStep } from './view.js';

// What this page shows; the program answers with parts only when it remembers just this.
document.addEventListener('htmx:configRequest', e => {
  if (!work() || !plan()) return;
  const { stamp, stage, storey, pick, show, dark } = work().dataset;
  e.detail.headers['X-Drawn'] = encodeURIComponent([stamp, stage, storey, pick, show, ...(dark ? [dark] : [])].join('|'));
  // How large the plan is shown: more is told where there is more room.
  e.detail.headers['X-Zoom'] = String(zoomStep());
});

// The drawing that an answer brought is shown; the plan may have been zoomed since it was asked for.
function shows(e) {
  drawnFor(Number(e.detail.requestConfig.headers['X-Zoom'] ?? 1));
  setTimeout(tellZoom);
}

document.addEventListener('htmx:afterSwap', e => e.detail.target.id === 'work' && shows(e));

function patchPlan(from, whole = false) {
  const to = plan();
  // The view box is the view's own: touching it, or anything else that is the same, would lay the whole drawing out anew.
  for (const { name, value } of from.attributes) {
    if (!['style', 'class', 'viewBox'].includes(name) && to.getAttribute(name) !== value) to.setAttribute(name, value);
  }
  if (to.dataset.home !== from.getAttribute('viewBox')) to.dataset.home = from.getAttribute('viewBox');
  to.querySelector('.sketch')?.remove();
  for (const mark of to.querySelectorAll('.dragged')) {
    mark.classList.remove('dragged');
    mark.style.translate = '';
  }
  if (whole) to.replaceChildren(...from.children);
  else for (const part of [...from.children]) document.getElementById(part.id).replaceWith(part);
}

// Every form carries the proof of where it came from and the change that it was drawn from: what else is the same is seen behind them.
function renew(here, next) {
  for (const name of ['__RequestVerificationToken', 'stamp']) {
    const value = next.querySelector(`#edit [name=${name}]`).value;
    for (const field of here.querySelectorAll(`[name=${name}]`)) field.setAttribute('value', value);
  }
}

// What is the same stays as it is, so the field in which the hand types keeps its cursor; asking whether it is the same costs
// a small part of bringing it up to date.
let refused = false;
function update(old, next) {
  if (old.isEqualNode(next)) return;
  const [before, after] = [[...old.children], [...next.children]];
  if (before.length === after.length && old.matches('.side, .listing')) {
    before.forEach((part, i) => update(part, after[i]));
    return;
  }
  const changes = (is, shall) => !is.isEqualNode(shall) && !(refused && is.matches?.('[data-kept]'));
  Idiomorph.morph(old, next, { callbacks: { beforeNodeMorphed: changes } });
  htmx.process(old);
}

document.addEventListener('htmx:beforeSwap', e => {
  // The same plan at another size is taken by itself too, where the program sent the whole page; a newer one comes with its page.
  const whole = e.detail.xhr.getResponseHeader('X-Plan') !== 'part';
  if (whole && !(isAgain(e) === 'plan' && stampOf(e) === work()?.dataset.stamp)) return;
  e.detail.shouldSwap = false;
  const here = work();
  const page = document.createElement('template');
  page.innerHTML = e.detail.serverResponse;
  const next = page.content.getElementById('work');
  // The same plan at another size: the lists and what is typed in them stay.
  if (isAgain(e) === 'plan') {
    // Nor is what the hand is dragging taken from it.
    if (next.dataset.stamp === here.dataset.stamp && !here.querySelector('.dragged')) {
      patchPlan(next.querySelector('.plan'), whole);
      shows(e);
    }
    document.dispatchEvent(new CustomEvent('circuitum:patched'));
    return;
  }
  const scrolled = here.querySelector('.side').scrollTop;
  const same = here.dataset.pick === next.dataset.pick;
  const { elt } = e.detail.requestConfig;
  refused = here.dataset.stamp === next.dataset.stamp && here.dataset.pick === next.dataset.pick;
  const done = here.dataset.stamp !== next.dataset.stamp && elt.matches('.side form') ? elt : null;
  Object.assign(here.dataset, next.dataset);
  patchPlan(next.querySelector('.plan'));
  shows(e);
  renew(here, next);
  here.querySelectorAll(':scope > .notice').forEach(n => n.remove());
  for (const part of next.querySelectorAll(':scope > .head, :scope > .strip, .tools, .side, .legend, #edit')) {
    const old = part.id ? document.getElementById(part.id) : here.querySelector(`.${part.classList[0]}`);
    update(old, part);
  }
  // What was typed is done, where its form stays the same.
  if (done?.isConnected) done.reset();
  here.querySelector('.head').after(...next.querySelectorAll(':scope > .notice'));
  // What an edit brings with it stands at the head of the ticket and shall be seen, as shall the head of another ticket.
  here.querySelector('.side').scrollTop = same && !here.querySelector('.side .consequences') ? scrolled : 0;
  document.dispatchEvent(new CustomEvent('circuitum:patched'));
});
