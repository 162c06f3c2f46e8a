// Keys, derivations, findings, and what happens after each answer.
import { fetched, here, isMetric, memory, mmInInch, send, tell, typed, visit, work } from './desk.js';
import { circuitField, circuitsHand, lassoHand } from './circuits.js';
import { draftHand, setTool } from './draft.js';
import { hands } from './gesture.js';
import { nudgePlan } from './nudge.js';
import { openPalette } from './palette.js';
import './paper.js';
import { drawingKey } from './room.js';
import './patch.js';
import { typeRooms } from './entry.js';
import './jobs.js';
import './together.js';
import './planning.js';
import './preferences.js';
import './ticks.js';
import './tour.js';
import { runsHand } from './runs.js';
import { forgetFrame, keptView, overviewHand, settleView, showPaper, tellCanvas, tellZoom, zoom } from './view.js';

// In this order they are asked for what the pointer went down on.
hands(overviewHand, lassoHand, circuitsHand, runsHand, draftHand);

async function why(key) {
  const { job } = work().dataset;
  const answer = await fetched(`/jobs/${job}/why?key=${encodeURIComponent(key)}`);
  const dialog = document.getElementById('why');
  dialog.querySelector('.body').innerHTML = answer.ok ? await answer.text() : 'Nothing is known about this number.';
  dialog.showModal();
  dialog.scrollTop = 0;
}

// What a word means, where it stands.
function means(word, text) {
  const dialog = document.getElementById('why');
  const [head, says] = [document.createElement('h2'), document.createElement('p')];
  [head.textContent, says.textContent] = [word, text];
  dialog.querySelector('.body').replaceChildren(head, says);
  dialog.showModal();
}

// Day or night: by choice, else by the hour that the system keeps.
function turnNight() {
  const root = document.documentElement;
  const night = root.dataset.theme ? root.dataset.theme === 'night' : matchMedia('(prefers-color-scheme: dark)').matches;
  root.dataset.theme = night ? 'day' : 'night';
  document.cookie = `theme=${root.dataset.theme}; path=/; max-age=31536000; samesite=strict${location.protocol === 'https:' ? '; secure' : ''}`;
}

document.addEventListener('click', e => {
  const b = e.target.closest('button, [data-why]');
  if (!b) return;
  if (b.dataset.why) why(b.dataset.why);
  else if (b.dataset.term) means(b.textContent, b.dataset.term);
  else if ('keys' in b.dataset) document.getElementById('keys').showModal();
  else if ('print' in b.dataset) window.print();
  else if ('night' in b.dataset) turnNight();
});

function walk(step, selector) {
  const links = [...document.querySelectorAll(selector)];
  if (links.length === 0) return;
  const at = links.findIndex(l => l.getAttribute('aria-current') || l.closest('.picked'));
  visit(new URL(links[(at + step + links.length) % links.length].href).searchParams.get('pick'));
}

let finding = -1;
async function nextFinding(step) {
  const { job } = work().dataset;
  const answer = await fetched(`/jobs/${job}/findings`);
  if (!answer.ok) return tell('The findings did not come: the program does not answer.');
  const page = new DOMParser().parseFromString(await answer.text(), 'text/html');
  const links = [...page.querySelectorAll('.findings a')];
  if (links.length === 0) return;
  finding = (finding + step + links.length) % links.length;
  visit(new URL(links[finding].href, location.href).searchParams.get('pick'), 'findings');
}

// The button of an edit; where several are of one word, the one whose form says so.
const press = (name, way = '') =>
  [...document.querySelectorAll(`button[data-do="${name}"]:not(:disabled)`)]
    .find(b => !way || b.form?.querySelector(`[name="way"][value="${way}"]`))
    ?.click();

