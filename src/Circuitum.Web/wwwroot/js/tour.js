// A walk through a planned house for who sees it for the first time: a card beside what it speaks of. It changes nothing.
const steps = [
  ['rooms', '.canvas', 'This is a house as it was typed in, a room to a line. Rooms, doors and what stands there are facts.'],
  ['rooms', '.rail', 'What you put into the house is here. More opens everything; type its name.'],
  ['rooms', '.stages', 'The work goes from left to right. Under each name stands how far it is.'],
  ['boxes', '.canvas', 'Boxes are proposed where the code and good practice want them. Move one, refuse one: yours stay.'],
  ['circuits', '[data-list]', 'Each line is a breaker and what hangs on it. Pick one: the rest of the plan goes faint.'],
  ['panel', '.bench > section', 'Spaces and legs. A breaker is dragged to another space.'],
  ['panel', '.strip .totals', 'Every number tells how it came about: press it. Musts are against a rule, shoulds are worth a look.'],
  ['panel', '.strip .next', 'And here stands what is next. Undo takes back anything. That is all; try it, this house is made up.'],
];
const KEY = 'tour';

function end() {
  sessionStorage.removeItem(KEY);
  document.querySelector('.tour')?.remove();
  document.querySelector('.toured')?.classList.remove('toured');
}

function go(to) {
  if (to < 0 || to >= steps.length) return end();
  sessionStorage.setItem(KEY, to);
  const at = location.pathname.split('/');
  if (at[3] === steps[to][0]) return show();
  at[3] = steps[to][0];
  location.assign(at.join('/'));
}

function show() {
  const at = Number(sessionStorage.getItem(KEY));
  const [, selector, text] = steps[at];
  document.querySelector('.tour')?.remove();
  document.querySelector('.toured')?.classList.remove('toured');
  document.querySelector(selector)?.classList.add('toured');
  const card = document.createElement('section');
  card.className = 'tour';
  card.setAttribute('role', 'dialog');
  card.setAttribute('aria-label', 'Walk through the house');
  const says = document.createElement('p');
  says.textContent = text;
  const acts = document.createElement('p');
  acts.className = 'acts';
  const button = (word, does, main) => {
    const made = document.createElement('button');
    made.type = 'button';
    made.textContent = word;
    if (main) made.className = 'main';
    made.addEventListener('click', does);
    acts.append(made);
    return made;
  };
  const next = button(at === steps.length - 1 ? 'Done' : 'Next', () => go(at + 1), true);
  if (at > 0) button('Back', () => go(at - 1));
  button('Leave', end);
  const count = document.createElement('span');
  count.className = 'quiet';
  count.textContent = `${at + 1} of ${steps.length}`;
  acts.append(count);
  card.append(says, acts);
  document.body.append(card);
  next.focus();
}

document.addEventListener('keydown', e => {
  if (e.key !== 'Escape' || !document.querySelector('.tour')) return;
  e.stopPropagation();
  end();
});
if (new URLSearchParams(location.search).get('walk') === '1') go(0);
else if (sessionStorage.getItem(KEY) !== null) {
  const at = steps[Number(sessionStorage.getItem(KEY))];
  if (at && location.pathname.split('/')[3] === at[0]) show();
  else end();
}
