// The list of jobs: found by what they are called, where they are and what rooms they have; times in the reader's own hour.
const far = 6;
const day = 24 * 3600;
const steps = [
  [60, 1, 'second'],
  [3600, 60, 'minute'],
  [day, 3600, 'hour'],
  [far * day, day, 'day'],
];

function when(time) {
  const at = new Date(time.dateTime);
  const verb = time.textContent.trim().split(' ')[0];
  const past = (at - Date.now()) / 1000;
  const [, unit, name] = steps.find(([below]) => -past < below) ?? [];
  const said = name
    ? new Intl.RelativeTimeFormat(undefined, { numeric: 'auto' }).format(Math.round(past / unit), name)
    : at.toLocaleDateString(undefined, { dateStyle: 'medium' });
  time.title = at.toLocaleString();
  time.textContent = `${verb} ${said}`;
}

for (const time of document.querySelectorAll('time[data-when]')) when(time);

function find(text) {
  const words = text.toLowerCase().split(/\s+/).filter(Boolean);
  const cards = [...document.querySelectorAll('.job-card')];
  for (const card of cards) {
    const known = `${card.textContent} ${card.querySelector('[data-words]')?.dataset.words ?? ''}`.toLowerCase();
    card.hidden = !words.every(w => known.includes(w));
  }
  document.querySelector('[data-none]').hidden = cards.length === 0 || cards.some(c => !c.hidden);
}
document.querySelector('[data-find]')?.addEventListener('input', e => find(e.target.value));

// The list of jobs has keys too: a new one, and the one that is looked for.
document.addEventListener('keydown', e => {
  if (!document.querySelector('.jobs-page') || e.ctrlKey || e.metaKey || e.altKey || e.target.closest('input, select, textarea')) return;
  const field = { n: '.jobs-page aside [name="name"]', '/': '[data-find]' }[e.key];
  if (!field) return;
  e.preventDefault();
  document.querySelector(field).focus();
});
