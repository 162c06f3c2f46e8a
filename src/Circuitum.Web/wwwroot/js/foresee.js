// What a thing in the hand would bring where the pointer rests: told before it is put down. A hand that goes on is not held up.
import { memory, plan, work } from './desk.js';
import { place } from './view.js';

const rest = 450;
const near = 6;
const said = () => document.querySelector('.foresight');

let timer = 0;
let asked = null;
let at = null;

const inHand = () => (/^(appliance|fixture|wish|counter|panel)/.test(memory.tool) ? memory.tool : '');

export function forget() {
  clearTimeout(timer);
  asked?.abort();
  asked = at = null;
  const note = said();
  if (!note) return;
  note.hidden = true;
  note.replaceChildren();
}

async function ask([x, y], left) {
  const { job, storey, stamp } = work().dataset;
  asked?.abort();
  const question = (asked = new AbortController());
  // Only the proof of where the form came from: what the last edit put into it is not this question's.
  const token = document.querySelector('#edit [name=__RequestVerificationToken]').value;
  const fields = { __RequestVerificationToken: token, stamp, do: 'place', what: inHand(), storey, x, y };
  const url = `/jobs/${job}/rooms?storey=${encodeURIComponent(storey)}&handler=WhatIf&brief=true`;
  const answer = await fetch(url, { method: 'POST', body: new URLSearchParams(fields), signal: question.signal }).catch(() => null);
  if (!answer?.ok || question.signal.aborted) return;
  const text = await answer.text();
  const note = said();
  if (!note || work().dataset.stamp !== stamp || !inHand()) return;
  note.innerHTML = text;
  // Beside the hand, not under it.
  const drawing = note.parentElement.getBoundingClientRect();
  note.classList.toggle('right-side', left < drawing.left + drawing.width / 2);
  note.hidden = false;
}

document.addEventListener('pointermove', e => {
  if (e.pointerType !== 'mouse' || e.buttons || !inHand() || !e.target.closest?.('.plan')) return;
  if (at && Math.hypot(e.clientX - at[0], e.clientY - at[1]) < near) return;
  at = [e.clientX, e.clientY];
  clearTimeout(timer);
  const [to, left] = [place(e), e.clientX];
  timer = setTimeout(() => plan() && inHand() && ask(to, left), rest);
});
document.addEventListener('pointerdown', forget);
document.addEventListener('circuitum:patched', forget);