document.addEventListener('keydown', e => {
  if (!work() || (e.ctrlKey && e.key !== 'z') || e.metaKey || e.altKey || document.querySelector('dialog[open]')) return;
  const { pick, stage } = work().dataset;
  const letGo = () => (memory.tool ? setTool('') : pick && visit(''));
  // No length begins with a letter: in a field that was only offered it is the key that it always is.
  if ('offered' in e.target.dataset && /^[a-z/?]$/i.test(e.key)) e.target.blur();
  else if (e.target.closest('input, select, textarea')) {
    // In a field Escape gives up what was typed and lets go, as everywhere.
    if (e.key === 'Escape') {
      e.target.blur();
      letGo();
    }
    return;
  }
  if (drawingKey(e)) return e.preventDefault();
  const arrow = (dx, dy) => (stage === 'rooms' ? nudgePlan(dx, dy, e.shiftKey) : nudge((isMetric() ? 100 / mmInInch : 4) * (dx + dy)));
  const tool = name => stage === 'rooms' && setTool(name);
  const keys = {
    n: () => nextFinding(1),
    p: () => nextFinding(-1),
    j: () => walk(1, '[data-list] a'),
    k: () => walk(-1, '[data-list] a'),
    a: () => press('accept-box'),
    c: () => {
      circuitField()?.focus();
      circuitField()?.select();
    },
    u: () => press('undo'),
    U: () => press('redo'),
    z: () => e.ctrlKey && press('undo'),
    r: () => {
      press('propose-boxes');
      press('plan-circuits');
    },
    '+': () => zoom(1.25),
    '=': () => zoom(1.25),
    '-': () => zoom(0.8),
    0: () => zoom(0),
    // The picked room fills the sheet, and again shows the storey.
    f: () => (work().dataset.show.startsWith('room:') ? visit(pick, stage, '') : pick.startsWith('room:') && visit(pick, stage, pick)),
    v: () => tool(''),
    w: () => tool('room'),
    d: () => tool('opening:hinged'),
    o: () => tool('opening:window'),
    '/': () => openPalette(),
    P: () => document.querySelector('.strip .next a[href$="packet.pdf"]')?.click(),
    t: () => typeRooms(),
    g: () => document.querySelector('.strip .next :is(a.go, button.go)')?.click(),
    Escape: letGo,
    Delete: () => {
      press('remove-box');
      press('remove-thing');
    },
    x: () => press('arrange-opening', 'Flipped'),
    '?': () => document.getElementById('keys').showModal(),
    ArrowLeft: () => arrow(-1, 0),
    ArrowRight: () => arrow(1, 0),
    ArrowUp: () => arrow(0, -1),
    ArrowDown: () => arrow(0, 1),
  };
  if (/^[1-6]$/.test(e.key)) document.querySelector(`.stages [data-key="${e.key}"]`)?.click();
  else if (keys[e.key]) keys[e.key]();
  else return;
  e.preventDefault();

  function nudge(by) {
    const input = document.querySelector('[data-along]');
    if (!input || !pick.startsWith('box:')) return;
    const at = Number(input.dataset.along) + by;
    send({ do: 'move-box', box: pick.slice(4), from: 'left', along: typed(Math.max(0, at)) });
  }
});

function settle() {
  if (!work()?.dataset.storey) return;
  const { job, storey, stage, show } = work().dataset;
  if (memory.job !== job || memory.storey !== storey || memory.show !== show) Object.assign(memory, keptView(job, storey, show));
  if (memory.stage !== stage) {
    Object.assign(memory, { stage, tool: '' });
    forgetFrame();
  }
  settleView();
  showPaper();
  setTool(memory.tool);
  if (location.pathname + location.search !== here() && document.querySelector('.head')) history.replaceState(null, '', here());
}
// Right after the swap, before the browser has laid anything out.
document.addEventListener('htmx:afterSwap', settle);
document.addEventListener('circuitum:patched', settle);
window.addEventListener('resize', () => {
  forgetFrame();
  settle();
  tellCanvas();
});
// Two clicks on a floor: that room fills the sheet. They are counted here, because the first may put another drawing in the place of the
// one that the second comes down on, and a browser then takes them for two single ones. What was dragged there is no click.
const near = (e, at) => at && Math.hypot(e.clientX - at.x, e.clientY - at.y) < 6;
let [down, clicked] = [null, null];
document.addEventListener('pointerdown', e => (down = { x: e.clientX, y: e.clientY }), true);
document.addEventListener('click', e => {
  if (!near(e, down)) {
    clicked = null;
    return;
  }
  const twice = clicked && e.timeStamp - clicked.at < 500 && near(e, clicked);
  clicked = twice ? null : { at: e.timeStamp, x: e.clientX, y: e.clientY };
  if (!twice) return;
  const floor = document.elementsFromPoint(e.clientX, e.clientY).find(n => n.matches('.canvas .plan .floor'));
  if (floor && !memory.tool && work()?.dataset.show === '') visit(floor.dataset.pick, work().dataset.stage, floor.dataset.pick);
});
// What was done stays in its form: nothing has to be typed or dragged again when the program is back. An edit that did
// arrive, its answer lost, is known by its form and not made twice.
function unanswered(e, sentence) {
  for (const mark of document.querySelectorAll('.dragged')) {
    mark.classList.remove('dragged');
    mark.style.translate = '';
  }
  const form = e.detail.requestConfig?.verb === 'post' ? e.detail.elt?.closest('form') : null;
  tell(sentence, form ? () => form.requestSubmit() : null);
}
document.addEventListener('htmx:responseError', e =>
  unanswered(e, 'That was not done. Send it again, or load the page again and repeat it.'),
);
for (const lost of ['htmx:sendError', 'htmx:timeout']) {
  document.addEventListener(lost, e =>
    unanswered(e, 'The program does not answer. Whether the last edit was made is not known; nothing else is lost.'),
  );
}
settle();
tellCanvas();
tellZoom();
// Keys work from here on.
document.documentElement.dataset.ready = '';

// On paper nothing is folded away; on the screen everything is as it was.
let folded = [];
addEventListener('beforeprint', () => {
  folded = [...document.querySelectorAll('.paper details:not([open])')];
  for (const d of folded) d.open = true;
});
addEventListener('afterprint', () => {
  for (const d of folded) d.open = false;
});
