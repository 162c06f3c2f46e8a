// The hand on the plan: picking, dragging, putting things down, typing over dimensions, scaling a traced picture.
import { fetched, memory, plan, send, visit, work } from './desk.js';
import { forget } from './foresee.js';
import { holds } from './gesture.js';
import { dropRoom, finishRoom, isDrawing, moveRoom, pressRoom, releaseRoom } from './room.js';
import { showTool } from './palette.js';
import { ask, label, sketch, snapOne, told } from './sketch.js';
import { pan, perPixel, place, rest } from './view.js';

const stage = () => work()?.dataset.stage;
let scaling = null;
let corners = [];

export function setTool(tool) {
  memory.tool = showTool(tool);
  forget();
  scaling = null;
  corners = [];
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

// What may be dragged in each stage.
const draggable = { boxes: '[data-box]', rooms: '[data-drag]', runs: '[data-drag^="panel:"]' };

function markUnder(e, svg) {
  if (memory.tool === 'under') return svg.querySelector('.under');
  const mark = e.target.closest(svg === plan() ? (draggable[stage()] ?? 'none') : '[data-space][data-pick]');
  if (mark && mark.dataset.drag !== 'under') return mark;
  // The picked room itself can be dragged; any other floor moves the view.
  return stage() === 'rooms' && memory.tool === '' && e.target.matches('.floor.picked') ? e.target : null;
}

// The plan and the panel: things are dragged, the view is moved, a click picks or puts down.
export const draftHand = {
  take(e) {
    const svg = e.target.closest?.('.plan, .panel-drawing');
    if (!svg) return null;
    if (svg === plan()) rest();
    const at = svg === plan() ? place(e) : null;
    const rooms = svg === plan() && memory.tool === 'room' && stage() === 'rooms';
    if (rooms) pressRoom(at);
    return { svg, mark: rooms ? null : markUnder(e, svg), at, view: { x: memory.x, y: memory.y } };
  },
  follow(e, held) {
    if (isDrawing()) return;
    const [dx, dy] = [e.clientX - held.from[0], e.clientY - held.from[1]];
    if (held.mark) follow(e, held, dx, dy);
    else if (held.svg === plan()) pan(held.view, dx, dy);
  },
  press: (e, held) => (memory.tool === 'room' && isDrawing() ? releaseRoom(e, false) : press(e, held)),
  drop(e, held) {
    if (memory.tool === 'room' && isDrawing()) releaseRoom(e, true);
    else if (held.mark) drop(e, held);
  },
  letBe({ mark }) {
    if (isDrawing()) dropRoom();
    if (mark) {
      mark.style.translate = '';
      mark.classList.remove('dragged');
    }
    sketch();
  },
};

// A corner of the room that is drawn follows the hand, also while nothing is pressed.
document.addEventListener('pointermove', e => isDrawing() && e.target.closest?.('.plan') && moveRoom(e));

// A wall goes from its face, wherever on its thickness it was taken.
const wallTo = (mark, by, axis) => snapOne(Number(mark.dataset.at) + by, axis, Number(mark.dataset.at));

function follow(e, held, dx, dy) {
  const { mark } = held;
  const unit = 1 / held.svg.getScreenCTM().a;
  let [x, y] = [dx * unit, dy * unit];
  const wall = mark.dataset.drag?.startsWith('wall:');
  if (wall) {
    const to = place(e);
    if (mark.dataset.axis === 'x') [x, y] = [wallTo(mark, x, 'x') - mark.dataset.at, 0];
    if (mark.dataset.axis === 'y') [x, y] = [0, wallTo(mark, y, 'y') - mark.dataset.at];
    sketch(label(to[0] + 14 * unit, to[1] - 10 * unit, told(x || y)));
  }
  mark.classList.add('dragged');
  mark.style.translate = `${x}px ${y}px`;
  if (mark.dataset.box) showReach(held, place(e));
}

// While a box is dragged the program says how far the receptacles of its room would reach; one question at a time, and
// only the newest place is asked for.
let asking = false,
  wanted = null;
async function showReach(held, at) {
  const { box } = held.mark.dataset;
  wanted = at;
  if (asking) return;
  asking = true;
  while (wanted && holds(held)) {
    const [x, y] = wanted;
    wanted = null;
    const { job, storey } = work().dataset;
    const answer = await fetched(
      `/jobs/${job}/preview/reach?storey=${encodeURIComponent(storey)}&box=${encodeURIComponent(box)}&x=${x.toFixed(2)}&y=${y.toFixed(2)}`,
    );
    if (!holds(held)) break;
    if (!answer.ok) continue;
    const drawn = new DOMParser().parseFromString(await answer.text(), 'image/svg+xml').getElementById('part-reach');
    if (!holds(held) || !drawn) break;
    document.getElementById('part-reach')?.replaceWith(document.adoptNode(drawn));
    const worst = decodeURIComponent(answer.headers.get('X-Worst') ?? '');
    const unit = perPixel();
    sketch(...(worst ? [label(x, y - 16 * unit, worst)] : []));
  }
  asking = false;
}

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
  if (pick && (d.svg.contains(pick) || plan()?.contains(pick))) visit(onPlan ? belowPicked(e, pickOf(pick)) : pickOf(pick));
  else if (onPlan && work().dataset.pick) visit('');
}

