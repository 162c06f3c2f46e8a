// Entering a house: after a room is added the hand goes on typing, and a wrong line of a typed list is found at a press.
import { work } from './desk.js';

let again = null;
let placed = false;

// What is typed room by room goes on: the name is next, and what is the same for most rooms stays.
document.addEventListener('htmx:configRequest', e => {
  again = e.detail.elt.closest?.('form[data-again]') ? work()?.dataset.stamp : null;
  const asked = e.detail.parameters;
  placed = asked.do === 'place' && String(asked.what).startsWith('opening:');
  if (asked.do === 'edit-opening') document.activeElement?.blur();
});

// A list that is being made is not tried any more: an answer that comes late would show as not made what is there by then.
let making = null;
document.addEventListener('submit', e => {
  if (!e.target.matches('[data-typed]')) return;
  making = work().dataset.stamp;
  htmx.trigger(e.target.querySelector('textarea'), 'htmx:abort');
});
document.addEventListener('htmx:beforeRequest', e => {
  if (making !== null && e.detail.elt.matches('[data-typed] textarea')) e.preventDefault();
});

function made() {
  if (making === null) return;
  if (work()?.dataset.stamp !== making) document.querySelector('[data-typed]')?.reset();
  making = null;
}

function goOn() {
  if (again === null || work()?.dataset.stamp === again) return;
  again = null;
  const form = document.querySelector('form[data-again]');
  form?.reset();
  form?.querySelector('input:not([type="hidden"])')?.focus();
}

// An opening that was just put down: its distance can be typed at once, Enter keeps it, the next click puts down the same again.
// On a touch screen the keyboard would cover the plan.
function measure() {
  if (!placed || !work()?.dataset.pick.startsWith('opening:')) return;
  placed = false;
  if (!matchMedia('(hover: hover)').matches) return;
  const from = document.querySelector('.ticket [name="from"]');
  if (!from) return;
  from.dataset.offered = '';
  from.addEventListener('input', () => delete from.dataset.offered, { once: true });
  from.focus();
  from.select();
}

for (const word of ['htmx:afterSwap', 'circuitum:patched']) {
  document.addEventListener(word, () => {
    keepChoices();
    made();
    goOn();
    measure();
  });
}

// A sentence that was read is put away.
document.addEventListener('click', e => e.target.closest('[data-shut]')?.closest('.notice').remove());

document.addEventListener('click', e => {
  const button = e.target.closest('[data-line]');
  const text = button && document.querySelector('.typed textarea');
  if (!text) return;
  const lines = text.value.split('\n');
  const from = lines.slice(0, button.dataset.line - 1).reduce((sum, l) => sum + l.length + 1, 0);
  text.focus();
  text.setSelectionRange(from, from + (lines[button.dataset.line - 1]?.length ?? 0));
});

// The list of rooms, ready to be typed.
export function typeRooms() {
  const list = document.querySelector('.typed');
  if (!list) return;
  list.open = true;
  list.querySelector('textarea').focus();
}

// Ctrl and Enter make what is typed, as in other fields of many lines.
document.addEventListener('keydown', e => {
  if (e.key === 'Enter' && (e.ctrlKey || e.metaKey) && e.target.matches?.('.typed textarea')) e.target.form.requestSubmit();
});

// What a hand opened or shut stays so while the page is drawn anew, at each stage by itself. The list of steps shuts behind one.
const choices = new Map();
const nameOf = details => `${work()?.dataset.stage}|${details.querySelector('summary')?.textContent.trim()}`;

document.addEventListener('click', e => {
  const details = e.target.closest('summary')?.parentElement;
  if (details?.closest('#work') && !details.matches('.path')) choices.set(nameOf(details), !details.open);
});

function keepChoices() {
  for (const details of document.querySelectorAll('#work details:not(.path)')) {
    const choice = choices.get(nameOf(details));
    if (choice !== undefined && details.open !== choice) details.open = choice;
  }
}

document.addEventListener('click', e => {
  if (!e.target.closest('[data-tick-all]')) return;
  const boxes = [...document.querySelectorAll('[name="room"][form="several"]')];
  const all = boxes.every(box => box.checked);
  for (const box of boxes) box.checked = !all;
});
