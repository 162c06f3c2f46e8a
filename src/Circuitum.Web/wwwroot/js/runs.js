// The hand in Runs: a cable is taken by its line and led over another place. The program finds the way and its length;
// nothing is changed until the hand lets go.
import { fetched, plan, send, visit, work } from './desk.js';
import { place } from './view.js';

const here = () => work()?.dataset.stage === 'runs';
let drag = null;

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
  while (d === drag && d.asked !== d.at) {
    d.asked = d.at;
    const { job, storey } = work().dataset;
    const [x, y] = d.place;
    const answer = await fetched(
      `/jobs/${job}/preview/lead?storey=${encodeURIComponent(storey)}&from=${encodeURIComponent(d.line.dataset.from ?? '')}&to=${encodeURIComponent(d.line.dataset.run)}&x=${x}&y=${y}`,
    );
    if (d !== drag) break;
    if (answer.ok) {
      const { way, feet, longer } = await answer.json();
      if (d !== drag) break;
      preview(way);
      show(`${feet} ft, ${longer >= 0 ? '+' : ''}${longer} ft against the shortest way`, d.at);
    } else {
      plan().querySelector('.led-preview')?.remove();
      show(await answer.text(), d.at, true);
    }
  }
  d.asking = false;
}

document.addEventListener(
  'pointerdown',
  e => {
    const line = here() && e.button === 0 && e.target.closest?.('[data-run]');
    if (!line) return;
    drag = { line, from: [e.clientX, e.clientY], moved: false };
    e.stopPropagation();
  },
  true,
);

document.addEventListener(
  'pointermove',
  e => {
    if (!drag) return;
    if (!drag.moved && Math.hypot(e.clientX - drag.from[0], e.clientY - drag.from[1]) < 5) return;
    drag.moved = true;
    document.documentElement.classList.add('in-hand');
    drag.at = [e.clientX, e.clientY];
    drag.place = place(e);
    ask(drag);
  },
  true,
);

document.addEventListener(
  'pointerup',
  e => {
    const d = drag;
    if (!d) return;
    drag = null;
    clear();
    if (!d.moved) return visit(d.line.dataset.pick);
    const [x, y] = place(e);
    send({ do: 'lead-cable', from: d.line.dataset.from ?? '', to: d.line.dataset.run, storey: work().dataset.storey, x, y });
  },
  true,
);

document.addEventListener('pointercancel', () => {
  drag = null;
  clear();
});
document.addEventListener(
  'keydown',
  e => {
    if (e.key !== 'Escape' || !drag) return;
    // It ends the drag and nothing else.
    e.stopPropagation();
    drag = null;
    clear();
  },
  true,
);
