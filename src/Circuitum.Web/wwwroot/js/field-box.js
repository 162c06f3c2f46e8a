// What was said on this phone and is not yet with the desk: kept in the browser's database before it is shown as kept, sent in order, and
// sent again until it is answered. What was answered stays until the page shows it.
const open = () =>
  new Promise((done, fail) => {
    const asked = indexedDB.open('circuitum-field', 1);
    asked.onupgradeneeded = () => {
      asked.result.createObjectStore('said', { keyPath: 'seq', autoIncrement: true });
    };
    asked.onsuccess = () => done(asked.result);
    asked.onerror = () => fail(asked.error);
  });

async function within(mode, act) {
  const base = await open();
  try {
    return await new Promise((done, fail) => {
      // Strict: it is on the disk when the transaction is done, so a battery that goes takes nothing that was shown as kept.
      const change = base.transaction('said', mode, { durability: 'strict' });
      let answer;
      act(change.objectStore('said'), given => {
        answer = given;
      });
      change.oncomplete = () => done(answer);
      change.onerror = () => fail(change.error);
      change.onabort = () => fail(change.error);
    });
  } finally {
    base.close();
  }
}

export const keep = said => within('readwrite', box => box.add(said));
export const drop = seq => within('readwrite', box => box.delete(seq));
export const put = said => within('readwrite', box => box.put(said));
export const all = () =>
  within('readonly', (box, give) => {
    box.getAll().onsuccess = e => give(e.target.result);
  });

const token = async () => (await (await fetch('/field/token', { headers: { Accept: 'application/json' } })).json()).token;

async function sendPicture(said, proof) {
  const form = new FormData();
  form.append('entry', said.id);
  form.append('task', said.task);
  form.append('at', said.at);
  form.append('now', new Date().toISOString());
  form.append('picture', said.picture, 'picture.jpg');
  return fetch(`/jobs/${said.job}/photos`, { method: 'POST', body: form, headers: { 'X-Form-Token': proof } });
}

const sendWords = (job, list, proof) =>
  fetch(`/jobs/${job}/field/entries`, {
    method: 'POST',
    headers: { 'Content-Type': 'application/json', 'X-Form-Token': proof },
    body: JSON.stringify({
      now: new Date().toISOString(),
      entries: list.map(({ id, task, state, value, mark, at }) => ({ id, task, state, value, mark, at })),
    }),
  });

const most = 50;

// The next that go together: words of one job up to a picture, or one picture.
function together(waiting) {
  if (waiting[0].picture) return waiting.slice(0, 1);
  const end = waiting.findIndex(s => s.picture || s.job !== waiting[0].job);
  return waiting.slice(0, Math.min(most, end < 0 ? waiting.length : end));
}

async function note(sent, answers) {
  for (const said of sent) {
    const answer = answers.find(a => a.id === said.id);
    if (!answer) continue;
    if (answer.problem) await put({ ...said, refused: answer.problem });
    else await put({ ...said, number: answer.number || -1, picture: undefined });
  }
}

// Sends what waits. Says what stopped it: nothing, no network, or that one has to sign in.
export const send = () =>
  navigator.locks.request('circuitum-field', async () => {
    let waiting = (await all()).filter(s => !s.number && !s.refused);
    if (waiting.length === 0) return '';
    try {
      const proof = await token();
      while (waiting.length > 0) {
        const now = together(waiting);
        const answer = now[0].picture ? await sendPicture(now[0], proof) : await sendWords(now[0].job, now, proof);
        if (answer.status === 401 || answer.status === 403) return 'sign-in';
        if (answer.status === 429 || answer.status >= 500) return 'later';
        const body = await answer.json();
        if (body.answers) await note(now, body.answers);
        else if (body.problem) for (const said of now) await put({ ...said, refused: body.problem });
        const left = (await all()).filter(s => !s.number && !s.refused);
        // An answer that says nothing of what was sent would be asked for for ever.
        if (left.length === waiting.length) return 'later';
        waiting = left;
      }
      return '';
    } catch {
      return 'no-network';
    }
  });
