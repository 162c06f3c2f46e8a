// Zoom and pan. While the hand moves, the drawn picture is only shifted and scaled by the compositor; when it rests, the
// drawing is made anew at that scale, sharp again.
import { drawAgain, memory, plan, work } from './desk.js';
import { onOverview, showOverview } from './overview.js';

let resting = 0;
const shown = { zoom: 1, x: 0, y: 0 };

const home = svg => (svg.dataset.home ??= svg.getAttribute('viewBox')).split(' ').map(Number);

// The frame's size is asked for only when it may have changed: asking makes the browser lay out a fresh drawing twice.
let frame = null;
export const forgetFrame = () => {
  frame = null;
};

// How many inches of the plan one pixel shows at zoom 1; the drawing is centred in its frame.
function scale(svg) {
  const [, , w, h] = home(svg);
  frame ??= [svg.parentElement.clientWidth, svg.parentElement.clientHeight];
  return Math.max(w / frame[0], h / frame[1]);
}

// Zoom and place stay while one goes from stage to stage and when the page is loaded again, for as long as its window is open.
const kept = 'view';

function keepView() {
  const { job, storey, show, zoom, x, y } = memory;
  sessionStorage.setItem(kept, JSON.stringify({ job, storey, show, zoom, x, y }));
}

export function keptView(job, storey, show) {
  const was = JSON.parse(sessionStorage.getItem(kept) ?? '{}');
  const same = was.job === job && was.storey === storey && was.show === show;
  return { job, storey, show, ...(same ? { zoom: was.zoom, x: was.x, y: was.y } : { zoom: 1, x: 0, y: 0 }) };
}

export function settleView() {
  const svg = plan();
  if (!svg) return;
  keepView();
  clearTimeout(resting);
  resting = 0;
  const [x, y, w, h] = home(svg);
  // What is the same is left alone: a set attribute makes the browser lay out the whole drawing.
  const box = `${x + memory.x} ${y + memory.y} ${w / memory.zoom} ${h / memory.zoom}`;
  if (svg.getAttribute('viewBox') !== box) svg.setAttribute('viewBox', box);
  if (svg.style.transform) svg.style.transform = '';
  Object.assign(shown, { zoom: memory.zoom, x: memory.x, y: memory.y });
  // What is drawn in pixels keeps its size at any zoom.
  keep(svg, '--px', (scale(svg) / memory.zoom).toFixed(4));
  showOverview(home(svg), memory);
}

// Labels find their places for the size in which the plan is shown: the program is told that of this page, and how far it is zoomed in,
// in steps. Between them everything keeps its size and has more room.
const steps = [1, 1.6, 2.5, 4, 6.3, 10];
let composed = 1;
export const zoomStep = () => steps.findLast(s => s <= Math.max(1, memory.zoom) + 0.01);

// Not every question brings a drawing, and not every drawing is taken: what counts is the one that is shown.
export const drawnFor = step => (composed = step);

export function tellCanvas() {
  const canvas = plan()?.closest('.canvas');
  if (!canvas || !work()?.dataset.storey) return;
  const [wide, tall] = [canvas.clientWidth, canvas.clientHeight];
  const told = document.cookie
    .match(/(?:^|; )canvas=(\d+)x(\d+)/)
    ?.slice(1)
    .map(Number) ?? [800, 630];
  const same = [wide, tall].every((n, i) => Math.abs(n - told[i]) <= 0.05 * told[i]);
  if (same || wide < 100 || tall < 100) return;
  document.cookie = `canvas=${wide}x${tall}; path=/; max-age=31536000; samesite=strict${location.protocol === 'https:' ? '; secure' : ''}`;
  drawAgain();
}

export function tellZoom() {
  if (work()?.dataset.storey && zoomStep() !== composed) drawAgain();
}

function keep(svg, name, value) {
  if (svg.style.getPropertyValue(name) !== value) svg.style.setProperty(name, value);
}

function move() {
  const svg = plan();
  const [, , w, h] = home(svg);
  const unit = scale(svg);
  const ratio = memory.zoom / shown.zoom;
  // The centre of the shown part tells where the old picture has to go.
  const cx = shown.x + w / shown.zoom / 2,
    cy = shown.y + h / shown.zoom / 2;
  const nx = memory.x + w / memory.zoom / 2,
    ny = memory.y + h / memory.zoom / 2;
  // At once: whoever goes on before the hand rests finds it so.
  keepView();
  svg.style.transform = `translate(${((cx - nx) * memory.zoom) / unit}px, ${((cy - ny) * memory.zoom) / unit}px) scale(${ratio})`;
  showOverview(home(svg), memory);
  clearTimeout(resting);
  resting = setTimeout(() => {
    settleView();
    tellZoom();
  }, 160);
}

export function rest() {
  if (resting) settleView();
}

export function zoom(factor, at) {
  const svg = plan();
  if (!svg) return;
  const [x, y, w, h] = home(svg);
  if (factor === 0) Object.assign(memory, { zoom: 1, x: 0, y: 0 });
  else {
    const next = Math.min(12, Math.max(0.4, memory.zoom * factor));
    const share = at ? [(at[0] - x - memory.x) / (w / memory.zoom), (at[1] - y - memory.y) / (h / memory.zoom)] : [0.5, 0.5];
    memory.x += share[0] * (w / memory.zoom - w / next);
    memory.y += share[1] * (h / memory.zoom - h / next);
    memory.zoom = next;
  }
  move();
}

export function pan(from, dx, dy) {
  const unit = scale(plan()) / memory.zoom;
  memory.x = from.x - dx * unit;
  memory.y = from.y - dy * unit;
  move();
}

// What of the plan is at a place comes into the middle of the frame.
function centre([cx, cy]) {
  const [x, y, w, h] = home(plan());
  memory.x = cx - x - w / memory.zoom / 2;
  memory.y = cy - y - h / memory.zoom / 2;
  move();
}

// The small map: where the hand is comes into the middle.
export const overviewHand = {
  take: e => {
    const at = onOverview(e);
    if (at) centre(at);
    return at && {};
  },
  follow: e => onOverview(e) && centre(onOverview(e)),
  press() {},
  drop() {},
  letBe() {},
};

// The place on the plan under the pointer, in inches.
export function place(event) {
  const svg = plan();
  const p = new DOMPoint(event.clientX, event.clientY).matrixTransform(svg.getScreenCTM().inverse());
  return [p.x, p.y];
}

export const perPixel = () => 1 / plan().getScreenCTM().a;

document.addEventListener(
  'wheel',
  e => {
    if (!e.target.closest?.('.canvas') || !plan()) return;
    e.preventDefault();
    zoom(e.deltaY < 0 ? 1.15 : 1 / 1.15, place(e));
  },
  { passive: false },
);

// Circuits in black and white, as a printed plan shows them, until it is pressed again.
const asOnPaper = () => localStorage.getItem('as-on-paper') === 'yes';

export function showPaper() {
  document.documentElement.classList.toggle('as-on-paper', asOnPaper());
  document.querySelector('[data-paper]')?.setAttribute('aria-pressed', String(asOnPaper()));
}

document.addEventListener('click', e => {
  if (!e.target.closest('[data-paper]')) return;
  localStorage.setItem('as-on-paper', asOnPaper() ? 'no' : 'yes');
  showPaper();
});

document.addEventListener('click', e => {
  const b = e.target.closest('[data-zoom]');
  if (b) zoom({ in: 1.25, out: 0.8, fit: 0 }[b.dataset.zoom]);
});
