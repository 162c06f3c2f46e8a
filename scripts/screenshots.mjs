// Makes docs/screenshots from the demo data. Needs ./start to have run once: node scripts/screenshots.mjs
import { chromium } from '@playwright/test';
import { browserPath } from './browser.mjs';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { serve } from '../tests/browser/house.mjs';

const data = mkdtempSync(join(tmpdir(), 'circuitum-'));
const child = await serve(5599, data);
const browser = await chromium.launch({
  executablePath: browserPath,
  args: [
    '--headless',
    '--no-sandbox',
    '--disable-gpu',
    '--disable-quic',
    '--no-first-run',
    '--disable-background-networking',
    '--disable-component-update',
    '--disable-sync',
  ],
});
const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
const job = 'http://127.0.0.1:5599/jobs/tamarack-row';
const shot = async (name, options) => {
  await page.evaluate(() => document.fonts.ready);
  await page.screenshot({ path: `docs/screenshots/${name}.png`, ...options });
};
await page.goto('http://127.0.0.1:5599/');
await page.locator('.progress').nth(3).waitFor();
await shot('jobs');
await page.goto(`${job}/rooms?pick=room:kitchen`);
await shot('rooms');
await page.goto(`${job}/plan-print?storey=first`);
await page.emulateMedia({ media: 'print' });
await page.setViewportSize({ width: 816, height: 1056 });
await shot('plan', { fullPage: true });
await page.emulateMedia({ media: 'screen' });
await page.setViewportSize({ width: 1280, height: 800 });
await page.goto(`${job}/boxes`);
await page.getByRole('button', { name: 'Propose boxes for the house' }).click();
await page.locator('.mark').first().waitFor();
await page.goto(`${job}/circuits`);
await page.getByRole('button', { name: 'Plan circuits' }).click();
await page.locator('.rows tbody tr').first().waitFor();
await page.goto(`${job}/boxes?pick=room:living`);
await shot('boxes');
await page.goto(`${job}/boxes?pick=wall:living:0`);
await shot('wall');
await page.goto(`${job}/circuits?pick=circuit:28`);
await shot('circuits');
await page.locator('.ticket').getByRole('button', { name: 'why these rooms' }).click();
await page.locator('#why .why').first().waitFor();
await shot('derivation');
await page.goto(`${job}/plans?storey=second`);
await shot('plans');
await page.goto(`${job}/runs?pick=run:kitchen.r4`);
await page.locator('.run-line.picked').waitFor();
await shot('runs');
await page.goto('http://127.0.0.1:5599/bench/wire?amps=31&continuous=0&volts=240&method=conduit&current-carrying=4&feet=74&max-drop=3');
await shot('bench');
await page.goto(`${job}/panel`);
await shot('panel');
await page.goto(`${job}/print`);
await page.emulateMedia({ media: 'print' });
await page.setViewportSize({ width: 816, height: 1056 });
await shot('schedule', { fullPage: true });
await page.goto(`${job}/load-sheet`);
await shot('load-sheet', { fullPage: true });
await page.setViewportSize({ width: 1280, height: 800 });
await page.emulateMedia({ media: 'screen' });
await page.goto(`${job}/make-up`);
await shot('make-up', { clip: { x: 90, y: 0, width: 1100, height: 1060 }, fullPage: true });
await page.emulateMedia({ media: 'print' });
await page.goto(`${job}/box-schedule`);
await page.setViewportSize({ width: 740, height: 960 });
await page.evaluate(() => document.querySelectorAll('.room-sheet')[5].scrollIntoView());
await shot('box-schedule');
await page.emulateMedia({ media: 'screen' });
await page.setViewportSize({ width: 390, height: 844 });
await page.goto(`${job}/circuits?pick=circuit:28`);
await shot('circuits-phone');
await page.goto(`${job}/pull`);
await page.getByRole('button', { name: 'Pulled' }).first().click();
await page.locator('.pulls .done').waitFor();
await page.evaluate(() => scrollTo(0, 0));
await shot('pull-phone');
await page.goto(`${job}/rooms?pick=room:kitchen`);
await shot('rooms-phone');
await page.emulateMedia({ media: 'screen' });
await page.setViewportSize({ width: 1280, height: 800 });
await page.context().addCookies([{ name: 'theme', value: 'night', url: 'http://127.0.0.1:5599' }]);
await page.goto(`${job}/circuits?pick=circuit:23`);
await page.locator('.mark').first().waitFor();
await shot('night');
await browser.close();
child.kill();
rmSync(data, { recursive: true, force: true });
