// Picking, dragging, zooming and keys. Every edit goes through the same form that works without a script.
const work = () => document.getElementById('work');
const view = { job: '', storey: '', zoom: 1, x: 0, y: 0, add: '' };

function send(fields) {
  const form = document.getElementById('edit');
  form.querySelectorAll('[data-extra]').forEach(e => e.remove());
  for (const [name, value] of Object.entries(fields)) {
    const input = Object.assign(document.createElement('input'), { type: 'hidden', name, value });
    input.dataset.extra = '';
    form.append(input);
  }
  form.requestSubmit();
}

function visit(pick, stage) {
  const { job, storey, stage: here } = work().dataset;
  const url = `/jobs/${job}/${stage ?? here}?pick=${encodeURIComponent(pick)}&storey=${encodeURIComponent(storey)}`;
  htmx.ajax('GET', url, { target: '#work', swap: 'outerHTML' }).then(() => history.replaceState(null, '', url));
}

async function why(key) {
  const { job, stage } = work().dataset;
  const answer = await fetch(`/jobs/${job}/${stage}?handler=why&key=${encodeURIComponent(key)}`);
  const dialog = document.getElementById('why');
  dialog.querySelector('.body').innerHTML = answer.ok ? await answer.text() : 'Nothing is known about this number.';
  dialog.showModal();
}

const plan = () => document.querySelector('.plan');

function fit() {
  const svg = plan();
  if (!svg) return;
  svg.dataset.home ??= svg.getAttribute('viewBox');
  const [x, y, w, h] = svg.dataset.home.split(' ').map(Number);
  svg.setAttribute('viewBox', `${x + view.x} ${y + view.y} ${w / view.zoom} ${h / view.zoom}`);
}

function zoom(factor) {
  const svg = plan();
  if (!svg) return;
  const [, , w, h] = svg.dataset.home.split(' ').map(Number);
  const next = factor === 0 ? 1 : Math.min(8, Math.max(0.5, view.zoom * factor));
  view.x = factor === 0 ? 0 : view.x + (w / view.zoom - w / next) / 2;
  view.y = factor === 0 ? 0 : view.y + (h / view.zoom - h / next) / 2;
  view.zoom = next;
  fit();
}

function place(event) {
  const svg = plan();
  const p = new DOMPoint(event.clientX, event.clientY).matrixTransform(svg.getScreenCTM().inverse());
  return [p.x, p.y];
}

let drag = null;
document.addEventListener('pointerdown', e => {
  const svg = e.target.closest?.('.plan, .panel-drawing');
  if (!svg || e.button !== 0) return;
  const mark = e.target.closest('[data-box], [data-space][data-pick]');
  drag = { svg, mark, from: [e.clientX, e.clientY], moved: false, x: view.x, y: view.y };
});
document.addEventListener('pointermove', e => {
  if (!drag) return;
  const dx = e.clientX - drag.from[0], dy = e.clientY - drag.from[1];
  if (!drag.moved && Math.hypot(dx, dy) < 5) return;
  drag.moved = true;
  const scale = drag.svg.getScreenCTM().a;
  if (drag.mark?.dataset.box && work().dataset.stage === 'boxes' || drag.mark?.dataset.space) {
    drag.mark.setAttribute('transform', `translate(${dx / scale} ${dy / scale})`);
  } else if (drag.svg === plan()) {
    view.x = drag.x - dx / scale;
    view.y = drag.y - dy / scale;
    fit();
  }
});
document.addEventListener('pointerup', e => {
  const d = drag;
  drag = null;
  if (!d) return;
  if (!d.moved) {
    const kind = document.getElementById('add-kind')?.value;
    if (kind && d.svg === plan() && work().dataset.stage === 'boxes') {
      const [x, y] = place(e);
      send({ do: 'add-box-here', kind, storey: work().dataset.storey, x, y });
      return;
    }
    if (e.target.closest?.('[data-why]')) return;
    const pick = e.target.closest?.('[data-pick]');
    if (pick) visit(pick.dataset.pick);
    return;
  }
  if (d.mark?.dataset.box && work().dataset.stage === 'boxes') {
    const [x, y] = place(e);
    send({ do: 'move-box', box: d.mark.dataset.box, x, y });
  } else if (d.mark?.dataset.space) {
    d.mark.style.pointerEvents = 'none';
    d.mark.removeAttribute('transform');
    const over = document.elementsFromPoint(e.clientX, e.clientY).map(n => n.closest('[data-space]')).find(n => n && n !== d.mark);
    d.mark.style.pointerEvents = '';
    if (over) send({ do: 'move-breaker', circuit: d.mark.dataset.pick.split(':')[1], space: over.dataset.space });
  }
});
document.addEventListener('change', e => { if (e.target.id === 'add-kind') view.add = e.target.value; });
document.addEventListener('pointercancel', () => { drag?.mark?.removeAttribute('transform'); drag = null; });
document.addEventListener('wheel', e => {
  if (!e.target.closest?.('.plan')) return;
  e.preventDefault();
  zoom(e.deltaY < 0 ? 1.2 : 1 / 1.2);
}, { passive: false });

