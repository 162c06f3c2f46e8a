// A small map in the corner of a plan that is zoomed far in: where on the storey one is, and a way to go elsewhere.
import { plan, work } from './desk.js';

const svgNs = 'http://www.w3.org/2000/svg';
const from = 1.8;

function part(name, css) {
  const e = document.createElementNS(svgNs, name);
  e.setAttribute('class', css);
  return e;
}

function make(canvas) {
  const map = part('svg', 'overview');
  map.setAttribute('role', 'img');
  map.setAttribute('aria-label', 'Where on the storey the shown part is');
  map.append(part('path', 'overview-floor'), part('rect', 'overview-here'));
  canvas.append(map);
  return map;
}

// The floors are read out of the drawing, once for each state of the job.
function floors(map, svg, home) {
  const { stamp, storey, show } = work().dataset;
  const of = [stamp, storey, show].join('|');
  if (map.dataset.of === of) return;
  map.dataset.of = of;
  map.setAttribute('viewBox', home.join(' '));
  map.style.aspectRatio = `${home[2]} / ${home[3]}`;
  map.firstChild.setAttribute('d', [...svg.querySelectorAll('.floor')].map(f => f.getAttribute('d')).join(''));
}

// What is shown of the whole, in inches; hidden when one sees nearly all of it.
export function showOverview(home, view) {
  const svg = plan();
  const canvas = svg?.closest('.canvas');
  if (!canvas) return;
  const far = view.zoom >= from;
  const map = canvas.querySelector('.overview') ?? (far ? make(canvas) : null);
  map?.classList.toggle('hidden', !far);
  if (!far) return;
  floors(map, svg, home);
  const [x, y, w, h] = home;
  const size = { x: x + view.x, y: y + view.y, width: w / view.zoom, height: h / view.zoom };
  for (const [name, value] of Object.entries(size)) map.lastChild.setAttribute(name, value.toFixed(1));
}

// The place of the map under the pointer, in inches of the plan; none elsewhere.
export function onOverview(event) {
  const map = event.target.closest?.('.overview');
  if (!map) return null;
  const p = new DOMPoint(event.clientX, event.clientY).matrixTransform(map.getScreenCTM().inverse());
  return [p.x, p.y];
}
