// The hand in Circuits: boxes, a lassoed lot or a whole room go to another circuit, and every circuit shows meanwhile what
// it would become. The program works it out; nothing is changed until the hand lets go.
import { fetched, memory, plan, send, tell, visit, work } from './desk.js';
import { holds } from './gesture.js';
import { perPixel, place } from './view.js';

const here = () => work()?.dataset.stage === 'circuits';
const rows = () => document.querySelectorAll('[data-circuit]');
const chosen = new Set();

function mark() {
  document.querySelectorAll('[data-box].chosen').forEach(e => e.classList.remove('chosen'));
  for (const id of chosen) document.querySelectorAll(`[data-box="${CSS.escape(id)}"]`).forEach(e => e.classList.add('chosen'));
  const bar = document.querySelector('.chosen-bar');
  if (!bar) return;
  bar.hidden = chosen.size === 0;
  bar.querySelector('b').textContent = `${chosen.size} ${chosen.size === 1 ? 'box' : 'boxes'} chosen`;
}

function preview(which, load) {
  const what = new URLSearchParams(load.room ? { room: load.room } : load.boxes.map(b => ['box', b]));
  return `/jobs/${work().dataset.job}/preview/${which}?${what}`;
}

// Every circuit as it would be, written into its row; the figures of the page are put back afterwards.
async function showEverywhere(held) {
  const answer = await fetched(preview('moves', held.load));
  if (!answer.ok || !holds(held)) return;
  for (const c of await answer.json()) {
    const row = document.querySelector(`[data-circuit="${c.number}"]`);
    if (!row) continue;
    row.classList.toggle('breaks', c.findings.length > 0);
    const cell = Object.assign(document.createElement('td'), { className: 'would-be', colSpan: 3, title: c.findings.join(' ') });
    cell.textContent = `${c.findings.length ? `${c.findings.length} to mend, ` : ''}${c.boxes} boxes, ${Math.round(c.load).toLocaleString('en-US')} VA, ${c.more}`;
    row.append(cell);
  }
  document.querySelector('[data-list]')?.classList.add('dragging');
}

function clear() {
  document.documentElement.classList.remove('in-hand');
  document.querySelectorAll('.would-be').forEach(e => e.remove());
  rows().forEach(r => r.classList.remove('breaks', 'target'));
  document.querySelector('[data-list]')?.classList.remove('dragging');
  document.querySelectorAll('.lifted').forEach(e => e.classList.remove('lifted'));
  document.querySelector('.drag-card')?.remove();
}

// What lies under the pointer that boxes can be dropped on: a row of the list, or another box's circuit.
function target(e, load) {
  const over = document.elementFromPoint(e.clientX, e.clientY);
  const row = over?.closest('[data-circuit]');
  if (row) return row.dataset.circuit;
  const box = over?.closest('.plan [data-box]');
  return box && !load.boxes?.includes(box.dataset.box) ? (box.dataset.circuitOf ?? '') : '';
}

// Beside the hand, on the side where there is room, and whole.
function beside(card, [x, y]) {
  const { offsetWidth: w, offsetHeight: h } = card;
  card.style.left = `${x + 18 + w < innerWidth ? x + 18 : Math.max(4, x - w - 18)}px`;
  card.style.top = `${Math.max(4, Math.min(y + 18, innerHeight - h - 8))}px`;
}

async function hover(e, held) {
  const card =
    document.querySelector('.drag-card') ??
    document.body.appendChild(Object.assign(document.createElement('div'), { className: 'drag-card' }));
  held.at = [e.clientX, e.clientY];
  beside(card, held.at);
  const to = target(e, held.load);
  if (to === held.to) return;
  held.to = to;
  rows().forEach(r => r.classList.toggle('target', r.dataset.circuit === to));
  if (!to) {
    card.textContent = held.load.name;
    return;
  }
  const answer = await fetched(`${preview('move', held.load)}&circuit=${to}`);
  const text = await answer.text();
  if (!holds(held) || held.to !== to) return;
  if (answer.ok) card.innerHTML = text;
  else card.textContent = 'That cannot be worked out now.';
  beside(card, held.at);
}

function move(load, circuit) {
  chosen.clear();
  send(load.room ? { do: 'assign-room', room: load.room, circuit } : { do: 'assign-boxes', box: load.boxes, circuit });
}

const inside = ([x, y], path) =>
  path.reduce((odd, [ax, ay], i) => {
    const [bx, by] = path[(i + 1) % path.length];
    return ay > y !== by > y && x < ((bx - ax) * (y - ay)) / (by - ay) + ax ? !odd : odd;
  }, false);

