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

// Where one is, with what is switched off or tried there.
export function here() {
  const { pick, dark } = work().dataset;
  return address(pick) + (dark ? `&dark=${encodeURIComponent(dark)}` : '');
}

export function visit(pick, stage, sight) {
  const url = address(pick, stage, sight);
  return htmx.ajax('GET', url, { target: '#work', swap: 'outerHTML' });
}

// The same page once more, its plan for another size. What a person has begun to type, or has not read yet, is worth more than that.
const again = 'X-Again';
export const isAgain = e => e.detail.requestConfig?.headers[again];

// When the program does not answer, that is told by the page itself.
export function drawAgain(what = 'plan') {
  return htmx.ajax('GET', here(), { target: '#work', swap: 'outerHTML', headers: { [again]: what } }).catch(() => {});
}

const begun = field =>
  field.matches('select')
    ? field.selectedIndex !==
      Math.max(
        0,
        [...field.options].findIndex(o => o.defaultSelected),
      )
    : field.type !== 'hidden' && field.value !== field.defaultValue;

// The change that an answer was drawn from.
export const stampOf = e => e.detail.serverResponse.match(/data-stamp="(\d+)"/)?.[1];

// An edit that is on its way needs the page that asked; one that was answered meanwhile is newer.
document.addEventListener('htmx:beforeSwap', e => {
  if (!isAgain(e) || e.detail.xhr.getResponseHeader('X-Plan') === 'part') return;
  const stamp = Number(stampOf(e));
  const busy =
    document.querySelector('form.htmx-request, #work > .notice, #work .dragged') ||
    stamp < Number(work()?.dataset.stamp) ||
    [...document.querySelectorAll('#work :is(input, textarea, select)')].some(begun);
  if (busy) e.detail.shouldSwap = false;
});

// Whether the job is told in metres; the plan itself is in inches.
export const isMetric = () => work()?.dataset.units === 'Metric';
export const mmInInch = 25.4;
export const typed = inches => (isMetric() ? `${(inches * mmInInch).toFixed(1)} mm` : `${Number(inches.toFixed(4))} in`);

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

export function tell(sentence, again, word = 'Send it again') {
  const here = work() ?? document.querySelector('main');
  here?.querySelector('.notice.told')?.remove();
  const box = Object.assign(document.createElement('div'), { className: 'notice stop told', role: 'alert', textContent: sentence });
  if (again) {
    const button = Object.assign(document.createElement('button'), { type: 'button', textContent: word });
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
