// The tools beside the plan, and the palette of all that can be put into a house: found by typing, the last ones at hand.
const kept = 'recent-tools';
const most = 3;

const recent = () => JSON.parse(localStorage.getItem(kept) ?? '[]');
const button = word => document.querySelector(`.palette [data-tool="${CSS.escape(word)}"]`);
const inRail = word => document.querySelector(`.rail > [data-tool="${CSS.escape(word)}"]`);

// The last ones stand in the rail; what stands there anyway is not repeated.
function showRecent() {
  const place = document.querySelector('[data-recent]');
  place?.replaceChildren(
    ...recent()
      .filter(word => button(word) && !inRail(word))
      .map(word => button(word).cloneNode(true)),
  );
}

// Shows which tool is in the hand; one that this stage does not have is put down.
export function showTool(word) {
  if (word && button(word) && !inRail(word)) {
    localStorage.setItem(kept, JSON.stringify([word, ...recent().filter(w => w !== word)].slice(0, most)));
  }
  showRecent();
  const there = [...document.querySelectorAll('.rail [data-tool]')];
  const known = there.some(b => b.dataset.tool === word) ? word : '';
  for (const b of there) b.setAttribute('aria-pressed', String(b.dataset.tool === known));
  return known;
}

export function openPalette() {
  const palette = document.getElementById('palette');
  if (!palette) return;
  palette.showModal();
  const field = palette.querySelector('input');
  field.value = '';
  find(palette, '');
  field.focus();
}

function find(palette, text) {
  const words = text.toLowerCase().split(/\s+/).filter(Boolean);
  for (const section of palette.querySelectorAll('section')) {
    const group = section.querySelector('h3').textContent;
    for (const b of section.querySelectorAll('[data-tool]')) {
      const name = `${b.textContent} ${group}`.toLowerCase();
      b.hidden = !words.every(w => name.includes(w));
    }
    section.hidden = !section.querySelector('[data-tool]:not([hidden])');
  }
  palette.querySelector('.none').hidden = Boolean(palette.querySelector('section:not([hidden])'));
}

const take = word => document.dispatchEvent(new CustomEvent('circuitum:tool', { detail: word }));

document.addEventListener('click', e => {
  const tool = e.target.closest('[data-tool]');
  if (tool) {
    document.getElementById('palette')?.close();
    take(tool.dataset.tool);
  } else if (e.target.closest('[data-palette]')) openPalette();
  else if (e.target.closest('.palette [data-close]') || e.target.matches?.('dialog.palette')) document.getElementById('palette').close();
});
document.addEventListener('input', e => {
  const palette = e.target.closest('.palette');
  if (palette) find(palette, e.target.value);
});
// Enter takes the first that was found.
document.addEventListener('keydown', e => {
  const palette = e.key === 'Enter' && e.target.matches?.('.palette input') && e.target.closest('.palette');
  if (!palette) return;
  e.preventDefault();
  palette.querySelector('section:not([hidden]) [data-tool]:not([hidden])')?.click();
});
