// Starts the published application on a port and a data directory of its own, and watches what the pages ask for.
import { test as base, expect } from '@playwright/test';
import { spawn } from 'node:child_process';
import { cpSync, mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { createServer } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

export async function serve(port, data, more = []) {
  // It lives for seconds: what is compiled beforehand is good enough, and compiling it better would take the browser's time.
  const env = { ...process.env, DOTNET_TC_CallCountingDelayMs: '10000' };
  const child = spawn('dotnet', ['artifacts/web/Circuitum.Web.dll', '--port', String(port), '--data', data, ...more], {
    env,
    stdio: ['ignore', 'pipe', 'inherit'],
  });
  await new Promise((done, fail) => {
    child.stdout.on('data', text => String(text).includes('Circuitum is at') && done());
    child.once('exit', code => fail(new Error(`The application ended with ${code}.`)));
  });
  return child;
}

export const freePort = () =>
  new Promise(done => {
    const held = createServer().listen(0, '127.0.0.1', () => {
      const { port } = held.address();
      held.close(() => done(port));
    });
  });

// A program of its own on a data directory that is a copy of another one, or empty.
async function start(like) {
  const data = mkdtempSync(join(tmpdir(), 'circuitum-'));
  if (like) cpSync(like, data, { recursive: true });
  const port = await freePort();
  return { data, port, url: `http://127.0.0.1:${port}`, child: await serve(port, data) };
}

function end(house) {
  house.child.kill('SIGKILL');
  rmSync(house.data, { recursive: true, force: true });
}

// Brings a job file in through the form and gives the address of the new job.
async function bringIn(request, url, file) {
  const form = await (await request.get(url)).text();
  const token = form.match(/name="__RequestVerificationToken"[^>]*value="([^"]+)"/)[1];
  const answer = await request.post(`${url}/?handler=Import`, {
    multipart: { __RequestVerificationToken: token, file: { name: 'job.json', mimeType: 'application/json', buffer: readFileSync(file) } },
    maxRedirects: 0,
  });
  return url + answer.headers().location.replace(/\/rooms$/, '');
}

// What a page asks for and says is watched while a test has it.
async function watched(page, house, use) {
  // A test that takes the program away says so: then the browser's own complaints are no fault.
  const wrong = [];
  // A question that the next page made idle is given up; the library tells it as an error, first as the end of a request.
  const givenUp = text => /^htmx:(sendAbort|afterRequest),/.test(text);
  page.on('console', m => m.type() === 'error' && !house.lost && !givenUp(m.text()) && wrong.push(m.text()));
  page.on('pageerror', e => wrong.push(e.message));
  page.on('request', r => r.url().startsWith(house.url) || /^(data|blob):/.test(r.url()) || wrong.push(`asked for ${r.url()}`));
  await use(page);
  expect(wrong).toEqual([]);
}

// A test with a program of its own, on a new data directory: empty, or with the demo houses.
export const test = base.extend({
  empty: [false, { option: true }],
  house: async ({ empty }, use) => {
    const house = await start(!empty && join(process.env.CIRCUITUM_HOUSES, 'rooms'));
    await use(house);
    end(house);
  },
  page: ({ page, house }, use) => watched(page, house, use),
});

// A test with a job of its own, in a program that serves all such tests of a worker: to start one takes longer than most of them.
// `begins` says which job and how far it is; `job` is its address.
export const visit = base.extend({
  begins: ['circuits', { option: true }],
  program: [
    async ({}, use) => {
      const house = await start(join(process.env.CIRCUITUM_HOUSES, 'rooms'));
      await use(house);
      end(house);
    },
    { scope: 'worker' },
  ],
  house: async ({ program, begins, request }, use) => {
    await use({ url: program.url, job: await bringIn(request, program.url, join(process.env.CIRCUITUM_HOUSES, `${begins}.json`)) });
  },
  page: ({ page, house }, use) => watched(page, house, use),
});

// A program that is reached over HTTPS too, and so asks who comes; with the demo houses.
export async function reached() {
  const data = mkdtempSync(join(tmpdir(), 'circuitum-'));
  cpSync(join(process.env.CIRCUITUM_HOUSES, 'rooms'), data, { recursive: true });
  const [port, secure] = [await freePort(), await freePort()];
  const child = await serve(port, data, ['--listen', '127.0.0.1', '--listen-port', String(secure)]);
  return { url: `http://127.0.0.1:${port}`, secure: `https://127.0.0.1:${secure}`, end: () => end({ child, data }) };
}

export { expect };
