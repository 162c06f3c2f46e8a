// What every part of the page uses: sending an edit, going somewhere, and what is remembered between answers.
export const work = () => document.getElementById('work');
export const plan = () => document.querySelector('.canvas .plan');
export const memory = { job: '', storey: '', show: '', stage: '', tool: '', zoom: 1, x: 0, y: 0 };

// Every edit goes through the same form that works without a script.
export function send(fields) {
  const form = document.getElementById('edit');
  form.querySelectorAll('[data-extra]').forEach(e => e.remove());
  for (const [name, value] of Object.entries(fields).flatMap(([n, v]) => [v].flat().map(one => [n, one]))) {
    const input = Object.assign(document.createElement('input'), { type: 'hidden', name, value });
    input.dataset.extra = '';
    form.append(input);
  }
  form.requestSubmit();
}

export function address(pick, stage, sight) {
  const { job, storey, stage: here, show } = work().dataset;
  const shown = sight ?? show;
  const part = shown ? `&show=${encodeURIComponent(shown)}` : '';
  return `/jobs/${job}/${stage ?? here}?pick=${encodeURIComponent(pick)}&storey=${encodeURIComponent(storey)}${part}`;
}

export function visit(pick, stage, sight) {
  const url = address(pick, stage, sight);
  return htmx.ajax('GET', url, { target: '#work', swap: 'outerHTML' });
}

// The hand that draws types lengths; what a length is, the program decides in one place.
export async function inches(text) {
  const answer = await fetched(`/length?text=${encodeURIComponent(text)}&units=${work().dataset.units}`);
  if (!answer.ok) {
    tell(await answer.text());
    return null;
  }
  return Number(await answer.text());
}

// A question without an edit; when the program cannot be reached, it is answered like one that failed.
export const fetched = url => fetch(url).catch(() => new Response('The program does not answer.', { status: 503 }));

export function tell(sentence, again) {
  const here = work() ?? document.querySelector('main');
  here?.querySelector('.notice.told')?.remove();
  const box = Object.assign(document.createElement('div'), { className: 'notice stop told', role: 'alert', textContent: sentence });
  if (again) {
    const button = Object.assign(document.createElement('button'), { type: 'button', textContent: 'Send it again' });
    button.addEventListener('click', () => {
      box.remove();
      again();
    });
    box.append(' ', button);
  }
  const head = here?.querySelector('.head');
  if (head) head.after(box);
  else here?.prepend(box);
}
