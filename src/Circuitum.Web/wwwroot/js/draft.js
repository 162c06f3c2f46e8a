// The hand on the plan: picking, dragging, drawing rooms, typing over dimensions, scaling a traced picture.
import { fetched, inches, memory, plan, send, visit, work } from './desk.js';
import { pan, perPixel, place, rest } from './view.js';

const svgNs = 'http://www.w3.org/2000/svg';
const stage = () => work()?.dataset.stage;
let drag = null;
let drawing = null;
let scaling = null;

export function setTool(tool) {
  const select = document.getElementById('tool');
  memory.tool = select && [...select.options].some(o => o.value === tool) ? tool : '';
  if (select) select.value = memory.tool;
  drawing = scaling = null;
  sketch();
  plan()?.classList.toggle('drawing-tool', memory.tool !== '');
}

// A temporary drawing over the plan; nothing in it is an edit.
function sketch(...shapes) {
  const svg = plan();
  svg?.querySelector('.sketch')?.remove();
  if (!svg || shapes.length === 0) return;
  const g = document.createElementNS(svgNs, 'g');
  g.setAttribute('class', 'sketch');
  for (const [name, attributes, text] of shapes) {
    const e = document.createElementNS(svgNs, name);
    for (const [k, v] of Object.entries(attributes)) e.setAttribute(k, v);
    if (text) e.textContent = text;
    g.append(e);
  }
  svg.append(g);
}

const lines = axis => (plan().dataset[axis === 'x' ? 'snapX' : 'snapY'] ?? '').split(' ').filter(Boolean).map(Number);

// A wall that is dragged is not drawn to the lines that it makes itself.
function snapOne(value, axis, own = null) {
  const reach = 9 * perPixel();
  let best = Math.round(value * 2) / 2,
    nearest = reach;
  for (const line of lines(axis)) {
    if (own !== null && Math.abs(line - own) < 10) continue;
    if (Math.abs(line - value) < nearest) [best, nearest] = [line, Math.abs(line - value)];
  }
  return best;
}

const snap = ([x, y]) => [snapOne(x, 'x'), snapOne(y, 'y')];

export function feet(value) {
  const all = Math.round(Math.abs(value) * 16),
    whole = Math.floor(all / 16);
  let top = all % 16,
    bottom = 16;
  while (top && top % 2 === 0) [top, bottom] = [top / 2, bottom / 2];
  return `${value < 0 ? '-' : ''}${Math.floor(whole / 12)}'-${whole % 12}${top ? ` ${top}/${bottom}` : ''}"`;
}

function label(x, y, text) {
  return ['text', { x, y, 'font-size': 13 * perPixel(), class: 'sketch-text' }, text];
}

function showRoom(to) {
  const [x, y] = to;
  if (drawing.corners.length === 1 && drawing.pressed) {
    const [ax, ay] = drawing.corners[0];
    const [w, h] = [Math.abs(x - ax), Math.abs(y - ay)];
    sketch(
      ['rect', { x: Math.min(x, ax), y: Math.min(y, ay), width: w, height: h, class: 'sketch-line' }],
      label((x + ax) / 2, Math.min(y, ay) - 6 * perPixel(), `${feet(w)} x ${feet(h)}`),
    );
  } else {
    const all = [...drawing.corners, to];
    const [px, py] = drawing.corners.at(-1);
    sketch(
      ['polyline', { points: all.map(p => p.join(',')).join(' '), class: 'sketch-line' }],
      ['circle', { cx: drawing.corners[0][0], cy: drawing.corners[0][1], r: 6 * perPixel(), class: 'sketch-line' }],
      label((x + px) / 2, (y + py) / 2 - 6 * perPixel(), feet(Math.hypot(x - px, y - py))),
    );
  }
}

// A side that is nearly level or upright is meant to be.
function squared([x, y]) {
  const last = drawing.corners.at(-1);
  if (!last) return [x, y];
  if (Math.abs(x - last[0]) < 0.12 * Math.abs(y - last[1])) return [last[0], y];
  if (Math.abs(y - last[1]) < 0.12 * Math.abs(x - last[0])) return [x, last[1]];
  return [x, y];
}

function finishRoom() {
  const corners = drawing?.corners ?? [];
  drawing = null;
  sketch();
  if (corners.length >= 2)
    send({ do: 'draw-room', storey: work().dataset.storey, corners: corners.map(c => c.map(n => n.toFixed(4)).join(',')).join(';') });
}

