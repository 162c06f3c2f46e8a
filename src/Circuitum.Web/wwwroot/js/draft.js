// The hand on the plan: picking, dragging, putting things down, typing over dimensions, scaling a traced picture.
import { fetched, memory, plan, send, visit, work } from './desk.js';
import { dropRoom, finishRoom, isDrawing, moveRoom, pressRoom, releaseRoom } from './room.js';
import { ask, feet, label, sketch, snapOne } from './sketch.js';
import { pan, perPixel, place, rest } from './view.js';

const stage = () => work()?.dataset.stage;
let drag = null;
let scaling = null;

export function setTool(tool) {
  const select = document.getElementById('tool');
  memory.tool = select && [...select.options].some(o => o.value === tool) ? tool : '';
  if (select) select.value = memory.tool;
  scaling = null;
  dropRoom();
  sketch();
  plan()?.classList.toggle('drawing-tool', memory.tool !== '');
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
    pressRoom(drag.at);
    drag.mark = null;
  }
});

document.addEventListener('pointermove', e => {
  if (isDrawing() && e.target.closest?.('.plan')) moveRoom(e);
  if (!drag) return;
  const dx = e.clientX - drag.from[0],
    dy = e.clientY - drag.from[1];
  if (!drag.moved && Math.hypot(dx, dy) < 5) return;
  drag.moved = true;
  if (isDrawing()) return;
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
  if (memory.tool === 'room' && isDrawing()) return releaseRoom(e, d.moved);
  if (!d.moved) return press(e, d);
  if (d.mark) drop(e, d);
});

function press(e, d) {
  // An answer may have put another drawing in the place of the one that the hand went down on.
  const onPlan = d.svg === plan() || !d.svg.isConnected;
  // A tool in the hand comes first: where it is put down may lie under a dimension.
  if (onPlan && memory.tool) return useTool(d.at ?? place(e));
  const dim = e.target.closest?.('[data-dim]');
  if (dim) return askDimension(dim, e);
  if (e.target.closest?.('[data-why]')) return;
  const pick = e.target.closest?.('[data-pick], [data-drag]');
  // What is around the drawing tells what is picked too, and is no thing of the plan.
  if (pick && (d.svg.contains(pick) || plan()?.contains(pick))) visit(pick.dataset.pick ?? pick.dataset.drag);
  else if (onPlan && work().dataset.pick) visit('');
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
    if (e.key !== 'Escape' || !drag?.moved || isDrawing()) return;
    e.stopPropagation();
    letBe();
  },
  true,
);
document.addEventListener('dblclick', () => isDrawing() && finishRoom());
document.addEventListener('change', e => e.target.id === 'tool' && setTool(e.target.value));
