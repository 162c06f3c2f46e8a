// Plans the demo house once through the interface and keeps the data directory after each stage; tests begin with a copy.
import { chromium } from '@playwright/test';
import { cpSync, mkdirSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { edited } from './hand.mjs';
import { freePort, serve } from './house.mjs';

export default async function setup(config) {
  const kept = mkdtempSync(join(tmpdir(), 'circuitum-houses-'));
  const data = join(kept, 'work');
  mkdirSync(data);
  const browser = await chromium.launch(config.projects[0].use.launchOptions);
  // Ended between stages, so that what is copied is all on disk and nobody holds it.
  const stage = async (name, work) => {
    const port = await freePort();
    const child = await serve(port, data);
    try {
      const page = await browser.newPage();
      await work?.(page, `http://127.0.0.1:${port}/jobs/tamarack-row`);
      await page.close();
    } finally {
      const ended = new Promise(done => child.once('exit', done));
      child.kill('SIGTERM');
      await ended;
    }
    cpSync(data, join(kept, name), { recursive: true });
  };
  await stage('rooms');
  await stage('boxes', async (page, job) => {
    await page.goto(`${job}/boxes`);
    await edited(page, () => page.getByRole('button', { name: 'Propose boxes for the house' }).click());
  });
  await stage('circuits', async (page, job) => {
    await page.goto(`${job}/circuits`);
    await edited(page, () => page.getByRole('button', { name: 'Plan circuits' }).click());
  });
  await browser.close();
  process.env.CIRCUITUM_HOUSES = kept;
  return () => rmSync(kept, { recursive: true, force: true });
}
