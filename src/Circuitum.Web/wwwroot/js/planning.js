// A division that takes its time says how far it is, and can be ended with the best so far.
import { fetched, work } from './desk.js';

const soon = 600;
const again = 400;
let timer = 0;

const planned = e =>
  e.detail.elt
    ?.closest?.('form')
    ?.querySelector('[name="do"][value="plan-circuits"], [name="do"][value="plan-afresh"], [name="do"][value="plan-house"]')?.form;

function card(form) {
  const box = Object.assign(document.createElement('div'), { className: 'planning' });
  box.setAttribute('role', 'status');
  const says = Object.assign(document.createElement('p'), { textContent: 'The circuits are being divided.' });
  const stop = Object.assign(document.createElement('button'), { type: 'button', textContent: 'Take the best so far' });
  stop.addEventListener('click', () => {
    stop.disabled = true;
    const token = new FormData();
    token.set('__RequestVerificationToken', form.querySelector('[name="__RequestVerificationToken"]').value);
    fetch(`/jobs/${work().dataset.job}/planning`, { method: 'POST', body: token }).catch(() => {
      stop.disabled = false;
    });
  });
  box.append(says, stop);
  document.body.append(box);
  return says;
}

async function look(says) {
  const answer = await fetched(`/jobs/${work().dataset.job}/planning`);
  if (answer.status === 200 && says.isConnected) says.textContent = await answer.text();
  if (says.isConnected) timer = setTimeout(() => look(says), again);
}

document.addEventListener('htmx:beforeRequest', e => {
  const form = planned(e);
  if (form) timer = setTimeout(() => look(card(form)), soon);
});

document.addEventListener('htmx:afterRequest', () => {
  clearTimeout(timer);
  document.querySelector('.planning')?.remove();
});