const pickOf = node => node.dataset.pick ?? node.dataset.drag;

// A click picks what one sees; once more at the same place, what lies under it, round and round.
let clicked = null;
function belowPicked(e, top) {
  const again = clicked && Math.hypot(e.clientX - clicked[0], e.clientY - clicked[1]) < 5;
  clicked = [e.clientX, e.clientY];
  if (!again) return top;
  const here = document.elementsFromPoint(e.clientX, e.clientY).map(n => n.closest('.plan [data-pick], .plan [data-drag]'));
  const all = [...new Set(here.filter(Boolean).map(pickOf))].filter(p => !p.startsWith('under'));
  const at = all.indexOf(work().dataset.pick);
  return at < 0 ? top : all[(at + 1) % all.length];
}

// Around the drawing is empty paper too.
document.addEventListener('click', e => e.target.matches?.('.canvas') && !memory.tool && work().dataset.pick && visit(''));

function useTool([x, y]) {
  const { storey } = work().dataset;
  if (memory.tool.startsWith('box:')) return send({ do: 'add-box-here', kind: memory.tool.slice(4), storey, x, y });
  if (memory.tool === 'under') return;
  if (memory.tool === 'corners') return cornerAt(x, y);
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

// Four corners of a house whose picture was taken at a slant, or of a rectangle in it, in any order.
function cornerAt(x, y) {
  corners.push([x, y]);
  sketch(...corners.map(([cx, cy]) => ['circle', { cx, cy, r: 5 * perPixel(), class: 'sketch-line' }]));
  if (corners.length < 4) return;
  // A click after these four begins anew.
  const [m, four] = [plan().getScreenCTM(), corners];
  corners = [];
  ask('Size between them, as 42 x 28 (empty: estimated)', '', x * m.a + m.e, y * m.d + m.f, size => {
    setTool('');
    const { storey } = work().dataset;
    const at = Object.fromEntries(
      four.flatMap(([cx, cy], i) => [
        [`x${i + 1}`, cx],
        [`y${i + 1}`, cy],
      ]),
    );
    send({ do: 'square-picture', storey, size, ...at });
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
    // The thing was taken somewhere along its width; what counts is where its middle goes. A mark is not to scale: it goes to the hand.
    const box = mark.getBBox();
    const [cx, cy] = mark.matches('g') ? d.at : [box.x + box.width / 2, box.y + box.height / 2];
    send({ do: 'move-thing', thing: mark.dataset.drag, x: cx + x - d.at[0], y: cy + y - d.at[1] });
  }
}

document.addEventListener('dblclick', () => isDrawing() && finishRoom());
document.addEventListener('circuitum:tool', e => setTool(e.detail));