function drawLasso(path) {
  const svg = plan();
  svg.querySelector('.lasso')?.remove();
  if (!path) return;
  const line = document.createElementNS('http://www.w3.org/2000/svg', 'polygon');
  line.setAttribute('class', 'lasso');
  line.setAttribute('points', path.map(p => p.join(',')).join(' '));
  line.setAttribute('stroke-width', 2 * perPixel());
  svg.append(line);
}

// A line around boxes chooses them.
export const lassoHand = {
  take(e) {
    if (!here() || !e.target.closest('.plan')) return null;
    if (memory.tool !== 'lasso' && (e.target.closest('[data-box]') || !e.shiftKey)) return null;
    e.preventDefault();
    document.documentElement.classList.add('in-hand');
    return { path: [place(e)] };
  },
  follow(e, { path }) {
    path.push(place(e));
    drawLasso(path);
  },
  press() {
    clear();
  },
  drop(e, { path }) {
    clear();
    drawLasso(null);
    if (path.length < 4) return;
    for (const b of plan().querySelectorAll('[data-box]')) {
      const r = b.getBoundingClientRect();
      if (inside(place({ clientX: r.x + r.width / 2, clientY: r.y + r.height / 2 }), path)) chosen.add(b.dataset.box);
    }
    mark();
  },
  letBe() {
    clear();
    drawLasso(null);
  },
};

// What is taken goes to the circuit on which it is let go.
export const circuitsHand = {
  take(e) {
    if (!here()) return null;
    const svg = e.target.closest('.plan');
    const box = e.target.closest('[data-box]');
    const room = !box && svg ? e.target.closest('.floor.picked') : null;
    if (!box && !room) return null;
    const boxes = box && chosen.has(box.dataset.box) ? [...chosen] : box ? [box.dataset.box] : null;
    if (!svg && e.target.closest('a')) e.preventDefault();
    return {
      load: room
        ? { room: room.dataset.pick.slice(5), name: 'The room' }
        : { boxes, name: boxes.length === 1 ? boxes[0] : `${boxes.length} boxes` },
      pick: box ? `box:${box.dataset.box}` : room.dataset.pick,
      shift: e.shiftKey,
      lifted: false,
      to: null,
    };
  },
  follow(e, held) {
    if (!held.lifted) {
      held.lifted = true;
      document.documentElement.classList.add('in-hand');
      for (const id of held.load.boxes ?? [])
        document.querySelectorAll(`.plan [data-box="${CSS.escape(id)}"]`).forEach(b => b.classList.add('lifted'));
      showEverywhere(held);
    }
    hover(e, held);
  },
  press(e, { shift, load, pick }) {
    if (!shift || !load.boxes) return visit(pick);
    const id = pick.slice(4);
    if (!chosen.delete(id)) chosen.add(id);
    mark();
  },
  drop(e, { load }) {
    const to = target(e, load);
    clear();
    if (to) move(load, to);
  },
  letBe() {
    clear();
    chosen.clear();
    mark();
  },
};

// A dragged link would otherwise be followed, or carried away by the browser.
document.addEventListener('dragstart', e => here() && e.target.closest('[data-box]') && e.preventDefault());
document.addEventListener(
  'click',
  e => {
    if (here() && e.target.closest('a [data-box], a[data-box], [data-box] a')) e.preventDefault();
    if (!e.target.closest('[data-unchoose]')) return;
    chosen.clear();
    mark();
  },
  true,
);
document.addEventListener(
  'keydown',
  e => {
    if (e.key !== 'Escape' || !here() || !chosen.size) return;
    e.stopPropagation();
    chosen.clear();
    mark();
  },
  true,
);
document.addEventListener('submit', e => {
  if (!e.target.matches('.chosen-bar')) return;
  e.preventDefault();
  const to = e.target.elements.circuit.value.trim();
  if (to) move({ boxes: [...chosen] }, to);
  else tell('Circuit: type its number, or new.');
});

// While a number is typed for what is chosen, the program says what would come of it.
document.addEventListener('input', async e => {
  if (!e.target.closest?.('.chosen-bar')) return;
  const to = e.target.value.trim(),
    box = e.target.form.querySelector('.preview');
  if (!/^(\d{1,3}|new)$/.test(to)) return box.replaceChildren();
  const answer = await fetched(`${preview('move', { boxes: [...chosen] })}&circuit=${encodeURIComponent(to)}`);
  const text = await answer.text();
  if (e.target.value.trim() !== to) return;
  if (answer.ok) box.innerHTML = text;
  else box.replaceChildren();
});

document.addEventListener('htmx:afterSwap', () => {
  clear();
  if (!here()) chosen.clear();
  mark();
});
document.addEventListener('circuitum:patched', () => {
  clear();
  mark();
});

// The key c: the number field of what is chosen, else of the picked box.
export const circuitField = () =>
  chosen.size && here() ? document.querySelector('.chosen-bar input') : document.getElementById('to-circuit');