function corner(at) {
  const [x, y] = at;
  const first = drawing.corners[0];
  if (drawing.corners.length > 2 && Math.hypot(x - first[0], y - first[1]) < 10 * perPixel()) finishRoom();
  else if (Math.hypot(x - drawing.corners.at(-1)[0], y - drawing.corners.at(-1)[1]) > 1) drawing.corners.push(at);
}

// The one field that stands over the plan: a dimension, a side, a size, the length between two points.
export function ask(text, value, x, y, then) {
  const form = document.querySelector('.type-over');
  const input = form.querySelector('input');
  form.hidden = false;
  form.querySelector('span').textContent = text;
  const frame = form.parentElement.getBoundingClientRect();
  form.style.left = `${Math.max(4, Math.min(frame.width - 220, x - frame.left))}px`;
  form.style.top = `${Math.max(4, Math.min(frame.height - 60, y - frame.top))}px`;
  input.value = value;
  input.focus();
  input.select();
  form.onsubmit = e => {
    e.preventDefault();
    form.hidden = true;
    then(input.value.trim());
  };
  form.onkeydown = e => {
    if (e.key !== 'Escape') return;
    form.hidden = true;
    e.stopPropagation();
  };
}

function askDimension(target, e) {
  ask(
    'Length',
    target.textContent.trim(),
    e.clientX,
    e.clientY,
    length => length && send({ do: 'dimension', dim: target.dataset.dim, length }),
  );
}

async function typeSide(first) {
  const last = drawing.corners.at(-1),
    to = drawing.to ?? last;
  const at = plan().getScreenCTM();
  ask(
    drawing.corners.length === 1 ? "Side, or size such as 12'6 x 11" : 'Side',
    first,
    last[0] * at.a + at.e,
    last[1] * at.d + at.f,
    async text => {
      if (!text) return;
      if (/[x×]/i.test(text)) {
        const [x, y] = drawing.corners[0];
        drawing = null;
        sketch();
        send({ do: 'draw-room', storey: work().dataset.storey, corners: `${x.toFixed(4)},${y.toFixed(4)}`, size: text });
        return;
      }
      const length = await inches(text);
      if (length === null || !drawing) return;
      const [dx, dy] = [to[0] - last[0], to[1] - last[1]];
      corner(Math.abs(dx) >= Math.abs(dy) ? [last[0] + Math.sign(dx || 1) * length, last[1]] : [last[0], last[1] + Math.sign(dy) * length]);
      if (drawing) showRoom(drawing.to ?? last);
    },
  );
}

document.addEventListener('pointerdown', e => {
  const svg = e.target.closest?.('.plan, .panel-drawing');
  if (!svg || e.button !== 0) return;
  if (svg === plan()) rest();
  const canDrag =
    svg === plan() ? { boxes: '[data-box]', rooms: '[data-drag]', runs: '[data-drag^="panel:"]' }[stage()] : '[data-space][data-pick]';
  let mark = canDrag ? e.target.closest(canDrag) : null;
  if (mark?.dataset.drag === 'under' && memory.tool !== 'under') mark = null;
  if (memory.tool === 'under') mark = svg.querySelector('.under');
  // The picked room itself can be dragged; any other floor moves the view.
  if (!mark && stage() === 'rooms' && memory.tool === '' && e.target.matches('.floor.picked')) mark = e.target;
  drag = {
    svg,
    mark,
    from: [e.clientX, e.clientY],
    at: svg === plan() ? place(e) : null,
    moved: false,
    view: { x: memory.x, y: memory.y },
    started: performance.now(),
  };
  if (svg === plan() && memory.tool === 'room' && stage() === 'rooms') {
    if (!drawing) drawing = { corners: [snap(drag.at)], pressed: true };
    drag.mark = null;
  }
});

document.addEventListener('pointermove', e => {
  if (drawing && e.target.closest?.('.plan')) {
    drawing.to = squared(snap(place(e)));
    showRoom(drawing.pressed ? snap(place(e)) : drawing.to);
  }
  if (!drag) return;
  const dx = e.clientX - drag.from[0],
    dy = e.clientY - drag.from[1];
  if (!drag.moved && Math.hypot(dx, dy) < 5) return;
  drag.moved = true;
  if (drawing) return;
  if (drag.mark) follow(e, dx, dy);
  else if (drag.svg === plan()) pan(drag.view, dx, dy);
});

// A wall goes from its face, wherever on its thickness it was taken.
const wallTo = (mark, by, axis) => snapOne(Number(mark.dataset.at) + by, axis, Number(mark.dataset.at));

