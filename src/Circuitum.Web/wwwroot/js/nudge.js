// What is picked in Rooms moves by the arrow keys.
import { isMetric, mmInInch, plan, send, typed, work } from './desk.js';

export function nudgePlan(dx, dy, far) {
  const { pick } = work().dataset;
  const step = isMetric() ? (far ? 500 : 50) / mmInInch : far ? 12 : 1;
  if (pick.startsWith('wall:')) {
    const [, room, wall] = pick.split(':');
    const line = document.querySelector(`[data-drag="${pick}"]`);
    if (!line || line.dataset.axis === 'n') return;
    const at = Number(line.getAttribute(line.dataset.axis === 'x' ? 'x1' : 'y1'));
    const floor = document.querySelector(`.floor[data-pick="room:${room}"]`).getBBox();
    const out =
      line.dataset.axis === 'x' ? Math.sign(at - floor.x - floor.width / 2) * dx : Math.sign(at - floor.y - floor.height / 2) * dy;
    if (out) send({ do: 'move-wall', room, wall, by: `${out < 0 ? '-' : ''}${typed(step)}` });
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
