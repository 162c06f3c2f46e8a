// What is drawn over the plan by hand and is no edit: lines, lengths, the places to which a hand is drawn, the field that asks.
import { isMetric, mmInInch, plan } from './desk.js';
import { perPixel } from './view.js';

const svgNs = 'http://www.w3.org/2000/svg';

// A temporary drawing over the plan; nothing in it is an edit.
export function sketch(...shapes) {
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

// To the next of what a hand draws by: so many inches, or millimetres in a job that is told in metres.
const round = (value, inches, mm) => {
  const step = isMetric() ? mm / mmInInch : inches;
  return Math.round(value / step) * step;
};

// A wall that is dragged is not drawn to the lines that it makes itself.
export function snapOne(value, axis, own = null) {
  const reach = 9 * perPixel();
  let best = round(value, 0.5, 10),
    nearest = reach;
  for (const line of lines(axis)) {
    if (own !== null && Math.abs(line - own) < 10) continue;
    if (Math.abs(line - value) < nearest) [best, nearest] = [line, Math.abs(line - value)];
  }
  return best;
}

export const snap = ([x, y]) => [snapOne(x, 'x'), snapOne(y, 'y')];

// A length of the plan, which is in inches, as the job tells it.
export function told(value) {
  if (isMetric()) {
    const mm = Math.round(value * mmInInch);
    return Math.abs(mm) < 1000 ? `${mm} mm` : `${(mm / 1000).toFixed(3).replace(/0{1,2}$/, '')} m`;
  }
  const all = Math.round(Math.abs(value) * 16),
    whole = Math.floor(all / 16);
  let top = all % 16,
    bottom = 16;
  while (top && top % 2 === 0) [top, bottom] = [top / 2, bottom / 2];
  return `${value < 0 ? '-' : ''}${Math.floor(whole / 12)}'-${whole % 12}${top ? ` ${top}/${bottom}` : ''}"`;
}

export function label(x, y, text) {
  return ['text', { x, y, 'font-size': 13 * perPixel(), class: 'sketch-text' }, text];
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