function follow(e, dx, dy) {
  const { mark } = drag;
  const unit = 1 / drag.svg.getScreenCTM().a;
  let [x, y] = [dx * unit, dy * unit];
  const wall = mark.dataset.drag?.startsWith('wall:');
  if (wall) {
    const to = place(e);
    if (mark.dataset.axis === 'x') [x, y] = [wallTo(mark, x, 'x') - mark.dataset.at, 0];
    if (mark.dataset.axis === 'y') [x, y] = [0, wallTo(mark, y, 'y') - mark.dataset.at];
    sketch(label(to[0] + 14 * unit, to[1] - 10 * unit, feet(x || y)));
  }
  mark.classList.add('dragged');
  mark.style.translate = `${x}px ${y}px`;
  if (mark.dataset.box) showReach(mark.dataset.box, place(e));
}

// While a box is dragged the program says how far the receptacles of its room would reach; one question at a time, and
// only the newest place is asked for.
let asking = false,
  wanted = null;
async function showReach(box, at) {
  wanted = at;
  if (asking) return;
  asking = true;
  while (wanted && drag?.mark?.dataset.box === box) {
    const [x, y] = wanted;
    wanted = null;
    const { job, storey } = work().dataset;
    const answer = await fetched(
      `/jobs/${job}/preview/reach?storey=${encodeURIComponent(storey)}&box=${encodeURIComponent(box)}&x=${x.toFixed(2)}&y=${y.toFixed(2)}`,
    );
    if (!drag) break;
    if (!answer.ok) continue;
    const drawn = new DOMParser().parseFromString(await answer.text(), 'image/svg+xml').getElementById('part-reach');
    if (!drag || !drawn) break;
    document.getElementById('part-reach')?.replaceWith(document.adoptNode(drawn));
    const worst = decodeURIComponent(answer.headers.get('X-Worst') ?? '');
    const unit = perPixel();
    sketch(...(worst ? [label(x, y - 16 * unit, worst)] : []));
  }
  asking = false;
}

document.addEventListener('pointerup', e => {
  const d = drag;
  drag = null;
  if (!d) return;
  if (memory.tool === 'room' && drawing) {
    const at = snap(place(e));
    if (drawing.pressed && d.moved) {
      drawing.corners.push(at);
      finishRoom();
    } else if (drawing.pressed) drawing.pressed = false;
    else corner(squared(at));
    return;
  }
  if (!d.moved) return press(e, d);
  if (d.mark) drop(e, d);
});

function press(e, d) {
  // A tool in the hand comes first: where it is put down may lie under a dimension.
  if (d.svg === plan() && memory.tool) return useTool(d.at);
  const dim = e.target.closest?.('[data-dim]');
  if (dim) return askDimension(dim, e);
  if (e.target.closest?.('[data-why]')) return;
  const pick = e.target.closest?.('[data-pick], [data-drag]');
  // What is around the drawing tells what is picked too, and is no thing of the plan.
  if (pick && d.svg.contains(pick)) visit(pick.dataset.pick ?? pick.dataset.drag);
  else if (d.svg === plan() && work().dataset.pick) visit('');
}

// Around the drawing is empty paper too.
document.addEventListener('click', e => e.target.matches?.('.canvas') && !memory.tool && work().dataset.pick && visit(''));

function useTool([x, y]) {
  const { storey } = work().dataset;
  if (memory.tool.startsWith('box:')) return send({ do: 'add-box-here', kind: memory.tool.slice(4), storey, x, y });
  if (memory.tool === 'under') return;
  if (memory.tool !== 'scale') return send({ do: 'place', what: memory.tool, storey, x, y });
  if (!scaling) {
    scaling = [x, y];
    return sketch(['circle', { cx: x, cy: y, r: 5 * perPixel(), class: 'sketch-line' }]);
  }
  const from = scaling;
  sketch(['line', { x1: from[0], y1: from[1], x2: x, y2: y, class: 'sketch-line' }]);
  const m = plan().getScreenCTM();
  ask('Length between them', '', x * m.a + m.e, y * m.d + m.f, length => {
    setTool('');
    send({ do: 'scale-picture', storey, ax: from[0], ay: from[1], bx: x, by: y, length });
  });
}

