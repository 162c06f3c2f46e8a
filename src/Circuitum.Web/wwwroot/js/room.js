// A room that is being drawn: corners one after the other, sides typed between them, until it closes.
import { inches, isMetric, plan, send, work } from './desk.js';
import { ask, label, sketch, snap, told } from './sketch.js';
import { perPixel, place } from './view.js';

let drawing = null;

// Whether one is being drawn.
export const isDrawing = () => drawing !== null;

export function dropRoom() {
  drawing = null;
}

// The hand goes down: the first corner, or one more.
export function pressRoom(at) {
  if (!drawing) drawing = { corners: [snap(at)], pressed: true };
}

export function moveRoom(e) {
  const at = snap(place(e));
  drawing.to = squared(at);
  showRoom(drawing.pressed ? at : drawing.to);
}

// The hand goes up: dragged from corner to corner it is a rectangle, else one corner of many.
export function releaseRoom(e, dragged) {
  const at = snap(place(e));
  if (drawing.pressed && dragged) {
    drawing.corners.push(at);
    finishRoom();
  } else if (drawing.pressed) drawing.pressed = false;
  else corner(squared(at));
}

function showRoom(to) {
  const [x, y] = to;
  if (drawing.corners.length === 1 && drawing.pressed) {
    const [ax, ay] = drawing.corners[0];
    const [w, h] = [Math.abs(x - ax), Math.abs(y - ay)];
    sketch(
      ['rect', { x: Math.min(x, ax), y: Math.min(y, ay), width: w, height: h, class: 'sketch-line' }],
      label((x + ax) / 2, Math.min(y, ay) - 6 * perPixel(), `${told(w)} x ${told(h)}`),
    );
  } else {
    const all = [...drawing.corners, to];
    const [px, py] = drawing.corners.at(-1);
    sketch(
      ['polyline', { points: all.map(p => p.join(',')).join(' '), class: 'sketch-line' }],
      ['circle', { cx: drawing.corners[0][0], cy: drawing.corners[0][1], r: 6 * perPixel(), class: 'sketch-line' }],
      label((x + px) / 2, (y + py) / 2 - 6 * perPixel(), told(Math.hypot(x - px, y - py))),
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

export function finishRoom() {
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

async function typeSide(first) {
  const last = drawing.corners.at(-1),
    to = drawing.to ?? last;
  const at = plan().getScreenCTM();
  ask(
    drawing.corners.length === 1 ? `Side, or size such as ${isMetric() ? '3.8 x 3.4' : "12'6 x 11"}` : 'Side',
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

// Keys while a room is being drawn; true when the key was used.
export function drawingKey(e) {
  if (!drawing) return false;
  if (e.key === 'Escape') {
    drawing = null;
    sketch();
  } else if (e.key === 'Enter') finishRoom();
  else if (e.key === 'Backspace') {
    drawing.corners.pop();
    if (drawing.corners.length === 0) drawing = null;
    sketch();
  } else if (/^[0-9]$/.test(e.key)) typeSide(e.key);
  else return false;
  return true;
}
