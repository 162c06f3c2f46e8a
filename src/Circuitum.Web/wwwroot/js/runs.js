// The hand in Runs: a cable is taken by its line and led over another place. The program finds the way and its length;
// nothing is changed until the hand lets go.
import { fetched, plan, send, visit, work } from './desk.js';
import { holds } from './gesture.js';
import { place } from './view.js';

const here = () => work()?.dataset.stage === 'runs';

function clear() {
  document.documentElement.classList.remove('in-hand');
  document.querySelector('.drag-card')?.remove();
  plan()?.querySelector('.led-preview')?.remove();
}

function show(text, [x, y], breaks = false) {
  const card =
    document.querySelector('.drag-card') ??
    document.body.appendChild(Object.assign(document.createElement('div'), { className: 'drag-card' }));
  card.textContent = text;
  card.classList.toggle('breaks', breaks);
  card.style.left = `${Math.min(x + 18, innerWidth - card.offsetWidth - 8)}px`;
  card.style.top = `${Math.min(y + 18, innerHeight - card.offsetHeight - 8)}px`;
}

function preview(d) {
  const svg = plan();
  let line = svg.querySelector('.led-preview');
  if (!line) {
    line = document.createElementNS('http://www.w3.org/2000/svg', 'path');
    line.setAttribute('class', 'led-preview');
    svg.append(line);
  }
  line.setAttribute('d', d);
}

// One question at a time; where the hand went meanwhile is asked for next.
async function ask(d) {
  if (d.asking) return;
  d.asking = true;
  while (holds(d) && d.asked !== d.at) {
    d.asked = d.at;
    const { job, storey } = work().dataset;
    const [x, y] = d.place;
    const answer = await fetched(
      `/jobs/${job}/preview/lead?storey=${encodeURIComponent(storey)}&from=${encodeURIComponent(d.line.dataset.from ?? '')}&to=${encodeURIComponent(d.line.dataset.run)}&x=${x}&y=${y}`,
    );
    if (!holds(d)) break;
    if (answer.ok) {
      const { way, says } = await answer.json();
      if (!holds(d)) break;
      preview(way);
      show(says, d.at);
    } else {
      plan().querySelector('.led-preview')?.remove();
      show(await answer.text(), d.at, true);
    }
  }
  d.asking = false;
}

// A cable that is taken by its line is led over the place where it is let go.
export const runsHand = {
  take(e) {
    const line = here() ? e.target.closest?.('[data-run]') : null;
    return line ? { line } : null;
  },
  follow(e, held) {
    document.documentElement.classList.add('in-hand');
    held.at = [e.clientX, e.clientY];
    held.place = place(e);
    ask(held);
  },
  press: (e, { line }) => visit(line.dataset.pick),
  drop(e, { line }) {
    clear();
    const [x, y] = place(e);
    send({ do: 'lead-cable', from: line.dataset.from ?? '', to: line.dataset.run, storey: work().dataset.storey, x, y });
  },
  letBe: clear,
};