function drop(e, d) {
  const { mark } = d;
  const reset = () => {
    mark.style.translate = '';
    mark.classList.remove('dragged');
    sketch();
  };
  if (mark.dataset.space) {
    mark.style.pointerEvents = 'none';
    const over = document
      .elementsFromPoint(e.clientX, e.clientY)
      .map(n => n.closest('[data-space]'))
      .find(n => n && n !== mark);
    mark.style.pointerEvents = '';
    reset();
    const [kind, id] = mark.dataset.pick.split(':');
    if (over)
      send({ do: 'move-breaker', circuit: kind === 'panel' ? 0 : id, feeds: kind === 'panel' ? id : '', space: over.dataset.space });
    return;
  }
  const [x, y] = place(e);
  if (mark.dataset.box) send({ do: 'move-box', box: mark.dataset.box, x, y });
  else if (mark.matches('.floor')) send({ do: 'move-room', room: mark.dataset.pick.slice(5), dx: x - d.at[0], dy: y - d.at[1] });
  else if (mark.dataset.drag === 'under') send({ do: 'move-picture', storey: work().dataset.storey, dx: x - d.at[0], dy: y - d.at[1] });
  else if (mark.dataset.drag.startsWith('wall:')) {
    const [, room, wall] = mark.dataset.drag.split(':');
    const [dx, dy] = [x - d.at[0], y - d.at[1]];
    const to = mark.dataset.axis === 'n' ? [x, y] : [wallTo(mark, dx, 'x'), wallTo(mark, dy, 'y')];
    send({ do: 'move-wall', room, wall, x: to[0], y: to[1], alone: e.shiftKey ? 'on' : '' });
  } else {
    // The thing was taken somewhere along its width; what counts is where its middle goes.
    const box = mark.getBBox();
    const [cx, cy] = mark.matches('.wish') ? d.at : [box.x + box.width / 2, box.y + box.height / 2];
    send({ do: 'move-thing', thing: mark.dataset.drag, x: cx + x - d.at[0], y: cy + y - d.at[1] });
  }
}

function letBe() {
  if (drag?.mark) {
    drag.mark.style.translate = '';
    drag.mark.classList.remove('dragged');
  }
  drag = null;
  sketch();
}
document.addEventListener('pointercancel', letBe);
document.addEventListener(
  'keydown',
  e => {
    if (e.key !== 'Escape' || !drag?.moved || drawing) return;
    e.stopPropagation();
    letBe();
  },
  true,
);
document.addEventListener('dblclick', () => drawing && finishRoom());
document.addEventListener('change', e => e.target.id === 'tool' && setTool(e.target.value));

// Keys while a room is being drawn; true when the key was used.
export function drawingKey(e) {
  if (!drawing) return false;
  if (e.key === 'Escape') setTool(memory.tool);
  else if (e.key === 'Enter') finishRoom();
  else if (e.key === 'Backspace') {
    drawing.corners.pop();
    if (drawing.corners.length === 0) drawing = null;
    sketch();
  } else if (/^[0-9]$/.test(e.key)) typeSide(e.key);
  else return false;
  return true;
}

// Arrow keys move what is picked in Rooms.
export function nudgePlan(dx, dy, far) {
  const { pick } = work().dataset;
  const step = far ? 12 : 1;
  if (pick.startsWith('wall:')) {
    const [, room, wall] = pick.split(':');
    const line = document.querySelector(`[data-drag="${pick}"]`);
    if (!line || line.dataset.axis === 'n') return;
    const at = Number(line.getAttribute(line.dataset.axis === 'x' ? 'x1' : 'y1'));
    const floor = document.querySelector(`.floor[data-pick="room:${room}"]`).getBBox();
    const out =
      line.dataset.axis === 'x' ? Math.sign(at - floor.x - floor.width / 2) * dx : Math.sign(at - floor.y - floor.height / 2) * dy;
    if (out) send({ do: 'move-wall', room, wall, by: `${out < 0 ? '-' : ''}${step} in` });
    return;
  }
  if (pick.startsWith('room:')) return send({ do: 'move-room', room: pick.slice(5), dx: dx * step, dy: dy * step });
  const mark = document.querySelector(`[data-drag="${pick}"]`);
  if (!mark) return;
  const box = mark.getBBox();
  const m = pick.startsWith('wish:') ? mark.getCTM().multiply(plan().getScreenCTM().inverse()) : null;
  const [cx, cy] = m
    ? mark
        .getAttribute('transform')
        .match(/-?[\d.]+/g)
        .map(Number)
    : [box.x + box.width / 2, box.y + box.height / 2];
  send({ do: 'move-thing', thing: pick, x: cx + dx * step, y: cy + dy * step });
}
