// Plans the demo house once through the interface; tests begin with a copy of the data directory, or with the job as it was after a stage.
import { chromium } from '@playwright/test';
import { copyFileSync, cpSync, mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { edited } from './hand.mjs';
import { freePort, serve } from './house.mjs';

export default async function setup(config) {
  const kept = mkdtempSync(join(tmpdir(), 'circuitum-houses-'));
  const data = join(kept, 'work');
  mkdirSync(data);
  const browser = await chromium.launch(config.projects[0].use.launchOptions);
  const port = await freePort();
  let child = await serve(port, data);
  const ended = () =>
    new Promise(done => {
      child.once('exit', done);
      child.kill('SIGTERM');
    });

  // Ended first, so that what is copied is all on disk and nobody holds it.
  await ended();
  cpSync(data, join(kept, 'rooms'), { recursive: true });
  child = await serve(port, data);
  for (const demo of ['gull-cottage', 'tamarack-row']) copyFileSync(`demo/${demo}.json`, join(kept, `${demo}.json`));
  const page = await browser.newPage();
  const job = `http://127.0.0.1:${port}/jobs/tamarack-row`;
  const stage = async (name, button) => {
    await page.goto(`${job}/${name}`);
    await edited(page, () => page.getByRole('button', { name: button }).click());
    writeFileSync(join(kept, `${name}.json`), await (await page.request.get(`${job}/files/job.json`)).body());
  };
  await stage('boxes', 'Propose boxes for the house');
  await stage('circuits', 'Plan circuits');
  await ended();
  await browser.close();
  process.env.CIRCUITUM_HOUSES = kept;
  return () => rmSync(kept, { recursive: true, force: true });
}