document.addEventListener('click', e => {
  const b = e.target.closest('button, [data-why]');
  if (!b) return;
  if (b.dataset.why) why(b.dataset.why);
  else if ('keys' in b.dataset) document.getElementById('keys').showModal();
  else if (b.dataset.zoom) zoom({ in: 1.25, out: 0.8, fit: 0 }[b.dataset.zoom]);
  else if ('print' in b.dataset) window.print();
});

function walk(step, selector) {
  const links = [...document.querySelectorAll(selector)];
  if (links.length === 0) return;
  const at = links.findIndex(l => l.getAttribute('aria-current') || l.closest('.picked'));
  const next = links[(at + step + links.length) % links.length];
  const url = new URL(next.href);
  visit(url.searchParams.get('pick'));
}

let finding = -1;
async function nextFinding(step) {
  const { job } = work().dataset;
  const page = new DOMParser().parseFromString(await (await fetch(`/jobs/${job}/findings`)).text(), 'text/html');
  const links = [...page.querySelectorAll('.findings a')];
  if (links.length === 0) return;
  finding = (finding + step + links.length) % links.length;
  visit(new URL(links[finding].href, location.href).searchParams.get('pick'), 'findings');
}

const press = name => document.querySelector(`button[data-do="${name}"]:not(:disabled)`)?.click();

document.addEventListener('keydown', e => {
  if (!work() || e.ctrlKey && e.key !== 'z' || e.metaKey || e.altKey || document.querySelector('dialog[open]')) return;
  if (e.target.closest('input, select, textarea')) return;
  const { pick } = work().dataset;
  const keys = {
    n: () => nextFinding(1), p: () => nextFinding(-1), j: () => walk(1, '[data-list] a'), k: () => walk(-1, '[data-list] a'),
    a: () => press('accept-box'), c: () => document.getElementById('to-circuit')?.focus(), u: () => press('undo'), U: () => press('redo'), z: () => e.ctrlKey && press('undo'),
    r: () => { press('propose-boxes'); press('plan-circuits'); }, '+': () => zoom(1.25), '=': () => zoom(1.25), '-': () => zoom(0.8), 0: () => zoom(0),
    Escape: () => { view.add = ''; settle(); },
    Delete: () => press('remove-box'), '?': () => document.getElementById('keys').showModal(),
    ArrowLeft: () => nudge(-4), ArrowRight: () => nudge(4), ArrowUp: () => nudge(-4), ArrowDown: () => nudge(4),
  };
  if (/^[1-5]$/.test(e.key)) document.querySelector(`.stages [data-key="${e.key}"]`)?.click();
  else if (keys[e.key]) keys[e.key]();
  else return;
  e.preventDefault();

  function nudge(inches) {
    const input = document.querySelector('[data-along]');
    const parts = input?.defaultValue.match(/^(-?\d+)'(\d+)(?: (\d+)\/(\d+))?$/);
    if (!parts || !pick.startsWith('box:')) return;
    const at = Number(parts[1]) * 12 + Number(parts[2]) + (parts[3] ? parts[3] / parts[4] : 0) + inches;
    send({ do: 'move-box', box: pick.slice(4), along: `${Math.max(0, at)} in` });
  }
});

function settle() {
  if (!work()) return;
  const add = document.getElementById('add-kind');
  if (add) add.value = view.add;
  const { job, storey } = work().dataset;
  if (view.job !== job || view.storey !== storey) Object.assign(view, { job, storey, zoom: 1, x: 0, y: 0 });
  fit();
}
document.addEventListener('htmx:afterSettle', settle);
document.addEventListener('htmx:responseError', e => {
  const box = Object.assign(document.createElement('div'), { className: 'notice stop', role: 'alert', textContent: e.detail.xhr.status === 0 ? 'The program does not answer. The last edit was not made.' : 'That edit was not made. Load the page again and repeat it.' });
  work()?.querySelector('.strip')?.after(box);
});
settle();
