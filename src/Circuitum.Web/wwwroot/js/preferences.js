// Preferences: found by their words, and what a changed one would bring is asked where it stands.

const labels = () => [...document.querySelectorAll('#preferences .group label')];

function find(text) {
  const words = text.toLowerCase().split(/\s+/).filter(Boolean);
  let count = 0;
  for (const label of labels()) {
    const says = `${label.closest('.group').querySelector('summary').textContent} ${label.textContent}`.toLowerCase();
    const found = words.every(word => says.includes(word));
    label.hidden = !found;
    if (found) count++;
  }
  for (const group of document.querySelectorAll('#preferences .group')) {
    const some = [...group.querySelectorAll('label')].some(label => !label.hidden);
    group.hidden = !some;
    if (words.length) group.open = some;
  }
  const told = document.querySelector('[data-found]');
  if (told) told.textContent = words.length ? (count ? `${count} found` : 'None has these words.') : '';
}

const differs = field =>
  field.matches('select') ? ![...field.options].some(o => o.defaultSelected && o.selected) : field.value !== field.defaultValue;

document.addEventListener('input', e => {
  if (e.target.matches('[data-find-preference]')) return find(e.target.value);
  const label = e.target.closest('#preferences label');
  const ask = label?.querySelector('.ask');
  if (!ask) return;
  ask.hidden = !differs(e.target);
  const would = label.nextElementSibling;
  if (would?.matches('.would')) would.replaceChildren();
});

// Enter in the search is no wish to save the job.
document.addEventListener('keydown', e => {
  if (e.key === 'Enter' && e.target.matches('[data-find-preference]')) e.preventDefault();
});
