// Starts the published application on a port and a data directory of its own, and watches what the pages ask for.
import { test as base, expect } from '@playwright/test';
import { spawn } from 'node:child_process';
import { cpSync, mkdtempSync, rmSync } from 'node:fs';
import { createServer } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

export async function serve(port, data) {
  // It lives for seconds: what is compiled beforehand is good enough, and compiling it better would take the browser's time.
  const env = { ...process.env, DOTNET_TC_CallCountingDelayMs: '10000' };
  const child = spawn('dotnet', ['artifacts/web/Circuitum.Web.dll', '--port', String(port), '--data', data], { env, stdio: ['ignore', 'pipe', 'inherit'] });
  await new Promise((done, fail) => {
    child.stdout.on('data', text => String(text).includes('Circuitum is at') && done());
    child.once('exit', code => fail(new Error(`The application ended with ${code}.`)));
  });
  return child;
}

export const freePort = () => new Promise(done => {
  const held = createServer().listen(0, '127.0.0.1', () => {
    const { port } = held.address();
    held.close(() => done(port));
  });
});

export const test = base.extend({
  // How far the demo house is when the test begins: nothing (an empty data directory), rooms, boxes or circuits.
  begin: ['rooms', { option: true }],
  house: async ({ begin }, use) => {
    const data = mkdtempSync(join(tmpdir(), 'circuitum-'));
    if (begin !== 'nothing') cpSync(join(process.env.CIRCUITUM_HOUSES, begin), data, { recursive: true });
    const port = await freePort();
    const house = { data, port, url: `http://127.0.0.1:${port}`, child: await serve(port, data) };
    await use(house);
    house.child.kill('SIGKILL');
    rmSync(data, { recursive: true, force: true });
  },
  page: async ({ page, house }, use) => {
    // A test that takes the program away says so: then the browser's own complaints are no fault.
    const wrong = [];
    page.on('console', m => m.type() === 'error' && !house.lost && wrong.push(m.text()));
    page.on('pageerror', e => wrong.push(e.message));
    page.on('request', r => r.url().startsWith(house.url) || r.url().startsWith('data:') || wrong.push(`asked for ${r.url()}`));
    await use(page);
    expect(wrong).toEqual([]);
  },
});

export { expect };
